import type { Look } from '../model/look';
import type { Settings } from '../model/settings';
import { civilDate, dayNumber, daysInMonth, startOfWeek, weekdayOf } from '../time/civil';
import { isWorkingWeekday } from '../time/workingPattern';

/** What is looked at: a view, the selected day, and how far the view reaches. */
export type ViewRange = Pick<Look, 'view' | 'dayCount' | 'weekCount' | 'weekends'> & { readonly day: number };

/** What a person's weeks are like: their working days, and the day that they begin with (an ISO weekday). */
export type WeekHabits = Pick<Settings, 'workingPattern' | 'weekStart'>;

/** A half-open range of day numbers. */
export interface DayRange {
  readonly first: number;
  readonly end: number;
}

/** How many days of *Agenda* a step passes over. */
const AGENDA_STEP = 7;

const from = (first: number, count: number): number[] =>
  Array.from({ length: count }, (_, index) => first + index);

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

/** The days that a view of weeks, a year or an agenda is about: the period, the month, or as many weeks as asked for. */
export function rangeOf(range: ViewRange, weekStart: number, period?: DayRange): DayRange {
  if (period) return period;
  if (range.view === 'year') return yearOf(range.day);
  if (range.view === 'agenda') return { first: range.day, end: range.day + AGENDA_STEP };
  if (range.weekCount === 0) return monthOf(range.day);
  const first = startOfWeek(range.day, weekStart);
  return { first, end: first + 7 * range.weekCount };
}

/** The days of whole weeks that hold a range. */
export function wholeWeeks({ first, end }: DayRange, weekStart: number): DayRange {
  return { first: startOfWeek(first, weekStart), end: startOfWeek(end - 1, weekStart) + 7 };
}

/**
 * The shown day numbers, ascending.
 * @param period the period that is shown in place of days, weeks, month or agenda, if any. A year shows all its days.
 */
export function shownDays(
  range: ViewRange,
  { workingPattern, weekStart }: WeekHabits,
  period?: DayRange,
): number[] {
  const { view, day, dayCount, weekends } = range;
  const working = (days: number[]): number[] => {
    const left = days.filter((shown) => isWorkingWeekday(workingPattern, weekdayOf(shown)));
    return left.length > 0 ? left : days;
  };
  const kept = (days: number[]): number[] => (weekends ? days : working(days));
  switch (view) {
    case 'day':
    case 'lanes':
      return [day];
    case 'days':
      if (period) return kept(from(period.first, period.end - period.first));
      // As many days as asked for: without weekends, they reach further.
      return weekends ? from(day, dayCount) : kept(from(day, dayCount * 4 + 7)).slice(0, dayCount);
    case 'week':
      return kept(from(startOfWeek(day, weekStart), 7));
    case 'workdays':
      return working(from(startOfWeek(day, weekStart), 7));
    case 'weeks': {
      const { first, end } = wholeWeeks(rangeOf(range, weekStart, period), weekStart);
      return kept(from(first, end - first));
    }
    case 'year': {
      const { first, end } = yearOf(day);
      return from(first, end - first);
    }
    case 'agenda': {
      const { first, end } = rangeOf(range, weekStart, period);
      return from(first, end - first);
    }
  }
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

/**
 * The same range a step later or earlier: by as many days as it shows, weeks by weeks, months by months.
 * @param wanted the day of the month that steps by months come back to
 */
export function stepRange<Range extends ViewRange>(
  range: Range,
  direction: 1 | -1,
  habits: WeekHabits,
  wanted?: number,
): Range {
  const { view, day, dayCount, weekCount } = range;
  const to = (next: number): Range => ({ ...range, day: next });
  switch (view) {
    case 'day':
    case 'lanes':
      return to(day + direction);
    case 'days': {
      if (range.weekends) return to(day + direction * dayCount);
      const days = shownDays(range, habits);
      if (direction === 1) return to(days.at(-1)! + 1);
      let first = days[0]!;
      for (let left = dayCount; left > 0 && day - first < 70;)
        if (isWorkingWeekday(habits.workingPattern, weekdayOf(--first))) left--;
      return to(first);
    }
    case 'workdays':
    case 'week':
      return to(day + direction * 7);
    case 'weeks':
      return to(weekCount === 0 ? addMonths(day, direction, wanted) : day + direction * 7 * weekCount);
    case 'year':
      return to(addMonths(day, 12 * direction, wanted));
    case 'agenda':
      return to(day + direction * AGENDA_STEP);
  }
}

/** The ISO 8601 week number of a day's week; where weeks begin on another day, that of the week that most of it lies in. */
export function weekNumber(day: number, weekStart: number): number {
  const thursday = startOfWeek(startOfWeek(day, weekStart) + 3) + 3;
  return Math.floor((thursday - yearOf(thursday).first) / 7) + 1;
}
