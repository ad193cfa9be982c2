import type { EventTime } from '../model/eventTime';
import { DAY, dateString, localString, parseDate, parseLocal } from './civil';
import { instantToWall, isKnownZone, wallToInstant } from './zones';

/** A half-open range of instants in milliseconds. */
export interface InstantRange {
  readonly start: number;
  readonly end: number;
}

/** Whether two half-open ranges share an instant; an empty one counts as a point. */
export const rangesOverlap = (a: InstantRange, b: InstantRange): boolean =>
  (a.start < b.end && b.start < a.end) || (a.start === a.end && b.start <= a.start && a.start < b.end);

/** The wall time, in milliseconds, that an event time shows on its own clock. */
export const wallOf = (time: EventTime): number =>
  time.kind === 'date' ? parseDate(time.date) * DAY : parseLocal(time.local);

/** The zone of an event time, if it names one and its zone is known here. */
export const ownZone = (time: EventTime): string | undefined =>
  time.kind === 'zoned' && isKnownZone(time.zone) ? time.zone : undefined;

/** The zone that an event time names and that is not known here, if it does so. */
export const unknownZone = (time: EventTime): string | undefined =>
  time.kind === 'zoned' && !isKnownZone(time.zone) ? time.zone : undefined;

/** The zone that an event time is read in: its own if it is known, or the viewer's, or UTC where not even that is known. */
export const zoneOf = (time: EventTime, viewZone: string): string =>
  ownZone(time) ?? (isKnownZone(viewZone) ? viewZone : 'UTC');

/** The instant of an event time. Floating times and dates are read in the viewer's zone, as is an unknown zone. */
export const instantOf = (time: EventTime, viewZone: string): number =>
  wallToInstant(zoneOf(time, viewZone), wallOf(time));

/** The same kind of time (date, floating, or in the same zone) at another wall time. */
export function atWall(time: EventTime, wall: number): EventTime {
  if (time.kind === 'date') return { kind: 'date', date: dateString(Math.floor(wall / DAY)) };
  if (time.kind === 'floating') return { kind: 'floating', local: localString(wall) };
  return { kind: 'zoned', local: localString(wall), zone: time.zone };
}

/** The same kind of time at an instant; a date becomes the day that the viewer's zone has then. */
export const atInstant = (time: EventTime, instant: number, viewZone: string): EventTime =>
  atWall(time, instantToWall(zoneOf(time, viewZone), instant));

/** A zoned event time at an instant. */
export const zonedAt = (instant: number, zone: string): EventTime => ({
  kind: 'zoned',
  local: localString(instantToWall(zone, instant)),
  zone,
});

/** A text that is equal for event times of the same wall time: the key of an occurrence in its series. */
export const recurrenceKey = (wall: number, allDay: boolean): string =>
  allDay ? dateString(Math.floor(wall / DAY)) : localString(wall);
