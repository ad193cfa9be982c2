import { DAY, civilDate, dateString, daysInMonth, weekdayOf } from '../time/civil';
import {
  type ByDay,
  formatRule,
  parseRule,
  type RecurrenceRule,
  RecurrenceRuleError,
  type Skip,
} from './rule';
import { lastDayOfUntil, type RuleStart } from './until';

/** How often: the frequencies that the repeat editor offers. */
export const REPEAT_FREQUENCIES = ['DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'] as const;
export type RepeatFrequency = (typeof REPEAT_FREQUENCIES)[number];
type RepeatEnd = { kind: 'never' } | { kind: 'count'; count: number } | { kind: 'until'; date: string };

/** Days of a month: by their numbers (-1 the last), or the nth of a weekday or of the working days. */
export type MonthDays =
  | { readonly kind: 'days'; readonly days: readonly number[] }
  | { readonly kind: 'nth'; readonly ordinal: number; readonly weekday: number | 'workday' };

/** "first" to "fifth", "second to last" and "last", as the editor offers them. */
export const CHOICE_ORDINALS = [1, 2, 3, 4, 5, -2, -1] as const;

/** A repeat as the editor shows it. */
export interface RepeatChoice {
  readonly frequency: RepeatFrequency;
  readonly interval: number;
  /** ISO weekdays, for WEEKLY. */
  readonly weekdays: readonly number[];
  /** The ISO weekday that weeks begin with: it tells which days every few weeks belong together. */
  readonly weekStart: number;
  /** For MONTHLY and YEARLY. */
  readonly on: MonthDays;
  /** For MONTHLY the months that it is limited to, or none for all; for YEARLY its months. */
  readonly months: readonly number[];
  /** What becomes of a day that a month has not. */
  readonly skip: Skip;
  readonly ends: RepeatEnd;
}

const emptyRule: Omit<RecurrenceRule, 'frequency'> = {
  interval: 1,
  weekStart: 1,
  byDay: [],
  byMonth: [],
  byMonthDay: [],
  byYearDay: [],
  byWeekNumber: [],
  byHour: [],
  byMinute: [],
  bySecond: [],
  bySetPosition: [],
};

const WORKDAYS: readonly ByDay[] = [1, 2, 3, 4, 5].map((weekday) => ({ weekday, ordinal: 0 }));
const ascending = (numbers: readonly number[]): number[] => [...new Set(numbers)].sort((a, b) => a - b);
/** 1, 2, ... before -1. */
const monthDayOrder = (a: number, b: number): number => (a > 0 === b > 0 ? a - b : b - a);

/**
 * The choice that a start suggests for a frequency: on its own weekday, day and month.
 * @param weekStart the ISO weekday that weeks begin with
 */
export function plainChoice(frequency: RepeatFrequency, startWall: number, weekStart: number): RepeatChoice {
  const day = Math.floor(startWall / DAY);
  const date = civilDate(day);
  return {
    frequency,
    interval: 1,
    weekdays: [weekdayOf(day)],
    weekStart,
    on: { kind: 'days', days: [date.day] },
    months: frequency === 'YEARLY' ? [date.month] : [],
    skip: 'OMIT',
    ends: { kind: 'never' },
  };
}

function monthParts(choice: RepeatChoice, startWall: number): Partial<RecurrenceRule> {
  const { on, months, frequency } = choice;
  const start = civilDate(Math.floor(startWall / DAY));
  if (on.kind === 'nth') {
    const byMonth = ascending(months);
    return on.weekday === 'workday'
      ? { byMonth, byDay: WORKDAYS, bySetPosition: [on.ordinal] }
      : { byMonth, byDay: [{ weekday: on.weekday, ordinal: on.ordinal }] };
  }
  const days = [...new Set(on.days)].sort(monthDayOrder);
  // What the start says already is left to it, so that the rule moves with it.
  const isOwnDay = days.length === 1 && days[0] === start.day;
  const isOwnMonth = frequency === 'YEARLY' && months.length === 1 && months[0] === start.month;
  if (isOwnDay && (isOwnMonth || (frequency === 'MONTHLY' && months.length === 0))) return {};
  return { byMonth: ascending(months), byMonthDay: days };
}

