import { expandRule } from '../../recurrence/expandRule';
import { readRule } from '../../recurrence/choices';
import { dayNumber, DAY, parseLocal } from '../../time/civil';
import { allZones, offsetOnce } from '../../time/zones';
import type { ComponentLines } from './fileText';

/** A change of the clock that a VTIMEZONE says. */
interface ClockChange {
  readonly at: number;
  readonly from: number;
  readonly to: number;
}

/** No clock changes more often within the few years that are looked at, nor by more rules or dates of one part. */
const MOST_CHANGES = 200;
const MOST_RULES = 20;
const MOST_DATES = 1_000;

const valueOf = (component: ComponentLines, name: string): string[] =>
  component.properties
    .filter((line) => new RegExp(`^${name}[:;]`, 'i').test(line.text))
    .map((line) => line.text.slice(line.text.indexOf(':') + 1).trim());

/** `+0530` in milliseconds. */
export function readOffset(text: string | undefined): number | undefined {
  const match = /^([+-])(\d\d)(\d\d)(\d\d)?$/.exec(text ?? '');
  if (!match) return undefined;
  const [, sign, hours, minutes, seconds = '0'] = match;
  return (sign === '-' ? -1 : 1) * (Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds)) * 1000;
}

/** `20270328T010000` as wall time. */
const readLocal = (text: string): number =>
  parseLocal(text.replace(/^(\d{4})(\d\d)(\d\d)T?(\d\d)?(\d\d)?(\d\d)?.*$/, '$1-$2-$3T$4:$5:$6'));

/** The wall times at which one part of a VTIMEZONE changes the clock, within a window of wall time. */
function changesOfPart(
  part: ComponentLines,
  start: number,
  window: { start: number; end: number },
): number[] {
  const dates = valueOf(part, 'RDATE').flatMap((text) => text.split(',', MOST_DATES).map(readLocal));
  const walls = [start, ...dates.slice(0, MOST_DATES)];
  for (const text of new Set(valueOf(part, 'RRULE').slice(0, MOST_RULES))) {
    const rule = readRule(text);
    if (!rule) continue;
    // UNTIL is in UTC here; the year of it is right on any clock.
    const until = rule.until ? parseLocal(`${rule.until.value.slice(0, 10)}T23:59:59`) : Infinity;
    walls.push(...expandRule({ ...rule, until: undefined }, start, window, until, MOST_CHANGES + 1));
  }
  return [...new Set(walls)].filter((wall) => wall >= window.start && wall < window.end);
}

/**
 * The changes of the clock that a VTIMEZONE makes within years, by its rules and dates (RFC 5545 3.6.5), in order; none
 * if there are more than any clock makes.
 */
function clockChanges(timezone: ComponentLines, firstYear: number, endYear: number): ClockChange[] {
  const window = { start: dayNumber(firstYear, 1, 1) * DAY, end: dayNumber(endYear, 1, 1) * DAY };
  const changes: ClockChange[] = [];
  for (const part of timezone.components) {
    const from = readOffset(valueOf(part, 'TZOFFSETFROM')[0]);
    const to = readOffset(valueOf(part, 'TZOFFSETTO')[0]);
    const start = readLocal(valueOf(part, 'DTSTART')[0] ?? '');
    if (from === undefined || to === undefined || !Number.isFinite(start)) continue;
    changes.push(...changesOfPart(part, start, window).map((wall) => ({ at: wall - from, from, to })));
    if (changes.length > MOST_CHANGES) return [];
  }
  return changes.sort((a, b) => a.at - b.at);
}

const midYear = (year: number): readonly number[] => [
  dayNumber(year, 1, 15) * DAY,
  dayNumber(year, 7, 15) * DAY,
];

/** The offsets of zones in the middles of winter and summer, in a year: asked once each. */
const known = new Map<string, readonly number[]>();
export function midYearOffsets(zone: string, year: number): readonly number[] {
  const key = `${zone} ${year}`;
  const offsets = known.get(key) ?? midYear(year).map((instant) => offsetOnce(zone, instant));
  known.set(key, offsets);
  return offsets;
}

/** Zones that are taken before others of the same rules: those of the most people. */
const PRINCIPAL = [
  'Europe/London',
  'Europe/Berlin',
  'Europe/Paris',
  'Europe/Helsinki',
  'Europe/Athens',
  'America/New_York',
  'America/Chicago',
  'America/Denver',
  'America/Phoenix',
  'America/Los_Angeles',
  'America/Halifax',
  'America/Sao_Paulo',
  'Asia/Tokyo',
  'Asia/Shanghai',
  'Asia/Kolkata',
  'Asia/Dubai',
  'Australia/Sydney',
  'Australia/Brisbane',
  'Pacific/Auckland',
];

/**
 * The runtime's zone whose clock does what a VTIMEZONE says in the years around one: the same changes at the same
 * instants, and no others; failing that, one that agrees in the middle of winter and of summer. The preferred one if it
 * fits; undefined if none does, or if the VTIMEZONE says no change then.
 */
export function zoneByRules(timezone: ComponentLines, year: number, preferred: string): string | undefined {
  const changes = clockChanges(timezone, year - 1, year + 3);
  if (changes.length === 0) return undefined;
  const start = dayNumber(year - 1, 1, 1) * DAY;
  const end = dayNumber(year + 3, 1, 1) * DAY;
  const offsetBy = (instant: number) =>
    (changes.findLast((change) => change.at <= instant) ?? { to: changes[0]!.from }).to;
  // Every other week, so that no change of a zone's own goes unseen.
  const samples = Array.from(
    { length: Math.ceil((end - start) / (14 * DAY)) },
    (_, index) => start + index * 14 * DAY,
  );
  const instants = [...changes.flatMap((change) => [change.at - 1000, change.at]), ...samples];
  const fits = (zone: string) => instants.every((instant) => offsetOnce(zone, instant) === offsetBy(instant));
  const [january, july] = midYear(year).map(offsetBy);
  const fitsRoughly = (zone: string) => {
    const offsets = midYearOffsets(zone, year);
    return offsets[0] === january && offsets[1] === july;
  };
  const zones = [preferred, ...PRINCIPAL, ...allZones()].filter(fitsRoughly);
  return zones.find(fits) ?? zones[0];
}
