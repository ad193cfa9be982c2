import type { DayLoad } from '../schedule/load';
import { daysInMonth, dayNumber, weekdayOf } from '../time/civil';

/** How booked a day is, in words of a legend: an ascending scale. */
export const LOAD_LEVELS = ['none', 'under-quarter', 'half', 'three-quarters', 'full', 'over'] as const;
export type LoadLevel = (typeof LOAD_LEVELS)[number];

/**
 * The level of a day by the booked share of its working hours: none, up to a quarter, up to a half, up to three quarters,
 * up to all of it; `over` where entries take more time, early, late or on a day off, than its working hours have.
 */
export function loadLevel(load: Pick<DayLoad, 'booked' | 'working' | 'total'>): LoadLevel {
  if (load.total > load.working) return 'over';
  const share = load.working > 0 ? load.booked / load.working : 0;
  if (share <= 0) return 'none';
  if (share <= 0.25) return 'under-quarter';
  if (share <= 0.5) return 'half';
  return share <= 0.75 ? 'three-quarters' : 'full';
}

/** A month as rows of weeks: day numbers, undefined where a row has days of other months. */
export interface MonthGrid {
  readonly month: number;
  readonly weeks: readonly (readonly (number | undefined)[])[];
}

/** A month of a year as a grid of weeks. */
export function monthGrid(year: number, month: number, weekStart: number): MonthGrid {
  const first = dayNumber(year, month, 1);
  const count = daysInMonth(year, month);
  const lead = (weekdayOf(first) - weekStart + 7) % 7;
  const rows = Math.ceil((lead + count) / 7);
  return {
    month,
    weeks: Array.from({ length: rows }, (_, row) =>
      Array.from({ length: 7 }, (_, column) => {
        const date = row * 7 + column - lead;
        return date >= 0 && date < count ? first + date : undefined;
      }),
    ),
  };
}

/** How many months stand side by side in a width: a divisor of twelve. */
export function monthColumns(width: number, least: number): number {
  const fit = Math.floor(width / least);
  return [6, 4, 3, 2].find((columns) => columns <= fit) ?? 1;
}
