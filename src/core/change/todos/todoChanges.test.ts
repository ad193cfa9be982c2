import { context, date, stateWith, todo, todoIn, zoned } from '../../../../testing/samples';
import type { Todo } from '../../model/entry';
import { todoItems, todosOf } from '../../todos/currentTodo';
import { dueOf, todoSpan } from '../../todos/todoSpan';
import { dayNumber } from '../../time/civil';
import { binEntries } from '../binEntries';
import { changeEntry, todoFieldsSeenAt, writtenUpon } from '../entryChanges';
import { type ChangeResult, isRefused } from '../eventFields';
import { moveToCalendar, shiftByDays } from '../batchChanges';
import { applyPatch, inversePatch, type Patch } from '../patch';
import type { State } from '../../model/state';
import { targetOfKey } from '../target';
import { blankTodo, changeTodo, createTodo, setDone, setPartDone } from './todoChanges';

const TODAY = dayNumber(2027, 3, 9);
const ZONE = 'Europe/Lisbon';
const friday = todoSpan(date('2027-03-12'), undefined);
const weekly = { rules: ['FREQ=WEEKLY'], dates: [], exceptionDates: [] };

function patchOf(result: ChangeResult): Patch {
  if (isRefused(result)) throw new Error(result.refused);
  return result;
}

/** A state after a change, which taken back is the one before. */
function after(state: State, result: ChangeResult): State {
  const patch = patchOf(result);
  const next = applyPatch(state, patch);
  expect(applyPatch(next, inversePatch(patch))).toEqual(state);
  return next;
}

const listed = (state: State) =>
  todoItems(todosOf(state), TODAY, ZONE).map(({ key, due, todo: { status } }) => [
    key,
    due?.kind === 'date' ? due.date : undefined,
    status,
  ]);

test('a to-do is made with a title and a calendar alone; one without a calendar is refused', () => {
  const state = stateWith();
  const made = createTodo(state, { ...blankTodo('meetings'), title: 'Order wicks' }, context());
  const [only] = todosOf(after(state, made));
  expect(only).toMatchObject({ title: 'Order wicks', status: 'needs-action', kind: 'todo' });
  expect(only!.end).toBeUndefined();
  expect(createTodo(state, blankTodo('nowhere'), context())).toEqual({ refused: 'calendar-missing' });
});

test('done says when, and open again takes that back', () => {
  const state = stateWith(todo({ percent: 40 }));
  const target = { entryId: 'todo' };
  const done = after(state, setDone(state, target, true, context()));
  expect(todoIn(done, 'todo')).toMatchObject({
    status: 'completed',
    completed: context().now,
    percent: 100,
  });
  const open = todoIn(after(done, setDone(done, target, false, context())), 'todo');
  expect(open.status).toBe('needs-action');
  expect(open).not.toHaveProperty('completed');
});

test('of a series the date at hand is done, and the next one stands in its place', () => {
  const series = todo({ id: 'series', ...todoSpan(date('2027-03-05'), undefined), recurrence: weekly });
  const state = stateWith(series);
  // Last Friday’s is still open; those before it are let go.
  expect(listed(state)).toEqual([['series|2027-03-05', '2027-03-05', 'needs-action']]);
  const done = after(state, setDone(state, targetOfKey('series|2027-03-05'), true, context()));
  const [own, next] = todoItems(todosOf(done), TODAY, ZONE).reverse();
  expect(own).toMatchObject({ todo: { status: 'completed', seriesId: 'series' }, due: date('2027-03-05') });
  expect(next).toMatchObject({ key: 'series|2027-03-12', due: date('2027-03-12') });
  expect(todoIn(done, 'series').status).toBe('needs-action');
});

test('a series of days has one date at hand, today’s, however many were missed', () => {
  const daily = { ...weekly, rules: ['FREQ=DAILY'] };
  const series = todo({ ...todoSpan(date('2026-01-01'), undefined), recurrence: daily });
  expect(listed(stateWith(series))).toEqual([['todo|2027-03-09', '2027-03-09', 'needs-action']]);
  const over = todo({ ...series, recurrence: { ...daily, rules: ['FREQ=DAILY;COUNT=3'] } });
  expect(listed(stateWith(over))).toEqual([['todo|2026-01-03', '2026-01-03', 'needs-action']]);
});

test.each([
  [{ every: 3, unit: 'days' as const }, '2027-03-12'],
  [{ every: 2, unit: 'weeks' as const }, '2027-03-23'],
  [{ every: 1, unit: 'months' as const }, '2027-04-09'],
  [{ every: 12, unit: 'months' as const }, '2028-03-09'],
])(
  'what is to be done again %j after it was done stands there anew, from the day it was done',
  (repeatAfter, due) => {
    const before = todo({
      ...todoSpan(date('2027-03-01'), date('2027-02-27')),
      repeatAfter,
      parts: [{ text: 'oil', isDone: true }],
    });
    const done = after(stateWith(before), setDone(stateWith(before), { entryId: 'todo' }, true, context()));
    const next = todosOf(done).find(({ id }) => id !== 'todo')!;
    expect(dueOf(next)).toEqual(date(due));
    expect(next).toMatchObject({
      status: 'needs-action',
      parts: [{ text: 'oil', isDone: false }],
      repeatAfter,
    });
    expect(next.uid).not.toBe(before.uid);
    expect(next).not.toHaveProperty('completed');
    // Doing it twice makes no second one.
    const again = setDone(done, { entryId: 'todo' }, true, context());
    expect(todosOf(applyPatch(done, patchOf(again)))).toHaveLength(2);
  },
);

