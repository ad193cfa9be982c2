import { MINUTE } from '../../time/civil';
import type { InstantRange } from '../../time/eventTime';

/** Times begin on quarters of an hour, and at least so far from each other, in milliseconds. */
const QUARTER = 15 * MINUTE;
const APART = 30 * MINUTE;

/**
 * Times of a length within free ones, one after the other, by their starts.
 * @param minutes how long each is
 */
export function slotsWithin(free: readonly InstantRange[], minutes: number): InstantRange[] {
  const length = minutes * MINUTE;
  const step = Math.max(APART, Math.ceil(length / QUARTER) * QUARTER);
  return free.flatMap(({ start, end }) => {
    const slots: InstantRange[] = [];
    for (let at = Math.ceil(start / QUARTER) * QUARTER; at + length <= end; at += step)
      slots.push({ start: at, end: at + length });
    return slots;
  });
}
