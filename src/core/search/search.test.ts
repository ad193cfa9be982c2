import { date, event, FENNICK, series, todo, zoned } from '../../../testing/samples';
import type { Entry } from '../model/entry';
import { EntryIndex } from '../schedule/entryIndex';
import { localString, parseDate } from '../time/civil';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { EntrySearch, type SearchField } from './entrySearch';
import { todoSpan } from '../todos/todoSpan';
import { isQueryEmpty, parseSearch } from './searchQuery';

const now = Date.UTC(2027, 2, 9, 10, 20);
const calendars = [
  { id: 'meetings', name: 'Meetings', mark: 'ME' },
  { id: 'desk', name: 'Desk work', mark: 'DW' },
];
const searching = (...entries: Entry[]) => {
  const index = new EntryIndex();
  index.load(entries);
  const search = new EntrySearch(index);
  const find = (text: string, field?: SearchField) =>
    search.find({
      text,
      ...(field ? { field } : {}),
      zone: FENNICK,
      now,
      workingPattern: standardWorkingPattern,
      calendars,
      limit: 20,
    });
  const ids = async (text: string, field?: SearchField) =>
    (await find(text, field)).hits.map(({ key }) => key.split('|')[0]);
  return { index, search, find, ids };
};
const attendees = [{ address: 'mailto:salma@fennick.example', parameters: { cn: 'Salma Wray' } }];
const attachment = ['attach', { filename: 'grant figures.csv' }, 'uri', 'https://files.fennick.example/2'];

const corpus = [
  event({
    id: 'lens',
    title: 'Lens invoices',
    calendarId: 'desk',
    start: zoned('2027-03-10T10:00'),
    end: zoned('2027-03-10T11:00'),
  }),
  event({
    id: 'panel',
    title: 'Halifax panel',
    notes: 'Bring the lens figures',
    attendees,
    preserved: { properties: [attachment], components: [] },
  }),
  event({
    id: 'cafe',
    title: 'Café round',
    location: 'Lamp room',
    start: zoned('2026-03-10T10:00'),
    end: zoned('2026-03-10T11:00'),
  }),
  event({
    id: 'lamp',
    title: 'Order lamp oil',
    categories: ['stores'],
    start: zoned('2027-06-01T09:00'),
    end: zoned('2027-06-01T09:30'),
  }),
  series('FREQ=WEEKLY;BYDAY=TU', {
    id: 'rota',
    title: 'Keeper rota call',
    start: zoned('2026-01-06T14:00'),
    end: zoned('2026-01-06T15:00'),
  }),
  event({
    id: 'moved',
    title: 'Keeper rota call',
    seriesId: 'rota',
    recurrenceId: zoned('2027-03-09T14:00'),
    start: zoned('2027-03-09T16:00'),
    end: zoned('2027-03-09T17:00'),
  }),
  series('FREQ=DAILY;COUNT=3', {
    id: 'done',
    title: 'Tower paint',
    start: zoned('2026-05-01T08:00'),
    end: zoned('2026-05-01T12:00'),
  }),
];

describe('a search line', () => {
  test('is words, exact phrases and operators', () => {
    expect(
      parseSearch('lens #ME since:2027-01 until:2027-03-31 is:series has:attachment -draft "as it is" bill'),
    ).toEqual({
      words: 'lens bill',
      phrases: ['as it is'],
      calendars: ['ME'],
      from: parseDate('2027-01-01'),
      end: parseDate('2027-04-01'),
      is: ['series'],
      has: ['attachment'],
      without: ['draft'],
      problems: [],
    });
    expect(parseSearch('to:2027').end).toBe(parseDate('2028-01-01'));
    expect(parseSearch('to:2027-12').end).toBe(parseDate('2028-01-01'));
  });
  test('says what it does not understand, but not while it is typed', () => {
    expect(parseSearch('from:soon is:lost').problems).toEqual(['from:soon', 'is:lost']);
    expect(parseSearch('from:2027-02-30').problems).toEqual(['from:2027-02-30']);
    expect(parseSearch('from: "half').problems).toEqual([]);
    expect(isQueryEmpty(parseSearch('  from: # '))).toBe(false);
    expect(isQueryEmpty(parseSearch('  from: '))).toBe(true);
  });
});

