import { civilDate, dayNumber, daysInMonth, daysInYear, startOfWeek, weekdayOf } from '../time/civil';
import type { ByDay, RecurrenceRule } from './rule';

/**
 * The days that one period (a day, week, month or year) of a rule holds, after its BYxxx day parts, by the
 * table of RFC 5545 3.3.10. Each function returns day numbers in ascending order.
 */

const ascending = (days: Iterable<number>): number[] => [...new Set(days)].sort((a, b) => a - b);

/** The day of a period for a position from its start or end; one beyond its length by SKIP (RFC 7529 4.1). */
function dayAt(first: number, length: number, position: number, skip: RecurrenceRule['skip']): number[] {
  const day = position > 0 ? position : length + 1 + position;
  if (day >= 1 && day <= length) return [first + day - 1];
  if (!skip || day < 1) return [];
  return [skip === 'BACKWARD' ? first + length - 1 : first + length];
}

function monthDays(rule: RecurrenceRule, year: number, month: number, wanted: readonly number[]): number[] {
  const first = dayNumber(year, month, 1);
  return wanted.flatMap((day) => dayAt(first, daysInMonth(year, month), day, rule.skip));
}

/** Weekdays within a span of days: every one, or the nth from its start or end. */
function weekdaysWithin(first: number, length: number, wanted: readonly ByDay[]): number[] {
  const days: number[] = [];
  for (const { weekday, ordinal } of wanted) {
    const firstMatch = first + ((weekday - weekdayOf(first) + 7) % 7);
    const matches = firstMatch < first + length ? Math.ceil((first + length - firstMatch) / 7) : 0;
    if (ordinal === 0) for (let n = 0; n < matches; n++) days.push(firstMatch + 7 * n);
    else {
      const n = ordinal > 0 ? ordinal - 1 : matches + ordinal;
      if (n >= 0 && n < matches) days.push(firstMatch + 7 * n);
    }
  }
  return days;
}

/** Whether a day is one of the wanted weekdays of a span: every one, or the nth from its start or end. */
function isNthWeekday(wanted: readonly ByDay[], day: number, first: number, length: number): boolean {
  const nth = Math.ceil((day - first + 1) / 7);
  const fromEnd = -Math.ceil((first + length - day) / 7);
  return wanted.some(
    ({ weekday, ordinal }) =>
      weekday === weekdayOf(day) && (ordinal === 0 || ordinal === nth || ordinal === fromEnd),
  );
}

const daysOfSpan = (first: number, length: number): number[] =>
  Array.from({ length }, (_, index) => first + index);

const hasMonth = (rule: RecurrenceRule, day: number): boolean =>
  rule.byMonth.length === 0 || rule.byMonth.includes(civilDate(day).month);

const hasWeekday = (rule: RecurrenceRule, day: number): boolean =>
  rule.byDay.length === 0 || rule.byDay.some(({ weekday }) => weekday === weekdayOf(day));

function hasMonthDay(rule: RecurrenceRule, day: number): boolean {
  if (rule.byMonthDay.length === 0) return true;
  const { year, month, day: ofMonth } = civilDate(day);
  return rule.byMonthDay.some(
    (wanted) => (wanted > 0 ? wanted : daysInMonth(year, month) + 1 + wanted) === ofMonth,
  );
}

function hasYearDay(rule: RecurrenceRule, day: number): boolean {
  if (rule.byYearDay.length === 0) return true;
  const { year } = civilDate(day);
  const ofYear = day - dayNumber(year, 1, 1) + 1;
  return rule.byYearDay.some((wanted) => (wanted > 0 ? wanted : daysInYear(year) + 1 + wanted) === ofYear);
}

/** Whether a day passes all day parts as limits, as they act on DAILY and shorter frequencies. */
export const passesDayLimits = (rule: RecurrenceRule, day: number): boolean =>
  hasMonth(rule, day) && hasYearDay(rule, day) && hasMonthDay(rule, day) && hasWeekday(rule, day);

/** The days of the week that begins on a day. */
export function weekSet(rule: RecurrenceRule, firstDay: number, startDay: number): number[] {
  const weekdays = rule.byDay.length > 0 ? rule.byDay.map((day) => day.weekday) : [weekdayOf(startDay)];
  const days = weekdays.map((weekday) => firstDay + ((weekday - rule.weekStart + 7) % 7));
  return ascending(
    days.filter((day) => hasMonth(rule, day) && hasMonthDay(rule, day) && hasYearDay(rule, day)),
  );
}

