import { DAY, MINUTE, civilDate, weekdayOf } from '../../time/civil';
import type { ByDay, Frequency, RecurrenceRule } from '../rule';
import type { RuleProblem } from '../ruleProblems';
import { lastDayOfUntil, type RuleStart, wallOfUntil } from '../until';
import { isWeekend, isWorkweek, minutesOfDay, plainWeekdays, runsOf } from './ruleShape';

/** The start of a series, and how its readers write dates. */
export interface SpokenStart extends RuleStart {
  /** For the order of day and month, and 12 or 24 hours; English whatever it is. */
  readonly locale?: string;
}

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];
const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth'];
const UNITS: Record<Frequency, string> = {
  SECONDLY: 'second',
  MINUTELY: 'minute',
  HOURLY: 'hour',
  DAILY: 'day',
  WEEKLY: 'week',
  MONTHLY: 'month',
  YEARLY: 'year',
};

export const weekdayName = (weekday: number): string => WEEKDAYS[weekday - 1]!;
const monthName = (month: number): string => MONTHS[month - 1]!;

/** "a, b and c" */
function joined(items: readonly string[], word: 'and' | 'or' = 'and'): string {
  if (items.length < 2) return items.join('');
  return `${items.slice(0, -1).join(', ')} ${word} ${items.at(-1)}`;
}

/** 1st, 22nd, 13th */
export function ordinalNumber(number: number): string {
  const tens = number % 100;
  const ending = tens > 10 && tens < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][number % 10] ?? 'th');
  return `${number}${ending}`;
}

/** first, 20th, last, third to last */
export function ordinal(number: number): string {
  const word = (size: number) => ORDINALS[size - 1] ?? ordinalNumber(size);
  if (number > 0) return word(number);
  return number === -1 ? 'last' : `${word(-number)} to last`;
}

/** "the 7th to 13th and the last day" */
export function monthDays(days: readonly number[], word: 'and' | 'or' = 'and'): string {
  const said = runsOf(days).map(([first, last]) => {
    if (first < 0) return `the ${ordinal(first)} day`;
    if (first === last) return `the ${ordinalNumber(first)}`;
    return `the ${ordinalNumber(first)}${last === first + 1 ? ` ${word} ` : ' to '}${ordinalNumber(last)}`;
  });
  return joined(said, word);
}

const positions = (numbers: readonly number[]): string =>
  joined(
    runsOf(numbers)
      .flatMap(([a, b]) => range(a, b))
      .map(ordinal),
  );
const range = (first: number, last: number): number[] =>
  first === last ? [first] : Array.from({ length: last - first + 1 }, (_, index) => first + index);

const months = (list: readonly number[]): string => {
  const sorted = [...new Set(list)].sort((a, b) => a - b);
  if (sorted.length === 11) {
    const missing = range(1, 12).find((month) => !sorted.includes(month))!;
    return `every month but ${monthName(missing)}`;
  }
  return joined(
    runsOf(sorted).flatMap(([first, last]) =>
      last - first > 1 ? [`${monthName(first)} to ${monthName(last)}`] : range(first, last).map(monthName),
    ),
  );
};

/** "Monday and Tuesday", "weekdays", "the weekend" */
const weekdays = (list: readonly number[], word: 'and' | 'or' = 'and'): string =>
  joined(list.map(weekdayName), word);

/** "every day", "every other week", "every 3 months" */
function every(frequency: Frequency, interval: number, unit = UNITS[frequency]): string {
  if (interval === 1) return `every ${unit}`;
  return interval === 2 ? `every other ${unit}` : `every ${interval} ${unit}s`;
}

/** "the second Tuesday", "the first and third Monday", "every Friday" */
function nthWeekdays(byDay: readonly ByDay[]): string {
  const byWeekday = new Map<number, number[]>();
  for (const { weekday, ordinal: nth } of byDay)
    byWeekday.set(weekday, [...(byWeekday.get(weekday) ?? []), nth]);
  return joined(
    [...byWeekday].map(([weekday, ordinals]) =>
      ordinals.includes(0)
        ? `every ${weekdayName(weekday)}`
        : `the ${positions(ordinals)} ${weekdayName(weekday)}`,
    ),
  );
}

