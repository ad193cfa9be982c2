import { useMemo } from 'react';
import { ownBusy } from '@/core/people/busy/ownBusy';
import { freeTimes } from '@/core/people/freeTimes/freeTimes';
import { type Placing, placeTodos, type Work } from '@/core/todos/placeTodos';
import { worksOf } from '@/core/todos/worksOf';
import { useDays, useDaysOff, useNow, useSettings, useSnapshot, useTodoItems } from '@/store';
import { MINUTE } from '@/core/time/civil';

/** Gaps that are shorter take no to-do, and no part of one, in minutes. */
const SHORTEST = 15;
/** No part of a to-do is shorter, in minutes. */
const SHORTEST_PART = 30;
/** Times are proposed anew at most each minute. */

/** What wants time, and the times that are proposed for what is chosen of it. */
export interface Proposal {
  /** All that wants time, by when it is due and how important it is. */
  readonly works: readonly Work[];
  readonly placing: Placing | undefined;
  readonly failed: boolean;
}

/** All that wants time, by when it is due and how important it is. */
export function useWorks(): readonly Work[] {
  const { homeZone, defaultLengthMinutes } = useSettings();
  const { items } = useTodoItems();
  const state = useSnapshot((snapshot) => snapshot.state);
  return useMemo(
    () =>
      worksOf(state, items, defaultLengthMinutes, homeZone).sort((a, b) =>
        a.due === b.due ? a.rank - b.rank : a.due - b.due,
      ),
    [state, items, defaultLengthMinutes, homeZone],
  );
}

/** A proposal of times for some to-dos, by their keys, in the gaps of so many days from today on. */
export function usePlacing(keys: readonly string[], days: number, withLate: boolean): Proposal {
  const named = JSON.stringify(keys);
  const works = useWorks();
  const { homeZone, workingPattern } = useSettings();
  const { today } = useTodoItems();
  const now = Math.floor(useNow() / MINUTE) * MINUTE;
  const end = today + days;
  const { answer, isStale, failed } = useDays(today, end);
  const daysOff = useDaysOff(today, end);
  const placing = useMemo(() => {
    if (!answer || isStale) return undefined;
    const free = freeTimes({
      first: today,
      end,
      zone: homeZone,
      workingPattern,
      minutes: SHORTEST,
      busy: ownBusy([...answer.occurrences, ...answer.travelling]),
      overTentative: false,
      daysOff,
      now,
    });
    const chosen = new Set(JSON.parse(named) as string[]);
    const asked = works.filter(({ key }) => chosen.has(key));
    return placeTodos(asked, { free, shortest: SHORTEST_PART, withLate });
  }, [answer, isStale, today, end, homeZone, workingPattern, daysOff, now, works, named, withLate]);
  return { works, placing, failed };
}
