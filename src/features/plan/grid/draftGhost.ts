import type { EventFields } from '@/core/model/entry';
import { type Target, targetKey } from '@/core/change/target';
import type { Calendar } from '@/core/model/calendar';
import { DAY } from '@/core/time/civil';
import { instantOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import type { Ghost } from './ghost';

/** The dashed card of an entry that is being written. */
export function draftGhost(
  fields: EventFields,
  edits: Target | undefined,
  calendars: readonly Calendar[],
  zone: string,
): Ghost {
  const calendar = calendars.find(({ id }) => id === fields.calendarId);
  const start = instantOf(fields.start, zone);
  const end = instantOf(fields.end, zone);
  return {
    key: undefined,
    edits: edits && targetKey(edits),
    title: fields.title,
    colour: calendar?.colour ?? 'slate',
    mark: calendar?.mark ?? '',
    calendarId: calendar?.id,
    startWall: instantToWall(zone, start),
    endWall: instantToWall(zone, end),
    allDay: fields.start.kind === 'date' || end - start >= DAY,
    copy: false,
    settling: false,
  };
}