/** The days that BYSETPOS picks from, as one thing: "working day", "day of the weekend". */
function pickedFrom(rule: RecurrenceRule): string | undefined {
  const plain = plainWeekdays(rule);
  if (!plain || rule.byMonthDay.length + rule.byYearDay.length + rule.byWeekNumber.length > 0)
    return undefined;
  if (isWorkweek(plain)) return 'working day';
  if (isWeekend(plain)) return 'day of the weekend';
  if (plain.length === 7) return 'day';
  return plain.length === 1 ? weekdayName(plain[0]!) : undefined;
}

/** What a monthly or yearly rule says of its days, after "on"; empty if it names none. */
function daysWithin(rule: RecurrenceRule, place: string): string {
  const { byDay, byMonthDay, byYearDay, byWeekNumber, bySetPosition } = rule;
  const plain = plainWeekdays(rule);
  const picked = bySetPosition.length > 0 ? pickedFrom(rule) : undefined;
  if (picked) return `the ${positions(bySetPosition)} ${picked}${place}`;
  const parts: string[] = [];
  if (byWeekNumber.length > 0) {
    const weeks = joined(
      runsOf(byWeekNumber)
        .flatMap(([a, b]) => range(a, b))
        .map((week) => (week > 0 ? `week ${week}` : `the ${ordinal(week)} week`)),
    );
    parts.push(
      `${plain ? weekdays(plain) : byDay.length > 0 ? nthWeekdays(byDay) : 'the same weekday'} of ${weeks}`,
    );
  } else if (byYearDay.length > 0) {
    const days = runsOf(byYearDay)
      .flatMap(([a, b]) => range(a, b))
      .map((day) => (day > 0 ? ordinalNumber(day) : ordinal(day)));
    parts.push(`the ${joined(days)} day of the year`);
    if (byDay.length > 0)
      parts.push(
        `if it is a ${joined(
          byDay.map((day) => weekdayName(day.weekday)),
          'or',
        )}`,
      );
  } else if (byMonthDay.length > 0 && byDay.length > 0) {
    const [day] = byMonthDay;
    if (byMonthDay.length === 1 && plain?.length === 1 && day! > 0)
      parts.push(`${weekdayName(plain[0]!)} the ${ordinalNumber(day!)}${place}`);
    else
      parts.push(
        `${plain ? `each ${weekdays(plain, 'or')}` : nthWeekdays(byDay)} that is ${monthDays(byMonthDay, 'or')}${place}`,
      );
  } else if (byMonthDay.length > 0) parts.push(`${monthDays(byMonthDay)}${place}`);
  else if (byDay.length > 0) {
    const all = plain && isWorkweek(plain) ? 'every weekday' : plain?.length === 7 ? 'every day' : undefined;
    parts.push(`${all ?? nthWeekdays(byDay)}${place}`);
  }
  if (bySetPosition.length > 0) parts.push(`but only the ${positions(bySetPosition)} of these dates`);
  return parts.join(', ');
}

/** Parts that only limit the days of a daily rule or a shorter one, or of a weekly one. */
function limits(rule: RecurrenceRule): string[] {
  const said: string[] = [];
  if (rule.byMonthDay.length > 0) said.push(`only on ${monthDays(rule.byMonthDay)}`);
  if (rule.byYearDay.length > 0)
    said.push(
      `only on ${daysWithin({ ...rule, byDay: [], byMonthDay: [], byWeekNumber: [], bySetPosition: [] }, '')}`,
    );
  return said;
}

function daily(rule: RecurrenceRule): string {
  const plain = rule.byDay.length > 0 ? [...new Set(rule.byDay.map((day) => day.weekday))].sort() : [];
  const inMonths = rule.byMonth.length > 0 ? ` in ${months(rule.byMonth)}` : '';
  const only = plain.length > 0 && plain.length < 7;
  const base =
    only && rule.interval === 1
      ? `every ${isWorkweek(plain) ? 'weekday' : weekdays(plain)}`
      : every('DAILY', rule.interval);
  const but =
    only && rule.interval > 1
      ? [`only on ${isWorkweek(plain) ? 'weekdays' : `a ${weekdays(plain, 'or')}`}`]
      : [];
  return [base + inMonths, ...but, ...limits(rule)].join(', ');
}