/** The rule of a choice, for a start at a wall time. */
export function ruleOfChoice(choice: RepeatChoice, startWall: number): RecurrenceRule {
  const { frequency, interval, ends, skip } = choice;
  const parts =
    frequency === 'WEEKLY'
      ? {
          byDay: ascending(choice.weekdays).map((weekday) => ({ weekday, ordinal: 0 })),
          weekStart: interval > 1 && choice.weekdays.length > 1 ? choice.weekStart : 1,
        }
      : frequency === 'DAILY'
        ? {}
        : monthParts(choice, startWall);
  return {
    ...emptyRule,
    frequency,
    interval,
    ...parts,
    ...(skip !== 'OMIT' && hasLateDays(choice) ? { skip } : {}),
    ...(ends.kind === 'count' ? { count: ends.count } : {}),
    ...(ends.kind === 'until' ? { until: { kind: 'date' as const, value: ends.date } } : {}),
  };
}

/** Whether a choice names a day that some month has not. */
export const hasLateDays = ({ frequency, on, months }: RepeatChoice): boolean =>
  (frequency === 'MONTHLY' || frequency === 'YEARLY') &&
  on.kind === 'days' &&
  on.days.some((day) =>
    frequency === 'MONTHLY' && months.length === 0
      ? day > 28
      : months.some((month) => day > daysInMonth(2027, month)),
  );

/** Whether a text is a rule that can be read; then the rule. */
export function readRule(text: string): RecurrenceRule | undefined {
  try {
    return parseRule(text);
  } catch (error) {
    if (error instanceof RecurrenceRuleError) return undefined;
    throw error;
  }
}

function monthDaysOf(rule: RecurrenceRule, startDay: number): MonthDays | undefined {
  const { byDay, byMonthDay, bySetPosition } = rule;
  const [only] = byDay;
  if (byMonthDay.length > 0) return { kind: 'days', days: byMonthDay };
  if (!only) return { kind: 'days', days: [civilDate(startDay).day] };
  if (bySetPosition.length === 1 && byDay.length === 5)
    return { kind: 'nth', ordinal: bySetPosition[0]!, weekday: 'workday' };
  // "The first Tuesday" is also said as a Tuesday with a position.
  if (byDay.length === 1 && only.ordinal === 0 && bySetPosition.length === 1)
    return { kind: 'nth', ordinal: bySetPosition[0]!, weekday: only.weekday };
  return byDay.length === 1 ? { kind: 'nth', ordinal: only.ordinal, weekday: only.weekday } : undefined;
}

const isOffered = (on: MonthDays): boolean =>
  on.kind === 'days'
    ? on.days.every((day) => day >= -1)
    : CHOICE_ORDINALS.some((ordinal) => ordinal === on.ordinal);

/**
 * The choice that says a rule, or undefined if the rule says more than a choice can.
 * @param start the start, whose weekday, day and month a rule means when it names none
 */
export function choiceOfRule(rule: RecurrenceRule, start: RuleStart): RepeatChoice | undefined {
  const startWall = start.wall;
  const frequency = REPEAT_FREQUENCIES.find((name) => name === rule.frequency);
  if (!frequency) return undefined;
  const startDay = Math.floor(startWall / DAY);
  const plain = plainChoice(frequency, startWall, rule.weekStart);
  // Monday to Friday is said by the week; a daily rule can say it, too.
  const isDailyByWeekdays = frequency === 'DAILY' && rule.interval === 1 && rule.byDay.length > 0;
  const named = ascending(rule.byDay.map((day) => day.weekday));
  const on = frequency === 'MONTHLY' || frequency === 'YEARLY' ? monthDaysOf(rule, startDay) : plain.on;
  if (!on || !isOffered(on)) return undefined;
  const choice: RepeatChoice = {
    frequency: isDailyByWeekdays ? 'WEEKLY' : frequency,
    interval: rule.interval,
    weekStart: rule.weekStart,
    weekdays: (frequency === 'WEEKLY' || isDailyByWeekdays) && named.length > 0 ? named : plain.weekdays,
    on,
    months: rule.byMonth.length > 0 ? ascending(rule.byMonth) : plain.months,
    skip: rule.skip ?? 'OMIT',
    ends:
      rule.count !== undefined
        ? { kind: 'count', count: rule.count }
        : rule.until
          ? { kind: 'until', date: dateString(lastDayOfUntil(rule.until, start)) }
          : { kind: 'never' },
  };
  return comparable(rule, startWall) === comparable(ruleOfChoice(choice, startWall), startWall)
    ? choice
    : undefined;
}

