/**
 * A slow, independent answer to which dates a rule makes: every day of the time in question is asked whether it
 * belongs, with what Temporal's own calendar says of it. For FREQ of DAILY and longer.
 */
const WEEKDAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];
const DAY = 86_400_000;

interface Parts {
  FREQ: string;
  INTERVAL?: string;
  COUNT?: string;
  UNTIL?: string;
  WKST?: string;
  BYDAY?: string;
  BYMONTH?: string;
  BYMONTHDAY?: string;
  BYYEARDAY?: string;
  BYWEEKNO?: string;
  BYHOUR?: string;
  BYSETPOS?: string;
  SKIP?: string;
}

/** What the calendar says of a day. */
interface Day {
  readonly number: number;
  readonly year: number;
  readonly month: number;
  readonly day: number;
  readonly weekday: number;
  readonly dayOfYear: number;
  readonly daysInMonth: number;
  readonly daysInYear: number;
  /** Of the month before. */
  readonly daysBefore: number;
}

const days = new Map<number, Day>();

function dayOf(number: number): Day {
  const known = days.get(number);
  if (known) return known;
  const date = new Temporal.PlainDate(1970, 1, 1).add({ days: number });
  const day: Day = {
    number,
    year: date.year,
    month: date.month,
    day: date.day,
    weekday: date.dayOfWeek,
    dayOfYear: date.dayOfYear,
    daysInMonth: date.daysInMonth,
    daysInYear: date.daysInYear,
    daysBefore: date.subtract({ months: 1 }).daysInMonth,
  };
  days.set(number, day);
  return day;
}

const list = (text: string | undefined): number[] => (text === undefined ? [] : text.split(',').map(Number));
const has = (text: string | undefined, ...values: number[]): boolean =>
  text === undefined || list(text).some((item) => values.includes(item));

function matchesByDay(text: string | undefined, date: Day, inMonth: boolean): boolean {
  if (text === undefined) return true;
  const position = inMonth ? date.day : date.dayOfYear;
  const length = inMonth ? date.daysInMonth : date.daysInYear;
  const nth = Math.ceil(position / 7);
  const fromEnd = -Math.ceil((length - position + 1) / 7);
  return text.split(',').some((item) => {
    const ordinal = Number(item.slice(0, -2) || 0);
    if (item.slice(-2) !== WEEKDAYS[date.weekday - 1]) return false;
    return ordinal === 0 || ordinal === nth || ordinal === fromEnd;
  });
}

/** The year that a day's week belongs to, the week's number, and its number from the end (RFC 5545, BYWEEKNO). */
function weekOf(date: Day, weekStart: number): { year: number; week: number; fromEnd: number } {
  const monday = (number: number) => number - ((dayOf(number).weekday - weekStart + 7) % 7);
  const begin = monday(date.number);
  // The week belongs to the year that holds four or more of its days: the year of its fourth day.
  const year = dayOf(begin + 3).year;
  let week = 1;
  while (dayOf(begin + 3 - 7 * week).year === year) week++;
  let after = 0;
  while (dayOf(begin + 3 + 7 * (after + 1)).year === year) after++;
  return { year, week, fromEnd: -1 - after };
}

