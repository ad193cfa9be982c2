import { DAY, localString } from '../../time/civil';
import { nextTransition, offsetAt, offsetString } from '../../time/zones';

/** At most this many changes of the clock are written for one zone: a century. */
const MOST_CHANGES = 200;

interface Observance {
  readonly name: 'STANDARD' | 'DAYLIGHT';
  readonly from: number;
  readonly to: number;
  readonly onsets: string[];
}

const compact = (wall: number): string => localString(wall).replaceAll(/[-:]/g, '');

/**
 * The lines of a VTIMEZONE (RFC 5545 3.6.5) that is right for every instant of a span: each change of the offset
 * stands as a date of its STANDARD or DAYLIGHT part. Winter time counts as standard.
 */
export function writeTimezone(zone: string, first: number, last: number): string[] {
  const begin = first - 2 * DAY;
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
    observance.onsets.push(compact(at + from));
    observances.set(key, observance);
  }
  return [
    'BEGIN:VTIMEZONE',
    `TZID:${zone}`,
    ...[...observances.values()].flatMap(({ name, from, to, onsets }) => [
      `BEGIN:${name}`,
      `DTSTART:${onsets[0]}`,
      // Some readers leave DTSTART out where there are further dates, so it stands among them.
      ...(onsets.length > 1 ? onsets.map((onset) => `RDATE:${onset}`) : []),
      `TZOFFSETFROM:${offsetString(from, '')}`,
      `TZOFFSETTO:${offsetString(to, '')}`,
      `END:${name}`,
    ]),
    'END:VTIMEZONE',
  ];
}
