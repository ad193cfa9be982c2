import { DAY, MINUTE } from './civil';
import { instantToWall, nextTransition, offsetAt, startOfDay, wallToInstant } from './zones';

/** A change of a zone's clock within a day, which then has fewer or more than 24 hours. Minutes of the wall clock. */
export interface ClockChange {
  /** The instant of the change. */
  readonly instant: number;
  /** `skipped`: the clock leaps from `at` to `at + length`. `repeated`: at `at` it goes back by `length`. */
  readonly kind: 'skipped' | 'repeated';
  readonly at: number;
  readonly length: number;
}

/** The clock change on a day in a zone, or undefined. */
export function clockChangeOn(zone: string, day: number): ClockChange | undefined {
  const start = startOfDay(zone, day);
  const instant = nextTransition(zone, start);
  if (instant === undefined || instant >= startOfDay(zone, day + 1)) return undefined;
  const before = offsetAt(zone, instant - 1);
  const by = (offsetAt(zone, instant) - before) / MINUTE;
  if (by === 0) return undefined;
  const at = (instant + before - day * DAY) / MINUTE;
  return { instant, kind: by > 0 ? 'skipped' : 'repeated', at, length: Math.abs(by) };
}

/** A wall time that a clock change leaves out, with the one that it is read as, or that comes twice, with both instants. */
export type UnclearWall =
  | { readonly kind: 'skipped'; readonly becomes: number }
  | { readonly kind: 'repeated'; readonly first: number; readonly second: number };

/** What a clock change makes of a wall time in a zone (RFC 5545 3.3.5); undefined for all times but those of the change. */
export function unclearWall(zone: string, wall: number): UnclearWall | undefined {
  const first = wallToInstant(zone, wall);
  const becomes = instantToWall(zone, first);
  if (becomes !== wall) return { kind: 'skipped', becomes };
  const change = nextTransition(zone, first);
  if (change === undefined || change - first >= DAY) return undefined;
  const second = wall - offsetAt(zone, change);
  return second >= change && instantToWall(zone, second) === wall
    ? { kind: 'repeated', first, second }
    : undefined;
}