test('the end of a short month is its last day', () => {
  const before = todo({
    ...todoSpan(date('2027-01-31'), undefined),
    repeatAfter: { every: 1, unit: 'months' },
  });
  const now = Date.UTC(2027, 0, 31, 12);
  const state = stateWith(before);
  const done = applyPatch(state, patchOf(setDone(state, { entryId: 'todo' }, true, context(now))));
  expect(dueOf(todosOf(done).find(({ id }) => id !== 'todo')!)).toEqual(date('2027-02-28'));
});

test('parts are done by themselves, and say how much of the whole is', () => {
  const state = stateWith(
    todo({ parts: ['oil', 'wicks', 'glass'].map((text) => ({ text, isDone: false })) }),
  );
  const one = after(state, setPartDone(state, { entryId: 'todo' }, 1, true, context()));
  expect(todoIn(one, 'todo')).toMatchObject({ percent: 33, status: 'in-process' });
  const none = todoIn(after(one, setPartDone(one, { entryId: 'todo' }, 1, false, context())), 'todo');
  expect(none).not.toHaveProperty('percent');
});

test('what is said to be done in its form is done as by a press, and open again as by one', () => {
  const state = stateWith(todo({ ...friday, repeatAfter: { every: 1, unit: 'weeks' } }));
  const target = { entryId: 'todo' };
  const fields = (of: State) => todoFieldsSeenAt(of, target, context())!;
  const byForm = changeTodo(state, target, { ...fields(state), status: 'completed' }, 'this', context());
  const done = after(state, byForm);
  expect(todoIn(done, 'todo')).toMatchObject({ completed: context().now, percent: 100 });
  expect(todosOf(done).map(({ status }) => status)).toEqual(['completed', 'needs-action']);
  const again = changeTodo(done, target, { ...fields(done), title: 'Order oil' }, 'this', context());
  expect(todosOf(after(done, again))).toHaveLength(2);
  const open = changeTodo(done, target, { ...fields(done), status: 'needs-action' }, 'this', context());
  expect(todoIn(after(done, open), 'todo').completed).toBeUndefined();
});

describe('what is done to entries is done to to-dos', () => {
  const state = stateWith(todo({ id: 'dated', ...friday }), todo({ id: 'undated' }));
  const both = [{ entryId: 'dated' }, { entryId: 'undated' }];

  test('both go to another calendar', () => {
    const moved = after(state, moveToCalendar(state, both, 'desk', 'this', context()));
    expect(todosOf(moved).map(({ calendarId }) => calendarId)).toEqual(['desk', 'desk']);
  });

  test('one with a date moves by days; one without can’t, and is counted', () => {
    const result = patchOf(shiftByDays(state, both, 3, context()));
    expect(dueOf(todoIn(after(state, result), 'dated'))).toEqual(date('2027-03-15'));
    expect(result.summary).toMatchObject({ count: 1, left: 1 });
  });

  test('both go to the bin', () => {
    const gone = after(state, binEntries(state, both, 'this', context()));
    expect([...gone.bin.keys()].sort()).toEqual(['dated', 'undated']);
  });
});

describe('a series of to-dos is edited in three scopes', () => {
  const series: Todo = todo({
    id: 'series',
    start: zoned('2027-03-05T17:00'),
    end: zoned('2027-03-05T17:00'),
    recurrence: weekly,
  });
  const state = stateWith(series);
  const target = targetOfKey('series|2027-03-12T17:00:00');
  const edited = () => ({
    ...todoFieldsSeenAt(state, target, context())!,
    title: 'Order oil',
    estimate: 30,
  });
  const titles = (next: State) =>
    todosOf(next)
      .map(({ title, start }) => [title, start?.kind === 'zoned' ? start.local.slice(0, 10) : ''])
      .sort();

  test('just this one', () =>
    expect(titles(after(state, changeEntry(state, target, edited(), 'this', context())))).toEqual([
      ['Order oil', '2027-03-12'],
      ['Order wicks', '2027-03-05'],
    ]));

  test('this and later ones', () => {
    const next = after(state, changeEntry(state, target, edited(), 'later', context()));
    expect(titles(next)).toEqual([
      ['Order oil', '2027-03-12'],
      ['Order wicks', '2027-03-05'],
    ]);
    expect(todosOf(next).every(({ recurrence }) => recurrence)).toBe(true);
  });

  test('every one, and a date that was done stays done', () => {
    const done = applyPatch(
      state,
      patchOf(setDone(state, targetOfKey('series|2027-03-05T17:00:00'), true, context())),
    );
    const next = after(done, changeEntry(done, target, edited(), 'every', context()));
    expect(titles(next)).toEqual([
      ['Order oil', '2027-03-05'],
      ['Order oil', '2027-03-05'],
    ]);
    expect(
      todosOf(next)
        .map(({ status }) => status)
        .sort(),
    ).toEqual(['completed', 'needs-action']);
  });

  test('a date of it has to be due some time', () => {
    const undated = writtenUpon(edited(), edited(), {
      ...edited(),
      start: undefined,
      end: undefined,
      recurrence: undefined,
    });
    expect(changeEntry(state, target, undated, 'this', context())).toEqual({ refused: 'no-date' });
  });
});

test('a series as a whole is not done: each of its dates is', () => {
  const weekly = todo({
    id: 'weekly',
    ...todoSpan(date('2027-03-12'), undefined),
    recurrence: { rules: ['FREQ=WEEKLY'], dates: [], exceptionDates: [] },
  });
  expect(setDone(stateWith(weekly), { entryId: 'weekly' }, true, context())).toEqual({
    refused: 'done-by-date',
  });
});
