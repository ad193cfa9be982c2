import { calendar, context, date, event, eventsIn, series, stateWith, zoned } from '../../../testing/samples';
import type { State } from '../model/state';
import { findDoubles } from '../tidy/doubles';
import { attachmentsBySize, removeAttachments } from './attachmentChanges';
import { calendarsInOrder, deleteCalendar, placeCalendar, targetCalendar } from './calendarChanges';
import { categoriesInUse, categoryColours, colourCategory, renameCategory } from './categoryChanges';
import { againOn, copyToCalendar, duplicateEntry } from './copyEntries';
import { importEntries } from './importEntries';
import { mergeCalendars, previewMerge } from './mergeCalendars';
import { keepOwnNote, ownNoteOf } from './ownNotes';
import { applyPatch, inversePatch, type Patch } from './patch';
import { readOnlyTouched } from './readOnly';
import { DAY } from '../time/civil';

const titles = (state: State) => [...state.entries.values()].map(({ title }) => title).sort();
const days = (state: State) =>
  eventsIn(state)
    .map(({ start }) => (start.kind === 'date' ? start.date : start.local.slice(0, 10)))
    .sort();
const apply = (state: State, patch: Patch | undefined) => applyPatch(state, patch!);

describe('doubles', () => {
  const here = event({ id: 'here', uid: 'u1' });
  test('the same UID, or the same title at the same time; never by chance', () => {
    const sameUid = event({ uid: 'u1', title: 'renamed' });
    const sameTime = event({ title: ' keeper ROTA call ' });
    const other = event({ start: zoned('2027-03-10T14:00') });
    const untitled = event({ title: '' });
    const found = findDoubles([sameUid, sameTime, other, untitled], [here, event({ title: '', uid: 'x' })]);
    expect(found.map(({ one, by }) => [one.id, by])).toEqual([
      [sameUid.id, 'uid'],
      [sameTime.id, 'title-and-time'],
    ]);
  });

  test('at import they are skipped, replaced or kept beside with a UID of their own', () => {
    const state = stateWith(here);
    const incoming = [
      event({ id: 'new', uid: 'u1', title: 'from the file' }),
      event({ id: 'else', title: 'else' }),
    ];
    const doubles = findDoubles(incoming, [here]);
    const into = { calendarId: 'desk' };
    const after = (choice: 'skip' | 'replace' | 'both') =>
      apply(state, importEntries(state, incoming, into, context(), { doubles, choiceOf: () => choice }));
    expect(titles(after('skip'))).toEqual(['Keeper rota call', 'else']);
    expect(titles(after('replace'))).toEqual(['else', 'from the file']);
    const both = after('both');
    expect(titles(both)).toEqual(['Keeper rota call', 'else', 'from the file']);
    expect(new Set([...both.entries.values()].map(({ uid }) => uid)).size).toBe(3);
  });
});

describe('merging calendars', () => {
  const state = stateWith(
    event({ id: 'm', calendarId: 'meetings' }),
    event({ id: 'd1', calendarId: 'desk' }),
    series('FREQ=WEEKLY', { id: 'd2', calendarId: 'desk', title: 'Sorting' }),
    event({
      id: 'd3',
      calendarId: 'desk',
      seriesId: 'd2',
      recurrenceId: zoned('2027-03-16T14:00'),
      title: 'Sorting, late',
    }),
  );
  test('all entries move; a double goes to the bin or stays beside; one step takes it all back', () => {
    expect(
      previewMerge(state, 'desk', 'meetings').doubles.map(({ one, other }) => [one.id, other.id]),
    ).toEqual([['d1', 'm']]);
    const patch = mergeCalendars(state, 'desk', 'meetings', new Set(), context());
    const merged = apply(state, patch);
    expect([...merged.calendars.keys()]).toEqual(['meetings']);
    expect([...merged.entries.values()].map(({ id, calendarId }) => [id, calendarId])).toEqual([
      ['m', 'meetings'],
      ['d2', 'meetings'],
      ['d3', 'meetings'],
    ]);
    expect([...merged.bin.values()].map(({ entry }) => entry.id)).toEqual(['d1']);
    expect(apply(merged, inversePatch(patch))).toEqual(state);
    const both = apply(state, mergeCalendars(state, 'desk', 'meetings', new Set(['d1']), context()));
    expect([both.entries.size, both.bin.size]).toEqual([4, 0]);
  });
  test('a calendar can’t be merged into itself or into nothing', () => {
    expect(() => mergeCalendars(state, 'desk', 'desk', new Set(), context())).toThrow();
    expect(() => mergeCalendars(state, 'desk', 'gone', new Set(), context())).toThrow();
  });
  test('series that skip the days off of the calendar that goes follow the one that stays', () => {
    const skipping = series('FREQ=DAILY', { id: 's', calendarId: 'meetings' });
    const marked = stateWith({
      ...skipping,
      recurrence: { ...skipping.recurrence!, skipDaysOff: { calendarId: 'desk', handling: 'omit' } },
    });
    const merged = apply(marked, mergeCalendars(marked, 'desk', 'meetings', new Set(), context()));
    expect(merged.entries.get('s')!.recurrence!.skipDaysOff!.calendarId).toBe('meetings');
  });
});

