import { type PeriodRule, WEEK_PATTERNS } from '../model/periodSet';
import { civilDate, dayNumber, daysInMonth, isRealDate, parseDate, weekdayOf } from './civil';
import { SHORT_MONTH_NAMES } from './monthNames';

/** A range of dates with its number in its year. Day numbers, half-open. */
export interface Period {
  readonly year: number;
  /** From 1. */
  readonly number: number;
  /** What it is called, where a list names it. */
  readonly name?: string;
  readonly first: number;
  readonly end: number;
}

/** The anniversary of a date in a year; 29 February is the last of February in others. */
function anniversary(day: number, year: number): number {
  const { month, day: date } = civilDate(day);
  return dayNumber(year, month, Math.min(date, daysInMonth(year, month)));
}

/** The first day of a year of weeks: the weekday of the start, nearest to its date. */
function startOfPatternYear(start: number, year: number): number {
  const near = anniversary(start, year);
  const by = (weekdayOf(start) - weekdayOf(near) + 7) % 7;
  return near + (by > 3 ? by - 7 : by);
}

function patternYear(rule: Extract<PeriodRule, { kind: 'pattern' }>, year: number): Period[] {
  const start = parseDate(rule.start);
  let first = startOfPatternYear(start, year);
  const next = startOfPatternYear(start, year + 1);
  const weeks = WEEK_PATTERNS[rule.pattern];
  return weeks.map((count, index) => {
    const end = index === weeks.length - 1 ? next : first + 7 * count;
    const period = { year, number: index + 1, first, end };
    first = end;
    return period;
  });
}

function weeksOfYear(rule: Extract<PeriodRule, { kind: 'weeks' }>, year: number): Period[] {
  const start = parseDate(rule.start);
  const length = rule.weeks * 7;
  const yearStart = dayNumber(year, 1, 1);
  const nextYear = dayNumber(year + 1, 1, 1);
  const periods: Period[] = [];
  // A period belongs to the year that it begins in.
  for (
    let first = start + Math.ceil((yearStart - start) / length) * length;
    first < nextYear;
    first += length
  )
    periods.push({ year, number: periods.length + 1, first, end: first + length });
  return periods;
}

function monthsOfYear(rule: Extract<PeriodRule, { kind: 'months' }>, year: number): Period[] {
  const count = 12 / rule.months;
  // Months beyond the twelfth count on into the next year.
  const startOf = (index: number): number => {
    const month = rule.firstMonth - 1 + index * rule.months;
    return dayNumber(year + Math.floor(month / 12), (month % 12) + 1, rule.firstDay);
  };
  return Array.from({ length: count }, (_, index) => ({
    year,
    number: index + 1,
    first: startOf(index),
    end: startOf(index + 1),
  }));
}

/** The periods of a rule that belong to a year, ascending. Those of a list belong to the year that they begin in. */
export function periodsOfYear(rule: PeriodRule, year: number): Period[] {
  switch (rule.kind) {
    case 'pattern':
      return patternYear(rule, year);
    case 'weeks':
      return weeksOfYear(rule, year);
    case 'months':
      return monthsOfYear(rule, year);
    case 'list':
      return rule.periods
        .map(({ name, first, last }) => ({ name, first: parseDate(first), end: parseDate(last) + 1 }))
        .filter(({ first }) => civilDate(first).year === year)
        .sort((a, b) => a.first - b.first || a.end - b.end)
        .map((period, index) => ({ year, number: index + 1, ...period }));
  }
}

/** Periods of the years round a day: enough to find the one that holds it, and its neighbours. */
function periodsRound(rule: PeriodRule, day: number): Period[] {
  const { year } = civilDate(day);
  // The periods of a list may lie years apart.
  const years =
    rule.kind === 'list'
      ? [...new Set(rule.periods.map(({ first }) => Number(first.slice(0, 4))))].sort((a, b) => a - b)
      : [year - 2, year - 1, year, year + 1, year + 2];
  return years.flatMap((of) => periodsOfYear(rule, of)).sort((a, b) => a.first - b.first);
}

/** The period that holds a day; where several do, the latest begun; where none does, the next one, or the last of all. */
export function periodAt(rule: PeriodRule, day: number): Period | undefined {
  const periods = periodsRound(rule, day);
  return (
    periods.findLast(({ first, end }) => first <= day && day < end) ??
    periods.find(({ first }) => first > day) ??
    periods.at(-1)
  );
}

