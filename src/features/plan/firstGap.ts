import type { WorkingPattern } from '@/core/model/settings';
import { ownBusy } from '@/core/people/busy/ownBusy';
import { freeTimes } from '@/core/people/freeTimes/freeTimes';
import type { InstantRange } from '@/core/time/eventTime';
import { placeTodos } from '@/core/todos/placeTodos';
import type { DaysAnswer } from '@/store';

/** Gaps that are shorter hold nothing, in minutes. */
const SHORTEST = 5;

/** The first gap of the working hours of a day that holds so many minutes, from now on; undefined where none does. */
export function firstGap(
  day: number,
  minutes: number,
  { occurrences, travelling }: DaysAnswer,
  { zone, workingPattern, now }: { zone: string; workingPattern: WorkingPattern; now: number },
): InstantRange | undefined {
  const free = freeTimes({
    first: day,
    end: day + 1,
    zone,
    workingPattern,
    minutes: SHORTEST,
    busy: ownBusy([...occurrences, ...travelling]),
    overTentative: false,
    daysOff: [],
    now,
  });
  const work = { key: '', minutes, from: -Infinity, due: Infinity, rank: 0 };
  return placeTodos([work], { free, shortest: minutes, withLate: false }).pieces[0];
}