/** The days of a month. Ordinals of weekdays count within the month, but for a yearly rule without BYMONTH. */
export function monthSet(
  rule: RecurrenceRule,
  year: number,
  month: number,
  startDay: number,
  ordinals: 'in-month' | 'in-year' = 'in-month',
): number[] {
  if (rule.byMonth.length > 0 && !rule.byMonth.includes(month)) return [];
  if (rule.byMonthDay.length > 0) {
    const days = ascending(monthDays(rule, year, month, rule.byMonthDay));
    if (rule.byDay.length === 0) return days.filter((day) => hasYearDay(rule, day));
    // A day that SKIP moved into the next month counts in that month.
    const spanOf = (day: number): [number, number] => {
      const date = civilDate(day);
      return ordinals === 'in-month'
        ? [dayNumber(date.year, date.month, 1), daysInMonth(date.year, date.month)]
        : [dayNumber(date.year, 1, 1), daysInYear(date.year)];
    };
    return days.filter((day) => isNthWeekday(rule.byDay, day, ...spanOf(day)) && hasYearDay(rule, day));
  }
  if (rule.byDay.length > 0)
    return ascending(weekdaysWithin(dayNumber(year, month, 1), daysInMonth(year, month), rule.byDay)).filter(
      (day) => hasYearDay(rule, day),
    );
  // The standard gives BYYEARDAY no meaning here; other programs read it as a limit on every day.
  if (rule.byYearDay.length > 0)
    return daysOfSpan(dayNumber(year, month, 1), daysInMonth(year, month)).filter((day) =>
      hasYearDay(rule, day),
    );
  return monthDays(rule, year, month, [civilDate(startDay).day]);
}

function weekNumberDays(rule: RecurrenceRule, year: number, startDay: number): number[] {
  // Week 1 is the first with at least four days in the year (RFC 5545 3.3.10, BYWEEKNO).
  const firstWeek = (ofYear: number) => startOfWeek(dayNumber(ofYear, 1, 4), rule.weekStart);
  const first = firstWeek(year);
  const weeks = (firstWeek(year + 1) - first) / 7;
  const weekdays = rule.byDay.length > 0 ? rule.byDay.map((day) => day.weekday) : [weekdayOf(startDay)];
  return rule.byWeekNumber
    .map((wanted) => (wanted > 0 ? wanted : weeks + 1 + wanted))
    .filter((week) => week >= 1 && week <= weeks)
    .flatMap((week) =>
      weekdays.map((weekday) => first + 7 * (week - 1) + ((weekday - rule.weekStart + 7) % 7)),
    );
}

/** The days of a year. */
export function yearSet(rule: RecurrenceRule, year: number, startDay: number): number[] {
  const firstDay = dayNumber(year, 1, 1);
  if (rule.byWeekNumber.length > 0)
    return ascending(
      weekNumberDays(rule, year, startDay).filter(
        (day) => hasMonth(rule, day) && hasMonthDay(rule, day) && hasYearDay(rule, day),
      ),
    );
  if (rule.byYearDay.length > 0) {
    const days = rule.byYearDay.flatMap((wanted) => dayAt(firstDay, daysInYear(year), wanted, rule.skip));
    return ascending(
      days.filter((day) => hasMonth(rule, day) && hasMonthDay(rule, day) && hasWeekday(rule, day)),
    );
  }
  if (rule.byDay.length > 0 && rule.byMonth.length === 0 && rule.byMonthDay.length === 0)
    return ascending(weekdaysWithin(firstDay, daysInYear(year), rule.byDay));
  const everyMonth = rule.byMonthDay.length > 0 && rule.byMonth.length === 0;
  const months = everyMonth
    ? Array.from({ length: 12 }, (_, index) => index + 1)
    : rule.byMonth.length > 0
      ? rule.byMonth
      : [civilDate(startDay).month];
  const inMonth = { ...rule, byMonth: [] };
  const ordinals = everyMonth ? 'in-year' : 'in-month';
  return ascending(months.flatMap((month) => monthSet(inMonth, year, month, startDay, ordinals)));
}
