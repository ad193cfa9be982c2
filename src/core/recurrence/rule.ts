import { civilDate, DAY, isRealDate, weekdayOf } from '../time/civil';

const FREQUENCIES = ['SECONDLY', 'MINUTELY', 'HOURLY', 'DAILY', 'WEEKLY', 'MONTHLY', 'YEARLY'] as const;
export type Frequency = (typeof FREQUENCIES)[number];

/** The two-letter weekdays of RFC 5545, Monday first. */
export const WEEKDAY_CODES = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'] as const;

/** A weekday (ISO, Monday 1), with "the second" or "the last" of its month or year, or 0 for every one. */
export interface ByDay {
  readonly weekday: number;
  readonly ordinal: number;
}

/** What becomes of a date that its month or year has not (RFC 7529 4.1): left out, the day before, the day after. */
export const SKIPS = ['OMIT', 'BACKWARD', 'FORWARD'] as const;
export type Skip = (typeof SKIPS)[number];

/** When a rule ends: a date, a wall time, or an instant in UTC, as its text says. */
export interface Until {
  readonly kind: 'date' | 'local' | 'utc';
  /** `YYYY-MM-DD` or `YYYY-MM-DDTHH:MM:SS`. */
  readonly value: string;
}

/** A recurrence rule (RFC 5545 3.3.10), parsed. Empty lists: the part is absent. */
export interface RecurrenceRule {
  readonly frequency: Frequency;
  readonly interval: number;
  readonly count?: number;
  readonly until?: Until;
  /** ISO weekday that a week begins with. */
  readonly weekStart: number;
  readonly byDay: readonly ByDay[];
  readonly byMonth: readonly number[];
  readonly byMonthDay: readonly number[];
  readonly byYearDay: readonly number[];
  readonly byWeekNumber: readonly number[];
  readonly byHour: readonly number[];
  readonly byMinute: readonly number[];
  readonly bySecond: readonly number[];
  readonly bySetPosition: readonly number[];
  /** RFC 7529; absent as by RFC 5545: left out. */
  readonly skip?: Exclude<Skip, 'OMIT'>;
}

/** Why a text is no rule. */
export class RecurrenceRuleError extends Error {
  constructor(readonly part: string) {
    super(`not a recurrence rule: ${part}`);
    this.name = 'RecurrenceRuleError';
  }
}

function numbers(name: string, text: string, low: number, high: number, negative = false): number[] {
  // Each once: a list may name millions.
  return [...new Set(text.split(','))].map((item) => {
    const value = Number(item);
    const size = Math.abs(value);
    const fits = /^[+-]?\d+$/.test(item) && size >= low && size <= high && (negative || value >= 0);
    if (!fits) throw new RecurrenceRuleError(`${name}=${text}`);
    return value;
  });
}

function byDay(text: string): ByDay[] {
  return [...new Set(text.split(','))].map((item) => {
    const match = /^([+-]?\d{1,2})?(MO|TU|WE|TH|FR|SA|SU)$/.exec(item);
    if (!match) throw new RecurrenceRuleError(`BYDAY=${text}`);
    return {
      ordinal: match[1] === undefined ? 0 : Number(match[1]),
      weekday: WEEKDAY_CODES.indexOf(match[2] as (typeof WEEKDAY_CODES)[number]) + 1,
    };
  });
}

function until(text: string): Until {
  const match = /^(\d{4})(\d\d)(\d\d)(?:T(\d\d)(\d\d)(\d\d)(Z)?)?$/.exec(text);
  const [, year, month, day, hour, minute, second, utc] = match ?? [];
  const date = `${year}-${month}-${day}`;
  if (!match || !isRealDate(date)) throw new RecurrenceRuleError(`UNTIL=${text}`);
  if (hour === undefined) return { kind: 'date', value: date };
  return { kind: utc ? 'utc' : 'local', value: `${date}T${hour}:${minute}:${second}` };
}

/**
 * Reads the value of an RRULE (RFC 5545 3.3.10, with SKIP of RFC 7529), with or without "RRULE:" before it.
 * @throws RecurrenceRuleError naming the part that can't be read
 */
