/**
 * Dates and wall times as numbers, by plain arithmetic of the proleptic Gregorian calendar.
 * A day number counts days from 1970-01-01; a wall time is milliseconds from 1970-01-01T00:00 of the same
 * clock, without a zone.
 */
export const SECOND = 1000;
export const MINUTE = 60 * SECOND;
export const HOUR = 60 * MINUTE;
export const DAY = 24 * HOUR;

export interface CivilDate {
  readonly year: number;
  /** 1 to 12. */
  readonly month: number;
  /** 1 to 31. */
  readonly day: number;
}

/** The day number of a civil date. Days beyond the month's end count on into the next month. */
export function dayNumber(year: number, month: number, day: number): number {
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  return (
    era * 146_097 +
    yearOfEra * 365 +
    Math.floor(yearOfEra / 4) -
    Math.floor(yearOfEra / 100) +
    dayOfYear -
    719_468
  );
}

/** The civil date of a day number. */
export function civilDate(dayNumberOfDate: number): CivilDate {
  const shifted = dayNumberOfDate + 719_468;
  const era = Math.floor(shifted / 146_097);
  const dayOfEra = shifted - era * 146_097;
  const yearOfEra = Math.floor(
    (dayOfEra -
      Math.floor(dayOfEra / 1460) +
      Math.floor(dayOfEra / 36_524) -
      Math.floor(dayOfEra / 146_096)) /
      365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const shiftedMonth = Math.floor((5 * dayOfYear + 2) / 153);
  const month = shiftedMonth + (shiftedMonth < 10 ? 3 : -9);
  return {
    year: yearOfEra + era * 400 + (month <= 2 ? 1 : 0),
    month,
    day: dayOfYear - Math.floor((153 * shiftedMonth + 2) / 5) + 1,
  };
}

/** Whether the year has a 29 February. */
const isLeapYear = (year: number): boolean => year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0);

/** 28 to 31. */
export function daysInMonth(year: number, month: number): number {
  if (month === 2) return isLeapYear(year) ? 29 : 28;
  return month === 4 || month === 6 || month === 9 || month === 11 ? 30 : 31;
}

/** 365 or 366. */
export const daysInYear = (year: number): number => (isLeapYear(year) ? 366 : 365);

/** Weekday of a day number, ISO 8601: Monday 1 to Sunday 7. */
export const weekdayOf = (dayNumberOfDate: number): number => ((((dayNumberOfDate + 3) % 7) + 7) % 7) + 1;

const pad = (value: number, length = 2): string => String(value).padStart(length, '0');

/** `YYYY-MM-DD` of a day number. */
export function dateString(dayNumberOfDate: number): string {
  const { year, month, day } = civilDate(dayNumberOfDate);
  return `${pad(year, 4)}-${pad(month)}-${pad(day)}`;
}

/** The day number of `YYYY-MM-DD` (a time after it is ignored). */
export function parseDate(text: string): number {
  return dayNumber(Number(text.slice(0, 4)), Number(text.slice(5, 7)), Number(text.slice(8, 10)));
}

/** The wall time in milliseconds of `YYYY-MM-DDTHH:MM[:SS]`, or of a date at midnight. */
export function parseLocal(text: string): number {
  return (
    parseDate(text) * DAY +
    Number(text.slice(11, 13)) * HOUR +
    Number(text.slice(14, 16)) * MINUTE +
    Number(text.slice(17, 19)) * 1000
  );
}

/** `YYYY-MM-DDTHH:MM:SS` of a wall time in milliseconds. */
export function localString(wall: number): string {
  const day = Math.floor(wall / DAY);
  const seconds = Math.floor((wall - day * DAY) / 1000);
  return `${dateString(day)}T${pad(Math.floor(seconds / 3600))}:${pad(Math.floor(seconds / 60) % 60)}:${pad(seconds % 60)}`;
}

/** Whether the text is a date that exists: `2027-02-30` does not. */
export const isRealDate = (text: string): boolean => dateString(parseDate(text)) === text.slice(0, 10);

/** The ISO weekdays in their order, from one on. */
export const weekdaysFrom = (weekStart: number): number[] =>
  Array.from({ length: 7 }, (_, index) => ((weekStart - 1 + index) % 7) + 1);

/** The day number of the first day of the week that holds the day; weekStart as ISO weekday. */
export const startOfWeek = (day: number, weekStart = 1): number =>
  day - ((weekdayOf(day) - weekStart + 7) % 7);
