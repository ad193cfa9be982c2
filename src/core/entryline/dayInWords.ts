import { parse } from 'chrono-node/en';
import { civilDate, DAY, dayNumber, isRealDate, parseDate } from '../time/civil';
import { periodAt } from '../time/periods';

/** Weeks by their ISO 8601 number: "week 14", "w14 2028". */
const WEEK = /^w(?:eek)?\s*(\d{1,2})(?:[\s,/-]+(\d{4}))?$/i;
const YEAR = /^(\d{4})$/;

/**
 * The day number that ordinary words name: "12 April", "next Friday", "in three weeks", "week 14", "2028", "2027-06-01".
 * @param today the day number that "today" means
 * @returns undefined for words that name no day
 */
export function dayInWords(text: string, today: number): number | undefined {
  const said = text.trim();
  const week = WEEK.exec(said);
  if (week) {
    const number = Number(week[1]);
    const year = week[2] ? Number(week[2]) : civilDate(today).year;
    return number >= 1 && number <= 53 ? mondayOfWeek(year, number) : undefined;
  }
  const year = YEAR.exec(said);
  if (year) return dayNumber(Number(year[1]), 1, 1);
  if (/^\d{4}-\d{2}-\d{2}$/.test(said)) return isRealDate(said) ? parseDate(said) : undefined;
  const reference = new Date(today * DAY + DAY / 2);
  const [found] = parse(said, { instant: reference, timezone: 0 }, { forwardDate: true });
  if (!found) return undefined;
  const { start } = found;
  const day = dayNumber(start.get('year')!, start.get('month')!, start.get('day')!);
  return Number.isFinite(day) ? day : undefined;
}

/** The Monday of a week by its ISO number: that of 4 January is the first. */
function mondayOfWeek(year: number, number: number): number {
  const rule = { kind: 'weeks', weeks: 1, start: '2027-01-04' } as const;
  return periodAt(rule, dayNumber(year, 1, 4))!.first + 7 * (number - 1);
}
