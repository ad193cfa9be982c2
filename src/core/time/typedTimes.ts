import { civilDate, dayNumber, daysInMonth } from './civil';

/** How a person writes dates and times: what a field needs to read back what it shows, and what is typed into it. */
export interface WritingHabits {
  /** The order of day, month and year in numbers. */
  readonly order: 'dmy' | 'mdy' | 'ymd';
  /** The names of the twelve months, January first, each as it may be written; in small letters. */
  readonly months: readonly (readonly string[])[];
  /** The names of the weekdays, in small letters: they are read over, since the date says them. */
  readonly weekdays: readonly string[];
  /** What stands for the first and the second half of the day, in small letters. */
  readonly halves: readonly [readonly string[], readonly string[]];
}

const realDay = (year: number, month: number, day: number): number | undefined =>
  year >= 1 && year <= 9999 && month >= 1 && month <= 12 && day >= 1 && day <= daysInMonth(year, month)
    ? dayNumber(year, month, day)
    : undefined;

/** A year as it was written: two digits are of this century. */
const yearOf = (digits: string): number => Number(digits) + (digits.length <= 2 ? 2000 : 0);

/** The day of the year that brings it nearest to another. */
function nearest(near: number, month: number, day: number): number | undefined {
  const { year } = civilDate(near);
  const days = [year - 1, year, year + 1]
    .map((one) => realDay(one, month, day))
    .filter((found) => found !== undefined);
  return days.sort((a, b) => Math.abs(a - near) - Math.abs(b - near))[0];
}

/** The month that a word names: whole, or by three of its first letters at the least, if no other begins so; 0 for none. */
function monthNamed(word: string, { months, weekdays }: WritingHabits): number {
  const whole = months.findIndex((names) => names.includes(word));
  if (whole >= 0) return whole + 1;
  // "mar." is a Tuesday to some, and no part of "mars".
  if (word.length < 3 || weekdays.includes(word)) return 0;
  const begun = months.flatMap((names, index) =>
    names.some((name) => name.startsWith(word)) ? [index + 1] : [],
  );
  return begun.length === 1 ? begun[0]! : 0;
}

/**
 * The day number that a date says as it is typed into a field: "9/3/2027" in the person's order, "9 Mar", "March 9, 2027",
 * "2027-03-09", "9.3.27", "9". What it leaves out is taken from the day that is nearest to `near`; a weekday is read over.
 *
 * @returns undefined for what is no date, or none that there is (31 April)
 */
export function typedDay(text: string, near: number, habits: WritingHabits): number | undefined {
  const parts = text.toLowerCase().match(/\d+|\p{L}+/gu) ?? [];
  if (!/^[\s\d\p{L}\p{M}.,/'’–-]*$/u.test(text)) return undefined;
  const numbers: string[] = [];
  let month = 0;
  for (const part of parts) {
    if (/^\d/.test(part)) {
      numbers.push(part);
      continue;
    }
    const named = monthNamed(part, habits);
    if (named && month) return undefined;
    if (named) month = named;
    // Endings of ordinal numbers, and little words between.
    else if (!habits.weekdays.includes(part) && !/^(st|nd|rd|th|of|de|le|den)$/.test(part)) return undefined;
  }
  const [one, two, three] = numbers;
  if (month) {
    if (one === undefined || three !== undefined) return undefined;
    if (two === undefined) return one.length > 2 ? undefined : nearest(near, month, Number(one));
    const [day, year] = one.length > 2 ? [two, one] : [one, two];
    return day.length > 2 ? undefined : realDay(yearOf(year), month, Number(day));
  }
  if (one === undefined || numbers.length > 3) return undefined;
  if (three === undefined) {
    if (one.length > 2 || (two?.length ?? 0) > 2) return undefined;
    if (two === undefined) {
      const { year, month: present } = civilDate(near);
      return realDay(year, present, Number(one));
    }
    const [day, monthNumber] = habits.order === 'dmy' ? [one, two] : [two, one];
    return nearest(near, Number(monthNumber), Number(day));
  }
  const order =
    one.length > 2 ? 'ymd' : habits.order === 'ymd' ? (three.length > 2 ? 'dmy' : 'ymd') : habits.order;
  const [year, monthNumber, day] =
    order === 'ymd' ? [one, two, three] : order === 'dmy' ? [three, two, one] : [three, one, two];
  if (year!.length === 3 || year!.length > 4) return undefined;
  return realDay(yearOf(year!), Number(monthNumber), Number(day));
}

/**
 * The time of day that a field says as it is typed: "14:00", "14.00", "1400", "2 pm", "2:30p", "9", "14h30", in minutes
 * after midnight.
 *
 * @returns undefined for what is no time of a day
 */
export function typedTime(text: string, habits: WritingHabits): number | undefined {
  const match = /^(\d{1,2})(?:\s*[:.h]\s*(\d{2})?|(\d{2}))?\s*(\D*)$/iu.exec(text.trim().toLowerCase());
  if (!match) return undefined;
  const [, hours, after, joined, rest] = match;
  const half = rest!.replaceAll(/[\s.]/g, '');
  const minute = Number(after ?? joined ?? 0);
  let hour = Number(hours);
  if (minute > 59) return undefined;
  const says = (names: readonly string[], letter: string) =>
    half === letter || half === `${letter}m` || names.some((name) => name.replaceAll(/[\s.]/g, '') === half);
  if (half === '' || half === 'h') return hour <= 23 ? hour * 60 + minute : undefined;
  const isSecond = says(habits.halves[1], 'p');
  if ((!isSecond && !says(habits.halves[0], 'a')) || hour < 1 || hour > 12) return undefined;
  hour = (hour % 12) + (isSecond ? 12 : 0);
  return hour * 60 + minute;
}
