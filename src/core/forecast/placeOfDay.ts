import type { WorkingDay } from '../model/settings';
import { daysOf, isRibbon, type Occurrence } from '../schedule/occurrence';
import { takesTime } from '../schedule/standing';

/** What the places of an ordinary day are called; an empty name is none. */
export interface OrdinaryPlaces {
  readonly home: string;
  readonly office: string;
}

/** Whether something leads elsewhere for the day: it takes it, and has a place. */
const isTrip = (occurrence: Occurrence, day: number): boolean =>
  isRibbon(occurrence) &&
  occurrence.location.trim() !== '' &&
  takesTime(occurrence) &&
  daysOf(occurrence).first <= day &&
  daysOf(occurrence).end > day;

/**
 * Where one is on a day: at the place of a trip that takes it, else on the road at the first place of the day that one
 * travels to, else in the office or at home as the working pattern says. Undefined where that has no name.
 */
export function placeOfDay(
  day: number,
  occurrences: readonly Occurrence[],
  { place, spans }: WorkingDay,
  { home, office }: OrdinaryPlaces,
): string | undefined {
  const trip = occurrences.find((each) => isTrip(each, day));
  if (trip) return trip.location.trim();
  if (place === 'travel' && spans.length > 0) {
    const there = occurrences
      .filter(
        (each) => !each.allDay && each.ways && each.location.trim() !== '' && daysOf(each).first === day,
      )
      .sort((a, b) => a.start - b.start)[0];
    if (there) return there.location.trim();
  }
  const ordinary = place === 'office' && spans.length > 0 ? office.trim() || home.trim() : home.trim();
  return ordinary || undefined;
}