function weekly(rule: RecurrenceRule, startDay: number): string {
  const days =
    rule.byDay.length > 0 ? [...new Set(rule.byDay.map((day) => day.weekday))].sort() : [weekdayOf(startDay)];
  const { interval } = rule;
  const inMonths = rule.byMonth.length > 0 ? ` in ${months(rule.byMonth)}` : '';
  const name = isWorkweek(days) ? 'weekday' : days.length === 7 ? 'day' : weekdays(days);
  let base: string;
  if (interval === 1) base = `every ${name}`;
  else if (days.length === 1 && interval === 2) base = `every other ${name}`;
  else if (days.length === 1) base = `every ${interval} weeks on ${name}`;
  else
    base = `${every('WEEKLY', interval)} on ${isWorkweek(days) ? 'weekdays' : days.length === 7 ? 'every day' : name}`;
  const weeks =
    interval > 1 && days.length > 1 && rule.weekStart !== 1
      ? [`in weeks from ${weekdayName(rule.weekStart)} on`]
      : [];
  const picked =
    rule.bySetPosition.length > 0 ? [`but only the ${positions(rule.bySetPosition)} of them in a week`] : [];
  return [base + inMonths, ...weeks, ...picked, ...limits(rule)].join(', ');
}

const orShorter = (rule: RecurrenceRule): string =>
  rule.skip === 'BACKWARD'
    ? ', or the last day of a shorter month'
    : rule.skip === 'FORWARD'
      ? ', or the day after a shorter month'
      : '';

function monthly(rule: RecurrenceRule, startDay: number): string {
  const named = rule.byDay.length + rule.byMonthDay.length + rule.byYearDay.length > 0;
  const days = daysWithin(named ? rule : { ...rule, byMonthDay: [civilDate(startDay).day] }, '');
  const inMonths = rule.byMonth.length > 0 ? months(rule.byMonth) : '';
  if (rule.interval > 1)
    return `${every('MONTHLY', rule.interval)} on ${days}${inMonths && `, only in ${inMonths}`}${orShorter(rule)}`;
  return `${inMonths ? `on ${days} of ${inMonths}` : `monthly on ${days}`}${orShorter(rule)}`;
}

function yearly(rule: RecurrenceRule, startDay: number): string {
  const start = civilDate(startDay);
  const often = rule.interval === 1 ? 'yearly' : every('YEARLY', rule.interval);
  const { byDay, byMonth, byMonthDay, byYearDay, byWeekNumber } = rule;
  const hasDays = byDay.length + byMonthDay.length + byYearDay.length + byWeekNumber.length > 0;
  if (
    !hasDays ||
    (byMonthDay.length > 0 &&
      byDay.length + byYearDay.length + byWeekNumber.length === 0 &&
      byMonth.length > 0)
  ) {
    const days = byMonthDay.length > 0 ? byMonthDay : [start.day];
    const list = byMonth.length > 0 ? [...byMonth].sort((a, b) => a - b) : [start.month];
    const simple = days.every((day) => day > 0) && days.length * list.length <= 4;
    const said = simple
      ? joined(
          list.flatMap((month) => [...days].sort((a, b) => a - b).map((day) => `${day} ${monthName(month)}`)),
        )
      : `${monthDays(days)} of ${months(list)}`;
    const picked =
      rule.bySetPosition.length > 0 ? `, but only the ${positions(rule.bySetPosition)} of these dates` : '';
    return `${often} on ${said}${picked}${orShorter(rule)}`;
  }
  const isEvery = plainWeekdays(rule) !== undefined && byMonthDay.length === 0;
  const place =
    byMonth.length > 0
      ? `${isEvery && rule.bySetPosition.length === 0 ? ' in' : ' of'} ${months(byMonth)}`
      : byMonthDay.length > 0
        ? ' of any month'
        : byDay.length > 0 && byWeekNumber.length + byYearDay.length === 0
          ? ' of the year'
          : '';
  const inMonths =
    byMonth.length > 0 && byYearDay.length + byWeekNumber.length > 0 ? `, only in ${months(byMonth)}` : '';
  return `${often} on ${daysWithin(rule, place)}${inMonths}${orShorter(rule)}`;
}

