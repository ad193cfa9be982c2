import { context, event, series, stateWith, zoned } from '../../../testing/samples';
import { isRefused } from './eventFields';
import { copyEntries, daysBy } from './moveEntry';
import { applyPatch } from './patch';

test('several entries are copied, moved by as much: an occurrence as an entry of its own, a series as one', () => {
  const state = stateWith(
    event({ id: 'boat' }),
    series('FREQ=WEEKLY;COUNT=3', { id: 'rota' }),
    series('FREQ=DAILY;COUNT=2', { id: 'daily' }),
  );
  const targets = [
    { entryId: 'boat' },
    { entryId: 'rota', recurrenceKey: '2027-03-16T14:00:00' },
    { entryId: 'daily' },
    { entryId: 'gone' },
  ];
  const patch = copyEntries(state, targets, daysBy(1), context());
  if (isRefused(patch)) throw new Error(patch.refused);
  expect(patch.summary).toMatchObject({ what: 'entries-copied-there', count: 3, left: 1 });
  const after = applyPatch(state, patch);
  const made = [...after.entries.values()].filter(({ id }) => !state.entries.has(id));
  expect(made.map(({ start, recurrence }) => [start, recurrence?.rules[0]])).toEqual([
    [zoned('2027-03-10T14:00'), undefined],
    [zoned('2027-03-17T14:00'), undefined],
    [zoned('2027-03-10T14:00'), 'FREQ=DAILY;COUNT=2'],
  ]);
  expect([...state.entries.keys()].every((id) => after.entries.get(id) === state.entries.get(id))).toBe(true);
});
