import { isReadOnly } from '../../model/calendar';
import type { CalendarUser } from '../../model/calendarUser';
import {
  type CalendarEvent,
  type Dated,
  type Entry,
  isDated,
  isEvent,
  isTodo,
  type Todo,
} from '../../model/entry';
import type { State } from '../../model/state';
import { wallOf } from '../../time/eventTime';
import { beginningOf, todoSpan } from '../../todos/todoSpan';
import type { Refusal } from '../shift';
import type { BatchStep, StepKind, StepOf } from '../../model/batchStep';
import { calendarNamed } from './calendarNamed';
import { changedReminders, without } from './changedReminders';
import { type Replacer, replacerOf } from './replaceText';
import {
  asHours,
  asWholeDays,
  atTimeOfDay,
  inZone,
  rounded,
  shifted,
  toWeek,
  trimmed,
  withLength,
} from './timeSteps';
import { mailtoOf, plainAddress } from '../../model/emailAddress';
import { type EntryFieldName, rowFor, valueOf, withValue } from '../../fields/fieldsOf';

/** The steps that make or take entries, each done by itself. */
const APART = ['as-series', 'copy', 'delete', 'done', 'end-series', 'into-series', 'into-singles'] as const;

/** The steps that make another entry of each entry. */
export type EventStepKind = Exclude<StepKind, (typeof APART)[number]>;
export type EventStep = StepOf<EventStepKind>;
export const isEventStep = (step: BatchStep): step is EventStep => !APART.some((kind) => kind === step.kind);

/** What a step looks at beside its entry. */
export interface StepTools {
  readonly state: Pick<State, 'calendars'>;
  /** The zone that floating times and whole days are read in. */
  readonly zone: string;
  readonly replacer: (step: StepOf<'replace'>) => Replacer;
}

/** What steps look at over a state; what replaces by a step is made once. */
export function stepTools(state: Pick<State, 'calendars'>, zone: string): StepTools {
  const replacers = new Map<StepOf<'replace'>, Replacer>();
  return {
    state,
    zone,
    replacer: (step) => {
      const known = replacers.get(step) ?? replacerOf(step);
      replacers.set(step, known);
      return known;
    },
  };
}

type Apply<Kind extends EventStepKind> = (
  entry: Entry,
  step: StepOf<Kind>,
  tools: StepTools,
) => Entry | Refusal;

/** A step of what has a span. */
const ofDated =
  <Kind extends EventStepKind>(
    apply: (entry: Dated, step: StepOf<Kind>, tools: StepTools) => Dated | Refusal,
  ): Apply<Kind> =>
  (entry, step, tools) =>
    isDated(entry) ? apply(entry, step, tools) : 'no-date';

/** A step of events alone. */
const ofEvents =
  <Kind extends EventStepKind>(
    apply: (event: CalendarEvent, step: StepOf<Kind>, tools: StepTools) => Dated | Refusal,
  ): Apply<Kind> =>
  (entry, step, tools) =>
    isEvent(entry) ? apply(entry, step, tools) : 'no-event';

/** A step of to-dos alone. */
const ofTodos =
  <Kind extends EventStepKind>(apply: (todo: Todo, step: StepOf<Kind>) => Todo | Refusal): Apply<Kind> =>
  (entry, step) =>
    isTodo(entry) ? apply(entry, step) : 'no-todo';

const unique = (names: readonly string[]): string[] => [...new Set(names)];

const changeCategories: Apply<'categories'> = (event, { how, names }) => {
  const { categories } = event;
  if (how === 'set') return { ...event, categories: unique(names) };
  if (how === 'add') return { ...event, categories: unique([...categories, ...names]) };
  return { ...event, categories: categories.filter((name) => !names.includes(name)) };
};

const changePeople: Apply<'people'> = (event, { how, people }) => {
  const before = event.attendees ?? [];
  const named = new Set(people.map(({ address }) => plainAddress(address)));
  const isThere = new Set(before.map(({ address }) => plainAddress(address)));
  const attendees =
    how === 'remove'
      ? before.filter(({ address }) => !named.has(plainAddress(address)))
      : [
          ...before,
          ...people
            .filter(({ address }) => !isThere.has(plainAddress(address)))
            .map(({ name, address }): CalendarUser => ({
              address: mailtoOf(address),
              parameters: name === '' ? {} : { cn: name },
            })),
        ];
  return attendees.length > 0 ? { ...event, attendees } : without(event, 'attendees');
};