/** The periods that touch days (day numbers, half-open), in their order. */
export function periodsTouching(rule: PeriodRule, firstDay: number, endDay: number): Period[] {
  const years = [civilDate(firstDay).year - 1, civilDate(endDay).year + 1] as const;
  return Array.from({ length: years[1] - years[0] + 1 }, (_, index) => periodsOfYear(rule, years[0] + index))
    .flat()
    .filter(({ first, end }) => first < endDay && end > firstDay)
    .sort((a, b) => a.first - b.first);
}

/** The period after or before another; undefined beyond the ends of a list. */
export function periodBeside(rule: PeriodRule, period: Period, direction: 1 | -1): Period | undefined {
  const periods = periodsRound(rule, period.first);
  const at = periods.findIndex(({ first, end }) => first === period.first && end === period.end);
  return periods[at + direction];
}

/** Days that no period holds, or that two hold: where the periods of a set do not join. */
export interface PeriodFault {
  readonly kind: 'gap' | 'overlap';
  readonly first: number;
  readonly end: number;
}

/** The gaps and overlaps between periods, ascending. */
export function periodFaults(periods: readonly Pick<Period, 'first' | 'end'>[]): PeriodFault[] {
  const faults: PeriodFault[] = [];
  let end: number | undefined;
  for (const period of [...periods].sort((a, b) => a.first - b.first || a.end - b.end)) {
    if (end !== undefined && period.first > end) faults.push({ kind: 'gap', first: end, end: period.first });
    if (end !== undefined && period.first < end)
      faults.push({ kind: 'overlap', first: period.first, end: Math.min(end, period.end) });
    end = Math.max(end ?? -Infinity, period.end);
  }
  return faults;
}

/** A list of periods as it was read: what could be, and the lines that could not, from 1. */
export interface ReadPeriodList {
  readonly periods: readonly { name: string; first: string; last: string }[];
  readonly problems: readonly { line: number; text: string }[];
}

const DATE =
  /(\d{4})-(\d{1,2})-(\d{1,2})|(\d{1,2})[./](\d{1,2})[./](\d{4})|(\d{1,2})\.?\s+([a-z]{3,9})\.?,?\s+(\d{4})/gi;

function dateOf(match: RegExpMatchArray): string | undefined {
  const [, isoYear, isoMonth, isoDay, day, month, year, wordDay, word, wordYear] = match;
  const two = (text: string | undefined) => (text ?? '').padStart(2, '0');
  const text = isoYear
    ? `${isoYear}-${two(isoMonth)}-${two(isoDay)}`
    : year
      ? `${year}-${two(month)}-${two(day)}`
      : `${wordYear}-${two(String(SHORT_MONTH_NAMES.indexOf(word!.slice(0, 3).toLowerCase()) + 1))}-${two(wordDay)}`;
  return isRealDate(text) ? text : undefined;
}

/**
 * Reads periods, one a line: the first and the last day (2027-03-01, 1.3.2027, 1/3/2027 with the day first, or 1 March 2027)
 * and, before or after them, a name.
 */
export function readPeriodList(text: string): ReadPeriodList {
  const periods: { name: string; first: string; last: string }[] = [];
  const problems: { line: number; text: string }[] = [];
  text.split(/\r?\n/).forEach((line, index) => {
    if (line.trim() === '') return;
    const matches = [...line.matchAll(DATE)];
    const [first, last] = matches.map(dateOf);
    if (matches.length !== 2 || !first || !last || last < first) {
      problems.push({ line: index + 1, text: line.trim() });
      return;
    }
    const name = line
      .replaceAll(DATE, ' ')
      .replaceAll(/[\t;,|]+|\s(?:to|until)\s|[–—]|\s-\s/gi, ' ')
      .replaceAll(/\s+/g, ' ')
      .replace(/^[\s:-]+|[\s:-]+$/g, '');
    periods.push({ name: name.slice(0, 60), first, last });
  });
  return { periods, problems };
}

/** A list of periods as lines that can be read again. */
export const writePeriodList = (periods: ReadPeriodList['periods']): string =>
  periods.map(({ name, first, last }) => `${first} ${last} ${name}`.trim()).join('\n');
