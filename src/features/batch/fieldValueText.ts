import type { EntryFieldName, ValueOf } from '@/core/fields/fieldsOf';
import { attendeesOf } from '@/core/model/attendees';
import type { CalendarEvent } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import { DAY, MINUTE } from '@/core/time/civil';
import { ownZone, wallOf } from '@/core/time/eventTime';
import { cityOf, instantToWall } from '@/core/time/zones';
import { dateText, lengthText, timeText } from '@/ui/dates';
import { recurrenceText } from '@/ui/recurrenceText';
import { remindersText } from '@/ui/reminderText';
import { words } from '@/ui/words';
import { batchWords } from '@/ui/words/batch';
import { MAY } from '@/ui/words/invitations';
import { todoWords } from '@/ui/words/todos';
import { colourName } from './stepText';
import { withoutMailto } from '@/core/model/emailAddress';

/** What a value is said with. */
export interface ValueNames {
  readonly calendarName: (id: string) => string;
  readonly homeZone: string;
  /** The start that a repeat is said for. */
  readonly start: EventTime | undefined;
}

type Texts = { readonly [Name in EntryFieldName]: (value: ValueOf<Name>, names: ValueNames) => string };

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
  title: (title) => title,
  calendarId: (id, { calendarName }) => calendarName(id),
  start: (time, names) => timeOf(time, false, names),
  end: (time, names) => timeOf(time, true, names),
  timedMinutes: (minutes) => (minutes === undefined ? '' : lengthText(minutes * MINUTE)),
  recurrence: (recurrence, { start }) => (recurrence && start ? recurrenceText(recurrence, start) : ''),
  reminders: (reminders, { homeZone }) =>
    reminders === undefined ? words.reminder.usualAgain : remindersText(reminders, homeZone),
  travel: (travel) =>
    travel ? [travel.there, travel.back].map((minutes) => lengthText(minutes * MINUTE)).join(', ') : '',
  location: (place) => place,
  geo: (point) => (point ? `${point.latitude}, ${point.longitude}` : ''),
  notes: (notes) => notes,
  categories: (names) => names.join(', '),
  availability: (value) => words.entry.availability[value],
  classification: (value) => words.entry.classification[value],
  status: (value) => ({ ...words.entry.status, ...todoWords.status })[value],
  priority: (value) => (value === undefined ? '' : String(value)),
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
  url: (link) => link,
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

/** The value of a field in words; of a long one its beginning. */
export function fieldValueText(field: EntryFieldName, value: unknown, names: ValueNames): string {
  const text = (TEXTS[field] as (value: unknown, names: ValueNames) => string)(value, names);
  return (text.length > MOST ? `${text.slice(0, MOST)}…` : text) || batchWords.preview.nothing;
}
