import type { EntryFieldName, ValueOf } from '@/core/fields/fieldsOf';
import { attendeesOf } from '@/core/model/attendees';
import type { CalendarEvent, Entry } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import { DAY, MINUTE } from '@/core/time/civil';
import { ownZone, wallOf } from '@/core/time/eventTime';
import { cityOf, instantToWall } from '@/core/time/zones';
import { dateText, lengthText, timeText } from '@/ui/dates';
import { recurrenceText } from '@/ui/recurrenceText';
import { remindersText } from '@/ui/reminderText';
import { words } from '@/ui/words';
import { MAY } from '@/ui/words/invitations';
import { todoWords } from '@/ui/words/todos';
import { colourName } from './colourName';
import { withoutMailto } from '@/core/model/emailAddress';
import { importanceOf } from '@/core/fields/importance';

/** What a value is said with. */
export interface ValueNames {
  readonly calendarName: (id: string) => string;
  readonly homeZone: string;
  /** The start that a repeat is said for. */
  readonly start: EventTime | undefined;
  /** Of what kind of entry it is; of an event without. */
  readonly kind?: Entry['kind'];
}

/** The fields whose value is its own text. */
type PlainField = {
  [Name in EntryFieldName]: string extends NonNullable<ValueOf<Name>> ? Name : never;
}[EntryFieldName];

type Texts = {
  readonly [Name in Exclude<EntryFieldName, PlainField> | 'calendarId' | 'colour']: (
    value: ValueOf<Name>,
    names: ValueNames,
  ) => string;
};

function timeOf(time: EventTime | undefined, isEnd: boolean, { homeZone }: ValueNames): string {
  if (!time) return '';
  const wall = wallOf(time);
  // The end of whole days is the day after the last of them.
  if (time.kind === 'date') return dateText(Math.floor(wall / DAY) - (isEnd ? 1 : 0));
  const zone = ownZone(time);
  const place = zone !== undefined && zone !== homeZone ? ` ${cityOf(zone)}` : '';
  return `${dateText(Math.floor(wall / DAY))}, ${timeText(wall)}${place}`;
}

const TEXTS: Texts = {
  calendarId: (id, { calendarName }) => calendarName(id),
  start: (time, names) => timeOf(time, false, names),
  end: (time, names) => timeOf(time, true, names),
  timedMinutes: (minutes) => (minutes === undefined ? '' : lengthText(minutes * MINUTE)),
  recurrence: (recurrence, { start }) => (recurrence && start ? recurrenceText(recurrence, start) : ''),
  reminders: (reminders, { homeZone, kind }) =>
    reminders !== undefined
      ? remindersText(reminders, homeZone, kind === 'todo')
      : kind === 'todo'
        ? ''
        : words.reminder.usualAgain,
  travel: (travel) =>
    travel ? [travel.there, travel.back].map((minutes) => lengthText(minutes * MINUTE)).join(', ') : '',
  geo: (point) => (point ? `${point.latitude}, ${point.longitude}` : ''),
  categories: (names) => names.join(', '),
  availability: (value) => words.entry.availability[value],
  classification: (value) => words.entry.classification[value],
  status: (value) => ({ ...words.entry.status, ...todoWords.status })[value],
  priority: (value) =>
    value === undefined
      ? ''
      : [1, 5, 9].includes(value)
        ? words.entry.priority[importanceOf(value)]
        : `${words.entry.priority[importanceOf(value)]} (${value})`,
  organizer: (user) => (user ? withoutMailto(user.address) : ''),
  attendees: (attendees) =>
    attendeesOf({ attendees } as Pick<CalendarEvent, 'attendees'>)
      .map(({ name }) => name)
      .join(', '),
  ownAnswer: (answer) => (answer ? words.entry.ownAnswers[answer] : ''),
  relatedTo: (related) => (related ?? []).map(({ uid }) => uid).join(', '),
  answersMail: (mail) => mail?.subject ?? '',
  guestsMay: (may) => (may ?? []).map((each) => MAY[each]).join(', '),
  conferences: (conferences) => (conferences ?? []).map(({ uri }) => uri).join(', '),
  colour: (colour) => (colour === undefined ? '' : colourName(colour)),
  attachments: (files) => (files ?? []).map(({ name }) => name).join(', '),
  hasStart: () => '',
  isNeverDue: () => '',
  repeatAfter: (after) => (after ? todoWords.repeatAfter(after) : ''),
  completed: (instant, { homeZone }) =>
    instant === undefined ? '' : dateText(Math.floor(instantToWall(homeZone, instant) / DAY)),
  percent: (percent) => (percent === undefined ? '' : `${percent} %`),
  estimate: (minutes) => (minutes === undefined ? '' : lengthText(minutes * MINUTE)),
  parts: (parts) => (parts ?? []).map(({ text, isDone }) => (isDone ? `✓ ${text}` : text)).join(', '),
};

/** The most of a text that stands beside another. */
const MOST = 160;

const isPlain = (field: EntryFieldName): field is PlainField => !(field in TEXTS);

/** The value of a field in words, as long as it is; '' for none. */
export const valueText = (field: EntryFieldName, value: unknown, names: ValueNames): string =>
  isPlain(field)
    ? String(value ?? '')
    : (TEXTS[field] as (value: unknown, names: ValueNames) => string)(value, names);

/** The value of a field in words; of a long one its beginning, of none a word. */
export function fieldValueText(field: EntryFieldName, value: unknown, names: ValueNames): string {
  const text = valueText(field, value, names);
  return (text.length > MOST ? `${text.slice(0, MOST)}…` : text) || words.fieldEmpty;
}