test('words are found in every field, with counts by field', async () => {
  const { find, ids } = searching(...corpus);
  const lens = await find('lens');
  expect(lens.hits.map(({ key }) => key.split('|')[0])).toEqual(['lens', 'panel']);
  expect(lens.counts).toEqual({ title: 1, notes: 1 });
  expect(await ids('lens', 'notes')).toEqual(['panel']);
  expect(await ids('salma')).toEqual(['panel']);
  expect(await ids('figures csv')).toEqual(['panel']);
  expect(await ids('stores')).toEqual(['lamp']);
  expect(await ids('lamp')).toEqual(['lamp', 'cafe']);
});

test('beginnings of words, missing accents and typing errors are forgiven', async () => {
  const { ids } = searching(...corpus);
  expect(await ids('hali')).toEqual(['panel']);
  expect(await ids('cafe')).toEqual(['cafe']);
  expect(await ids('CAFÉ')).toEqual(['cafe']);
  expect(await ids('invocies')).toEqual(['lens']);
  // The next date of the series is the changed one.
  expect(await ids('kepper rota')).toEqual(['moved']);
});

test('a series is found once, with its next date; one that has ended, with its last', async () => {
  const { find } = searching(...corpus);
  const rota = await find('keeper');
  expect(rota.total).toBe(1);
  // The call of today was moved to 16:00.
  expect(localString(rota.hits[0]!.occurrence!.startWall)).toBe('2027-03-09T16:00:00');
  const done = await find('paint');
  expect(localString(done.hits[0]!.occurrence!.startWall)).toBe('2026-05-03T08:00:00');
});

test('operators narrow what is found, also without words', async () => {
  const { ids } = searching(...corpus);
  expect(await ids('#DW')).toEqual(['lens']);
  expect(await ids('#desk lens')).toEqual(['lens']);
  expect(await ids('#XX')).toEqual([]);
  expect(await ids('is:series')).toEqual(['moved', 'done']);
  expect(await ids('has:attachment')).toEqual(['panel']);
  expect(await ids('has:people is:single')).toEqual(['panel']);
  expect(await ids('"lamp oil"')).toEqual(['lamp']);
  expect(await ids('"oil lamp"')).toEqual([]);
  expect(await ids('from:2027-06 is:single')).toEqual(['lamp']);
  expect(await ids('to:2026-04 is:single')).toEqual(['cafe']);
  expect(await ids('rota from:2027-05 to:2027-05')).toEqual(['rota']);
});

test('the search follows changes', async () => {
  const { index, search, ids } = searching(...corpus);
  expect(await ids('signal')).toEqual([]);
  const added = event({
    id: 'signal',
    title: 'Signal mast',
    start: date('2027-04-01'),
    end: date('2027-04-02'),
  });
  index.put(added);
  search.put(added);
  expect(await ids('signal')).toEqual(['signal']);
  const renamed = { ...added, title: 'Flag mast' };
  index.put(renamed);
  search.put(renamed);
  expect(await ids('signal')).toEqual([]);
  expect(await ids('flag')).toEqual(['signal']);
  index.remove('signal');
  search.remove('signal');
  expect(await ids('flag')).toEqual([]);
});

test('days, months and times that are typed plainly find what lies there, after what says the words', async () => {
  const { ids, find } = searching(
    ...corpus,
    event({
      id: 'plan',
      title: 'March plan',
      start: zoned('2027-05-04T09:00'),
      end: zoned('2027-05-04T10:00'),
    }),
    series('FREQ=YEARLY', {
      id: 'claim',
      title: 'Claim',
      start: date('2025-03-20'),
      end: date('2025-03-21'),
    }),
  );
  expect(await ids('2027-03-10')).toEqual(['lens']);
  expect((await ids('March'))[0]).toBe('plan');
  expect(await ids('march')).toEqual(expect.arrayContaining(['lens', 'cafe', 'claim']));
  expect(await ids('lens March 2027')).toEqual(['lens', 'panel']);
  expect(await ids('round March 2027')).toEqual([]);
  expect(await ids('10:00 lens')).toEqual(['lens']);
  expect((await find('June 2027')).hits.map(({ key }) => key.split('|')[0])).toContain('lamp');
});

