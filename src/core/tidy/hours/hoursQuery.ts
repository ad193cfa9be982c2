import type { Availability } from '../../model/entry';
import type { EntryFilter } from '../../model/look';
import type { WorkingPattern } from '../../model/settings';

/** What hours are told apart by. */
export const HOURS_BY = ['calendar', 'category', 'place', 'person', 'weekday'] as const;
export type HoursBy = (typeof HOURS_BY)[number];

/** How much each column of the chart holds. */
export const HOURS_STEPS = ['day', 'week', 'month'] as const;
export type HoursStep = (typeof HOURS_STEPS)[number];

/** Days as day numbers, half-open. */
export interface DayRange {
  readonly first: number;
  readonly end: number;
}

/** What is asked of the hours of a range. */
export interface HoursQuery {
  readonly range: DayRange;
  /** What the range is compared with. */
  readonly before?: DayRange;
  readonly zone: string;
  readonly weekStart: number;
  readonly by: HoursBy;
  readonly step: HoursStep;
  /** What counts as taken. */
  readonly counted: readonly Availability[];
  readonly filter: EntryFilter;
  readonly hiddenCalendarIds: readonly string[];
  readonly workingPattern: WorkingPattern;
}

/** The hours of one calendar, category, place, person or weekday; the empty key is for what has none. */
export interface HoursRow {
  readonly key: string;
  /** Time that several share is divided among them: the rows sum to the whole. Of people each has all of it. */
  readonly minutes: number;
  /** Each entry counted in full. */
  readonly each: number;
  readonly before: number;
  /** Days that entries of whole days take, which count no hours. */
  readonly wholeDays: number;
  /** The minutes of each column. */
  readonly columns: readonly number[];
}

/** A column of the chart. */
export interface HoursColumn extends DayRange {
  readonly minutes: number;
  /** Working minutes there are, and what of them is booked. */
  readonly working: number;
  readonly booked: number;
  /** Of the working hours: with other people, and free in stretches of an hour or more. */
  readonly meetings: number;
  readonly unbroken: number;
}

/** A series, and what it takes. */
export interface SeriesCost {
  readonly entryId: string;
  readonly title: string;
  readonly calendarId: string;
  readonly minutes: number;
  readonly count: number;
}

export interface HoursAnswer {
  readonly rows: readonly HoursRow[];
  readonly columns: readonly HoursColumn[];
  /** All hours, each instant once, and each entry in full; and those of the range before. */
  readonly minutes: number;
  readonly each: number;
  readonly before: number;
  readonly series: readonly SeriesCost[];
}
