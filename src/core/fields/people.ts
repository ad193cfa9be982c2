import type { CalendarUser, Conference } from '../model/calendarUser';
import { type AnsweredMail, GUESTS_MAY, type GuestsMay, OWN_ANSWERS, type OwnAnswer } from '../model/entry';
import type { JCalProperty } from '../model/jcal';
import { oneOf, textProperties } from './codecs';
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

/** Our property of what was answered to an invitation: the person's own word, where others may stand under many addresses. */
const OWN_ANSWER_PROPERTY = 'x-orderly-week-own-answer';
export const ownAnswerProperty: PropertyCodec<OwnAnswer | undefined> = {
  names: [OWN_ANSWER_PROPERTY],
  read: ({ text }) => oneOf(OWN_ANSWERS, text(OWN_ANSWER_PROPERTY)),
  write: (value) => textProperties(OWN_ANSWER_PROPERTY, value?.toUpperCase() ?? ''),
};

/** Our property of the mail that an entry was made from: its Message-ID, in which no space is, and its subject. */
const ANSWERS_MAIL_PROPERTY = 'x-orderly-week-answers-mail';
export const answersMailProperty: PropertyCodec<AnsweredMail | undefined> = {
  names: [ANSWERS_MAIL_PROPERTY],
  read: ({ text }) => {
    const said = text(ANSWERS_MAIL_PROPERTY);
    const [id = ''] = said.split(' ', 1);
    return id === ''
      ? undefined
      : { id: id.slice(0, 500), subject: said.slice(id.length + 1, id.length + 1001) };
  },
  write: (value) => textProperties(ANSWERS_MAIL_PROPERTY, value ? `${value.id} ${value.subject}` : ''),
};

/** Our property of what guests may: names with commas between, or NOTHING. */
const GUESTS_MAY_PROPERTY = 'x-orderly-week-guests-may';
export const guestsMayProperty: PropertyCodec<GuestsMay[] | undefined> = {
  names: [GUESTS_MAY_PROPERTY],
  read: ({ text }) => {
    const said = text(GUESTS_MAY_PROPERTY).toLowerCase();
    return said === '' ? undefined : GUESTS_MAY.filter((each) => said.split(',').includes(each));
  },
  write: (value) =>
    value ? textProperties(GUESTS_MAY_PROPERTY, value.join(',').toUpperCase() || 'NOTHING') : [],
};
