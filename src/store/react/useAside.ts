import { useQuery } from '@tanstack/react-query';
import { useEngineAnswer } from './engineQuestions';
import { useOpenStore } from './StoreContext';

const ASIDE = ['aside'];

/** What could not be read and was set aside; `again` asks anew after something was mended or thrown away. */
export function useAside() {
  const { store } = useOpenStore();
  const { data, refetch } = useQuery({ queryKey: ASIDE, queryFn: () => store.readAside() });
  return { aside: data ?? [], again: refetch };
}

/** Entries that questions leave out, in whole or but for their start. */
export function useTroubled() {
  const { data } = useEngineAnswer(['troubled']);
  return data ?? [];
}

/** Whether the browser keeps the data also where room is short; undefined where it does not say. */
export function useStoragePersists(): boolean | undefined {
  const { data } = useQuery({
    queryKey: ['persists'],
    queryFn: async () => (await navigator.storage?.persisted?.()) ?? null,
  });
  return data ?? undefined;
}
