import { parse } from 'chrono-node/en';
import { civilDate, DAY, dayNumber, daysInMonth, isRealDate, parseDate, weekdayOf } from '../time/civil';
import { periodAt } from '../time/periods';
import { MONTH_NAMES } from '../time/monthNames';

/** Weeks by their ISO 8601 number: "week 14", "w14 2028". */
const WEEK = /^w(?:eek)?\s*(\d{1,2})(?:[\s,/-]+(\d{4}))?$/i;
const YEAR = /^(\d{4})$/;

const WEEKDAYS = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];
const ORDINALS: Readonly<Record<string, number>> = {
  first: 1,
  '1st': 1,
  second: 2,
  '2nd': 2,
  third: 3,
  '3rd': 3,
  fourth: 4,
  '4th': 4,
  fifth: 5,
  '5th': 5,
  last: -1,
};
const NEAR: Readonly<Record<string, number>> = {
  today: 0,
  tomorrow: 1,
  yesterday: -1,
  'day after tomorrow': 2,
  'the day after tomorrow': 2,
  'day before yesterday': -2,
  'the day before yesterday': -2,
};

/** The place in a list of a name or the beginning of one, of three letters at the least; from 1, and 0 for none. */
const placeOf = (names: readonly string[], said: string): number =>
  said.length < 3 ? 0 : names.findIndex((name) => name.startsWith(said)) + 1;

const realDay = (year: number, month: number, day: number): number | undefined =>
  month >= 1 && month <= 12 && day >= 1 && day <= daysInMonth(year, month)
    ? dayNumber(year, month, day)
    : undefined;

/** "12/04/2027", "12.4.", "4-12": numbers in the order of the region; without a year the next such day. */
function numericDay(said: string, today: number, dayFirst: boolean): number | undefined | null {
  const match = /^(\d{1,2})([./-])(\d{1,2})(?:\2(\d{4}|\d{2})|\.)?$/.exec(said);
  if (!match) return null;
  const [, one, separator, other, years] = match;
  const isDayFirst = dayFirst || separator === '.';
  const [day, month] = (isDayFirst ? [one, other] : [other, one]).map(Number) as [number, number];
  if (years !== undefined) return realDay(Number(years) + (years.length === 2 ? 2000 : 0), month, day);
  const { year } = civilDate(today);
  const thisYear = realDay(year, month, day);
  return thisYear !== undefined && thisYear >= today ? thisYear : realDay(year + 1, month, day);
}

/** "last Friday of June", "first Monday in May 2028": of the next such month, if no year is said. */
function weekdayOfMonth(said: string, today: number): number | undefined | null {
  const match = /^(?:the )?(\w+) (\w+) (?:of|in) (\w+)(?: (\d{4}))?$/.exec(said);
  if (!match) return null;
  const [, nth, weekdayName, monthName, years] = match;
  const ordinal = ORDINALS[nth!];
  const weekday = placeOf(WEEKDAYS, weekdayName!);
  const month = placeOf(MONTH_NAMES, monthName!);
  if (ordinal === undefined || !weekday || !month) return null;
  const of = (year: number): number | undefined => {
    const first = dayNumber(year, month, 1);
    const days = daysInMonth(year, month);
    const firstOne = first + ((weekday - weekdayOf(first) + 7) % 7);
    const found =
      ordinal > 0
        ? firstOne + 7 * (ordinal - 1)
        : firstOne + 7 * Math.floor((first + days - 1 - firstOne) / 7);
    return found < first + days ? found : undefined;
  };
  if (years) return of(Number(years));
  const { year } = civilDate(today);
  const found = of(year);
  return found !== undefined && found >= today ? found : of(year + 1);
}

/** "last Monday": the latest that is over. */
function weekdayBefore(said: string, today: number): number | undefined {
  const match = /^last (\w+)$/.exec(said);
  const weekday = match ? placeOf(WEEKDAYS, match[1]!) : 0;
  return weekday ? today - ((weekdayOf(today) - weekday + 6) % 7) - 1 : undefined;
}

/**
 * The day number that ordinary words name: "12 April", "next Friday", "in three weeks", "last Friday of June", "week 14",
 * "2028", "2027-06-01", "12/04". What is not understood to its end names no day: better none than another.
 *
 * @param today the day number that "today" means
 * @param dayFirst whether numbers are written day before month where the person is
 * @returns undefined for words that name no day
 */
export function dayInWords(text: string, today: number, dayFirst = true): number | undefined {
  const said = text.trim().toLowerCase().replaceAll(/\s+/g, ' ').replace(/^on /, '');
  const near = NEAR[said];
  if (near !== undefined) return today + near;
  const week = WEEK.exec(said);
  if (week) {
    const number = Number(week[1]);
    const year = week[2] ? Number(week[2]) : civilDate(today).year;
    return number >= 1 && number <= 53 ? mondayOfWeek(year, number) : undefined;
  }
  const year = YEAR.exec(said);
  if (year) return dayNumber(Number(year[1]), 1, 1);
  if (/^\d{4}-\d{2}-\d{2}$/.test(said)) return isRealDate(said) ? parseDate(said) : undefined;
  for (const found of [numericDay(said, today, dayFirst), weekdayOfMonth(said, today)])
    if (found !== null) return found;
  const before = weekdayBefore(said, today);
  if (before !== undefined) return before;
  const reference = new Date(today * DAY + DAY / 2);
  const all = parse(said, { instant: reference, timezone: 0 }, { forwardDate: true });
  const [found] = all;
  // Words that are left over would change the day: nobody is sent elsewhere.
  if (!found || all.length > 1 || found.end || found.text.trim() !== said) return undefined;
  const { start } = found;
  return realDay(start.get('year')!, start.get('month')!, start.get('day')!);
}

/** The Monday of a week by its ISO number: that of 4 January is the first. */
function mondayOfWeek(year: number, number: number): number {
  const rule = { kind: 'weeks', weeks: 1, start: '2027-01-04' } as const;
  return periodAt(rule, dayNumber(year, 1, 4))!.first + 7 * (number - 1);
}
