import type { CalendarUser } from '../model/calendarUser';
import type { Person } from '../model/person';
import { personOfAddress } from './peopleInOrder';
import { mailtoOf, plainAddress, withoutMailto } from '../model/emailAddress';

const said = ({ parameters }: CalendarUser, name: string): string =>
  [parameters[name] ?? ''].flat().join(',').toUpperCase();

/** Somebody as a guest of an entry (ATTENDEE, RFC 5545 3.8.4.1): has to come or need not, and has not answered yet. */
export function guestOf(
  { name, kind, addresses }: Pick<Person, 'name' | 'kind' | 'addresses'>,
  isRequired: boolean,
): CalendarUser {
  return {
    address: mailtoOf(addresses[0] ?? ''),
    parameters: {
      cn: name,
      cutype: kind === 'room' ? 'ROOM' : 'INDIVIDUAL',
      role: isRequired ? 'REQ-PARTICIPANT' : 'OPT-PARTICIPANT',
      partstat: 'NEEDS-ACTION',
      rsvp: 'TRUE',
    },
  };
}

/** Whether a guest need not come (ROLE, RFC 5545 3.2.16). */
export const isOptional = (guest: CalendarUser): boolean =>
  ['OPT-PARTICIPANT', 'NON-PARTICIPANT'].includes(said(guest, 'role'));

/** Whether a guest is only told of it (NON-PARTICIPANT). */
export const isForInformation = (guest: CalendarUser): boolean => said(guest, 'role') === 'NON-PARTICIPANT';

/** What a guest is called: as one knows them, else as they are named in the entry, else by their address. */
export const nameOfUser = (people: ReadonlyMap<string, Person>, user: CalendarUser): string =>
  personOfAddress(people.values(), user.address)?.name ?? guestName(user);

/** The parts that a guest can have, in the order in which they are gone through: has to come, need not, for information. */
const ROLES = ['REQ-PARTICIPANT', 'OPT-PARTICIPANT', 'NON-PARTICIPANT'] as const;

/** The guest in the next part. */
export function inNextRole(guest: CalendarUser): CalendarUser {
  const at = ROLES.findIndex((role) => role === said(guest, 'role'));
  const role = ROLES[(Math.max(at, 0) + 1) % ROLES.length]!;
  return {
    ...guest,
    // Who is only told of it is not asked for an answer.
    parameters: { ...guest.parameters, role, rsvp: role === 'NON-PARTICIPANT' ? 'FALSE' : 'TRUE' },
  };
}

/** What a guest answered (PARTSTAT, RFC 5545 3.2.12); without a word, nothing yet. */
export const answerOf = (guest: CalendarUser): string => said(guest, 'partstat') || 'NEEDS-ACTION';

/** What a guest is called: their name, or their address. */
export const guestName = (guest: CalendarUser): string =>
  [guest.parameters.cn ?? ''].flat().join(' ').trim() || withoutMailto(guest.address);

/** Guests with one more; who is among them already stays as they are. */
export const withGuest = (guests: readonly CalendarUser[], guest: CalendarUser): CalendarUser[] =>
  guests.some(({ address }) => plainAddress(address) === plainAddress(guest.address))
    ? [...guests]
    : [...guests, guest];
