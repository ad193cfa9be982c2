import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';
import { keepPlaceInHistory } from '@/ui/backCloses';

/** What People shows, as its address says: whose page, who is chosen, and whether a time is looked for with them. */
export interface PeopleLook {
  readonly who: string | undefined;
  readonly chosen: readonly string[];
  readonly isFinding: boolean;
  /** What a time is looked for: an occurrence by its key, or what is being written. */
  readonly about: string | undefined;
  /** Which of those that wait is open, by its id. */
  readonly waits: string | undefined;
}

const one = (value: string | string[] | undefined): string | undefined => [value].flat()[0];

/** Reads what People shows from the address, and changes it there. */
export function usePeopleAddress() {
  const { who, chosen, finding, waits, about } = useGlobalSearchParams();
  const router = useRouter();
  const text = JSON.stringify([
    one(who) ?? '',
    one(chosen) ?? '',
    one(finding) ?? '',
    one(waits) ?? '',
    one(about) ?? '',
  ]);
  return useMemo(() => {
    const [person, ids, isFinding, waiting, subject] = JSON.parse(text) as string[];
    const look: PeopleLook = {
      who: person || undefined,
      chosen: (ids ?? '').split(',').filter(Boolean),
      isFinding: isFinding === '1',
      waits: waiting || undefined,
      about: subject || undefined,
    };
    return {
      look,
      /** Goes to a changed look: another page is a step that one comes back from, a choice takes its place. */
      show(changes: Partial<PeopleLook>) {
        keepPlaceInHistory(!('who' in changes) && !('isFinding' in changes) && !('waits' in changes));
        const next = { ...look, ...changes };
        router.setParams({
          who: next.who,
          chosen: next.chosen.join(',') || undefined,
          finding: next.isFinding ? '1' : undefined,
          waits: next.waits,
          about: next.isFinding ? next.about : undefined,
        });
      },
    };
  }, [text, router]);
}
