import type { Calendar } from '../model/calendar';
import type { EventTime } from '../model/eventTime';
import { localString } from '../time/civil';
import { instantOf } from '../time/eventTime';
import { instantToWall } from '../time/zones';

/** The same instant on the clock of a calendar's home zone, for a new entry that was given in the zone of the view. */
export function inCalendarZone(
  time: EventTime,
  calendar: Pick<Calendar, 'zone'> | undefined,
  viewZone: string,
): EventTime {
  if (time.kind !== 'zoned' || time.zone !== viewZone || !calendar?.zone || calendar.zone === viewZone)
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
