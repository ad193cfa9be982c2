import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useMemo, useRef } from 'react';
import { keepPlaceInHistory } from '@/ui/backCloses';

/** What stands beside the list of people. */
export type PeopleSide =
  | { readonly kind: 'person'; readonly id: string }
  /** A time that suits those who are chosen: for an occurrence by its key, what is being written, or something new. */
  | { readonly kind: 'finding'; readonly about?: string | undefined }
  /** One of those that wait for a decision. */
  | { readonly kind: 'waiting'; readonly id: string }
  /** Who sees what of one's own; and what a colleague or a group sees, by the id of the share. */
  | { readonly kind: 'shares' }
  | { readonly kind: 'sharing'; readonly id: string }
  /** One's own free times as text. */
  | { readonly kind: 'free' };

/** What People shows, as its address says. */
export interface PeopleLook {
  readonly chosen: readonly string[];
  readonly side: PeopleSide | undefined;
}

const one = (value: string | string[] | undefined): string => [value].flat()[0] ?? '';

/** The names of the address that are those of People alone. */
interface Parameters {
  readonly who?: string;
  readonly finding?: string;
  readonly about?: string;
  readonly waits?: string;
  readonly free?: string;
  readonly sees?: string;
}

/** What the address says where it is about all who see something. */
const ALL = 'all';

function sideOf({ who, finding, about, waits, free, sees }: Parameters): PeopleSide | undefined {
  if (finding) return { kind: 'finding', about: about || undefined };
  if (free) return { kind: 'free' };
  if (sees) return sees === ALL ? { kind: 'shares' } : { kind: 'sharing', id: sees };
  if (waits) return { kind: 'waiting', id: waits };
  return who ? { kind: 'person', id: who } : undefined;
}

const parametersOf = (side: PeopleSide | undefined) => ({
  who: side?.kind === 'person' ? side.id : undefined,
  finding: side?.kind === 'finding' ? '1' : undefined,
  about: side?.kind === 'finding' ? side.about : undefined,
  waits: side?.kind === 'waiting' ? side.id : undefined,
  free: side?.kind === 'free' ? '1' : undefined,
  sees: side?.kind === 'sharing' ? side.id : side?.kind === 'shares' ? ALL : undefined,
});

/** Reads what People shows from the address, and changes it there. */
export function usePeopleAddress() {
  const { who, chosen, finding, about, waits, free, sees } = useGlobalSearchParams();
  const router = useRouter();
  const text = JSON.stringify({
    who: one(who),
    finding: one(finding),
    about: one(about),
    waits: one(waits),
    free: one(free),
    sees: one(sees),
    chosen: one(chosen),
  });
  // Of quick presses the second comes before the address has followed the first: each goes on from what the one before made.
  const latest = useRef<{ text: string; look: PeopleLook }>(undefined);
  return useMemo(() => {
    const { chosen: ids = '', ...parameters } = JSON.parse(text) as Parameters & { chosen?: string };
    const look: PeopleLook = { chosen: ids.split(',').filter(Boolean), side: sideOf(parameters) };
    return {
      look,
      /** Goes to a changed look: what comes to stand beside the list is a step that one comes back from, a choice takes its place. */
      show(change: Partial<PeopleLook> | ((now: PeopleLook) => Partial<PeopleLook>)) {
        const now = latest.current?.text === text ? latest.current.look : look;
        const changes = typeof change === 'function' ? change(now) : change;
        keepPlaceInHistory(!('side' in changes));
        const next = { ...now, ...changes };
        latest.current = { text, look: next };
        router.setParams({ chosen: next.chosen.join(',') || undefined, ...parametersOf(next.side) });
      },
    };
  }, [text, router]);
}
