import { date, FENNICK, todo, zoned } from '../../../testing/samples';
import { formFieldsOf } from '@/core/fields/formFields';
import type { TodoFields } from '@/core/model/entry';
import { noticeBefore } from '@/core/model/reminder';
import { parseDate } from '@/core/time/civil';
import { todoSpan } from '@/core/todos/todoSpan';
import { TodoForm, todoFieldsOf, touchedOf, typedNow, typedTodo } from './todoForm';

const TODAY = parseDate('2027-03-09');
const full = todo({
  title: 'Order rope',
  ...todoSpan(zoned('2027-03-11T17:00'), date('2027-03-10')),
  categories: ['boats', 'Sales, North'],
  classification: 'private',
  location: 'Boat shed',
  notes: 'Two coils',
  url: 'https://fennick.example/rope',
  reference: 'WO-2041',
  priority: 3,
  estimate: 90,
  percent: 20,
  parts: [{ text: 'ask Ines', isDone: true }],
  reminders: [noticeBefore(60)],
});
const form = (fields: TodoFields) => typedTodo(fields, TODAY, FENNICK);
const said = (changes: Partial<TodoForm>, before: TodoFields = full) =>
  todoFieldsOf({ ...form(before), ...changes }, before, FENNICK);

test.each([
  ['says everything', full],
  ['says only its title', todo({ title: 'Call the yard' })],
  [
    'repeats',
    todo({
      title: 'Rota',
      ...todoSpan(date('2027-03-31'), undefined),
      recurrence: { rules: ['FREQ=MONTHLY'], dates: [], exceptionDates: [] },
    }),
  ],
  [
    'is to be done again after it was done',
    todo({ title: 'Grease', repeatAfter: { every: 2, unit: 'months' } }),
  ],
])('a to-do that %s is the same after its form', (_, before) => {
  expect(TodoForm.safeParse(form(before)).success).toBe(true);
  expect(said({}, before)).toEqual(before);
  expect(touchedOf(form(before), form(before))).toEqual({});
});

test('every field of the table that stands in a form stands in this one', () => {
  for (const name of formFieldsOf('todo')) expect(form(full)).toHaveProperty(name);
});

test.each<[string, Partial<TodoForm>, Partial<TodoFields>]>([
  ['a day', { due: 'day', dueDate: '2027-03-12', hasStart: false }, todoSpan(date('2027-03-12'), undefined)],
  ['categories', { categories: '"Sales, North", rope' }, { categories: ['Sales, North', 'rope'] }],
  ['a reference', { reference: ' WO-7 ' }, { reference: 'WO-7' }],
  ['an importance', { priority: 'low' }, { priority: 9 }],
  [
    'subtasks',
    { parts: 'ask Ines\nmeasure' },
    {
      parts: [
        { text: 'ask Ines', isDone: true },
        { text: 'measure', isDone: false },
      ],
    },
  ],
])('%s that is typed is kept', (_, typed, fields) => {
  expect(said(typed)).toMatchObject(fields);
});

test('what is emptied is taken off', () => {
  const left = said({ reference: '', estimate: '', percent: '', parts: '', priority: 'none', reminders: [] });
  for (const name of ['reference', 'estimate', 'percent', 'parts', 'priority', 'reminders'])
    expect(left).not.toHaveProperty(name);
});

test.each<[string, Partial<TodoForm>, string]>([
  ['no title', { title: ' ' }, 'title'],
  ['a link that is none', { url: 'yard' }, 'url'],
  ['a start after it is due', { hasStart: true, start: '2027-03-20' }, 'start'],
  ['a repeat without a date', { due: 'none', hasStart: false, repeats: 'weekly' }, 'repeats'],
  ['an estimate in words', { estimate: 'soon' }, 'estimate'],
])('%s is said at its field', (_, typed, name) => {
  const checked = TodoForm.safeParse({ ...form(full), ...typed });
  expect(checked.error?.issues.map(({ path }) => path[0])).toEqual([name]);
});

test('what an earlier release left half-typed is taken up under the names of now', () => {
  expect(typedNow({ importance: 'low', title: 'Rope' })).toMatchObject({ priority: 'low', title: 'Rope' });
  expect(typedNow({ priority: 'high' })).toEqual({ priority: 'high' });
  expect(typedNow(undefined)).toBeUndefined();
});
