import type { Conference } from '../model/calendarUser';
import type { CalendarEvent, EventFields } from '../model/entry';
import type { Settings } from '../model/settings';
import { MINUTE } from '../time/civil';

/** The path under which the stand-in for online meetings has its rooms. */
const MEETING_PATH = '/meet/';
/** How the place is called of what is held online. */
export const ONLINE = 'online';

/** So long before it starts one is offered to join, in milliseconds. */
const BEFORE = 5 * MINUTE;

/** What makes a meeting room: the address of the server, and a name that nobody guesses. */
export interface MeetingRooms {
  readonly origin: string;
  readonly newSecret: () => string;
}

/** A room of its own for an online meeting (CONFERENCE, RFC 7986 5.11). */
export const newMeeting = ({ origin, newSecret }: MeetingRooms): Conference => ({
  uri: `${origin}${MEETING_PATH}${newSecret()}`,
  parameters: { feature: ['AUDIO', 'VIDEO'], label: 'Online meeting' },
});

/** Fields of a new entry, with a room where it is held online with others, or where that is set for all entries with people. */
export function withMeeting(
  fields: EventFields,
  { onlineWithGuests }: Pick<Settings, 'onlineWithGuests'>,
  rooms: MeetingRooms,
): EventFields {
  const hasGuests = (fields.attendees ?? []).length > 0;
  const isWanted = hasGuests && (onlineWithGuests === true || fields.location.toLowerCase() === ONLINE);
  return isWanted && !fields.conferences ? { ...fields, conferences: [newMeeting(rooms)] } : fields;
}

/** Where one joins an entry from afar: its conference, or its link. */
export const joinLink = ({
  conferences,
  url,
}: Pick<CalendarEvent, 'conferences' | 'url'>): string | undefined =>
  [...(conferences ?? []).map(({ uri }) => uri), url].find((link) => /^https?:\/\//.test(link));

/** Whether it is time to join: from five minutes before the start to the end. Instants in milliseconds. */
export const isTimeToJoin = (span: { readonly start: number; readonly end: number }, now: number): boolean =>
  now >= span.start - BEFORE && now < span.end;
