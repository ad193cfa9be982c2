import type { Dated } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { atInstant, atWall, instantOf, wallOf } from '../time/eventTime';
import type { Series } from './series';

/** A change that holds from one occurrence on (RANGE=THISANDFUTURE, RFC 5545 3.8.4.4), by its original start. */
export interface RangeChange<Kept extends Dated = Dated> {
  readonly wall: number;
  readonly event: Kept;
}

/** The changes of a series that hold for later occurrences too, by original start. */
export function rangeChanges<Kept extends Dated>(
  series: Series,
  overrides: Iterable<Kept>,
  viewZone: string,
): RangeChange<Kept>[] {
  const changes: RangeChange<Kept>[] = [];
  for (const event of overrides)
    if (event.recurrenceRange && event.recurrenceId)
      changes.push({ wall: series.wallOfRecurrenceId(event.recurrenceId, viewZone), event });
  return changes.sort((a, b) => a.wall - b.wall);
}

/** The change that governs an occurrence, or undefined: the last one that begins before it. */
export const rangeChangeAt = <Kept extends Dated>(
  ranges: readonly RangeChange<Kept>[],
  wall: number,
): RangeChange<Kept> | undefined => ranges.findLast((range) => range.wall < wall);

/** What an occurrence is like: the entry that its fields come from, and its start and end. */
export interface OccurrenceShape<Kept extends Dated = Dated> {
  readonly fields: Kept;
  readonly start: EventTime;
  readonly end: EventTime;
}

/** The end of an entry moved to another start: exact for zoned times, nominal for dates and floating ones. */
export function endAfter(event: Dated, start: EventTime, zone: string): EventTime {
  if (event.start.kind !== 'zoned')
    return atWall(event.end, wallOf(start) + wallOf(event.end) - wallOf(event.start));
  const length = instantOf(event.end, zone) - instantOf(event.start, zone);
  return atInstant(event.end, instantOf(start, zone) + length, zone);
}

/**
 * The shape of an occurrence that is shown at a wall time of its series' clock. A governing change moves it by as much
 * as it moved its own occurrence, and gives it its own length (RFC 5545 3.8.4.4).
 */
export function shapeAt<Kept extends Dated>(
  series: Kept,
  shownWall: number,
  range: RangeChange<Kept> | undefined,
  zone: string,
): OccurrenceShape<Kept> {
  const start = atWall(series.start, shownWall);
  if (!range) return { fields: series, start, end: endAfter(series, start, zone) };
  const { event } = range;
  const original = atWall(series.start, range.wall);
  const isSameClock =
    event.start.kind === series.start.kind &&
    (event.start.kind !== 'zoned' || series.start.kind !== 'zoned' || event.start.zone === series.start.zone);
  const moved = isSameClock
    ? atWall(event.start, shownWall + wallOf(event.start) - range.wall)
    : atInstant(
        event.start,
        instantOf(start, zone) + instantOf(event.start, zone) - instantOf(original, zone),
        zone,
      );
  return { fields: event, start: moved, end: endAfter(event, moved, zone) };
}
