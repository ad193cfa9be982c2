import { addMonths } from '../../layout/views';
import { civilDate, dayNumber, daysInMonth, startOfWeek, weekdayOf } from '../../time/civil';
import { asWord, type Doubt, type LineProblem } from '../candidate';
import { ENGLISH } from '../language';
import type { LineContext } from '../lineContext';
import { weekdayNamed } from '../vocabulary';

/** A day that is said. */
export interface DaySaid {
  readonly day: number;
  /** The last day, where a stretch of days is said: a weekend. */
  readonly lastDay?: number;
  readonly doubt?: Doubt;
  readonly problem?: LineProblem;
  /** Whether it says a day of the calendar, rather than one counted from today. */
  readonly isDate?: boolean;
  /** A weekday alone: today counts too, unless its time is over. */
  readonly isWeekday?: boolean;
}

/** A date that is written and does not exist. */
export interface NoDay {
  readonly problem: LineProblem;
}

export const realDay = (year: number, month: number, day: number): number | undefined =>
  month >= 1 && month <= 12 && day >= 1 && day <= daysInMonth(year, month)
    ? dayNumber(year, month, day)
    : undefined;

const noSuchDate = (text: string): NoDay => ({ problem: { code: 'no-such-date', text: text.trim() } });

/** The next day of such a date, or the past one of this year where the person means that. */
function withoutYear(month: number, day: number, context: LineContext): DaySaid | undefined {
  const { year } = civilDate(context.today);
  const thisYear = realDay(year, month, day);
  if (thisYear !== undefined && thisYear >= context.today) return { day: thisYear, isDate: true };
  for (let later = year + 1; later <= year + 8; later++) {
    const next = realDay(later, month, day);
    if (next === undefined) continue;
    if (thisYear === undefined) return { day: next, isDate: true };
    return context.choose('past-date', { next, past: thisYear }, { isDate: true });
  }
  return undefined;
}

export function dated(
  parts: { day: number; month: number; year?: string | undefined; weekday?: string | undefined },
  context: LineContext,
  text: string,
): DaySaid | NoDay | undefined {
  const { day, month, year, weekday } = parts;
  const said: DaySaid | undefined = year
    ? { day: realDay(Number(year) + (year.length === 2 ? 2000 : 0), month, day) ?? NaN, isDate: true }
    : withoutYear(month, day, context);
  if (!said || Number.isNaN(said.day)) return noSuchDate(text);
  const named = weekday ? weekdayNamed(weekday) : 0;
  if (!named || named === weekdayOf(said.day)) return said;
  // A weekday beside a date without a year tells which year is meant.
  if (!year)
    for (const later of [civilDate(context.today).year, civilDate(context.today).year + 1]) {
      const other = realDay(later, month, day);
      if (other !== undefined && weekdayOf(other) === named && other >= context.today - 200)
        return { day: other, isDate: true };
    }
  return { ...said, problem: { code: 'weekday-differs', text: text.trim(), weekday: named } };
}

export function numeric(
  [one, other, years]: readonly [string, string, string | undefined],
  isDayFirst: boolean | undefined,
  context: LineContext,
  text: string,
): DaySaid | NoDay | undefined {
  const read = (dayFirst: boolean) => {
    const [day, month] = (dayFirst ? [one, other] : [other, one]).map(Number) as [number, number];
    return dated({ day, month, year: years }, context, text);
  };
  if (isDayFirst !== undefined) return read(isDayFirst);
  const usual = read(context.dayFirst);
  const unusual = read(!context.dayFirst);
  const isDay = (said: DaySaid | NoDay | undefined): said is DaySaid => said !== undefined && 'day' in said;
  if (!isDay(usual)) return isDay(unusual) ? unusual : usual;
  if (!isDay(unusual) || one === other) return usual;
  const first = context.dayFirst ? 'day-month' : 'month-day';
  const second = context.dayFirst ? 'month-day' : 'day-month';
  return context.choose('number-order', { [first]: usual.day, [second]: unusual.day }, { isDate: true });
}

/** The next such weekday, today counting. */
export const comingWeekday = (weekday: number, today: number): number =>
  today + ((weekday - weekdayOf(today) + 7) % 7);

/** The nth of a weekday in a month, or undefined. */
export function nthWeekday(
  year: number,
  month: number,
  weekday: number,
  ordinal: number,
): number | undefined {
  const first = dayNumber(year, month, 1);
  const end = first + daysInMonth(year, month);
  const firstOne = first + ((weekday - weekdayOf(first) + 7) % 7);
  const lastOne = firstOne + 7 * Math.floor((end - 1 - firstOne) / 7);
  const found = ordinal > 0 ? firstOne + 7 * (ordinal - 1) : lastOne + 7 * (ordinal + 1);
  return found >= first && found < end ? found : undefined;
}

export function later(from: number, count: number, unit: string): number {
  const small = unit.toLowerCase();
  if (small.startsWith('d')) return from + count;
  if (small.startsWith('w')) return from + 7 * count;
  if (small.startsWith('f')) return from + 14 * count;
  return addMonths(from, small.startsWith('m') ? count : 12 * count);
}

/** The Monday of a week by its ISO number: that of 4 January is the first. */
export const mondayOfWeek = (year: number, number: number): number =>
  startOfWeek(dayNumber(year, 1, 4), 1) + 7 * (number - 1);

/** A weekday in the week after this one. */
export const inNextWeek = (weekday: number, today: number): number => startOfWeek(today, 1) + 7 + weekday - 1;

export const nearDay = (word: string, today: number): number => today + (ENGLISH.near[asWord(word)] ?? 0);
