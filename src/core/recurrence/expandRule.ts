import { DAY, HOUR, MINUTE, civilDate, dayNumber, startOfWeek } from '../time/civil';
import { monthSet, passesDayLimits, weekSet, yearSet } from './daySets';
import type { RecurrenceRule } from './rule';

/** A half-open range of wall times in milliseconds. */
export interface WallRange {
  readonly start: number;
  readonly end: number;
}

/** No calendar reaches further: the end of the year 9999. */
export const LAST_WALL = dayNumber(10_000, 1, 1) * DAY;
/** Periods without any date after which a rule counts as making none: the calendar repeats within 400 years. */
const EMPTY_PERIODS = 150_000;
/** Periods of a frequency shorter than a day that one call may walk. */
const SHORT_PERIODS = 200_000;

const SHORT = { HOURLY: HOUR, MINUTELY: MINUTE, SECONDLY: 1000 } as const;

/** The times of a day, in milliseconds, of a rule whose periods are days or longer. */
function timesOfDay(rule: RecurrenceRule, start: number): number[] {
  const time = start - Math.floor(start / DAY) * DAY;
  if (rule.byHour.length + rule.byMinute.length + rule.bySecond.length === 0) return [time];
  const or = (given: readonly number[], otherwise: number) => (given.length > 0 ? given : [otherwise]);
  const times = or(rule.byHour, Math.floor(time / HOUR)).flatMap((hour) =>
    or(rule.byMinute, Math.floor(time / MINUTE) % 60).flatMap((minute) =>
      or(rule.bySecond, Math.floor(time / 1000) % 60).map(
        (second) => hour * HOUR + minute * MINUTE + Math.min(second, 59) * 1000,
      ),
    ),
  );
  return [...new Set(times)].sort((a, b) => a - b);
}

function pick(times: number[], positions: readonly number[]): number[] {
  if (positions.length === 0) return times;
  const picked = positions
    .map((position) => times[position > 0 ? position - 1 : times.length + position])
    .filter((time) => time !== undefined);
  return [...new Set(picked)].sort((a, b) => a - b);
}

/** The periods of a rule, counted from the one that holds the start: which holds a day, and the days of each. */
interface Periods {
  indexOf(day: number): number;
  /** No day of the period, or of a later one, is before this. */
  firstDay(index: number): number;
  days(index: number): number[];
}

function periodsOf(rule: RecurrenceRule, startDay: number): Periods {
  const { year: startYear, month: startMonth } = civilDate(startDay);
  const { interval } = rule;
  switch (rule.frequency) {
    case 'YEARLY':
      return {
        indexOf: (day) => Math.floor((civilDate(day).year - startYear) / interval),
        firstDay: (index) => dayNumber(startYear + index * interval, 1, 1) - 7,
        days: (index) => yearSet(rule, startYear + index * interval, startDay),
      };
    case 'MONTHLY': {
      const firstMonth = startYear * 12 + startMonth - 1;
      return {
        indexOf: (day) => {
          const { year, month } = civilDate(day);
          return Math.floor((year * 12 + month - 1 - firstMonth) / interval);
        },
        firstDay: (index) => {
          const month = firstMonth + index * interval;
          return dayNumber(Math.floor(month / 12), (month % 12) + 1, 1);
        },
        days: (index) => {
          const month = firstMonth + index * interval;
          return monthSet(rule, Math.floor(month / 12), (month % 12) + 1, startDay);
        },
      };
    }
    case 'WEEKLY': {
      const firstWeek = startOfWeek(startDay, rule.weekStart);
      return {
        indexOf: (day) => Math.floor((day - firstWeek) / (7 * interval)),
        firstDay: (index) => firstWeek + 7 * interval * index,
        days: (index) => weekSet(rule, firstWeek + 7 * interval * index, startDay),
      };
    }
    case 'DAILY':
    case 'HOURLY':
    case 'MINUTELY':
    case 'SECONDLY':
      return {
        indexOf: (day) => Math.floor((day - startDay) / interval),
        firstDay: (index) => startDay + index * interval,
        days: (index) => {
          const day = startDay + index * interval;
          return passesDayLimits(rule, day) ? [day] : [];
        },
      };
  }
}

