import { blankFields } from '@/core/change/eventFields';
import type { EventFields } from '@/core/model/entry';
import type { Person } from '@/core/model/person';
import { guestOf } from '@/core/people/guests';
import type { Proposal } from '@/core/people/gaps/gapQuery';
import { zonedAt } from '@/core/time/eventTime';

/** An entry at a time that was found: with those who come to it, in the room that is free for it. */
export function draftOf(
  { start, end, roomId, missing }: Proposal,
  people: readonly Person[],
  rooms: readonly Person[],
  optional: readonly string[],
  where: { readonly calendarId: string; readonly zone: string },
): EventFields {
  const blank = blankFields(where.calendarId, zonedAt(start, where.zone), zonedAt(end, where.zone));
  const room = rooms.find(({ id }) => id === roomId);
  const coming = people.filter(({ id, addresses }) => !missing.includes(id) && addresses.length > 0);
  const attendees = [
    ...coming.map((person) => guestOf(person, !optional.includes(person.id))),
    ...(room && room.addresses.length > 0 ? [guestOf(room, true)] : []),
  ];
  return {
    ...blank,
    ...(attendees.length > 0 ? { attendees } : {}),
    ...(room ? { location: room.name } : {}),
  };
}
