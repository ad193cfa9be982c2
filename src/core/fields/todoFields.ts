import { type TodoFields, type TodoStatus, TODO_STATUSES } from '../model/entry';
import { choiceColumn, choiceForm, oneOf, textProperties } from './codecs';
import { EVENT_FIELDS } from './eventFields';
import type { Field, RowFor } from './field';
import {
  completedProperty,
  estimateProperty,
  partsProperty,
  percentProperty,
  repeatAfterProperty,
} from './todoProperties';

/** What has a part of its own wherever it is read, written and shown. */
const apart = { property: undefined, column: undefined, form: undefined } as const;

/** A row with the types of its own codecs. */
const field = <Value, Typed = never, const Id extends string = never>(row: Field<Value, Typed, Id>) => row;

/** The rows that mean the same of a to-do as of an event. */
const {
  title,
  calendarId,
  recurrence,
  reminders,
  location,
  notes,
  categories,
  classification,
  priority,
  organizer,
  attendees,
  ownAnswer,
  answersMail,
  guestsMay,
  colour,
  attachments,
  url,
} = EVENT_FIELDS;

/** The fields of a to-do, each with all that is to be said of it: those that it shares with events, and its own. */
export const TODO_FIELDS = {
  title,
  calendarId,
  start: field<TodoFields['start']>({
    ...apart,
    initial: undefined,
    scope: 'own',
    published: 'busy',
    batch: true,
  }),
  end: field<TodoFields['end']>({
    ...apart,
    initial: undefined,
    scope: 'own',
    published: 'busy',
    batch: true,
  }),
  hasStart: field<TodoFields['hasStart']>({
    ...apart,
    initial: undefined,
    scope: 'own',
    published: 'busy',
    batch: false,
  }),
  isNeverDue: field<TodoFields['isNeverDue']>({
    ...apart,
    initial: undefined,
    scope: 'own',
    published: 'busy',
    batch: false,
  }),
  recurrence,
  repeatAfter: field<TodoFields['repeatAfter']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'everything',
    batch: false,
    property: repeatAfterProperty,
  }),
  status: field<TodoStatus, TodoStatus, 'status'>({
    initial: 'needs-action',
    scope: 'own',
    published: 'titles',
    batch: true,
    property: {
      names: ['status'],
      read: ({ text }) => oneOf(TODO_STATUSES, text('status')),
      write: (value) => textProperties('status', value.toUpperCase()),
      unsayable: {
        is: (text) => oneOf(TODO_STATUSES, text) === undefined,
        standsFor: (_, value) => value === 'needs-action',
      },
    },
    column: choiceColumn('status', 'Status', /^(status|state|statut|état|estado)$/, TODO_STATUSES, {
      canceled: 'cancelled',
      done: 'completed',
      open: 'needs-action',
    }),
    form: choiceForm(TODO_STATUSES),
  }),
  completed: field<TodoFields['completed']>({
    ...apart,
    initial: undefined,
    scope: 'own',
    published: 'everything',
    batch: false,
    property: completedProperty,
  }),
  percent: field<TodoFields['percent']>({
    ...apart,
    initial: undefined,
    scope: 'own',
    published: 'everything',
    batch: false,
    property: percentProperty,
  }),
  estimate: field<TodoFields['estimate']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'everything',
    batch: true,
    property: estimateProperty,
  }),
  parts: field<TodoFields['parts']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'everything',
    batch: false,
    property: partsProperty,
  }),
  reminders,
  location,
  notes,
  categories,
  classification,
  priority,
  organizer,
  attendees,
  ownAnswer,
  answersMail,
  guestsMay,
  colour,
  attachments,
  url,
} as const satisfies { readonly [Name in keyof TodoFields]-?: RowFor<TodoFields[Name]> };

export type TodoFieldName = keyof typeof TODO_FIELDS;