function* longPeriods(rule: RecurrenceRule, start: number, window: WallRange): Generator<number> {
  const periods = periodsOf(rule, Math.floor(start / DAY));
  const times = timesOfDay(rule, start);
  // One period earlier: a week of BYWEEKNO may begin in the year before.
  let index = Math.max(0, periods.indexOf(Math.floor(window.start / DAY)) - 1);
  let empty = 0;
  for (; empty < EMPTY_PERIODS && periods.firstDay(index) * DAY < window.end; index++) {
    const days = periods.days(index);
    const walls = days.flatMap((day) => times.map((time) => day * DAY + time));
    const picked = pick(walls, rule.bySetPosition);
    empty = picked.length === 0 ? empty + 1 : 0;
    yield* picked;
  }
}

function* shortPeriods(rule: RecurrenceRule, start: number, from: number): Generator<number> {
  const unit = SHORT[rule.frequency as keyof typeof SHORT];
  const step = unit * rule.interval;
  const passes = (given: readonly number[], value: number) => given.length === 0 || given.includes(value);
  const or = (given: readonly number[], otherwise: number) => (given.length > 0 ? given : [otherwise]);
  let at = Math.floor(start / unit) * unit;
  if (from > at) at += Math.floor((from - at) / step) * step;
  for (let walked = 0; walked < SHORT_PERIODS && at < LAST_WALL; walked++, at += step) {
    const day = Math.floor(at / DAY);
    if (!passesDayLimits(rule, day)) {
      at += Math.max(0, Math.floor(((day + 1) * DAY - at - 1) / step)) * step;
      continue;
    }
    const hour = Math.floor((at - day * DAY) / HOUR);
    if (!passes(rule.byHour, hour)) continue;
    const minute = Math.floor(at / MINUTE) % 60;
    if (rule.frequency !== 'HOURLY' && !passes(rule.byMinute, minute)) continue;
    if (rule.frequency === 'SECONDLY') {
      if (passes(rule.bySecond, Math.floor(at / 1000) % 60)) yield at;
      continue;
    }
    const seconds = or(rule.bySecond, Math.floor(start / 1000) % 60);
    const minutes =
      rule.frequency === 'HOURLY' ? or(rule.byMinute, Math.floor(start / MINUTE) % 60) : [minute];
    const hourStart = day * DAY + hour * HOUR;
    const times = minutes.flatMap((m) => seconds.map((s) => hourStart + m * MINUTE + s * 1000));
    yield* pick(
      times.sort((a, b) => a - b),
      rule.bySetPosition,
    );
  }
}

/**
 * The wall times that a rule makes within a window, ascending. The cost is by the window, not by the time
 * since the start (but a rule with COUNT is walked from its start).
 *
 * RFC 5545 3.3.10 and 3.8.5.3. The start itself is always the first time and counts towards COUNT.
 * @param start wall time of DTSTART
 * @param until the last wall time allowed, inclusive (UNTIL, already on this wall clock)
 */
export function expandRule(
  rule: RecurrenceRule,
  start: number,
  window: WallRange,
  until = Infinity,
): number[] {
  const result: number[] = [];
  const last = Math.min(until, LAST_WALL - 1);
  const inWindow = (wall: number) => wall >= window.start && wall < window.end;
  if (inWindow(start) && start <= last) result.push(start);
  let remaining = rule.count === undefined ? Infinity : rule.count - 1;
  const from = rule.count === undefined ? window.start : start;
  const walls =
    rule.frequency in SHORT
      ? shortPeriods(rule, start, from)
      : longPeriods(rule, start, { start: from, end: Math.min(window.end, last + 1) });
  for (const wall of walls) {
    if (wall <= start) continue;
    if (remaining-- <= 0 || wall > last || wall >= window.end) break;
    if (wall >= window.start) result.push(wall);
  }
  return result;
}
