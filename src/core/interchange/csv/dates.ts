import { dateString, isRealDate, parseDate } from '../../time/civil';
import { SHORT_MONTH_NAMES } from '../../time/monthNames';

/** In which order a date's numbers stand, where no year comes first. */
export const DATE_ORDERS = ['day-month', 'month-day'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

const monthOf = (text: string): number => SHORT_MONTH_NAMES.indexOf(text.slice(0, 3).toLowerCase()) + 1;

const NUMBERS = /^(\d{1,2})[./\- ]+(\d{1,2})[./\- ]+(\d{4}|\d{2})\.?$/;
const ISO = /^(\d{4})[./-](\d{1,2})[./-](\d{1,2})$/;
const COMPACT = /^(\d{4})(\d{2})(\d{2})$/;
const DAY_NAME = /^(?:\p{L}+,?\s+)?(\d{1,2})(?:st|nd|rd|th)?\.?[\s-]+(\p{L}{3,})\.?,?[\s-]+(\d{4}|\d{2})$/u;
const NAME_DAY = /^(?:\p{L}+,\s+)?(\p{L}{3,})\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4}|\d{2})$/u;

/** Years of two digits lie between 1950 and 2049. */
const fullYear = (text: string): number =>
  text.length === 2 ? Number(text) + (Number(text) < 50 ? 2000 : 1900) : Number(text);

function realDate(year: number, month: number, day: number): string | undefined {
  const pad = (number: number, length: number) => String(number).padStart(length, '0');
  const text = `${pad(year, 4)}-${pad(month, 2)}-${pad(day, 2)}`;
  return month >= 1 && month <= 12 && day >= 1 && isRealDate(text) ? text : undefined;
}

/** A date in one of the usual national forms as `YYYY-MM-DD`, or undefined if it is none. */
export function readDate(text: string, order: DateOrder): string | undefined {
  const trimmed = text.trim();
  const iso = ISO.exec(trimmed) ?? COMPACT.exec(trimmed);
  if (iso) return realDate(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const numbers = NUMBERS.exec(trimmed);
  if (numbers) {
    const [first, second] = [Number(numbers[1]), Number(numbers[2])];
    const [day, month] = order === 'day-month' ? [first, second] : [second, first];
    return realDate(fullYear(numbers[3]!), month, day);
  }
  const dayFirst = DAY_NAME.exec(trimmed);
  if (dayFirst) return realDate(fullYear(dayFirst[3]!), monthOf(dayFirst[2]!), Number(dayFirst[1]));
  const monthFirst = NAME_DAY.exec(trimmed);
  if (monthFirst) return realDate(fullYear(monthFirst[3]!), monthOf(monthFirst[1]!), Number(monthFirst[2]));
  return undefined;
}

const TIME = /^(\d{1,2})(?:[:.h](\d{2}))?(?:[:.](\d{2}))?\s*(am|pm|a\.m\.|p\.m\.|h|uhr)?$/i;
const BARE = /^(\d{2})(\d{2})$/;

/** A time of the day as minutes after midnight, 1440 for 24:00; undefined if it is none. */
export function readTime(text: string): number | undefined {
  const trimmed = text.trim().toLowerCase();
  const match = TIME.exec(trimmed) ?? BARE.exec(trimmed);
  if (!match) return undefined;
  const half = match[4]?.replaceAll('.', '');
  let hour = Number(match[1]);
  const minute = Number(match[2] ?? 0);
  if (half === 'am' || half === 'pm') {
    if (hour < 1 || hour > 12) return undefined;
    hour = (hour % 12) + (half === 'pm' ? 12 : 0);
  }
  const minutes = hour * 60 + minute;
  return minute < 60 && minutes <= 1440 ? minutes : undefined;
}

const ZONED = /^(\d{4}-\d\d-\d\d)[T ](\d\d:\d\d(?::\d\d)?)(?:\.\d+)?(Z|[+-]\d\d:?\d\d)?$/;

/** A moment as a table may write it: a date, a date with a time, or with an offset from UTC too. */
export interface Moment {
  readonly date: string;
  /** Minutes after midnight; undefined for a date alone. */
  readonly minutes: number | undefined;
  /** Minutes east of UTC, where it is said. */
  readonly offset: number | undefined;
}

/** Reads a date with or without a time; undefined if it is none. */
export function readMoment(text: string, order: DateOrder): Moment | undefined {
  const trimmed = text.trim();
  const zoned = ZONED.exec(trimmed);
  if (zoned) {
    const minutes = readTime(zoned[2]!);
    if (!isRealDate(zoned[1]!) || minutes === undefined) return undefined;
    return { date: zoned[1]!, minutes, offset: offsetOf(zoned[3]) };
  }
  const whole = readDate(trimmed, order);
  if (whole) return { date: whole, minutes: undefined, offset: undefined };
  // The time is the last part, or the last two where "pm" stands apart.
  const parts = trimmed.split(/[\s,]+/);
  for (const count of [1, 2]) {
    if (parts.length <= count) break;
    const minutes = readTime(parts.slice(-count).join(' '));
    const date = readDate(parts.slice(0, -count).join(' '), order);
    if (date && minutes !== undefined) return { date, minutes, offset: undefined };
  }
  return undefined;
}

function offsetOf(text: string | undefined): number | undefined {
  if (text === undefined) return undefined;
  if (text.toUpperCase() === 'Z') return 0;
  const [hours, minutes] = [Number(text.slice(1, 3)), Number(text.slice(-2))];
  return (text.startsWith('-') ? -1 : 1) * (hours * 60 + minutes);
}

/** Whether a number can be the day of a month and nothing else. */
const isDayAlone = (text: string | undefined): boolean => Number(text) > 12 && Number(text) <= 31;

/**
 * In which order the dates of a column are written, by those that can be read in one way only.
 * @returns undefined where nothing tells, or where they contradict each other
 */
export function guessDateOrder(texts: readonly string[]): DateOrder | undefined {
  let day = 0;
  let month = 0;
  let unclear = 0;
  for (const text of texts) {
    const numbers = NUMBERS.exec(text.trim().split(/[\sT,]+/)[0] ?? '');
    if (!numbers) continue;
    unclear++;
    if (isDayAlone(numbers[1])) day++;
    else if (isDayAlone(numbers[2])) month++;
  }
  // Where the year comes first, or months have names, there is nothing to ask.
  if (unclear === 0) return 'day-month';
  if (day > 0 === month > 0) return undefined;
  return day > 0 ? 'day-month' : 'month-day';
}

/** The day after a date. */
export const dayAfter = (date: string): string => dateString(parseDate(date) + 1);
