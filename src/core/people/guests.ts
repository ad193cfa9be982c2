import type { CalendarUser } from '../model/calendarUser';
import type { Person } from '../model/person';
import { plainAddress } from './peopleInOrder';

const said = ({ parameters }: CalendarUser, name: string): string =>
  [parameters[name] ?? ''].flat().join(',').toUpperCase();

/** Somebody as a guest of an entry (ATTENDEE, RFC 5545 3.8.4.1): has to come or need not, and has not answered yet. */
export function guestOf(
  { name, kind, addresses }: Pick<Person, 'name' | 'kind' | 'addresses'>,
  isRequired: boolean,
): CalendarUser {
  return {
    address: `mailto:${addresses[0] ?? ''}`,
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

/** What a guest answered (PARTSTAT, RFC 5545 3.2.12); without a word, nothing yet. */
export const answerOf = (guest: CalendarUser): string => said(guest, 'partstat') || 'NEEDS-ACTION';

/** What a guest is called: their name, or their address. */
export const guestName = (guest: CalendarUser): string =>
  [guest.parameters.cn ?? ''].flat().join(' ').trim() || guest.address.replace(/^mailto:/i, '');

/** The guest made one who need not come, or who has to. */
export const asOptional = (guest: CalendarUser, optional: boolean): CalendarUser => ({
  ...guest,
  parameters: { ...guest.parameters, role: optional ? 'OPT-PARTICIPANT' : 'REQ-PARTICIPANT' },
});

/** Guests with one more; who is among them already stays as they are. */
export const withGuest = (guests: readonly CalendarUser[], guest: CalendarUser): CalendarUser[] =>
  guests.some(({ address }) => plainAddress(address) === plainAddress(guest.address))
    ? [...guests]
    : [...guests, guest];

/** Whether some text is an e-mail address, as far as that can be told. */
export const isAddress = (text: string): boolean => /^[^\s@,;<>]+@[^\s@,;<>]+$/.test(text.trim());
