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

/** The places that BYSETPOS picks out of so many, ascending; all of them without it. */
function* picked(total: number, positions: readonly number[]): Generator<number> {
  if (positions.length === 0) {
    for (let place = 0; place < total; place++) yield place;
    return;
  }
  const places = positions.map((position) => (position > 0 ? position - 1 : total + position));
  yield* [...new Set(places)].filter((place) => place >= 0 && place < total).sort((a, b) => a - b);
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

function* longPeriods(
  rule: RecurrenceRule,
  start: number,
  window: WallRange,
  spend: Spend,
): Generator<number> {
  const periods = periodsOf(rule, Math.floor(start / DAY));
  const times = timesOfDay(rule, start);
  // One period earlier: a week of BYWEEKNO may begin in the year before, and SKIP may reach into the next period.
  let index = Math.max(0, periods.indexOf(Math.floor(window.start / DAY)) - 1);
  let empty = 0;
  for (; empty < EMPTY_PERIODS && periods.firstDay(index) * DAY < window.end; index++) {
    const days = periods.days(index);
    spend(1 + days.length);
    empty++;
    // One after the other: a day of all its seconds is never held as a list.
    for (const place of picked(days.length * times.length, rule.bySetPosition)) {
      empty = 0;
      yield days[Math.floor(place / times.length)]! * DAY + times[place % times.length]!;
    }
  }
}

function* shortPeriods(
  rule: RecurrenceRule,
  start: number,
  window: WallRange,
  spend: Spend,
): Generator<number> {
  const unit = SHORT[rule.frequency as keyof typeof SHORT];
  const step = unit * rule.interval;
  const passes = (given: readonly number[], value: number) => given.length === 0 || given.includes(value);
  const or = (given: readonly number[], otherwise: number) => (given.length > 0 ? given : [otherwise]);
  let at = Math.floor(start / unit) * unit;
  if (window.start > at) at += Math.floor((window.start - at) / step) * step;
  // Periods that a limit rules out are passed over by the day, the hour or the minute.
  const skipTo = (boundary: number) => (at += Math.max(1, Math.ceil((boundary - at) / step)) * step);
  // A period counts as empty until it gives a time: BYSETPOS may pick none.
  for (let empty = 0; empty < EMPTY_PERIODS && at < window.end; empty++) {
    spend(1);
    const day = Math.floor(at / DAY);
    if (!passesDayLimits(rule, day)) {
      skipTo((day + 1) * DAY);
      continue;
    }
    const hour = Math.floor((at - day * DAY) / HOUR);
    const hourStart = day * DAY + hour * HOUR;
    if (!passes(rule.byHour, hour)) {
      skipTo(hourStart + HOUR);
      continue;
    }
    const minute = Math.floor(at / MINUTE) % 60;
    if (rule.frequency !== 'HOURLY' && !passes(rule.byMinute, minute)) {
      skipTo(hourStart + (minute + 1) * MINUTE);
      continue;
    }
    if (rule.frequency === 'SECONDLY') {
      if (passes(rule.bySecond, Math.floor(at / 1000) % 60) && !picked(1, rule.bySetPosition).next().done) {
        yield at;
        empty = 0;
      }
      at += step;
      continue;
    }
    const seconds = or(rule.bySecond, Math.floor(start / 1000) % 60);
    const minutes =
      rule.frequency === 'HOURLY' ? or(rule.byMinute, Math.floor(start / MINUTE) % 60) : [minute];
    const times = [
      ...new Set(minutes.flatMap((m) => seconds.map((s) => hourStart + m * MINUTE + Math.min(s, 59) * 1000))),
    ].sort((a, b) => a - b);
    for (const place of picked(times.length, rule.bySetPosition)) {
      empty = 0;
      yield times[place]!;
    }
    at += step;
  }
}

/** The most dates that one call gives. */
const MOST_DATES = 1_000_000;
/** The most steps that one call takes: periods looked at, days in them, and times that are passed over. */
const MOST_STEPS = 3_000_000;

/** A rule makes more dates within a window than anyone can look at, or takes too long to look through. */
export class TooManyDatesError extends RangeError {
  constructor() {
    super(`a rule makes more than ${MOST_DATES} dates, or takes more than ${MOST_STEPS} steps`);
    this.name = 'TooManyDatesError';
  }
}

/** Takes steps off what is left of them. */
type Spend = (steps: number) => void;

function budget(steps: number): Spend {
  let left = steps;
  return (spent) => {
    left -= spent;
    if (left < 0) throw new TooManyDatesError();
  };
}

/**
 * The wall times that a rule makes within a window, ascending and each once. The cost is by the window, not by the
 * time since the start (but a rule with COUNT is walked from its start).
 *
 * RFC 5545 3.3.10 and 3.8.5.3; SKIP of RFC 7529. The start itself is always the first time and counts towards COUNT.
 * @param start wall time of DTSTART
 * @param until the last wall time allowed, inclusive (UNTIL, already on this wall clock)
 * @param most a number of dates after which it stops
 * @throws TooManyDatesError if there are more than `MOST_DATES` and no smaller `most` was given, or if it takes more steps than
 *   any rule needs that means something
 */
export function expandRule(
  rule: RecurrenceRule,
  start: number,
  window: WallRange,
  until = Infinity,
  most = Infinity,
): number[] {
  const result: number[] = [];
  const last = Math.min(until, LAST_WALL - 1);
  if (start >= window.start && start < window.end && start <= last) result.push(start);
  let remaining = rule.count === undefined ? Infinity : rule.count - 1;
  const walked = {
    start: rule.count === undefined ? window.start : start,
    end: Math.min(window.end, last + 1),
  };
  const spend = budget(MOST_STEPS);
  const walls =
    rule.frequency in SHORT
      ? shortPeriods(rule, start, walked, spend)
      : longPeriods(rule, start, walked, spend);
  let previous = start;
  for (const wall of walls) {
    spend(1);
    if (wall <= previous) continue;
    previous = wall;
    if (remaining-- <= 0 || wall > last || wall >= window.end || result.length >= most) break;
    if (wall < window.start) continue;
    if (result.push(wall) > MOST_DATES) throw new TooManyDatesError();
  }
  return result;
}
