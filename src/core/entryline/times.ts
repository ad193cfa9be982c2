import { parse as parseWords } from 'chrono-node/en';
import { DAY, HOUR, MINUTE, dayNumber } from '../time/civil';
import type { TextSpan } from './lengths';

/** What a text says about when: a day, a time of day, an end; each may be missing. */
export interface WhenSaid {
  readonly day?: number;
  /** Milliseconds of the wall clock since midnight. */
  readonly time?: number;
  /** Wall time of the end. */
  readonly endDay?: number;
  readonly endTime?: number;
  readonly spans: readonly TextSpan[];
}

/** "9-10", "9:30–11", "14 to 15:30": a range of hours without words. */
const HOUR_RANGE =
  /(?<![\w.:/-])(?:from\s+)?([01]?\d|2[0-4])(?:[:.]([0-5]\d))?\s*(am|pm)?\s*(?:-|–|to|until)\s*([01]?\d|2[0-4])(?:[:.]([0-5]\d))?\s*(am|pm|h)?(?![\w:/-])/iu;

/** Hours from one to six without am or pm are meant in the afternoon: offices are shut at three in the morning. */
const inOfficeHours = (hour: number, certain: boolean): number =>
  !certain && hour >= 1 && hour <= 6 ? hour + 12 : hour;

function clockTime(hour: string, minute: string | undefined, half: string | undefined): number {
  const said = Number(hour);
  const value =
    half?.toLowerCase() === 'pm' && said < 12
      ? said + 12
      : half?.toLowerCase() === 'am' && said === 12
        ? 0
        : said;
  return value * HOUR + Number(minute ?? 0) * MINUTE;
}

function findHourRange(text: string): WhenSaid | undefined {
  const match = HOUR_RANGE.exec(text);
  if (!match) return undefined;
  const [whole, fromHour, fromMinute, fromHalf, toHour, toMinute, toHalf] = match;
  let time = clockTime(
    fromHour!,
    fromMinute,
    fromHalf ?? (toHalf === 'pm' && Number(fromHour) < Number(toHour) ? 'pm' : undefined),
  );
  let endTime = clockTime(toHour!, toMinute, toHalf);
  const certain = fromHalf !== undefined || toHalf !== undefined || fromHour!.startsWith('0');
  if (!certain && time >= HOUR && time < 7 * HOUR && endTime <= 8 * HOUR) {
    time += 12 * HOUR;
    endTime += 12 * HOUR;
  }
  // "9 to 1" ends at one in the afternoon; "22:00 to 2:00" ends on the next day.
  if (endTime <= time && time < 12 * HOUR && !toHalf) endTime += 12 * HOUR;
  if (endTime === time || endTime > DAY) return undefined;
  return { time, endTime, spans: [{ from: match.index, to: match.index + whole.length }] };
}

/**
 * Reads the day and times that a text says, by chrono-node; hour ranges without words are read here.
 * @param nowWall the wall time that "today" and "tomorrow" are counted from
 */
export function findWhen(text: string, nowWall: number): WhenSaid {
  const range = findHourRange(text);
  const masked = range ? mask(text, range.spans) : text;
  const results = parseWords(masked, { instant: new Date(nowWall), timezone: 0 }, { forwardDate: true });
  let said: WhenSaid = range ?? { spans: [] };
  for (const result of results) {
    const { start, end } = result;
    // An abbreviation of a zone behind the time is left for whoever knows zones.
    const zone = start.isCertain('timezoneOffset')
      ? /\s*\(?[A-Z]{2,5}\)?$/.exec(result.text)?.[0]
      : undefined;
    const span = { from: result.index, to: result.index + result.text.length - (zone?.length ?? 0) };
    const hasDay = (['day', 'weekday', 'month'] as const).some((part) => start.isCertain(part));
    const hasTime = start.isCertain('hour');
    if ((hasDay && said.day !== undefined) || (hasTime && said.time !== undefined && !hasDay)) continue;
    const relative = !hasDay && !hasTime;
    if (relative) continue;
    const dayOf = (parts: typeof start) =>
      dayNumber(parts.get('year')!, parts.get('month')!, parts.get('day')!);
    const timeOf = (parts: typeof start) =>
      inOfficeHours(
        parts.get('hour')!,
        parts.isCertain('meridiem') || (/\d:\d/.test(result.text) && parts.get('hour')! === 0),
      ) *
        HOUR +
      (parts.get('minute') ?? 0) * MINUTE;
    const endHasTime = !!end?.isCertain('hour');
    said = {
      ...said,
      ...(hasDay ? { day: dayOf(start) } : {}),
      ...(hasTime && said.time === undefined ? { time: timeOf(start) } : {}),
      ...(end && !endHasTime ? { endDay: dayOf(end) } : {}),
      ...(end && endHasTime && said.endTime === undefined
        ? { endTime: timeOf(end), endDay: dayOf(end) }
        : {}),
      spans: [...said.spans, span],
    };
  }
  return said;
}

/** The text with spans blanked out, so that places in it stay the same. */
export function mask(text: string, spans: readonly TextSpan[]): string {
  return spans.reduce(
    (masked, span) =>
      masked.slice(0, span.from) + '\u0001'.repeat(span.to - span.from) + masked.slice(span.to),
    text,
  );
}
