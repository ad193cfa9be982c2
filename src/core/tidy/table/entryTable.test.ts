import { date, event, FENNICK, series, todo, zoned } from '../../../../testing/samples';
import { NO_FILTER } from '../../model/look';
import type { Entry } from '../../model/entry';
import { EntryIndex } from '../../schedule/entryIndex';
import { EntrySearch } from '../../search/entrySearch';
import { parseDate } from '../../time/civil';
import { standardWorkingPattern } from '../../time/standardWorkingPattern';
import { todoSpan } from '../../todos/todoSpan';
import { EntryTable } from './entryTable';
import { keysLike, selectionSums } from './selection';
import type { TableQuery, TableRow } from './tableQuery';

const range = (first: string, end: string) => ({ firstDay: parseDate(first), endDay: parseDate(end) });
const query = (more: Partial<TableQuery> = {}): TableQuery => ({
  zone: FENNICK,
  now: Date.UTC(2027, 2, 9, 10, 20),
  workingPattern: standardWorkingPattern,
  range: range('2027-03-08', '2027-04-05'),
  as: 'entries',
  text: '',
  filter: NO_FILTER,
  withoutCancelled: false,
  hiddenCalendarIds: [],
  calendars: [
    { id: 'desk', name: 'Desk work', mark: 'DW', isFeed: false },
    { id: 'meetings', name: 'Meetings', mark: 'ME', isFeed: false },
  ],
  sort: [{ column: 'start', descending: false }],
  periods: [],
  folded: [],
  unfolded: [],
  ...more,
});

const weekly = series('FREQ=WEEKLY', { id: 'rota', title: 'Keeper rota call' });
const moved = event({
  id: 'moved',
  seriesId: 'rota',
  title: 'Keeper rota call, late',
  recurrenceId: zoned('2027-03-16T14:00'),
  start: zoned('2027-03-16T16:00'),
  end: zoned('2027-03-16T17:00'),
});
const invoices = event({
  id: 'invoices',
  calendarId: 'desk',
  title: 'Lens invoices',
  location: 'Chart room',
  categories: ['report'],
  start: zoned('2027-03-09T14:30'),
  end: zoned('2027-03-09T16:30'),
  importedFrom: 'works.ics',
});
const paint = event({
  id: 'paint',
  title: 'Tower paint',
  start: date('2027-03-10'),
  end: date('2027-03-12'),
});
const old = event({
  id: 'old',
  title: 'Old report',
  start: zoned('2026-01-09T09:00'),
  end: zoned('2026-01-09T10:00'),
});

function tableOf(...entries: (readonly Entry[])[]): EntryTable {
  const index = new EntryIndex();
  index.load(entries.flat());
  return new EntryTable(index, new EntrySearch(index));
}
const table = tableOf([weekly, moved, invoices, paint, old]);
const said = (rows: readonly TableRow[]) =>
  rows.map((row) => (row.kind === 'group' ? `= ${row.value}` : `${'  '.repeat(row.depth)}${row.title}`));
const titles = async (more: Partial<TableQuery> = {}) => said((await table.rows(query(more), 0, 100)).rows);

test('a series is one row with its occurrences in the range, which unfold under it', async () => {
  const answer = await table.rows(query(), 0, 100);
  expect(said(answer.rows)).toEqual(['Keeper rota call', 'Lens invoices', 'Tower paint']);
  expect(answer.rows[0]).toMatchObject({ key: 'rota', part: 'series', count: 4 });
  expect(await titles({ unfolded: ['rota'] })).toEqual([
    'Keeper rota call',
    '  Keeper rota call',
    '  Keeper rota call',
    '  Keeper rota call',
    '  Keeper rota call',
    'Lens invoices',
    'Tower paint',
  ]);
  expect(await titles({ as: 'occurrences' })).toEqual([
    'Keeper rota call',
    'Lens invoices',
    'Tower paint',
    'Keeper rota call, late',
    'Keeper rota call',
    'Keeper rota call',
  ]);
});

test('what is off can be left out: cancelled, or declined, as a whole or on one date', async () => {
  const off = tableOf([
    invoices,
    { ...paint, ownAnswer: 'declined' },
    { ...weekly, status: 'cancelled' },
    { ...moved, ownAnswer: 'tentative' },
    { ...old, start: zoned('2027-03-10T09:00'), end: zoned('2027-03-10T10:00'), status: 'cancelled' },
  ]);
  const shown = async (more: Partial<TableQuery>) => said((await off.rows(query(more), 0, 100)).rows);
  expect(await shown({ as: 'occurrences', withoutCancelled: true })).toEqual([
    'Lens invoices',
    'Keeper rota call, late',
  ]);
  expect(await shown({ as: 'occurrences' })).toHaveLength(7);
});

