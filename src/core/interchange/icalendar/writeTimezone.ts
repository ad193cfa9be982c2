import { WEEKDAY_CODES } from '../../recurrence/rule';
import { placeInMonth } from '../../recurrence/choices';
import { civilDate, DAY, dayNumber, localString, weekdayOf } from '../../time/civil';
import { nextTransition, offsetAt, offsetString } from '../../time/zones';

/** The instants that a zone is needed for; endless where `last` is infinite. */
export interface ZoneSpan {
  readonly first: number;
  readonly last: number;
}

/** At most this many changes of the clock are written for one zone: a century. */
const MOST_CHANGES = 200;
/** How many changes, year by year, must agree on the rule that an endless span ends in. */
const AGREEING = 8;

/** By then the zones of the database change by rules that go on. */
const LAST_KNOWN_CHANGES = dayNumber(2040, 1, 1) * DAY;

interface Observance {
  readonly name: 'STANDARD' | 'DAYLIGHT';
  readonly from: number;
  readonly to: number;
  /** Wall times, in milliseconds, on the clock before the change. */
  readonly onsets: number[];
}

const compact = (wall: number): string => localString(wall).replaceAll(/[-:]/g, '');

/** The yearly rule of an onset, by its place from the start or the end of its month; equal for onsets of the same rule. */
function yearlyRule(wall: number, place: 'ordinal' | 'fromEnd'): string {
  const day = Math.floor(wall / DAY);
  const ordinal = placeInMonth(day)[place];
  return `FREQ=YEARLY;BYMONTH=${civilDate(day).month};BYDAY=${ordinal}${WEEKDAY_CODES[weekdayOf(day) - 1]}`;
}

/** Where the last onsets that one yearly rule makes begin, and that rule; undefined if there is none. */
function closingRule(onsets: readonly number[]): { from: number; rule: string } | undefined {
  const last = onsets.at(-1);
  if (last === undefined) return undefined;
  const timeOfDay = (wall: number) => wall - Math.floor(wall / DAY) * DAY;
  const year = (wall: number) => civilDate(Math.floor(wall / DAY)).year;
  let best: { from: number; rule: string } | undefined;
  for (const place of ['ordinal', 'fromEnd'] as const) {
    const rule = yearlyRule(last, place);
    let from = onsets.length - 1;
    while (
      from > 0 &&
      yearlyRule(onsets[from - 1]!, place) === rule &&
      timeOfDay(onsets[from - 1]!) === timeOfDay(last) &&
      year(onsets[from - 1]!) === year(onsets[from]!) - 1
    )
      from--;
    if (onsets.length - from >= AGREEING && (!best || from < best.from)) best = { from, rule };
  }
  return best;
}

function observanceLines({ name, from, to }: Observance, first: number, more: readonly string[]): string[] {
  return [
    `BEGIN:${name}`,
    `DTSTART:${compact(first)}`,
    ...more,
    `TZOFFSETFROM:${offsetString(from, '')}`,
    `TZOFFSETTO:${offsetString(to, '')}`,
    `END:${name}`,
  ];
}

/** Some readers leave DTSTART out where there are further dates, so it stands among them. */
const dateLines = (onsets: readonly number[]): string[] =>
  onsets.length > 1 ? onsets.map((onset) => `RDATE:${compact(onset)}`) : [];

/** The changes of a zone's clock from an instant to another, of each kind apart; first of all how the clock stands. */
function observancesBetween(zone: string, begin: number, last: number): Observance[] {
  const changes: { at: number; from: number; to: number }[] = [
    { at: begin, from: offsetAt(zone, begin), to: offsetAt(zone, begin) },
  ];
  for (
    let at = nextTransition(zone, begin);
    at !== undefined && at <= last && changes.length < MOST_CHANGES;
    at = nextTransition(zone, at)
  )
    changes.push({ at, from: offsetAt(zone, at - 1), to: offsetAt(zone, at) });
  const lowest = Math.min(...changes.map((change) => change.to));
  const observances = new Map<string, Observance>();
  for (const { at, from, to } of changes) {
    const key = `${from}/${to}`;
    const name = to === lowest ? 'STANDARD' : 'DAYLIGHT';
    const observance = observances.get(key) ?? { name, from, to, onsets: [] };
    observance.onsets.push(at + from);
    observances.set(key, observance);
  }
  return [...observances.values()];
}

/** The observances of an endless span, those that go on each with the yearly rule that it ends in. */
function endless(
  zone: string,
  begin: number,
): { observance: Observance; closing: { from: number; rule: string } | undefined }[] {
  const read = (last: number) => {
    const observances = observancesBetween(zone, begin, last);
    const latest = Math.max(...observances.map(({ onsets }) => onsets.at(-1)!));
    return observances.map((observance) => {
      const goesOn = observance.onsets.at(-1)! > latest - 366 * DAY && observance.onsets.length > 1;
      return { observance, goesOn, closing: goesOn ? closingRule(observance.onsets) : undefined };
    });
  };
  const found = read(Math.max(begin + 12 * 366 * DAY, LAST_KNOWN_CHANGES));
  // A zone that changes by no rule of the year is written date by date, as far as its changes are known.
  return found.every(({ goesOn, closing }) => !goesOn || closing) ? found : read(Infinity);
}

/**
 * The lines of a VTIMEZONE (RFC 5545 3.6.5) that is right for every instant of a span: each change of the offset
 * stands as a date of its STANDARD or DAYLIGHT part; an endless span ends in a yearly rule, where the zone has one.
 * Winter time counts as standard.
 */
export function writeTimezone(zone: string, span: ZoneSpan): string[] {
  const begin = span.first - 2 * DAY;
  const parts = Number.isFinite(span.last)
    ? observancesBetween(zone, begin, span.last).map((observance) => ({ observance, closing: undefined }))
    : endless(zone, begin);
  return [
    'BEGIN:VTIMEZONE',
    `TZID:${zone}`,
    ...parts.flatMap(({ observance, closing }) => {
      const { onsets } = observance;
      if (!closing) return observanceLines(observance, onsets[0]!, dateLines(onsets));
      const before = onsets.slice(0, closing.from);
      return [
        ...(before.length > 0 ? observanceLines(observance, before[0]!, dateLines(before)) : []),
        ...observanceLines(observance, onsets[closing.from]!, [`RRULE:${closing.rule}`]),
      ];
    }),
    'END:VTIMEZONE',
  ];
}
