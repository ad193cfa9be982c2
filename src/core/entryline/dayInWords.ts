import { civilDate, DAY, dayNumber } from '../time/civil';
import { lineContext } from './lineContext';
import { lineText } from './lineText';
import { readDay } from './parts/days';

const YEAR = /^(\d{4})$/;

/**
 * The day number that ordinary words name: "12 April", "next Friday", "in three weeks", "last Friday of June", "week 14",
 * "2028", "2027-06-01", "12/04". What is not understood to its end names no day: better none than another.
 *
 * @param today the day number that "today" means
 * @param dayFirst whether numbers are written day before month where the person is
 * @param habits what the person chose before where two days could be meant
 * @returns undefined for words that name no day
 */
export function dayInWords(
  text: string,
  today: number,
  dayFirst = true,
  habits: Readonly<Record<string, string>> = {},
): number | undefined {
  const said = lineText(text.trim()).text;
  const year = YEAR.exec(said);
  if (year) return dayNumber(Number(year[1]), 1, 1);
  const context = lineContext({
    nowWall: today * DAY + DAY / 2,
    zone: 'UTC',
    selectedDay: today,
    defaultLength: 0,
    calendars: [],
    dayFirst,
    habits,
  });
  const day = readDay(said, context);
  return day && 'day' in day && civilDate(day.day).year > 0 ? day.day : undefined;
}
