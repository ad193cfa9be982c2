import type { Person } from '@/core/model/person';
import { blankFields } from '@/core/change/eventFields';
import { blankTodo } from '@/core/change/todos/todoChanges';
import { type CalendarEvent, type Entry, eventsOf, isTodo, type Todo } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import { initialSettings } from '@/core/model/initialSettings';
import { emptyState, type State } from '@/core/model/state';
import type { ChangeContext } from '@/core/change/patch';
import type { Calendar } from '@/core/model/calendar';
import type { Reminded } from '@/core/reminders/dueReminders';
import { ReminderIndex } from '@/core/reminders/reminderIndex';
import type { Occurrence } from '@/core/schedule/occurrence';
import { EntryIndex } from '@/core/schedule/entryIndex';
import { DAY, MINUTE } from '@/core/time/civil';

/** Records for tests, from the demo's scenario. */
export const FENNICK = 'Europe/Lisbon';

export const zoned = (local: string, zone = FENNICK): EventTime => ({
  kind: 'zoned',
  local: local.length === 16 ? `${local}:00` : local,
  zone,
});
export const date = (text: string): EventTime => ({ kind: 'date', date: text });

let made = 0;

/** An event with sensible fields; give what the test is about. */
export function event(fields: Partial<CalendarEvent> = {}): CalendarEvent {
  const id = fields.id ?? `event-${++made}`;
  return {
    ...blankFields('meetings', zoned('2027-03-09T14:00'), zoned('2027-03-09T15:00')),
    kind: 'event',
    id,
    uid: `${id}@fennick.example`,
    title: 'Keeper rota call',
    sequence: 0,
    created: 0,
    modified: 0,
    ...fields,
  };
}

/** An event that repeats by a rule. */
export const series = (rule: string, fields: Partial<CalendarEvent> = {}): CalendarEvent =>
  event({ recurrence: { rules: [rule], dates: [], exceptionDates: [] }, ...fields });

export const calendar = (fields: Partial<Calendar> = {}): Calendar => ({
  id: 'meetings',
  name: 'Meetings',
  description: '',
  colour: 'harbour',
  mark: 'ME',
  order: 1,
  created: 0,
  modified: 0,
  ...fields,
});

/** A state with the calendars Meetings and Desk work, and the given events. */
export function stateWith(...entries: Entry[]): State {
  const desk = calendar({ id: 'desk', name: 'Desk work', mark: 'DW', colour: 'pine', order: 2 });
  return {
    ...emptyState(),
    calendars: new Map([
      ['meetings', calendar()],
      ['desk', desk],
    ]),
    entries: new Map(entries.map((entry) => [entry.id, entry])),
    settings: new Map([['settings', initialSettings(FENNICK)]]),
  };
}

/** A to-do; without other fields it is due never. */
export const todo = (fields: Partial<Todo> = {}): Todo => ({
  ...blankTodo('meetings'),
  kind: 'todo',
  id: 'todo',
  uid: 'todo@fennick.example',
  title: 'Order wicks',
  sequence: 0,
  created: 0,
  modified: 0,
  ...fields,
});

/** The to-do of an id. */
export function todoIn(state: Pick<State, 'entries'>, id: string): Todo {
  const found = state.entries.get(id);
  if (!found || !isTodo(found)) throw new Error(`no to-do ${id}`);
  return found;
}

/** The events of a state. */
export const eventsIn = (state: Pick<State, 'entries'>): CalendarEvent[] => eventsOf(state.entries.values());

/** The event of an id. */
export function eventIn(state: Pick<State, 'entries'>, id: string): CalendarEvent {
  const found = eventsIn(state).find((each) => each.id === id);
  if (!found) throw new Error(`no event ${id}`);
  return found;
}

/** A context whose ids count up. */
export function context(now = Date.UTC(2027, 2, 9, 10, 20)): ChangeContext {
  let id = 0;
  return { now, newId: () => `new-${++id}`, zone: FENNICK };
}

/** A timed occurrence on a day, of so many minutes from a minute of it, on the clock of UTC. */
export const timedOccurrence = (
  day: number,
  key: string,
  fromMinute: number,
  minutes: number,
  fields: Partial<Occurrence> = {},
): Occurrence => {
  const start = day * DAY + fromMinute * MINUTE;
  const end = start + minutes * MINUTE;
  return {
    key,
    entryId: key,
    calendarId: 'meetings',
    title: key,
    location: '',
    start,
    end,
    startWall: start,
    endWall: end,
    allDay: false,
    availability: 'busy',
    classification: 'public',
    status: 'confirmed',
    recurring: false,
    changed: false,
    reminds: false,
    ...fields,
  };
};

/** Events, ready to be asked what of them is due. */
export function remindedOf(...entries: readonly Entry[]): Reminded {
  const index = new EntryIndex();
  const reminders = new ReminderIndex();
  index.load(entries);
  reminders.load(entries);
  return { index, reminders };
}

/** Somebody of the office, whose address begins with their first name. */
export const person = (name: string, fields: Partial<Person> = {}): Person => ({
  id: name,
  kind: 'colleague',
  name,
  addresses: [`${name.split(' ')[0]!.toLowerCase()}@fennick.example`],
  role: '',
  place: '',
  equipment: [],
  notes: '',
  groups: [],
  created: 0,
  modified: 0,
  ...fields,
});
