import { context, date, event, stateWith, todo, todoIn } from '../../../../testing/samples';
import type { BatchStep } from '../../model/batchStep';
import type { Entry } from '../../model/entry';
import { isTodo } from '../../model/entry';
import { todoSpan } from '../../todos/todoSpan';
import { applyPatch, inversePatch } from '../patch';
import { previewBatch } from './batchRun';

const rope = todo({ id: 'rope', title: 'Order rope', ...todoSpan(date('2027-03-12'), undefined) });
const call = event({ id: 'call' });

function done(entries: readonly Entry[], steps: readonly BatchStep[]) {
  const state = stateWith(...entries);
  const targets = entries.map(({ id }) => ({ entryId: id }));
  const { report, patch } = previewBatch(state, [{ targets, steps }], { scopeOf: () => 'this' }, context());
  const after = applyPatch(state, patch);
  expect(applyPatch(after, inversePatch(patch)).entries).toEqual(state.entries);
  return { after, report, said: report.rows.map(({ key, outcome, reason }) => [key, outcome, reason]) };
}

test('to-dos are set done together; what is no to-do, or is done for each date, says so', () => {
  const weekly = todo({
    id: 'weekly',
    ...todoSpan(date('2027-03-12'), undefined),
    recurrence: { rules: ['FREQ=WEEKLY'], dates: [], exceptionDates: [] },
  });
  const over = todo({ id: 'over', status: 'completed', completed: 3 });
  const { after, said } = done([rope, call, weekly, over], [{ kind: 'done', isDone: true }]);
  expect(said).toEqual([
    ['call', 'impossible', 'no-todo'],
    ['over', 'unchanged', undefined],
    ['rope', 'changed', undefined],
    ['weekly', 'impossible', 'done-by-date'],
  ]);
  expect(todoIn(after, 'rope')).toMatchObject({ status: 'completed', percent: 100 });
});

test('one that is to be done again after it was done has a new one beside it', () => {
  const oil = todo({ id: 'oil', title: 'Oil the lens', repeatAfter: { every: 2, unit: 'weeks' } });
  const { after } = done([oil], [{ kind: 'done', isDone: true }]);
  expect([...after.entries.values()].filter(isTodo).map(({ status }) => status)).toEqual([
    'completed',
    'needs-action',
  ]);
});

test('a due day is set or taken away, unless it would be before it can be begun', () => {
  const later = todo({ id: 'later', ...todoSpan(undefined, date('2027-03-20')) });
  const set = done([rope, later], [{ kind: 'due', to: '2027-03-15' }]);
  expect(set.said).toEqual([
    ['later', 'impossible', 'end-before-start'],
    ['rope', 'changed', undefined],
  ]);
  expect(todoIn(set.after, 'rope')).toMatchObject({ start: date('2027-03-15'), end: date('2027-03-16') });
  const never = done([rope], [{ kind: 'due', to: null }]).after;
  expect(todoIn(never, 'rope')).not.toHaveProperty('end');
});

test('how long they take is said, and taken back; the steps of every entry hold for to-dos, too', () => {
  const { after, report } = done(
    [rope],
    [
      { kind: 'estimate', minutes: 90 },
      { kind: 'categories', how: 'add', names: ['stores'] },
      { kind: 'importance', to: 1 },
      { kind: 'shift', days: 7, minutes: 0 },
    ],
  );
  expect(todoIn(after, 'rope')).toMatchObject({
    estimate: 90,
    categories: ['stores'],
    priority: 1,
    start: date('2027-03-19'),
  });
  expect(report.rows[0]!.changes.map(({ field }) => field)).toEqual(
    expect.arrayContaining(['estimate', 'categories', 'priority', 'start', 'end']),
  );
  const without = done([{ ...rope, estimate: 60 }], [{ kind: 'estimate', minutes: null }]).after;
  expect(todoIn(without, 'rope')).not.toHaveProperty('estimate');
});

test('steps that are about time that is taken are not for to-dos', () => {
  expect(done([rope], [{ kind: 'length', minutes: 30 }]).said).toEqual([['rope', 'impossible', 'no-event']]);
  const someday = todo({ id: 'someday' });
  expect(done([someday], [{ kind: 'shift', days: 1, minutes: 0 }]).said).toEqual([
    ['someday', 'impossible', 'no-date'],
  ]);
});
