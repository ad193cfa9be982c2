import type { Calendar } from '../model/calendar';
import type { EventTime } from '../model/eventTime';
import { localString, MINUTE } from '../time/civil';
import { atWall, instantOf, wallOf } from '../time/eventTime';
import { instantToWall, isKnownZone } from '../time/zones';

/** The same instant on the clock of a calendar's home zone, for a new entry that was given in the zone of the view. */
export function inCalendarZone(
  time: EventTime,
  calendar: Pick<Calendar, 'zone'> | undefined,
  viewZone: string,
): EventTime {
  if (time.kind !== 'zoned' || time.zone !== viewZone || !calendar?.zone || !isKnownZone(calendar.zone))
    return time;
  const wall = instantToWall(calendar.zone, instantOf(time, viewZone));
  return { kind: 'zoned', local: localString(wall), zone: calendar.zone };
}

/** The lengths that are offered for new entries, in minutes. */
export const OFFERED_LENGTHS = [15, 25, 30, 45, 50, 60, 90, 120, 180, 240];

/** How long a new entry of a calendar is, in minutes. */
export const lengthOfNew = (
  calendar: Pick<Calendar, 'defaultLengthMinutes'> | undefined,
  settings: { readonly defaultLengthMinutes: number },
): number => calendar?.defaultLengthMinutes ?? settings.defaultLengthMinutes;

/**
 * The fields that change when a new entry goes to another calendar: one that is as long as is usual for the calendar that
 * it was to go to is as long as is usual for the other.
 */
export function inCalendar(
  { start, end, calendarId: from }: { start: EventTime; end: EventTime; calendarId: string },
  calendarId: string,
  calendars: readonly (Pick<Calendar, 'defaultLengthMinutes'> & { readonly id: string })[],
  settings: { readonly defaultLengthMinutes: number },
): { calendarId: string; end?: EventTime } {
  const usual = (id: string) =>
    lengthOfNew(
      calendars.find((each) => each.id === id),
      settings,
    ) * MINUTE;
  const length = wallOf(end) - wallOf(start);
  const isUsual = start.kind !== 'date' && length === usual(from);
  return { calendarId, ...(isUsual ? { end: atWall(end, wallOf(start) + usual(calendarId)) } : {}) };
}