/** A rule's text in one form for all that make the same dates: what a choice leaves to the start is written out. */
function comparable(rule: RecurrenceRule, startWall: number): string {
  const start = civilDate(Math.floor(startWall / DAY));
  const { frequency, byDay, byMonthDay, byMonth, byYearDay, byWeekNumber } = rule;
  const isMonthly = frequency === 'MONTHLY' || frequency === 'YEARLY';
  const noDays = byDay.length + byMonthDay.length + byYearDay.length + byWeekNumber.length === 0;
  const isOrdinal = byDay.length === 1 && byDay[0]!.ordinal === 0 && rule.bySetPosition.length === 1;
  const isWeekly =
    frequency === 'WEEKLY' || (frequency === 'DAILY' && rule.interval === 1 && byDay.length > 0);
  const weekday = { weekday: weekdayOf(Math.floor(startWall / DAY)), ordinal: 0 };
  return formatRule({
    ...rule,
    frequency: isWeekly ? 'WEEKLY' : frequency,
    until: undefined,
    // Where a week begins matters only to several days every few weeks.
    weekStart: isWeekly && rule.interval > 1 && byDay.length > 1 ? rule.weekStart : 1,
    byDay: isOrdinal
      ? [{ weekday: byDay[0]!.weekday, ordinal: rule.bySetPosition[0]! }]
      : isWeekly && byDay.length === 0
        ? [weekday]
        : [...byDay].sort((a, b) => a.weekday - b.weekday || a.ordinal - b.ordinal),
    bySetPosition: isOrdinal ? [] : rule.bySetPosition,
    byMonthDay: isMonthly && noDays ? [start.day] : [...byMonthDay].sort(monthDayOrder),
    byMonth: frequency === 'YEARLY' && noDays && byMonth.length === 0 ? [start.month] : ascending(byMonth),
  });
}

/** The nth and the nth from the end that a day is of its weekday in its month. */
export function placeInMonth(day: number): { ordinal: number; fromEnd: number } {
  const { year, month, day: ofMonth } = civilDate(day);
  return {
    ordinal: Math.ceil(ofMonth / 7),
    fromEnd: -Math.ceil((daysInMonth(year, month) - ofMonth + 1) / 7),
  };
}

/** Whether a day is the last working day (Monday to Friday) of its month. */
function isLastWorkday(day: number): boolean {
  const { year, month } = civilDate(day);
  if (weekdayOf(day) > 5) return false;
  for (let later = day + 1; civilDate(later).month === month && civilDate(later).year === year; later++)
    if (weekdayOf(later) <= 5) return false;
  return true;
}

/** The repeats that fit a start, most usual first: what the editor offers to press. */
export function quickChoices(startWall: number, weekStart: number): RepeatChoice[] {
  const day = Math.floor(startWall / DAY);
  const weekday = weekdayOf(day);
  const { ordinal, fromEnd } = placeInMonth(day);
  const weekly = plainChoice('WEEKLY', startWall, weekStart);
  const monthly = plainChoice('MONTHLY', startWall, weekStart);
  const nth = (of: number, what: number | 'workday'): RepeatChoice => ({
    ...monthly,
    on: { kind: 'nth', ordinal: of, weekday: what },
  });
  return [
    plainChoice('DAILY', startWall, weekStart),
    ...(weekday <= 5 ? [{ ...weekly, weekdays: [1, 2, 3, 4, 5] }] : []),
    weekly,
    { ...weekly, interval: 2 },
    monthly,
    ...(ordinal <= 4 ? [nth(ordinal, weekday)] : []),
    ...(fromEnd === -1 ? [nth(-1, weekday)] : []),
    ...(isLastWorkday(day) ? [nth(-1, 'workday')] : []),
    plainChoice('YEARLY', startWall, weekStart),
  ];
}

/** The first proposal of an end date for a repeat that begins at a wall time: three months on. */
export function proposedEnd(startWall: number): string {
  return dateString(Math.floor(startWall / DAY) + 91);
}
