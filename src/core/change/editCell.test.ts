import { context, event, series, stateWith, todo } from '../../../testing/samples';
import { type Cell, editCell } from './editCell';
import { isRefused } from './eventFields';
import { applyPatch } from './patch';
import type { Target } from './target';

const invoices = event({ id: 'invoices', title: 'Lens invoices' });
const rota = series('FREQ=WEEKLY;COUNT=4', { id: 'rota' });
const state = stateWith(invoices, rota);

function after(target: Target, cell: Cell, text: string) {
  const result = editCell(state, target, cell, text, context());
  if (isRefused(result)) throw new Error(result.refused);
  return applyPatch(state, result);
}

test.each([
  ['title', '  Lens bills ', { title: 'Lens bills' }],
  ['place', 'Boat shed', { location: 'Boat shed' }],
  ['category', 'boat, report,, boat', { categories: ['boat', 'report'] }],
  ['reference', ' WO-7 ', { reference: 'WO-7' }],
  ['calendar', 'desk', { calendarId: 'desk' }],
  ['availability', 'away', { availability: 'away' }],
  ['availability', 'odd', { availability: 'busy' }],
  ['visibility', 'private', { classification: 'private' }],
] as const)('%s takes “%s”', (cell, text, fields) => {
  expect(after({ entryId: 'invoices' }, cell, text).entries.get('invoices')).toMatchObject(fields);
});

test('a series is written as a whole, one of its dates alone', () => {
  expect(after({ entryId: 'rota' }, 'place', 'Boat shed').entries.get('rota')!.location).toBe('Boat shed');
  const one = after({ entryId: 'rota', recurrenceKey: '2027-03-16T14:00:00' }, 'place', 'Boat shed');
  expect(one.entries.get('rota')!.location).toBe('');
  expect([...one.entries.values()].map(({ location }) => location).sort()).toEqual(['', '', 'Boat shed']);
});

test('a calendar that is not there is refused', () => {
  expect(editCell(state, { entryId: 'invoices' }, 'calendar', 'gone', context())).toEqual({
    refused: 'calendar-missing',
  });
});

test('a category with a comma in its name stays one, and no column of a to-do takes what it has not', () => {
  const kept = { ...invoices, categories: ['Sales, North'] };
  const result = editCell(
    stateWith(kept),
    { entryId: 'invoices' },
    'category',
    'Sales, North, glass',
    context(),
  );
  expect(
    isRefused(result) ? result : applyPatch(stateWith(kept), result).entries.get('invoices'),
  ).toMatchObject({
    categories: ['Sales, North', 'glass'],
  });
  const rope = stateWith(todo({ id: 'rope' }));
  expect(editCell(rope, { entryId: 'rope' }, 'availability', 'free', context())).toEqual({
    refused: 'no-event',
  });
  expect(editCell(state, { entryId: 'invoices' }, 'percent', '40', context())).toEqual({
    refused: 'no-todo',
  });
});
