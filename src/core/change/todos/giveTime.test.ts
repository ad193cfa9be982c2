import { context, date, eventsIn, FENNICK, stateWith, todo, todoIn } from '../../../../testing/samples';
import type { Todo } from '../../model/entry';
import type { State } from '../../model/state';
import { todoItems, todosOf } from '../../todos/currentTodo';
import { todoSpan } from '../../todos/todoSpan';
import { keyOfTie, minutesLeft, tieOfItem, tiesOf } from '../../todos/todoTies';
import { tieOf } from '../../todos/tieOf';
import { worksOf } from '../../todos/worksOf';
import { HOUR, MINUTE, parseDate } from '../../time/civil';
import { isRefused } from '../eventFields';
import { applyPatch } from '../patch';
import { giveTime } from './giveTime';
import { setDone } from './todoChanges';

const TODAY = parseDate('2027-03-09');
const NINE = Date.UTC(2027, 2, 10, 9);
const report: Partial<Todo> = {
  id: 'report',
  uid: 'report@fennick.example',
  title: 'Quarterly report',
  estimate: 180,
  priority: 1,
  categories: ['Reports'],
  ...todoSpan(date('2027-03-12'), undefined),
};
const items = (state: State) => todoItems(todosOf(state), TODAY, FENNICK);
const itemOf = (state: State, key: string) => items(state).find((item) => item.key === key)!;

/** One for all: each event has an id of its own. */
const made = context();

function timed(state: State, key: string, ...spans: [number, number][]): State {
  const times = spans.map(([start, end]) => ({ item: itemOf(state, key), start, end }));
  const patch = giveTime(state, times, made)!;
  if (isRefused(patch)) throw new Error(patch.refused);
  return applyPatch(state, patch);
}

test('an event that is time for a to-do is called as it is, counts as busy, and is tied to it', () => {
  const state = timed(stateWith(todo(report)), 'report', [NINE, NINE + HOUR]);
  const [event] = eventsIn(state);
  expect(event).toMatchObject({
    title: 'Quarterly report',
    categories: ['Reports'],
    priority: 1,
    availability: 'busy',
    relatedTo: [{ uid: 'report@fennick.example', parameters: {} }],
    start: { local: '2027-03-10T09:00:00' },
    end: { local: '2027-03-10T10:00:00' },
  });
  expect(keyOfTie(state, tieOf(event!)!)).toBe('report');
});

test('what is left of an estimate is what has no time yet, and only that wants more', () => {
  const before = stateWith(todo(report), todo({ id: 'call', uid: 'call', title: 'Call the yard' }));
  expect(worksOf(before, items(before), 45, FENNICK).map(({ key, minutes }) => [key, minutes])).toEqual([
    ['report', 180],
    ['call', 45],
  ]);
  const state = timed(timed(before, 'report', [NINE, NINE + HOUR]), 'call', [NINE, NINE + 20 * MINUTE]);
  expect(minutesLeft(state, itemOf(state, 'report'), FENNICK)).toBe(120);
  expect(worksOf(state, items(state), 45, FENNICK)).toMatchObject([
    { key: 'report', minutes: 120, due: Date.UTC(2027, 2, 13), rank: 0 },
  ]);
  const full = timed(state, 'report', [NINE + HOUR, NINE + 4 * HOUR]);
  expect(minutesLeft(full, itemOf(full, 'report'), FENNICK)).toBe(0);
});

test('time is done with its to-do, and open again with it', () => {
  const state = timed(stateWith(todo(report)), 'report', [NINE, NINE + HOUR]);
  const tie = tieOf(eventsIn(state)[0]!)!;
  expect(tiesOf(state).over.has(tie)).toBe(false);
  const done = setDone(state, { entryId: 'report' }, true, context());
  if (isRefused(done)) throw new Error(done.refused);
  expect(tiesOf(applyPatch(state, done)).over.has(tie)).toBe(true);
});

test('of a series the time is for one date: the next wants its own', () => {
  const weekly = todo({
    ...report,
    recurrence: { rules: ['FREQ=WEEKLY'], dates: [], exceptionDates: [] },
  });
  const state = timed(stateWith(weekly), 'report|2027-03-12', [NINE, NINE + HOUR]);
  const tie = tieOf(eventsIn(state)[0]!)!;
  expect(keyOfTie(state, tie)).toBe('report|2027-03-12');
  const done = setDone(state, { entryId: 'report', recurrenceKey: '2027-03-12' }, true, context());
  if (isRefused(done)) throw new Error(done.refused);
  const after = applyPatch(state, done);
  const changed = todosOf(after).find(({ seriesId }) => seriesId === 'report')!;
  expect(todoIn(after, changed.id).status).toBe('completed');
  expect(keyOfTie(after, tie)).toBe(changed.id);
  expect(tiesOf(after).over.has(tie)).toBe(true);
  const next = items(after).find(({ key }) => key.startsWith('report|'))!;
  expect(next.key).toBe('report|2027-03-19');
  expect(tieOfItem(next)).not.toBe(tie);
  expect(minutesLeft(after, next, FENNICK)).toBe(180);
});
