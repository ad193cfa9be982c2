import type { MonthDays, RepeatFrequency } from '../recurrence/choices';

/** How often an entry repeats, as a line of words says it. What it leaves out follows from the start. */
export interface RepeatSaid {
  readonly frequency: RepeatFrequency;
  readonly interval: number;
  /** ISO weekdays. */
  readonly weekdays: readonly number[];
  readonly on: MonthDays | undefined;
  readonly months: readonly number[];
}