describe('order and kinds of calendars', () => {
  const state = stateWith();
  test('a calendar is put at a place; at its own nothing changes', () => {
    const moved = apply(state, placeCalendar(state, 'desk', 0, context()));
    expect(calendarsInOrder(moved).map(({ id }) => id)).toEqual(['desk', 'meetings']);
    expect(placeCalendar(state, 'desk', 1, context())).toBeUndefined();
  });
  test('new entries go to no calendar that can’t be changed, and such entries are not changed', () => {
    const feed = calendar({
      id: 'feed',
      order: 0,
      feed: {
        address: 'http://feeds.fennick.example/rota.ics',
        everyMinutes: 60,
        withReminders: false,
        withAttachments: false,
      },
    });
    const withFeed = {
      ...stateWith(event({ calendarId: 'feed' })),
      calendars: new Map([['feed', feed], ...state.calendars]),
    };
    expect(targetCalendar(withFeed, new Set())!.id).toBe('meetings');
    const [entry] = withFeed.entries.values();
    const change = duplicateEntry(withFeed, { entryId: entry!.id }, context())!;
    expect(readOnlyTouched(withFeed, change)!.id).toBe('feed');
    expect(readOnlyTouched(withFeed, deleteCalendar(withFeed, 'feed', 'bin', context()))).toBeUndefined();
  });
});

describe('categories', () => {
  const state = stateWith(
    event({ id: 'a', categories: ['rota', 'lamp'] }),
    event({ id: 'b', categories: ['Rota call'] }),
  );
  test('a colour is given and taken; a new name reaches every entry; the same name makes two one', () => {
    const coloured = apply(state, colourCategory(state, 'rota', 'rust', context()));
    expect(categoryColours(coloured).get('rota')).toBe('rust');
    const renamed = apply(coloured, renameCategory(coloured, 'rota', 'duty', context()));
    expect(categoriesInUse(renamed)).toEqual([
      { name: 'duty', colour: 'rust', count: 1 },
      { name: 'lamp', colour: undefined, count: 1 },
      { name: 'Rota call', colour: undefined, count: 1 },
    ]);
    const merge = renameCategory(renamed, 'Rota call', 'duty', context());
    expect(merge.summary.what).toBe('categories-merged');
    expect(categoriesInUse(apply(renamed, merge)).find(({ name }) => name === 'duty')!.count).toBe(2);
    const removed = apply(renamed, renameCategory(renamed, 'duty', undefined, context()));
    expect(removed.entries.get('a')!.categories).toEqual(['lamp']);
    expect(removed.categories.size).toBe(0);
    expect(
      categoryColours(apply(coloured, colourCategory(coloured, 'rota', undefined, context()))).size,
    ).toBe(0);
  });
});

describe('copies', () => {
  const weekly = series('FREQ=WEEKLY', { id: 's' });
  const changed = event({ id: 'o', seriesId: 's', uid: weekly.uid, recurrenceId: zoned('2027-03-16T14:00') });
  test('a series is copied whole, with its changed occurrences, under a UID of its own', () => {
    const state = stateWith(weekly, changed);
    const copied = apply(state, copyToCalendar(state, [{ entryId: 's' }], 'desk', context()));
    const copies = [...copied.entries.values()].filter(({ calendarId }) => calendarId === 'desk');
    expect(copies).toHaveLength(2);
    expect(copies[1]!.seriesId).toBe(copies[0]!.id);
    expect(new Set(copies.map(({ uid }) => uid)).size).toBe(1);
    expect(copies[0]!.uid).not.toBe(weekly.uid);
  });
  test('again on other days keeps the time of the day over a change of the clock', () => {
    const state = stateWith(
      event({ id: 'a' }),
      event({ id: 'whole', start: date('2027-03-09'), end: date('2027-03-11') }),
    );
    const dayNumbers = ['2027-04-05', '2027-03-20', '2027-04-05'].map((text) => Date.parse(text) / DAY);
    const again = apply(state, againOn(state, { entryId: 'a' }, dayNumbers, context()));
    expect(days(again)).toEqual(['2027-03-09', '2027-03-09', '2027-03-20', '2027-04-05']);
    const april = eventsIn(again).find(
      ({ start }) => start.kind === 'zoned' && start.local.startsWith('2027-04'),
    );
    expect([april!.start, april!.end]).toEqual([zoned('2027-04-05T14:00'), zoned('2027-04-05T15:00')]);
  });
  test('a duplicate stands at the same time with an id and a UID of its own', () => {
    const state = stateWith(event({ id: 'a' }));
    const [first, second] = [
      ...apply(state, duplicateEntry(state, { entryId: 'a' }, context())).entries.values(),
    ];
    expect(second).toMatchObject({ title: first!.title, start: first!.start });
    expect(second!.uid).not.toBe(first!.uid);
  });
});

test('notes of one’s own are kept by UID, changed, and taken away with an empty text', () => {
  const entry = event({ calendarId: 'meetings' });
  const state = stateWith(entry);
  const noted = apply(state, keepOwnNote(state, entry, ' ask Bao ', context()));
  expect(ownNoteOf(noted, entry)!.text).toBe('ask Bao');
  expect(keepOwnNote(noted, entry, 'ask Bao', context()).changes).toEqual([]);
  expect(ownNoteOf(apply(noted, keepOwnNote(noted, entry, '', context())), entry)).toBeUndefined();
  expect(apply(noted, deleteCalendar(noted, 'meetings', 'bin', context())).ownNotes.size).toBe(0);
});

test('attachments are listed by size and taken off every entry that bears them', () => {
  const small = { id: 'small', name: 'a.txt', mediaType: 'text/plain', size: 1 };
  const large = { id: 'large', name: 'b.pdf', mediaType: 'application/pdf', size: 9 };
  const state = stateWith(
    event({ id: 'a', attachments: [small, large] }),
    event({ id: 'b', attachments: [small] }),
  );
  expect(attachmentsBySize(state).map(({ attachment, count }) => [attachment.id, count])).toEqual([
    ['large', 1],
    ['small', 2],
  ]);
  const removed = apply(state, removeAttachments(state, new Set(['small']), context()));
  expect(removed.entries.get('a')!.attachments).toEqual([large]);
  expect(removed.entries.get('b')).not.toHaveProperty('attachments');
});
