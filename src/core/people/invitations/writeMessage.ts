import { writeCalendarFile } from '../../interchange/icalendar/writeCalendarFile';
import { attendeesProperty, organizerProperty } from '../../fields/people';
import type { CalendarEvent } from '../../model/entry';
import type { JCalComponent, JCalProperty } from '../../model/jcal';
import { localString } from '../../time/civil';
import { instantOf } from '../../time/eventTime';
import type { ItipMessage, ItipPart } from './itipMessage';

const utc = (instant: number): string => `${localString(Math.floor(instant / 1000) * 1000)}Z`;
const commentOf = ({ comment }: ItipPart): JCalProperty[] =>
  comment === '' ? [] : [['comment', {}, 'text', comment]];

/** A part that names an entry or a date and says nothing of its time. */
function namedOnly({ uid, sequence, stamp, organizer }: ItipMessage, part: ItipPart): JCalComponent {
  const { recurrenceId } = part;
  const date: JCalProperty[] =
    recurrenceId === undefined
      ? []
      : recurrenceId.kind === 'date'
        ? [['recurrence-id', {}, 'date', recurrenceId.date]]
        : recurrenceId.kind === 'floating'
          ? [['recurrence-id', {}, 'date-time', recurrenceId.local]]
          : [['recurrence-id', {}, 'date-time', utc(instantOf(recurrenceId, recurrenceId.zone))]];
  const common = { preserved: undefined } as unknown as CalendarEvent;
  return [
    'vevent',
    [
      ['uid', {}, 'text', uid],
      ['dtstamp', {}, 'date-time', utc(stamp)],
      ...date,
      ...organizerProperty.write(organizer, common),
      ...attendeesProperty.write([...part.attendees], common),
      ...commentOf(part),
      ['sequence', {}, 'integer', sequence],
    ],
    [],
  ];
}

/** An entry with what the message says of it. */
function spoken({ uid, sequence, organizer }: ItipMessage, part: ItipPart): CalendarEvent | undefined {
  const { event, attendees } = part;
  if (!event) return undefined;
  const { preserved } = event;
  const comment = commentOf(part);
  const { attendees: _, organizer: __, preserved: ___, ...rest } = event;
  return {
    ...rest,
    uid,
    sequence,
    ...(organizer ? { organizer } : {}),
    ...(attendees.length > 0 ? { attendees: [...attendees] } : {}),
    ...(preserved || comment.length > 0
      ? {
          preserved: {
            components: [],
            ...preserved,
            properties: [...(preserved?.properties ?? []), ...comment],
          },
        }
      : {}),
  };
}

/** A message as a calendar text (RFC 5546 3.2), as it goes out by mail. */
export function writeMessage(message: ItipMessage): string {
  const events = message.parts.flatMap((part) => spoken(message, part) ?? []);
  const named = message.parts.filter(({ event }) => !event).map((part) => namedOnly(message, part));
  return writeCalendarFile(
    events,
    {
      name: '',
      description: '',
      preserved: { properties: [['method', {}, 'text', message.method]], components: named },
    },
    { withoutHistory: { ids: new Set(events.map(({ id }) => id)), now: message.stamp } },
  );
}
