import { calendar, event } from '../../../testing/samples';
import type { ImportedFile } from './importStep';
import { calendarNamed, importChoice, NEW_CALENDAR, partsInto } from './importTarget';

const file = (title: string, fields: Partial<ImportedFile> = {}): ImportedFile => ({
  name: `${title}.ics`,
  title,
  description: '',
  colour: undefined,
  preserved: undefined,
  events: [event({ title })],
  todos: [],
  files: new Map(),
  problems: [],
  ...fields,
});
const meetings = calendar();
const rota = calendar({ id: 'rota', name: 'Keeper rota', mark: 'KR', colour: 'plum', readOnly: true });

test('a calendar is found by its name, whatever the letters and blanks round it', () => {
  expect(calendarNamed([meetings], ' meetings ')).toBe(meetings);
  expect(calendarNamed([meetings], 'Meeting')).toBeUndefined();
});

test('a new calendar needs a name of its own; a chosen one, and several files, need none', () => {
  const of = (isOne: boolean, into: string, newName: string) => {
    const read = importChoice(isOne, [meetings]).safeParse({ into, newName });
    return read.success ? read.data : read.error.issues.map(({ path, message }) => [path[0], message]);
  };
  expect(of(true, NEW_CALENDAR, ' Tides ')).toEqual({ newName: 'Tides' });
  expect(of(true, NEW_CALENDAR, '  ')).toEqual([['newName', 'Give it a name.']]);
  expect(of(true, NEW_CALENDAR, 'meetings')).toEqual([
    ['newName', expect.stringContaining('“Meetings” already')],
  ]);
  expect(of(true, 'meetings', '')).toEqual({ calendarId: 'meetings' });
  expect(of(false, NEW_CALENDAR, '')).toEqual({ newName: undefined });
});

test('everything goes into the calendar that was chosen', () => {
  const parts = partsInto([file('Tides'), file('Buoys')], { calendarId: 'meetings' }, [meetings]);
  expect(parts.map(({ into }) => into)).toEqual([
    { calendarId: 'meetings', preserved: undefined },
    { calendarId: 'meetings', preserved: undefined },
  ]);
});

test('a new calendar goes by the name that was written, also where there is one of that name', () => {
  const [part] = partsInto([file('Tides')], { newName: ' Meetings ' }, [meetings]);
  expect(part?.into).toMatchObject({ newCalendar: { name: 'Meetings' } });
  const [unnamed] = partsInto([file('')], { newName: undefined }, [meetings]);
  expect(unnamed?.into).toMatchObject({ newCalendar: { name: 'Calendars' } });
});

test('of several files each finds its own calendar, but never one that can’t be changed', () => {
  const parts = partsInto([file('Meetings'), file('Keeper rota')], { newName: undefined }, [meetings, rota]);
  expect(parts[0]?.into).toMatchObject({ calendarId: 'meetings' });
  expect(parts[1]?.into).toMatchObject({ newCalendar: { name: 'Keeper rota' } });
});

test('new calendars have marks and colours of their own, their file’s where it is free', () => {
  const files = [file('Tides', { colour: 'harbour' }), file('Tower', { colour: 'moss' }), file('Tools')];
  const made = partsInto(files, { newName: undefined }, [meetings]).map(
    ({ into }) => 'newCalendar' in into && into.newCalendar,
  );
  const all = [meetings, ...made];
  expect(new Set(all.map((each) => each && each.mark)).size).toBe(4);
  expect(new Set(all.map((each) => each && each.colour)).size).toBe(4);
  expect(made[1]).toMatchObject({ colour: 'moss' });
});