const changeNotes: Apply<'notes'> = (event, { how, text }) => {
  const notes =
    how === 'set'
      ? text
      : (how === 'before' ? [text, event.notes] : [event.notes, text]).filter(Boolean).join('\n');
  return { ...event, notes };
};

const toCalendar: Apply<'calendar'> = (event, step, { state }) => {
  const calendar = calendarNamed(state, step.calendar);
  if (!calendar) return 'calendar-missing';
  return isReadOnly(calendar) ? 'calendar-closed' : { ...event, calendarId: calendar.id };
};

const takeAttachments: Apply<'attachments'> = (event, { atLeast }) => {
  const left = (event.attachments ?? []).filter(({ size }) => size < atLeast);
  return left.length > 0 ? { ...event, attachments: left } : without(event, 'attachments');
};

/** An entry with one of its texts changed; of a field that need not be there, an empty one takes it off. */
const withText = (entry: Entry, field: EntryFieldName, text: string): Entry =>
  withValue(entry, field, text === '' ? rowFor(entry.kind, field)?.initial : text);

/** What each step makes of an entry. A step that is added has to be said here. */
const STEPS: { readonly [Kind in EventStepKind]: Apply<Kind> } = {
  calendar: toCalendar,
  categories: changeCategories,
  colour: (event, { to }) => (to === null ? without(event, 'colour') : { ...event, colour: to }),
  availability: ofEvents((event, { to }) => ({ ...event, availability: to })),
  visibility: (event, { to }) => ({ ...event, classification: to }),
  status: ofEvents((event, { to }) => ({ ...event, status: to })),
  importance: (event, { to }) => (to === null ? without(event, 'priority') : { ...event, priority: to }),
  reminders: (event, step, { state }) => changedReminders(event, step, state),
  place: (event, { to }) => ({ ...event, location: to }),
  notes: changeNotes,
  people: changePeople,
  shift: ofDated((event, step, { zone }) => shifted(event, step, zone)),
  week: ofDated((event, step, { zone }) => toWeek(event, step, zone)),
  'start-time': ofDated((event, step, { zone }) => atTimeOfDay(event, step, zone)),
  length: ofEvents((event, step, { zone }) => withLength(event, step, zone)),
  round: ofEvents((event, step, { zone }) => rounded(event, step, zone)),
  trim: ofEvents((event, step, { zone }) => trimmed(event, step, zone)),
  zone: ofDated((event, step, { zone }) => inZone(event, step, zone)),
  'whole-days': ofDated((event) => asWholeDays(event)),
  hours: ofDated((event, step, { zone }) => asHours(event, step, zone)),
  replace: (event, step, { replacer }) => {
    const replace = replacer(step);
    return step.fields.reduce<Entry>(
      (entry, field) => withText(entry, field, replace(String(valueOf(entry, field) ?? ''))),
      event,
    );
  },
  attachments: takeAttachments,
  field: (entry, { field, to }) =>
    rowFor(entry.kind, field) ? withText(entry, field, to) : isEvent(entry) ? 'no-todo' : 'no-event',
  due: ofTodos((todo, { to }) => {
    const { start: _, end: __, hasStart: ___, isNeverDue: ____, ...rest } = todo;
    const beginning = beginningOf(todo);
    // What repeats by date has to have one.
    if (to === null && todo.recurrence && !beginning) return 'no-date';
    const span = todoSpan(to === null ? undefined : { kind: 'date', date: to }, beginning);
    const isEarly = span.start && span.end && wallOf(span.end) <= wallOf(span.start);
    return isEarly ? 'end-before-start' : { ...rest, ...span };
  }),
  estimate: ofTodos((todo, { minutes }) =>
    minutes === null ? without(todo, 'estimate') : { ...todo, estimate: minutes },
  ),
};

/** Steps of others' meetings that their organizer decides about. */
export const ORGANIZERS_STEPS: ReadonlySet<StepKind> = new Set<StepKind>([
  'shift',
  'week',
  'start-time',
  'length',
  'round',
  'trim',
  'zone',
  'whole-days',
  'hours',
  'place',
  'people',
  'replace',
]);

/** What a step makes of an entry, or why it can't. */
export const applyStep = (entry: Entry, step: EventStep, tools: StepTools): Entry | Refusal =>
  (STEPS[step.kind] as Apply<EventStepKind>)(entry, step as never, tools);