function shorter(rule: RecurrenceRule, clock: (minute: number) => string): string {
  const days = daily({ ...rule, interval: 1 });
  const parts = [every(rule.frequency, rule.interval)];
  if (rule.byHour.length > 0) {
    const hours = runsOf(rule.byHour).map(([first, last]) =>
      first === last
        ? `from ${clock(first * 60)} to ${clock(first * 60 + 59)}`
        : `from ${clock(first * 60)} to ${clock(last * 60 + 59)}`,
    );
    parts[0] += ` ${joined(hours)}`;
  }
  if (rule.byMinute.length > 0)
    parts.push(`at minute ${joined([...rule.byMinute].sort((a, b) => a - b).map(String))}`);
  if (rule.bySecond.length > 0)
    parts.push(`at second ${joined([...rule.bySecond].sort((a, b) => a - b).map(String))}`);
  if (rule.bySetPosition.length > 0)
    parts.push(`but only the ${positions(rule.bySetPosition)} of them in a ${UNITS[rule.frequency]}`);
  if (days !== 'every day') parts.push(days);
  return parts.join(', ');
}

/**
 * A rule in English words: "every other Tuesday, until 29 June 2027". Says every part that a rule of RFC 5545 3.3.10 and
 * RFC 7529 can have.
 */
export function ruleInEnglish(rule: RecurrenceRule, start: SpokenStart): string {
  const startDay = Math.floor(start.wall / DAY);
  const locale = start.locale?.startsWith('en') ? start.locale : 'en-GB';
  const format = (options: Intl.DateTimeFormatOptions, wall: number) =>
    new Intl.DateTimeFormat(locale, { timeZone: 'UTC', ...options }).format(wall);
  const clock = (minute: number) => format({ hour: 'numeric', minute: '2-digit' }, minute * MINUTE);
  const often = {
    DAILY: () => daily(rule),
    WEEKLY: () => weekly(rule, startDay),
    MONTHLY: () => monthly(rule, startDay),
    YEARLY: () => yearly(rule, startDay),
    HOURLY: () => shorter(rule, clock),
    MINUTELY: () => shorter(rule, clock),
    SECONDLY: () => shorter(rule, clock),
  }[rule.frequency]();
  const parts = [often];
  const isShort =
    rule.frequency === 'HOURLY' || rule.frequency === 'MINUTELY' || rule.frequency === 'SECONDLY';
  const startMinute = Math.floor((start.wall - startDay * DAY) / MINUTE);
  const times = isShort ? undefined : minutesOfDay(rule, startMinute);
  if (times)
    parts[0] +=
      times.length <= 6
        ? ` at ${joined(times.map(clock))}`
        : `, at ${times.length} times from ${clock(times[0]!)} to ${clock(times.at(-1)!)}`;
  if (!isShort && rule.bySecond.length > 0) parts.push(`at second ${joined(rule.bySecond.map(String))}`);
  if (rule.count !== undefined) parts.push(rule.count === 1 ? 'once' : `${rule.count} times`);
  if (rule.until) {
    const last = lastDayOfUntil(rule.until, start, times?.[0] ?? startMinute);
    const date = (wall: number) => format({ day: 'numeric', month: 'long', year: 'numeric' }, wall);
    const wall = wallOfUntil(rule.until, start);
    const saysTime = isShort && rule.until.kind !== 'date' && !start.allDay;
    parts.push(
      saysTime
        ? `until ${date(wall)}, ${clock(Math.floor(wall / MINUTE) % 1440)}`
        : `until ${date(last * DAY)}`,
    );
  }
  return parts.join(', ');
}

/** What is wrong with a rule, in English. */
export const ruleProblemsInEnglish: Readonly<Record<RuleProblem, string>> = {
  'no-dates': 'This makes no date after the first.',
  'until-before-start': 'The last date is before the start.',
  'count-and-until': 'This ends after a number of times and on a date: whichever comes first.',
  'too-many-dates': 'This makes more dates than a calendar can show. Only the first one is shown.',
  'beyond-calendar': 'Dates reach to the year 9999 and no further.',
};