export function parseRule(text: string): RecurrenceRule {
  const parts = new Map<string, string>();
  for (const part of text
    .replace(/^RRULE:/i, '')
    .toUpperCase()
    .split(';')
    .filter(Boolean)) {
    const [name, value] = part.split('=');
    if (!name || !value) throw new RecurrenceRuleError(part);
    parts.set(name, value);
  }
  const list = (name: string, low: number, high: number, negative = false) => {
    const value = parts.get(name);
    return value === undefined ? [] : numbers(name, value, low, high, negative);
  };
  const one = (name: string, low: number, high: number) => list(name, low, high)[0];
  const frequency = FREQUENCIES.find((name) => name === parts.get('FREQ'));
  if (!frequency) throw new RecurrenceRuleError(`FREQ=${parts.get('FREQ') ?? ''}`);
  const count = one('COUNT', 1, Number.MAX_SAFE_INTEGER);
  const end = parts.get('UNTIL');
  const weekStart = parts.get('WKST');
  const scale = parts.get('RSCALE') ?? 'GREGORIAN';
  if (scale !== 'GREGORIAN') throw new RecurrenceRuleError(`RSCALE=${scale}`);
  const skip = SKIPS.find((name) => name === (parts.get('SKIP') ?? 'OMIT'));
  if (!skip) throw new RecurrenceRuleError(`SKIP=${parts.get('SKIP')}`);
  return {
    frequency,
    interval: one('INTERVAL', 1, 1_000_000) ?? 1,
    ...(count === undefined ? {} : { count }),
    ...(end === undefined ? {} : { until: until(end) }),
    weekStart: weekStart === undefined ? 1 : byDay(weekStart)[0]!.weekday,
    byDay: parts.has('BYDAY') ? byDay(parts.get('BYDAY')!) : [],
    byMonth: list('BYMONTH', 1, 12),
    byMonthDay: list('BYMONTHDAY', 1, 31, true),
    byYearDay: list('BYYEARDAY', 1, 366, true),
    byWeekNumber: list('BYWEEKNO', 1, 53, true),
    byHour: list('BYHOUR', 0, 23),
    byMinute: list('BYMINUTE', 0, 59),
    bySecond: list('BYSECOND', 0, 60),
    bySetPosition: list('BYSETPOS', 1, 366, true),
    ...(skip === 'OMIT' ? {} : { skip }),
  };
}

const compact = (text: string): string => text.replaceAll(/[-:]/g, '');

/** The text of a rule, parts in the order of the standard's own examples. */
export function formatRule(rule: RecurrenceRule): string {
  const parts: [string, string | number | undefined][] = [
    // SKIP may stand only where RSCALE does (RFC 7529 4.1).
    ['RSCALE', rule.skip && 'GREGORIAN'],
    ['FREQ', rule.frequency],
    ['INTERVAL', rule.interval === 1 ? undefined : rule.interval],
    ['COUNT', rule.count],
    ['UNTIL', rule.until && compact(rule.until.value) + (rule.until.kind === 'utc' ? 'Z' : '')],
    ['WKST', rule.weekStart === 1 ? undefined : WEEKDAY_CODES[rule.weekStart - 1]],
    ['BYMONTH', rule.byMonth.join()],
    ['BYWEEKNO', rule.byWeekNumber.join()],
    ['BYYEARDAY', rule.byYearDay.join()],
    ['BYMONTHDAY', rule.byMonthDay.join()],
    ['BYDAY', rule.byDay.map((day) => `${day.ordinal || ''}${WEEKDAY_CODES[day.weekday - 1]}`).join()],
    ['BYHOUR', rule.byHour.join()],
    ['BYMINUTE', rule.byMinute.join()],
    ['BYSECOND', rule.bySecond.join()],
    ['BYSETPOS', rule.bySetPosition.join()],
    ['SKIP', rule.skip],
  ];
  return parts
    .filter(([, value]) => value !== undefined && value !== '')
    .map(([name, value]) => `${name}=${value}`)
    .join(';');
}

/**
 * A rule that says at another start what it said at its own: the weekday, day or month that it took from its start
 * are written out where the new start has others (RFC 5545 3.3.10: "information from DTSTART").
 * @param start wall time of the start that the rule was written for
 * @param newStart wall time of the start that it is to have
 */
export function explicitRule(rule: RecurrenceRule, start: number, newStart: number): RecurrenceRule {
  const startDay = Math.floor(start / DAY);
  const newDay = Math.floor(newStart / DAY);
  const date = civilDate(startDay);
  const newDate = civilDate(newDay);
  const none = (...parts: (readonly unknown[])[]) => parts.every((part) => part.length === 0);
  const sameWeekday = weekdayOf(startDay) === weekdayOf(newDay);
  const byDay = [{ weekday: weekdayOf(startDay), ordinal: 0 }];
  switch (rule.frequency) {
    case 'WEEKLY':
      return none(rule.byDay) && !sameWeekday ? { ...rule, byDay } : rule;
    case 'MONTHLY':
      return none(rule.byDay, rule.byMonthDay, rule.byYearDay) && date.day !== newDate.day
        ? { ...rule, byMonthDay: [date.day] }
        : rule;
    case 'YEARLY':
      if (rule.byWeekNumber.length > 0) return none(rule.byDay) && !sameWeekday ? { ...rule, byDay } : rule;
      if (!none(rule.byDay, rule.byYearDay, rule.byMonthDay)) return rule;
      if (date.day === newDate.day && (date.month === newDate.month || rule.byMonth.length > 0)) return rule;
      return {
        ...rule,
        byMonth: rule.byMonth.length > 0 ? rule.byMonth : [date.month],
        byMonthDay: [date.day],
      };
    case 'DAILY':
    case 'HOURLY':
    case 'MINUTELY':
    case 'SECONDLY':
      return rule;
  }
}
