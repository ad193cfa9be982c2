import { initialLook as atFirst, type Look } from './look';
import { type PresetLook, samePresetLook, ViewPreset } from './viewPreset';

const initialLook: Look = { ...atFirst, view: 'week' };
const plan: PresetLook = { look: initialLook };
const table: PresetLook = {
  look: initialLook,
  table: {
    parameters: { find: 'lamp', sort: '-start' },
    columns: { order: ['title', 'start'], shown: { place: false, end: true }, widths: {} },
  },
};

test('two looks are the same where they show the same, in whatever order it is said', () => {
  const columns = { ...table.table!.columns!, shown: { end: true, place: false } };
  expect(
    samePresetLook(table, {
      look: { ...initialLook },
      table: { columns, parameters: { sort: '-start', find: 'lamp' } },
    }),
  ).toBe(true);
  // Read from storage, its parts have no prototype.
  expect(
    samePresetLook(ViewPreset.parse({ id: 'a', name: 'Lamps', order: 1, fromToday: false, ...table }), table),
  ).toBe(true);
  expect(samePresetLook(plan, { look: { ...initialLook, hidden: [] } })).toBe(true);
});

test('another place, other words, columns in another order are another look', () => {
  const { parameters, columns } = table.table!;
  const others: PresetLook[] = [
    plan,
    { ...table, look: { ...initialLook, hidden: ['rota'] } },
    { ...table, table: { parameters: { ...parameters, find: 'lens' }, columns } },
    { ...table, table: { parameters, columns: { ...columns!, order: ['start', 'title'] } } },
  ];
  expect(others.map((other) => samePresetLook(table, other))).toEqual([false, false, false, false]);
});

test('a preset of the table is kept with its columns, and one of Plan without', () => {
  const kept = { id: 'a', name: 'Lamps', order: 1, fromToday: false };
  expect(ViewPreset.parse({ ...kept, ...table }).table).toEqual(table.table);
  expect('table' in ViewPreset.parse({ ...kept, ...plan })).toBe(false);
});
