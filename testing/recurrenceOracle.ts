/**
 * A slow, independent answer to which dates a rule makes: every day of the window is asked whether it belongs, by
 * Temporal's own calendar. For FREQ of DAILY and longer, without BYHOUR and shorter parts.
 */
const WEEKDAYS = ['MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'];

interface Parts {
  FREQ: string;
  INTERVAL?: string;
  WKST?: string;
  BYDAY?: string;
  BYMONTH?: string;
  BYMONTHDAY?: string;
  BYYEARDAY?: string;
  BYSETPOS?: string;
}

const has = (list: string | undefined, ...values: number[]): boolean =>
  list === undefined || list.split(',').some((item) => values.includes(Number(item)));

/** "2TU" within a span of days of which the date is the nth of its weekday, and the nth from the end. */
function matchesByDay(list: string | undefined, date: Temporal.PlainDate, inMonth: boolean): boolean {
  if (list === undefined) return true;
  const position = inMonth ? date.day : date.dayOfYear;
  const length = inMonth ? date.daysInMonth : date.daysInYear;
  const nth = Math.ceil(position / 7);
  const fromEnd = -Math.ceil((length - position + 1) / 7);
  return list.split(',').some((item) => {
    const ordinal = Number(item.slice(0, -2) || 0);
    if (item.slice(-2) !== WEEKDAYS[date.dayOfWeek - 1]) return false;
    return ordinal === 0 || ordinal === nth || ordinal === fromEnd;
  });
}

function belongs(parts: Parts, start: Temporal.PlainDate, date: Temporal.PlainDate): boolean {
  const { BYDAY, BYMONTH, BYMONTHDAY, BYYEARDAY } = parts;
  const limits =
    has(BYMONTH, date.month) &&
    has(BYMONTHDAY, date.day, date.day - date.daysInMonth - 1) &&
    has(BYYEARDAY, date.dayOfYear, date.dayOfYear - date.daysInYear - 1);
  const named = BYMONTHDAY ?? BYYEARDAY ?? BYDAY;
  switch (parts.FREQ) {
    case 'DAILY':
      return limits && matchesByDay(BYDAY, date, true);
    case 'WEEKLY':
      return limits && (BYDAY ? matchesByDay(BYDAY, date, true) : date.dayOfWeek === start.dayOfWeek);
    case 'MONTHLY':
      return limits && matchesByDay(BYDAY, date, true) && (named !== undefined || date.day === start.day);
    default:
      return (
        limits &&
        matchesByDay(BYDAY, date, BYMONTH !== undefined) &&
        (named !== undefined ||
          (date.day === start.day && (BYMONTH !== undefined || date.month === start.month)))
      );
  }
}

/** The number of the period that holds a date, and whether the interval takes it. */
function periodOf(
  parts: Parts,
  start: Temporal.PlainDate,
  date: Temporal.PlainDate,
): { id: number; taken: boolean } {
  const weekStart = WEEKDAYS.indexOf(parts.WKST ?? 'MO') + 1;
  const weekOf = (day: Temporal.PlainDate) => day.subtract({ days: (day.dayOfWeek - weekStart + 7) % 7 });
  const id =
    parts.FREQ === 'DAILY'
      ? start.until(date).days
      : parts.FREQ === 'WEEKLY'
        ? weekOf(start).until(weekOf(date)).days / 7
        : parts.FREQ === 'MONTHLY'
          ? (date.year - start.year) * 12 + date.month - start.month
          : date.year - start.year;
  return { id, taken: id >= 0 && id % Number(parts.INTERVAL ?? 1) === 0 };
}

/** The wall times, in milliseconds, of a rule within a window of wall times. */
export function oracleDates(
  rule: string,
  startWall: number,
  window: { start: number; end: number },
): number[] {
  const parts = Object.fromEntries(rule.split(';').map((part) => part.split('='))) as unknown as Parts;
  const wallOf = (date: Temporal.PlainDate) => date.toZonedDateTime('UTC').epochMilliseconds;
  const startDate = new Temporal.PlainDate(1970, 1, 1).add({ days: Math.floor(startWall / 86_400_000) });
  const time = startWall - wallOf(startDate);
  const periods = new Map<number, Temporal.PlainDate[]>();
  // From the first day of the start's own year: positions of BYSETPOS count within whole periods.
  const first = startDate.with({ month: 1, day: 1 });
  const last = new Temporal.PlainDate(1970, 1, 1).add({ days: Math.floor(window.end / 86_400_000) });
  for (let date = first; date.year <= last.year; date = date.add({ days: 1 })) {
    const period = periodOf(parts, startDate, date);
    if (!period.taken || !belongs(parts, startDate, date)) continue;
    periods.set(period.id, [...(periods.get(period.id) ?? []), date]);
  }
  const chosen = [...periods.values()].flatMap((dates) =>
    parts.BYSETPOS === undefined
      ? dates
      : (dates.at(Number(parts.BYSETPOS) - (Number(parts.BYSETPOS) > 0 ? 1 : 0)) ?? []),
  );
  const walls = chosen.map((date) => wallOf(date) + time).filter((wall) => wall > startWall);
  return [startWall, ...walls]
    .filter((wall) => wall >= window.start && wall < window.end)
    .sort((a, b) => a - b);
}
