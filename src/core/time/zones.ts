import { DAY, MINUTE } from './civil';

/** A span of instants [start, end) in which a zone's offset does not change. */
interface OffsetSegment {
  readonly start: number;
  readonly end: number;
  /** Milliseconds to add to an instant to read the zone's wall clock. */
  readonly offset: number;
}

/**
 * The offsets of one zone. Segments are asked of Temporal once each and found again by binary search,
 * which is some twenty times faster than a conversion by Temporal.
 */
class ZoneOffsets {
  private readonly segments: OffsetSegment[] = [];
  private latest: OffsetSegment | undefined;

  constructor(private readonly zone: string) {}

  segmentAt(instant: number): OffsetSegment {
    const latest = this.latest;
    if (latest && instant >= latest.start && instant < latest.end) return latest;
    let low = 0;
    let high = this.segments.length;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (this.segments[middle]!.start <= instant) low = middle + 1;
      else high = middle;
    }
    const before = this.segments[low - 1];
    if (before && instant < before.end) return (this.latest = before);
    const found = this.ask(instant);
    this.segments.splice(low, 0, found);
    return (this.latest = found);
  }

  private ask(instant: number): OffsetSegment {
    const at = Temporal.Instant.fromEpochMilliseconds(Math.floor(instant)).toZonedDateTimeISO(this.zone);
    const previous = at.add({ milliseconds: 1 }).getTimeZoneTransition('previous');
    const next = at.getTimeZoneTransition('next');
    return {
      start: previous?.epochMilliseconds ?? -Infinity,
      end: next?.epochMilliseconds ?? Infinity,
      offset: at.offsetNanoseconds / 1e6,
    };
  }
}

const known = new Map<string, ZoneOffsets | null>();

function offsetsOf(zone: string): ZoneOffsets | null {
  const cached = known.get(zone);
  if (cached !== undefined) return cached;
  const offsets = hasName(zone) ? new ZoneOffsets(zone) : null;
  known.set(zone, offsets);
  return offsets;
}

function hasName(zone: string): boolean {
  try {
    return zone !== '' && offsetOnce(zone, 0) !== undefined;
  } catch {
    return false;
  }
}

/**
 * Milliseconds between UTC and a zone's clock at one instant, positive to the east. Remembers nothing: for a look over
 * many zones at once, where `offsetAt` would read the clock changes of each.
 * @throws RangeError for an unknown zone
 */
export const offsetOnce = (zone: string, instant: number): number =>
  Temporal.Instant.fromEpochMilliseconds(Math.floor(instant)).toZonedDateTimeISO(zone).offsetNanoseconds /
  1e6;

function requireOffsets(zone: string): ZoneOffsets {
  const offsets = offsetsOf(zone);
  if (!offsets) throw new RangeError(`unknown time zone: ${zone}`);
  return offsets;
}

/** Whether the runtime's zone data has a zone of this name. */
export const isKnownZone = (zone: string): boolean => offsetsOf(zone) !== null;

/**
 * Milliseconds between UTC and the zone's wall clock at an instant, positive to the east.
 * @throws RangeError for an unknown zone
 */
export const offsetAt = (zone: string, instant: number): number =>
  requireOffsets(zone).segmentAt(instant).offset;

/** The zone's wall time (milliseconds, see civil.ts) at an instant. */
export const instantToWall = (zone: string, instant: number): number => instant + offsetAt(zone, instant);

/**
 * The instant at which the zone's clock shows a wall time. A time that a clock change skips is read with
 * the offset before the gap, so it moves on by the gap; one that occurs twice is the first (RFC 5545 3.3.5).
 */
export function wallToInstant(zone: string, wall: number): number {
  const offsets = requireOffsets(zone);
  const before = offsets.segmentAt(wall - DAY).offset;
  const after = offsets.segmentAt(wall + DAY).offset;
  if (before === after) return wall - before;
  if (offsets.segmentAt(wall - before).offset === before) return wall - before;
  if (offsets.segmentAt(wall - after).offset === after) return wall - after;
  return wall - before;
}

/** The instant at which the zone's day begins (midnight, or the end of a gap over midnight). */
export const startOfDay = (zone: string, day: number): number => wallToInstant(zone, day * DAY);

/** The next change of the zone's offset after an instant, or undefined. */
export function nextTransition(zone: string, instant: number): number | undefined {
  const end = requireOffsets(zone).segmentAt(instant).end;
  return Number.isFinite(end) ? end : undefined;
}

/** `+01:00` of an offset in milliseconds. */
export function offsetString(offset: number, separator = ':'): string {
  const minutes = Math.abs(Math.round(offset / MINUTE));
  const two = (value: number) => String(value).padStart(2, '0');
  return `${offset < 0 ? '-' : '+'}${two(Math.floor(minutes / 60))}${separator}${two(minutes % 60)}`;
}

/** The names of all zones of the runtime, with UTC. */
export const allZones = (): string[] => [...new Set(['UTC', ...Intl.supportedValuesOf('timeZone')])].sort();

/** A zone's city as its name gives it: `America/Argentina/Buenos_Aires` is "Buenos Aires". */
export const cityOf = (zone: string): string => (zone.split('/').pop() ?? zone).replaceAll('_', ' ');

/** "UTC+01:00" at an instant; "UTC" for none. */
export function offsetName(zone: string, instant: number): string {
  const offset = offsetOnce(zone, instant);
  return offset === 0 ? 'UTC' : `UTC${offsetString(offset)}`;
}
