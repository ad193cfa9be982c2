import { readLength } from '../time/readLength';
import { LONGEST_ESTIMATE, type TodoFields, type TodoStatus, TODO_STATUSES } from '../model/entry';
import { choiceColumn, choiceForm, oneOf, textProperties } from './codecs';
import { EVENT_FIELDS, STATUS_TABLE, type TableColumnOf } from './eventFields';
import { apart, field, type RowFor } from './field';
import {
  completedProperty,
  estimateProperty,
  partsProperty,
  percentProperty,
  repeatAfterProperty,
} from './todoProperties';

const wholeNumber = (text: string, most: number): number | undefined =>
  /^\d{1,3}$/.test(text) && Number(text) <= most ? Number(text) : undefined;

/** The fields of a to-do, each with all that is to be said of it: those that it shares with events, and its own. */
export const TODO_FIELDS = {
  title: EVENT_FIELDS.title,
  calendarId: EVENT_FIELDS.calendarId,
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
  recurrence: EVENT_FIELDS.recurrence,
  repeatAfter: field<TodoFields['repeatAfter']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'everything',
    batch: false,
    property: repeatAfterProperty,
  }),
  status: field<TodoStatus, TodoStatus, 'status', 'status'>({
    initial: 'needs-action',
    scope: 'own',
    published: 'titles',
    batch: true,
    table: STATUS_TABLE,
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
  percent: field<TodoFields['percent'], never, 'percent', 'percent'>({
    ...apart,
    initial: undefined,
    scope: 'own',
    published: 'everything',
    batch: false,
    table: { id: 'percent', width: 70, order: (value) => value ?? -1 },
    property: percentProperty,
    column: {
      id: 'percent',
      header: 'Percent',
      names: /^(percent|percentcomplete|progress|fortschritt|avancement|progreso)$/,
      read: (text) => wholeNumber(text.replace(/\s*%$/, ''), 100),
      write: (value) => (value === undefined ? '' : String(value)),
    },
  }),
  estimate: field<TodoFields['estimate'], never, 'estimate'>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'everything',
    batch: true,
    property: estimateProperty,
    column: {
      id: 'estimate',
      header: 'Takes',
      names: /^(takes|estimate|estimatedtime|effort|aufwand|charge|esfuerzo)$/,
      read: (text) => {
        const minutes = readLength(text);
        return minutes !== undefined && minutes >= 1 && minutes <= LONGEST_ESTIMATE ? minutes : undefined;
      },
      write: (value) => (value === undefined ? '' : String(value)),
    },
  }),
  parts: field<TodoFields['parts']>({
    ...apart,
    initial: undefined,
    scope: 'shared',
    published: 'everything',
    batch: false,
    search: { text: (value) => (value ?? []).map(({ text }) => text).join('\n'), filter: false },
    property: partsProperty,
  }),
  reminders: EVENT_FIELDS.reminders,
  location: EVENT_FIELDS.location,
  geo: EVENT_FIELDS.geo,
  notes: EVENT_FIELDS.notes,
  categories: EVENT_FIELDS.categories,
  classification: EVENT_FIELDS.classification,
  priority: EVENT_FIELDS.priority,
  organizer: EVENT_FIELDS.organizer,
  attendees: EVENT_FIELDS.attendees,
  ownAnswer: EVENT_FIELDS.ownAnswer,
  relatedTo: EVENT_FIELDS.relatedTo,
  answersMail: EVENT_FIELDS.answersMail,
  guestsMay: EVENT_FIELDS.guestsMay,
  colour: EVENT_FIELDS.colour,
  attachments: EVENT_FIELDS.attachments,
  url: EVENT_FIELDS.url,
  reference: EVENT_FIELDS.reference,
} as const satisfies { readonly [Name in keyof TodoFields]-?: RowFor<TodoFields[Name]> };

export type TodoFieldName = keyof typeof TODO_FIELDS;

export type TodoTableColumn = {
  [Name in TodoFieldName]: TableColumnOf<(typeof TODO_FIELDS)[Name]>;
}[TodoFieldName];

/** The columns that hold fields of to-dos alone in a table, by their ids. */
export type TodoColumnId = 'estimate' | 'percent';