test('without a range all entries are there, each once', async () => {
  const { rows, sums } = await table.rows(query({ range: undefined }), 0, 100);
  expect(said(rows)).toEqual(['Old report', 'Keeper rota call', 'Lens invoices', 'Tower paint']);
  expect(sums).toEqual({ entries: 4, occurrences: 4, wholeDays: 2 });
});

test('hours are summed each, and once where they overlap; whole days by themselves', async () => {
  const { sums } = await table.rows(query(), 0, 0);
  expect(sums).toEqual({ entries: 3, occurrences: 6, minutesEach: 360, minutesOnce: 330, wholeDays: 2 });
});

test('sorted by several columns, both ways', async () => {
  expect(await titles({ sort: [{ column: 'title', descending: true }] })).toEqual([
    'Tower paint',
    'Lens invoices',
    'Keeper rota call',
  ]);
  const sort = [
    { column: 'calendar', descending: false },
    { column: 'length', descending: true },
  ] as const;
  expect(await titles({ sort })).toEqual(['Lens invoices', 'Tower paint', 'Keeper rota call']);
});

test('words, operators and filters leave out what they leave out elsewhere', async () => {
  expect(await titles({ text: 'invoices' })).toEqual(['Lens invoices']);
  expect(await titles({ text: '#ME is:series' })).toEqual(['Keeper rota call']);
  expect(await titles({ text: 'since:2027-03-20', as: 'occurrences' })).toEqual([
    'Keeper rota call',
    'Keeper rota call',
  ]);
  expect(await titles({ filter: { ...NO_FILTER, categories: ['report'] } })).toEqual(['Lens invoices']);
  expect(await titles({ hiddenCalendarIds: ['meetings'] })).toEqual(['Lens invoices']);
  expect((await table.rows(query({ text: 'is:odd' }), 0, 1)).problems).toEqual(['is:odd']);
});

test('gathered, each group with its sums, and folded', async () => {
  expect(await titles({ group: 'calendar' })).toEqual([
    '= desk',
    'Lens invoices',
    '= meetings',
    'Keeper rota call',
    'Tower paint',
  ]);
  expect(await titles({ group: 'category', folded: ['category:'] })).toEqual([
    '= report',
    'Lens invoices',
    '= ',
  ]);
  expect(await titles({ group: 'month', as: 'occurrences', sort: [] })).toEqual([
    '= 2027-03',
    ...(await titles({ as: 'occurrences' })),
  ]);
  expect((await titles({ group: 'weekday' })).filter((row) => row.startsWith('='))).toEqual(['= 2', '= 3']);
  const periods = [{ first: parseDate('2027-03-08'), end: parseDate('2027-03-10') }];
  expect(await titles({ group: 'period', periods })).toEqual([
    '= 0',
    'Keeper rota call',
    'Lens invoices',
    '= -1',
    'Tower paint',
  ]);
  const { rows } = await table.rows(query({ group: 'calendar' }), 0, 1);
  expect(rows[0]).toMatchObject({ kind: 'group', sums: { entries: 1, minutesEach: 120, minutesOnce: 120 } });
});

test('a part is handed out of the whole, and keys of all or of a range of places', async () => {
  const part = await table.rows(query(), 1, 2);
  expect([part.from, part.rowCount, said(part.rows)]).toEqual([1, 3, ['Lens invoices']]);
  expect(await table.keys(query({ group: 'calendar', folded: ['calendar:desk'] }))).toEqual([
    'invoices',
    'rota',
    'paint',
  ]);
  expect(await table.keys(query({ group: 'calendar' }), 0, 3)).toEqual(['invoices']);
  expect(await table.placeOf(query(), 'paint')).toBe(2);
});

test('where an entry came from is told', async () => {
  const { rows } = await table.rows(query({ text: 'invoices' }), 0, 1);
  expect(rows[0]).toMatchObject({ origin: { kind: 'imported', name: 'works.ics' } });
  const calendars = [{ id: 'meetings', name: 'Meetings', mark: 'ME', isFeed: true }];
  const fed = await table.rows(query({ text: 'paint', calendars }), 0, 1);
  expect(fed.rows[0]).toMatchObject({ origin: { kind: 'feed' } });
});

