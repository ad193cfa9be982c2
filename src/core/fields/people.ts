import type { CalendarUser, Conference } from '../model/calendarUser';
import type { JCalProperty } from '../model/jcal';
import type { PropertyCodec } from './field';

const addressed = (name: string, { address, parameters }: CalendarUser): JCalProperty => [
  name,
  parameters,
  'cal-address',
  address,
];
const userOf = ([, parameters, , address]: JCalProperty): CalendarUser => ({
  address: String(address),
  parameters,
});
/** Undefined for none: an event that nobody is invited to says nothing of it. */
const orNone = <Item>(items: Item[]): Item[] | undefined => (items.length > 0 ? items : undefined);

/** ORGANIZER (RFC 5545 3.8.4.3). */
export const organizerProperty: PropertyCodec<CalendarUser | undefined> = {
  names: ['organizer'],
  holdsParameters: true,
  read: ({ all }) => all('organizer').slice(0, 1).map(userOf)[0],
  write: (value) => (value ? [addressed('organizer', value)] : []),
};

/** ATTENDEE (RFC 5545 3.8.4.1). */
export const attendeesProperty: PropertyCodec<CalendarUser[] | undefined> = {
  names: ['attendee'],
  isRepeated: true,
  holdsParameters: true,
  read: ({ all }) => orNone(all('attendee').map(userOf)),
  write: (value) => (value ?? []).map((user) => addressed('attendee', user)),
};

/** CONFERENCE (RFC 7986 5.11). */
export const conferencesProperty: PropertyCodec<Conference[] | undefined> = {
  names: ['conference'],
  isRepeated: true,
  holdsParameters: true,
  read: ({ all }) =>
    orNone(all('conference').map(([, parameters, , uri]) => ({ uri: String(uri), parameters }))),
  write: (value) => (value ?? []).map(({ uri, parameters }) => ['conference', parameters, 'uri', uri]),
};
