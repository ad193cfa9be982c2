import { civilDate, dayNumber, daysInMonth, daysInYear, startOfWeek, weekdayOf } from '../time/civil';
import type { ByDay, RecurrenceRule } from './rule';

/**
 * The days that one period (a day, week, month or year) of a rule holds, after its BYxxx day parts, by the
 * table of RFC 5545 3.3.10. Each function returns day numbers in ascending order.
 */

const ascending = (days: Iterable<number>): number[] => [...new Set(days)].sort((a, b) => a - b);

function monthDays(year: number, month: number, wanted: readonly number[]): number[] {
  const length = daysInMonth(year, month);
  const first = dayNumber(year, month, 1);
  return wanted
    .map((day) => (day > 0 ? day : length + 1 + day))
    .filter((day) => day >= 1 && day <= length)
    .map((day) => first + day - 1);
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
  return ascending(days.filter((day) => hasMonth(rule, day)));
}

/** The days of a month. */
export function monthSet(rule: RecurrenceRule, year: number, month: number, startDay: number): number[] {
  if (rule.byMonth.length > 0 && !rule.byMonth.includes(month)) return [];
  if (rule.byMonthDay.length > 0) {
    const days = ascending(monthDays(year, month, rule.byMonthDay));
    if (rule.byDay.length === 0) return days;
    const allowed = new Set(weekdaysWithin(dayNumber(year, month, 1), daysInMonth(year, month), rule.byDay));
    return days.filter((day) => allowed.has(day));
  }
  if (rule.byDay.length > 0)
    return ascending(weekdaysWithin(dayNumber(year, month, 1), daysInMonth(year, month), rule.byDay));
  return monthDays(year, month, [civilDate(startDay).day]);
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
    const days = rule.byYearDay
      .map((wanted) => (wanted > 0 ? wanted : daysInYear(year) + 1 + wanted))
      .filter((ofYear) => ofYear >= 1 && ofYear <= daysInYear(year))
      .map((ofYear) => firstDay + ofYear - 1);
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
  return ascending(months.flatMap((month) => monthSet(inMonth, year, month, startDay)));
}
