import type { CalendarEvent } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { Series } from '../recurrence/series';
import type { DayOffLookup } from '../recurrence/skipDaysOff';
import { DAY } from '../time/civil';
import { zoneOf } from '../time/eventTime';
import { instantToWall } from '../time/zones';

/** A date of a series that is not as the series says, by the wall time of its original start. */
export type SeriesException =
  | { readonly kind: 'changed'; readonly wall: number; readonly event: CalendarEvent }
  | { readonly kind: 'left-out'; readonly wall: number; readonly date: EventTime }
  /** On a day off: left out (no shown wall time), or moved. */
  | { readonly kind: 'day-off'; readonly wall: number; readonly shownWall: number | undefined }
  | { readonly kind: 'further'; readonly wall: number };

/**
 * Everything in which a series departs from its rules, by original start. Changes, dates left out and further dates are
 * all given; those on days off within a window of instants.
 */
export function exceptionsOf(
  event: CalendarEvent,
  overrides: readonly CalendarEvent[],
  daysOff: DayOffLookup | undefined,
  window: { start: number; end: number },
  viewZone: string,
): SeriesException[] {
  const series = new Series(event);
  const recurrence = event.recurrence;
  if (!recurrence) return [];
  const wallIn = (time: EventTime) => series.wallOfRecurrenceId(time, viewZone);
  const found: SeriesException[] = [
    ...overrides.flatMap((override): SeriesException[] =>
      override.recurrenceId
        ? [{ kind: 'changed', wall: wallIn(override.recurrenceId), event: override }]
        : [],
    ),
    ...recurrence.exceptionDates
      .map((date): SeriesException => ({ kind: 'left-out', wall: wallIn(date), date }))
      // A date that the rules make no more leaves nothing out.
      .filter(({ wall }) => series.makes(wall, viewZone)),
    ...[...recurrence.dates, ...(recurrence.periods ?? []).map((period) => period.start)].map(
      (date): SeriesException => ({ kind: 'further', wall: wallIn(date) }),
    ),
  ];
  if (daysOff) {
    const zone = zoneOf(event.start, viewZone);
    const changed = new Set(found.filter(({ kind }) => kind === 'changed').map(({ wall }) => wall));
    const from = instantToWall(zone, window.start) - DAY;
    for (const { wall } of series.between(window, viewZone)) {
      if (wall < from || changed.has(wall)) continue;
      const shownWall = series.shownWallOf(wall, viewZone, daysOff);
      if (shownWall !== wall) found.push({ kind: 'day-off', wall, shownWall });
    }
  }
  return found.sort((a, b) => a.wall - b.wall);
}
