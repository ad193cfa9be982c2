import { DAY, MINUTE } from './civil';
import { nextTransition, offsetAt, startOfDay } from './zones';

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
