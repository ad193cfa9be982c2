import type { Look } from '../model/look';
import type { Settings } from '../model/settings';
import { civilDate, dayNumber, daysInMonth, startOfWeek } from '../time/civil';

/** What is looked at: a view, the selected day, and how far the view reaches. */
export type ViewRange = Pick<Look, 'view' | 'dayCount' | 'weekCount' | 'weekends'> & { readonly day: number };

/** What a person's weeks are like: their working days, and the day that they begin with (an ISO weekday). */
export type WeekHabits = Pick<Settings, 'workingPattern' | 'weekStart'>;

/** A half-open range of day numbers. */
export interface DayRange {
  readonly first: number;
  readonly end: number;
}

/** The calendar month of a day. */
export function monthOf(day: number): DayRange {
  const { year, month } = civilDate(day);
  return { first: dayNumber(year, month, 1), end: dayNumber(year, month, daysInMonth(year, month) + 1) };
}

/** The calendar year of a day. */
export function yearOf(day: number): DayRange {
  const { year } = civilDate(day);
  return { first: dayNumber(year, 1, 1), end: dayNumber(year + 1, 1, 1) };
}

/** The most days that *Days* shows. */
export const MOST_DAYS = 14;

/** The days of whole weeks that hold a range. */
export function wholeWeeks({ first, end }: DayRange, weekStart: number): DayRange {
  return { first: startOfWeek(first, weekStart), end: startOfWeek(end - 1, weekStart) + 7 };
}

/**
 * A day so many months on; the last of the month where it is shorter.
 * @param wanted the day of the month that is meant, where the given day is only the last of a shorter one
 */
export function addMonths(day: number, months: number, wanted = civilDate(day).day): number {
  const date = civilDate(day);
  const count = date.year * 12 + date.month - 1 + months;
  const year = Math.floor(count / 12);
  const month = count - year * 12 + 1;
  return dayNumber(year, month, Math.min(wanted, daysInMonth(year, month)));
}

/** The ISO 8601 week number of a day's week; where weeks begin on another day, that of the week that most of it lies in. */
export function weekNumber(day: number, weekStart: number): number {
  const thursday = startOfWeek(startOfWeek(day, weekStart) + 3) + 3;
  return Math.floor((thursday - yearOf(thursday).first) / 7) + 1;
}
