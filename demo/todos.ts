import { blankTodo } from '@/core/change/todos/todoChanges';
import type { Todo } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import { todoSpan } from '@/core/todos/todoSpan';
import { type DemoCalendarId, HOME_ZONE, MADE } from './scenario';

const day = (date: string): EventTime => ({ kind: 'date', date });
const moment = (local: string): EventTime => ({ kind: 'zoned', local: `${local}:00`, zone: HOME_ZONE });

type Row = readonly [DemoCalendarId, string, Partial<Todo>];

/** What the works coordinator has to do around the demo's today: overdue, today, this week, later, some day, and done. */
const ROWS: readonly Row[] = [
  [
    'desk',
    'Order wicks for Gull Point',
    { ...todoSpan(day('2027-03-05'), undefined), estimate: 20, priority: 1 },
  ],
  [
    'grants',
    'Receipts of the winter repairs',
    {
      ...todoSpan(day('2027-03-09'), undefined),
      estimate: 90,
      parts: [
        { text: 'Lantern glass', isDone: true },
        { text: 'Boat hire', isDone: true },
        { text: 'Paint and oil', isDone: false },
      ],
      percent: 67,
      status: 'in-process',
    },
  ],
  [
    'desk',
    'Call the lens workshop back',
    { ...todoSpan(moment('2027-03-09T15:00'), undefined), estimate: 15 },
  ],
  [
    'desk',
    'Tide tables for April',
    { ...todoSpan(day('2027-03-11'), undefined), estimate: 30, location: 'Chart room' },
  ],
  [
    'desk',
    'Read the keepers’ logs',
    {
      ...todoSpan(day('2027-03-12'), undefined),
      estimate: 45,
      recurrence: { rules: ['FREQ=WEEKLY'], dates: [], exceptionDates: [] },
    },
  ],
  [
    'desk',
    'Order rope for the boat shed',
    { ...todoSpan(day('2027-03-12'), undefined), estimate: 120, priority: 1, location: 'Boat shed' },
  ],
  ['grants', 'Draft the spring report', { ...todoSpan(day('2027-03-26'), day('2027-03-15')), estimate: 300 }],
  [
    'desk',
    'Oil the door of the lamp room',
    {
      ...todoSpan(day('2027-03-20'), undefined),
      estimate: 15,
      repeatAfter: { every: 3, unit: 'months' },
    },
  ],
  ['desk', 'Photographs of the north wall', {}],
  ['home', 'Find someone to tune the piano', { classification: 'private' }],
  [
    'meetings',
    'Notes of the works round to all',
    {
      ...todoSpan(day('2027-03-08'), undefined),
      status: 'completed',
      completed: Date.UTC(2027, 2, 8, 16),
      percent: 100,
    },
  ],
];

/** The to-dos of the demo. */
export const todos: readonly Todo[] = ROWS.map(([calendarId, title, fields], index) => ({
  ...blankTodo(calendarId),
  kind: 'todo',
  id: `todo-${index + 1}`,
  uid: `todo-${index + 1}@fennick.example`,
  title,
  sequence: 0,
  created: MADE,
  modified: MADE,
  ...fields,
}));
