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

/** What the parts of a year take, in pixels. */
export interface YearSizes {
  /** The least width of a month. */
  readonly month: number;
  readonly columnGap: number;
  readonly rowGap: number;
  /** What stands above a month's weeks. */
  readonly head: number;
  /** A week, at the least and at the most. */
  readonly week: { readonly least: number; readonly most: number };
}

export interface YearLayout {
  /** How many months stand side by side: a divisor of twelve. */
  readonly columns: number;
  readonly monthWidth: number;
  readonly weekHeight: number;
}

const MOST_WEEKS = 6;

/** Twelve months in a room of pixels: as large as all of them can be seen at once; where they can't, as many as fit beside each other. */
export function layoutYear(width: number, height: number, sizes: YearSizes): YearLayout {
  const { month, columnGap, rowGap, head, week } = sizes;
  const monthWidth = (columns: number) => Math.floor((width - (columns - 1) * columnGap) / columns);
  const weekHeight = (columns: number) => {
    const rows = 12 / columns;
    return Math.floor(((height - (rows - 1) * rowGap) / rows - head) / MOST_WEEKS);
  };
  const possible = [1, 2, 3, 4, 6].filter((columns) => columns === 1 || monthWidth(columns) >= month);
  const columns = possible.find((count) => weekHeight(count) >= week.least) ?? possible.at(-1)!;
  return {
    columns,
    monthWidth: monthWidth(columns),
    weekHeight: Math.min(week.most, Math.max(week.least, weekHeight(columns))),
  };
}
