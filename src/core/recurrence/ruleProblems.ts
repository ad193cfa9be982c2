import { DAY, HOUR, MINUTE, civilDate, parseDate, parseLocal } from '../time/civil';
import { expandRule, LAST_WALL, TooManyDatesError } from './expandRule';
import { explicitRule, type RecurrenceRule } from './rule';

/** What is wrong with a rule that can be read. The interface has the words. */
const RULE_PROBLEMS = [
  'no-dates',
  'until-before-start',
  'count-and-until',
  'too-many-dates',
  'beyond-calendar',
] as const;
export type RuleProblem = (typeof RULE_PROBLEMS)[number];

/** Whether a word is one of these problems. */
export const isRuleProblem = (text: string): text is RuleProblem =>
  RULE_PROBLEMS.some((problem) => problem === text);

/** The most dates that a rule may make in any one year, or in all by its COUNT. */
export const MOST_DATES_A_YEAR = 100_000;

/** Dates of one day that a rule with days or longer as its periods makes by its time parts. */
const timesADay = (rule: RecurrenceRule): number =>
  [rule.byHour, rule.byMinute, rule.bySecond].reduce((times, part) => times * Math.max(1, part.length), 1);

const UNITS: Partial<Record<RecurrenceRule['frequency'], number>> = {
  SECONDLY: 1000,
  MINUTELY: MINUTE,
  HOURLY: HOUR,
};

/** Whether a rule has no part that adds dates to its periods or leaves any out. */
const isBare = (rule: RecurrenceRule): boolean =>
  [
    rule.byMonth,
    rule.byWeekNumber,
    rule.byYearDay,
    rule.byMonthDay,
    rule.byDay,
    rule.byHour,
    rule.byMinute,
    rule.bySecond,
    rule.bySetPosition,
  ].every((part) => part.length === 0);

/** Whether a rule makes so many dates that no view can hold them. Looks at one year after the start at the most. */
export function makesTooManyDates(rule: RecurrenceRule, start: number): boolean {
  if (rule.count !== undefined) return rule.count > MOST_DATES_A_YEAR;
  if (timesADay(rule) > 1440) return true;
  const unit = UNITS[rule.frequency];
  // Without limits they can be counted.
  if (unit && isBare(rule) && (366 * DAY) / (unit * rule.interval) <= MOST_DATES_A_YEAR) return false;
  if (!unit && timesADay(rule) * 366 <= MOST_DATES_A_YEAR) return false;
  const until = rule.until ? untilWall(rule) : Infinity;
  const year = { start, end: start + 366 * DAY };
  return datesOf(() => expandRule(rule, start, year, until, MOST_DATES_A_YEAR + 1)) > MOST_DATES_A_YEAR;
}

/** How many dates an expansion gives; infinitely many where it takes too long to say. */
function datesOf(expand: () => number[]): number {
  try {
    return expand().length;
  } catch (error) {
    if (error instanceof TooManyDatesError) return Infinity;
    throw error;
  }
}

/** UNTIL as a wall time, of a UTC one without its zone: right to a day, which is enough to judge a rule. */
function untilWall({ until }: RecurrenceRule): number {
  if (!until) return Infinity;
  return until.kind === 'date' ? (parseDate(until.value) + 1) * DAY - 1 : parseLocal(until.value);
}

/** Whether a rule makes its own start; one that does not has it as its first date all the same (RFC 5545 3.8.5.3). */
export function makesItsStart(rule: RecurrenceRule, start: number): boolean {
  // Seen from a year before, so that the start is a date like any other; the interval counts from the start anyway.
  const before = start - 800 * DAY;
  const from = explicitRule({ ...rule, interval: 1, count: undefined, until: undefined }, start, before);
  return expandRule(from, before, { start, end: start + 1 }, Infinity, 1).length > 0;
}

/**
 * What is wrong with a rule for a series that starts at a wall time; empty if nothing is. UNTIL in UTC is judged
 * by its date alone.
 */
export function problemsOfRule(rule: RecurrenceRule, start: number): RuleProblem[] {
  const problems: RuleProblem[] = [];
  if (civilDate(Math.floor(start / DAY)).year > 9998) problems.push('beyond-calendar');
  if (rule.count !== undefined && rule.until) problems.push('count-and-until');
  const startDay = Math.floor(start / DAY);
  if (
    rule.until &&
    (rule.until.kind === 'local'
      ? parseLocal(rule.until.value) < start
      : parseDate(rule.until.value) < startDay - (rule.until.kind === 'utc' ? 1 : 0))
  )
    problems.push('until-before-start');
  if (makesTooManyDates(rule, start)) problems.push('too-many-dates');
  else if (rule.count !== 1 && !problems.includes('until-before-start')) {
    const endless = { ...rule, count: undefined, until: undefined };
    const next = datesOf(() => expandRule(endless, start, { start: start + 1, end: LAST_WALL }, Infinity, 1));
    if (next === Infinity) problems.push('too-many-dates');
    else if (next === 0 && !problems.includes('beyond-calendar')) problems.push('no-dates');
  }
  return problems;
}
