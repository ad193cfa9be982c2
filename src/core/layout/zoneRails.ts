import { DAY, MINUTE } from '../time/civil';
import { instantToWall, wallToInstant } from '../time/zones';

/** What a zone's clock shows, as wall time, at a minute of the viewer's day. */
const wallInZone = (viewZone: string, zone: string, day: number, minute: number): number =>
  instantToWall(zone, wallToInstant(viewZone, day * DAY + minute * MINUTE));

/** A line of a zone rail: a minute of the viewer's day, and the zone's wall time then. */
export interface RailLine {
  readonly minute: number;
  readonly wall: number;
}

/** The lines of a zone rail at given minutes of a day. */
export const railLines = (
  viewZone: string,
  zone: string,
  day: number,
  minutes: readonly number[],
): RailLine[] => minutes.map((minute) => ({ minute, wall: wallInZone(viewZone, zone, day, minute) }));

/** Where, within [from, to) minutes of a day, a zone's date changes, and the day number that begins; undefined if nowhere. */
export function dateChange(
  viewZone: string,
  zone: string,
  day: number,
  from: number,
  to: number,
): { minute: number; day: number } | undefined {
  const dayAt = (minute: number) => Math.floor(wallInZone(viewZone, zone, day, minute) / DAY);
  const before = dayAt(from);
  if (dayAt(to) === before) return undefined;
  let low = from;
  let high = to;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (dayAt(middle) === before) low = middle;
    else high = middle;
  }
  return high < to ? { minute: high, day: dayAt(high) } : undefined;
}

/** The first of the shown days on which a zone lies otherwise than on the first, and by how many milliseconds. */
export function differenceChange(
  viewZone: string,
  zone: string,
  days: readonly number[],
): { day: number; by: number } | undefined {
  const difference = (day: number) => wallInZone(viewZone, zone, day, 720) - day * DAY - 720 * MINUTE;
  const [first] = days;
  if (first === undefined) return undefined;
  const day = days.find((other) => difference(other) !== difference(first));
  return day === undefined ? undefined : { day, by: difference(day) - difference(first) };
}