test('what is counted is what can be reached: the days asked for count, and a longer list goes on', async () => {
  const many = Array.from({ length: 60 }, (_, index) =>
    event({
      id: `oil-${index}`,
      title: 'Oil',
      start: zoned('2027-03-10T10:00'),
      end: zoned('2027-03-10T11:00'),
    }),
  );
  const { search, find } = searching(...many);
  expect((await find('oil since:2028-01')).total).toBe(0);
  const all = await search.find({
    text: 'oil',
    zone: FENNICK,
    now,
    workingPattern: standardWorkingPattern,
    calendars,
    limit: 80,
  });
  expect([all.total, all.hits.length]).toEqual([60, 60]);
});

test('a word after a minus leaves out, and notes of one’s own are found as they are written and taken away', async () => {
  const { search, ids } = searching(...corpus);
  expect(await ids('lens')).toEqual(['lens', 'panel']);
  expect(await ids('lens -panel')).toEqual(['lens']);
  const own = corpus.find(({ id }) => id === 'lens')!;
  const noteId = `${own.calendarId}|${own.uid}`;
  search.putNote(noteId, 'ask Marek for the polish');
  expect(await ids('polish')).toEqual(['lens']);
  search.putNote(noteId, undefined);
  expect(await ids('polish')).toEqual([]);
  search.loadNotes([{ id: noteId, text: 'wax' }]);
  expect(await ids('wax')).toEqual(['lens']);
});

describe('times that are typed plainly', () => {
  test('a day, a month and a time of the day find what is then, alone and with words', async () => {
    const { ids } = searching(...corpus);
    expect(await ids('2027-03-10')).toEqual(['lens']);
    // The weekly call is in June, too.
    expect((await ids('2027-06')).sort()).toEqual(['lamp', 'rota']);
    expect((await ids('June 2027')).sort()).toEqual(['lamp', 'rota']);
    expect(await ids('10:00 lens')).toEqual(['lens']);
    expect(await ids('lens march')).toEqual(['lens', 'panel']);
    expect(await ids('lens june')).toEqual([]);
  });

  test('what holds a word after a minus is left out', async () => {
    const { ids } = searching(...corpus);
    expect(await ids('lamp -oil')).toEqual(['cafe']);
    expect(await ids('lens -figures')).toEqual(['lens']);
  });
});

test('the counts are of the dates that are asked for', async () => {
  const { find } = searching(...corpus);
  const none = await find('lens since:2027-05');
  expect(none.total).toBe(0);
  expect(Object.values(none.counts).every((count) => count === 0)).toBe(true);
  expect((await find('lens since:2027-03-10 until:2027-03-10')).total).toBe(1);
});

test('a note of one’s own is found', async () => {
  const { search, ids } = searching(event({ id: 'feed', uid: 'pilot@boats.example', title: 'Relief boat' }));
  search.putNote(`meetings|pilot@boats.example`, 'bring the spare fender');
  expect(await ids('fender')).toEqual(['feed']);
  search.putNote(`meetings|pilot@boats.example`, undefined);
  expect(await ids('fender')).toEqual([]);
});

test('to-dos are found by their words and parts, with when they are due, and told apart by what they are', async () => {
  const { find, ids, index, search } = searching(
    event({ id: 'call', title: 'Rope supplier' }),
    todo({
      id: 'rope',
      title: 'Order rope',
      parts: [{ text: 'measure the hoist', isDone: false }],
      ...todoSpan(date('2027-03-08'), undefined),
    }),
    todo({ id: 'someday', title: 'Rope locker' }),
    todo({ id: 'coiled', title: 'Coil rope', status: 'completed' }),
  );
  const rope = await find('rope');
  expect(rope.hits.map(({ key, kind, isDue, isOver }) => [key, kind, isDue, isOver])).toEqual(
    expect.arrayContaining([
      ['call', 'event', false, false],
      ['rope', 'todo', true, false],
      ['someday', 'todo', false, false],
      ['coiled', 'todo', false, true],
    ]),
  );
  expect(await ids('hoist')).toEqual(['rope']);
  expect((await ids('rope is:todo')).sort()).toEqual(['coiled', 'rope', 'someday']);
  expect((await ids('rope is:open')).sort()).toEqual(['rope', 'someday']);
  expect(await ids('is:overdue')).toEqual(['rope']);
  expect(await ids('rope is:done')).toEqual(['coiled']);
  expect(await ids('rope is:event')).toEqual(['call']);
  // What is on no day is on none of those that are named.
  expect(await ids('rope is:todo since:2027-03-01')).toEqual(['rope']);
  index.remove('rope');
  search.remove('rope');
  expect(await ids('hoist')).toEqual([]);
});
