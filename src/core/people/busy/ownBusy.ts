import type { BusySpan } from '../../model/busyTimes';
import { type Occurrence, takenRange } from '../../schedule/occurrence';

/** What takes one's own time of what occurs, with the ways there and back: what is free, dropped or declined does not. */
export const ownBusy = (occurrences: readonly Occurrence[]): BusySpan[] =>
  occurrences.flatMap((occurrence): BusySpan[] => {
    const { availability, status, title, location } = occurrence;
    if (availability === 'free' || status === 'cancelled') return [];
    const isTentative = availability === 'tentative' || status === 'tentative';
    const { start, end } = takenRange(occurrence);
    return end > start
      ? [
          {
            start,
            end,
            kind: availability === 'away' ? 'away' : isTentative ? 'tentative' : 'busy',
            title,
            place: location,
          },
        ]
      : [];
  });
