import type { BusySpan } from '../../model/busyTimes';
import { type Occurrence, takenRange } from '../../schedule/occurrence';
import { busyKindOf } from '../../schedule/standing';

/** What takes one's own time of what occurs, with the ways there and back: what is free, dropped or declined does not. */
export const ownBusy = (occurrences: readonly Occurrence[]): BusySpan[] =>
  occurrences.flatMap((occurrence): BusySpan[] => {
    const { title, location } = occurrence;
    const kind = busyKindOf(occurrence);
    const { start, end } = takenRange(occurrence);
    return kind && end > start ? [{ start, end, kind, title, place: location }] : [];
  });
