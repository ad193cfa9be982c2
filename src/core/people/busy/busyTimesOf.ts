import type { BusyTimes } from '../../model/busyTimes';
import type { FreeBusy } from './freeBusyFile';

/** What was read of somebody at an instant, as it is kept. */
export const busyTimesOf = (id: string, { range, depth, spans }: FreeBusy, readAt: number): BusyTimes => ({
  id,
  readAt,
  from: range.start,
  until: range.end,
  depth,
  spans: [...spans],
});