test('others like one, and what a selection comes to', () => {
  const index = new EntryIndex();
  index.load([weekly, moved, invoices, { ...invoices, id: 'again', title: 'LENS invoices ' }, paint]);
  expect(keysLike(index, 'invoices', 'title')).toEqual(['invoices', 'again']);
  expect(keysLike(index, 'invoices', 'place')).toEqual(['invoices', 'again']);
  expect(keysLike(index, 'paint', 'place')).toEqual(['paint']);
  expect(keysLike(index, 'moved', 'series')).toEqual(['rota']);
  expect(
    selectionSums(
      index,
      ['rota|2027-03-09T14:00:00', 'moved', 'invoices', 'paint', 'gone'],
      FENNICK,
      new Set(['rota']),
    ),
  ).toEqual({
    entries: 4,
    series: 1,
    minutes: 240,
    wholeDays: 2,
    outOfSight: 2,
  });
});

const rope = todo({
  id: 'rope',
  title: 'Order rope',
  calendarId: 'desk',
  priority: 1,
  estimate: 120,
  ...todoSpan(zoned('2027-03-11T17:00'), undefined),
});
const report = todo({
  id: 'report',
  title: 'Monthly report',
  ...todoSpan(date('2027-03-31'), date('2027-03-20')),
  recurrence: { rules: ['FREQ=MONTHLY'], dates: [], exceptionDates: [] },
});
const someday = todo({ id: 'someday', title: 'Paint the locker', percent: 40, status: 'in-process' });
const mixed = tableOf([weekly, invoices, paint, rope, report, someday]);
const mixedTitles = async (more: Partial<TableQuery> = {}) =>
  said((await mixed.rows(query(more), 0, 100)).rows);

test('to-dos stand among the events by when they are to be done; without a date where all time is looked at', async () => {
  expect(await mixedTitles()).toEqual([
    'Keeper rota call',
    'Lens invoices',
    'Tower paint',
    'Order rope',
    'Monthly report',
  ]);
  expect(await mixedTitles({ kind: 'todo' })).toEqual(['Order rope', 'Monthly report']);
  const { range: _, ...always } = query();
  const all = await mixed.rows({ ...always, kind: 'todo' }, 0, 100);
  expect(said(all.rows)).toEqual(['Order rope', 'Monthly report', 'Paint the locker']);
  // What they are said to take is no time that is taken.
  expect(all.sums).toMatchObject({ entries: 3, occurrences: 0, wholeDays: 0 });
});

test('a row of a to-do says until when it is due, and from when it can be done only where that was said', async () => {
  const { rows } = await mixed.rows(query({ kind: 'todo' }), 0, 100);
  expect(rows[0]).toMatchObject({
    entryKind: 'todo',
    endWall: Date.UTC(2027, 2, 11, 17),
    minutes: 120,
    standing: 'open',
    values: { priority: 1, status: 'needs-action' },
  });
  expect(rows[0]).not.toHaveProperty('startWall');
  expect(rows[1]).toMatchObject({
    startWall: Date.UTC(2027, 2, 20),
    endWall: Date.UTC(2027, 3, 1),
    allDay: true,
    part: 'series',
  });
});

test('to-dos are sorted, gathered and selected like everything else', async () => {
  const { range: _, ...always } = query();
  const by = async (more: Partial<TableQuery>) =>
    said((await mixed.rows({ ...always, kind: 'todo', ...more }, 0, 100)).rows);
  expect(await by({ sort: [{ column: 'status', descending: true }] })).toEqual([
    'Paint the locker',
    'Order rope',
    'Monthly report',
  ]);
  expect((await by({ sort: [{ column: 'importance', descending: false }] }))[0]).toBe('Order rope');
  expect((await by({ sort: [{ column: 'percent', descending: true }] }))[0]).toBe('Paint the locker');
  expect((await by({ sort: [{ column: 'end', descending: false }] })).at(-1)).toBe('Paint the locker');
  expect(await by({ group: 'month' })).toEqual([
    '= 2027-03',
    'Order rope',
    'Monthly report',
    '= ',
    'Paint the locker',
  ]);
  const index = new EntryIndex();
  index.load([invoices, rope, someday]);
  expect(selectionSums(index, ['rope', 'someday'], FENNICK, new Set(['rope']))).toEqual({
    entries: 2,
    series: 0,
    minutes: 120,
    wholeDays: 0,
    outOfSight: 1,
  });
  index.put({ ...rope, title: 'Lens invoices' });
  expect(keysLike(index, 'invoices', 'title')).toEqual(['invoices', 'rope']);
});