/** The periods, by number, in which a day is one of the rule's days. */
function periodsHolding(parts: Parts, start: Day, date: Day): number[] {
  const { BYDAY, BYMONTH, BYMONTHDAY, BYYEARDAY, BYWEEKNO } = parts;
  const weekStart = WEEKDAYS.indexOf(parts.WKST ?? 'MO') + 1;
  const months = (date.year - start.year) * 12 + date.month - start.month;
  const limits =
    has(BYMONTH, date.month) &&
    has(BYMONTHDAY, date.day, date.day - date.daysInMonth - 1) &&
    has(BYYEARDAY, date.dayOfYear, date.dayOfYear - date.daysInYear - 1);
  switch (parts.FREQ) {
    case 'DAILY':
      return limits && matchesByDay(BYDAY, date, true) ? [date.number - start.number] : [];
    case 'WEEKLY': {
      const week = (day: Day) => day.number - ((day.weekday - weekStart + 7) % 7);
      const fits = limits && (BYDAY ? matchesByDay(BYDAY, date, true) : date.weekday === start.weekday);
      return fits ? [(week(date) - week(start)) / 7] : [];
    }
    case 'MONTHLY': {
      if (parts.SKIP) {
        const wanted = BYMONTHDAY === undefined ? [start.day] : list(BYMONTHDAY);
        const own = wanted.some(
          (day) =>
            day === date.day ||
            day === date.day - date.daysInMonth - 1 ||
            (parts.SKIP === 'BACKWARD' && date.day === date.daysInMonth && day > date.daysInMonth),
        );
        const late =
          parts.SKIP === 'FORWARD' && date.day === 1 && wanted.some((day) => day > date.daysBefore);
        return [...(late ? [months - 1] : []), ...(own ? [months] : [])];
      }
      const named = BYMONTHDAY ?? BYYEARDAY ?? BYDAY;
      const fits =
        limits && matchesByDay(BYDAY, date, true) && (named !== undefined || date.day === start.day);
      return fits ? [months] : [];
    }
    default: {
      if (BYWEEKNO !== undefined) {
        const { year, week, fromEnd } = weekOf(date, weekStart);
        const fits =
          has(BYWEEKNO, week, fromEnd) &&
          has(BYMONTH, date.month) &&
          (BYDAY ? matchesByDay(BYDAY, date, false) : date.weekday === start.weekday);
        return fits ? [year - start.year] : [];
      }
      const named = BYMONTHDAY ?? BYYEARDAY ?? BYDAY;
      const fits =
        limits &&
        matchesByDay(BYDAY, date, BYMONTH !== undefined) &&
        (named !== undefined ||
          (date.day === start.day && (BYMONTH !== undefined || date.month === start.month)));
      return fits ? [date.year - start.year] : [];
    }
  }
}

/** The wall times, in milliseconds, of a rule within a window of wall times. */
export function oracleDates(
  rule: string,
  startWall: number,
  window: { start: number; end: number },
): number[] {
  const parts = Object.fromEntries(rule.split(';').map((part) => part.split('='))) as unknown as Parts;
  const start = dayOf(Math.floor(startWall / DAY));
  const time = startWall - start.number * DAY;
  const times = parts.BYHOUR
    ? list(parts.BYHOUR)
        .sort((a, b) => a - b)
        .map((hour) => hour * 3_600_000 + (time % 3_600_000))
    : [time];
  const interval = Number(parts.INTERVAL ?? 1);
  const periods = new Map<number, number[]>();
  // From before the start's own year: positions of BYSETPOS count within whole periods.
  const first = start.number - start.dayOfYear - 10;
  for (let number = first; number * DAY < window.end + 370 * DAY; number++) {
    const date = dayOf(number);
    for (const period of periodsHolding(parts, start, date)) {
      if (period < 0 || period % interval !== 0) continue;
      const held = periods.get(period) ?? [];
      held.push(...times.map((of) => number * DAY + of));
      periods.set(period, held);
    }
  }
  const chosen = [...periods.values()].flatMap((walls) =>
    parts.BYSETPOS === undefined
      ? walls
      : list(parts.BYSETPOS).flatMap((position) => walls.at(position - (position > 0 ? 1 : 0)) ?? []),
  );
  const later = [...new Set(chosen)].filter((wall) => wall > startWall).sort((a, b) => a - b);
  const until = parts.UNTIL
    ? Date.UTC(+parts.UNTIL.slice(0, 4), +parts.UNTIL.slice(4, 6) - 1, +parts.UNTIL.slice(6, 8)) + DAY - 1
    : Infinity;
  return [startWall, ...later]
    .slice(0, parts.COUNT ? Number(parts.COUNT) : undefined)
    .filter((wall) => wall >= window.start && wall < window.end && wall <= Math.max(until, startWall));
}

/** The instants of wall times in a zone, by Temporal: skipped ones move by the gap, doubled ones are the first. */
export const oracleInstants = (walls: readonly number[], zone: string): number[] => [
  ...new Set(
    walls.map(
      (wall) =>
        Temporal.Instant.fromEpochMilliseconds(wall)
          .toZonedDateTimeISO('UTC')
          .toPlainDateTime()
          .toZonedDateTime(zone, { disambiguation: 'compatible' }).epochMilliseconds,
    ),
  ),
];
