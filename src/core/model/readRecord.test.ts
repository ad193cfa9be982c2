import { z } from 'zod';
import { calendar, context, event, stateWith } from '../../../testing/samples';
import { changeSettings, saveCalendar } from '../change/calendarChanges';
import { changeEntry } from '../change/entryChanges';
import { isRefused } from '../change/eventFields';
import { Patch } from '../change/patch';
import { readBackup, writeBackup } from '../interchange/backup/backupFile';
import { readAs, readRecord } from './readRecord';
import { initialSettings } from './initialSettings';
import { withUnknown } from './unknownFields';

/** A record as a later version may have written it. */
const later = <Fields extends object>(record: Fields) => ({ ...record, weather: { wind: 7 }, version: 9 });

test('what a later version wrote is kept: beside the fields that are known, and within them', () => {
  const entry = { ...later(event()), start: { ...event().start, source: 'tide table' } };
  const { record } = readRecord('entries', entry);
  expect(record).toEqual(entry);
  const { issues } = readRecord('entries', { ...entry, title: 7 });
  expect(issues?.[0]?.path).toEqual(['title']);
});

test('it is kept through changes, patches and backups', () => {
  const { record } = readRecord('entries', later(event({ id: 'lamp' })));
  const state = stateWith(record!);
  const changed = changeEntry(
    state,
    { entryId: 'lamp' },
    { ...record!, title: 'Lamp room' },
    'this',
    context(),
  );
  if (isRefused(changed)) throw new Error(changed.refused);
  const read = Patch.parse(JSON.parse(JSON.stringify(changed)));
  expect(read.changes[0]!.after).toMatchObject({ title: 'Lamp room', weather: { wind: 7 }, version: 9 });
  const { records } = readBackup(writeBackup(state, new Map(), 0));
  expect(records.entries[0]).toMatchObject({ weather: { wind: 7 } });

  const settings = later(initialSettings('Europe/Lisbon'));
  const own = {
    ...state,
    settings: new Map([['settings', settings]]),
    calendars: new Map([['x', later(calendar({ id: 'x' }))]]),
  };
  const [after] = changeSettings(own, { weekStart: 7 }, context()).changes;
  expect(after!.after).toMatchObject({ weekStart: 7, weather: { wind: 7 } });
  const saved = saveCalendar(
    own,
    'x',
    { name: 'Boats', description: '', colour: 'pine', mark: 'BO' },
    context(),
  );
  expect(saved.changes[0]!.after).toMatchObject({ name: 'Boats', weather: { wind: 7 } });
});

test('an older record is led to the present form, step by step; one of today and one of tomorrow are let be', () => {
  const schema = z.object({ id: z.string(), title: z.string(), importance: z.number() });
  const migrations = [
    ({ name, ...record }: Readonly<Record<string, unknown>>) => ({ ...record, title: name }),
    (record: Readonly<Record<string, unknown>>) => ({ ...record, importance: 5 }),
  ];
  const read = (value: unknown) => readAs(schema, migrations, value).record;
  const present = { id: 'a', title: 'Lamp', importance: 5 };
  expect(read({ id: 'a', name: 'Lamp' })).toEqual(present);
  expect(read({ id: 'a', title: 'Lamp', version: 2 })).toEqual(present);
  expect(read({ ...present, importance: 1, version: 3 })).toEqual({ ...present, importance: 1 });
  expect(read({ ...present, version: 9, tide: 'low' })).toEqual({ ...present, version: 9, tide: 'low' });
  expect(read('no record')).toBeUndefined();
});

test('what the schema knows is as the schema has it, and names that objects have by themselves do no harm', () => {
  const raw = JSON.parse(
    '{"a": " x ", "list": [1, {"b": 2, "c": 3}], "__proto__": {"evil": 1}, "constructor": 4}',
  ) as unknown;
  const read = withUnknown(raw, { a: 'x', list: [1, { b: 2 }] });
  expect(read).toEqual({ a: 'x', list: [1, { b: 2, c: 3 }], constructor: 4 });
  expect(Object.getPrototypeOf(read)).toBe(Object.prototype);
});

test('a summary of a later version is said as a change', () => {
  const patch = { id: 'p', at: 0, summary: { what: 'moon-landed', count: 1 }, changes: [] };
  expect(Patch.parse(patch).summary.what).toBe('entry-changed');
});
