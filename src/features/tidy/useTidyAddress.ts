import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';
import { readTidyLook, TIDY_PARAMETERS, type TidyLook, writeTidyLook } from '@/core/tidy/tidyLook';
import { keepPlaceInHistory } from '@/ui/backCloses';

/** Reads how Tidy looks from the address, and changes it there. */
export function useTidyAddress() {
  const parameters = useGlobalSearchParams();
  const router = useRouter();
  const text = JSON.stringify(
    TIDY_PARAMETERS.flatMap((name) => {
      const value = [parameters[name]].flat()[0];
      return value === undefined ? [] : [[name, value]];
    }),
  );
  return useMemo(() => {
    const look = readTidyLook(Object.fromEntries(JSON.parse(text) as [string, string][]));
    return {
      look,
      /** Goes to a changed look; the one before is a step back. `quietly`: takes its place instead. */
      show(changes: Partial<TidyLook>, { quietly = false }: { quietly?: boolean } = {}) {
        keepPlaceInHistory(quietly);
        router.setParams(writeTidyLook({ ...look, ...changes }));
      },
    };
  }, [text, router]);
}
