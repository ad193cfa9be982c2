import type { DayOffHandling } from '../model/entry';

/** Says of days, by day number, whether a series that skips days off may fall on them. */
export interface DayOffLookup {
  isDayOff(day: number): boolean;
  isWorkingDay(day: number): boolean;
}

/** How far a moved occurrence goes at the most, in days. Where nothing free is within reach it stays. */
export const FARTHEST_MOVE = 31;

/**
 * The day that an occurrence on a day off goes to: the next or previous working day, or undefined if it is left out.
 * A day that is no day off stays.
 */
export function dayInstead(day: number, handling: DayOffHandling, days: DayOffLookup): number | undefined {
  if (!days.isDayOff(day)) return day;
  if (handling === 'omit') return undefined;
  const step = handling === 'next' ? 1 : -1;
  for (let away = 1; away <= FARTHEST_MOVE; away++)
    if (days.isWorkingDay(day + step * away)) return day + step * away;
  return day;
}
