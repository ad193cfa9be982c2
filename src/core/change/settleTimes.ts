import type { Dated } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { unclearWall } from '../time/clockChange';
import { atInstant, atWall, instantOf, wallOf } from '../time/eventTime';
import { isKnownZone } from '../time/zones';

/** What a clock change makes of a time: undefined for all but those that it skips or doubles. */
export const unclearTime = (time: EventTime) =>
  time.kind === 'zoned' && isKnownZone(time.zone) ? unclearWall(time.zone, wallOf(time)) : undefined;

/**
 * Start and end with times that the clock shows: one that a clock change skips is moved by the gap (RFC 5545 3.3.5), and
 * the end with the start, so that what was an hour by the clock stays one.
 */
export function settleTimes(
  { start, end }: Pick<Dated, 'start' | 'end'>,
  viewZone: string,
): { start: EventTime; end: EventTime } {
  const length = wallOf(end) - wallOf(start);
  const isOneClock = start.kind === 'zoned' && end.kind === 'zoned' && start.zone === end.zone;
  const settled = (time: EventTime): EventTime => {
    const unclear = unclearTime(time);
    return unclear?.kind === 'skipped' ? atWall(time, unclear.becomes) : time;
  };
  if (unclearTime(start)?.kind !== 'skipped') return { start, end: settled(end) };
  const moved = settled(start);
  return {
    start: moved,
    end:
      isOneClock && length >= 0
        ? atInstant(end, instantOf(moved, viewZone) + length, viewZone)
        : settled(end),
  };
}
