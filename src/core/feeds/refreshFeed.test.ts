import { calendar, context, event, series, stateWith, todo, zoned } from '../../../testing/samples';
import { keepOwnNote, ownNoteOf } from '../change/ownNotes';
import { applyPatch } from '../change/patch';
import type { FeedSource } from '../model/calendar';
import type { Entry } from '../model/entry';
import type { State } from '../model/state';
import { type FeedAnswer, isFeedDue, refreshFeed } from './refreshFeed';
import { noticeBefore } from '../model/reminder';
import { HOUR, MINUTE } from '../time/civil';

const source: FeedSource = {
  address: 'http://feeds.fennick.example/rota.ics',
  everyMinutes: 60,
  withReminders: false,
  withAttachments: false,
};
const subscribed = (feed: Partial<FeedSource> = {}): State => ({
  ...stateWith(),
  calendars: new Map([['rota', calendar({ id: 'rota', name: 'Keeper rota', feed: { ...source, ...feed } })]]),
});
const read = (...entries: Entry[]): FeedAnswer => ({
  kind: 'read',
  entries,
  etag: '"1"',
  lastModified: undefined,
});
const refresh = (state: State, answer: FeedAnswer, now = 1000) =>
  applyPatch(state, refreshFeed(state, 'rota', answer, context(now)));

test('entries that are still there keep their ids, those that are gone go, and own notes stay', () => {
  const first = refresh(subscribed(), read(event({ id: 'r1', uid: 'a' }), event({ id: 'r2', uid: 'b' })));
  const kept = first.entries.get('r1')!;
  expect(kept.calendarId).toBe('rota');
  const noted = applyPatch(first, keepOwnNote(first, kept, 'swap with Bao', context()));
  const second = refresh(
    noted,
    read(event({ id: 'r9', uid: 'a', title: 'moved' }), event({ id: 'r8', uid: 'c' })),
    2000,
  );
  expect([...second.entries.values()].map(({ id, title }) => [id, title])).toEqual([
    ['r1', 'moved'],
    ['r8', 'Keeper rota call'],
  ]);
  expect(ownNoteOf(second, second.entries.get('r1')!)!.text).toBe('swap with Bao');
  expect(second.calendars.get('rota')!.feed).toMatchObject({ refreshed: 2000, tried: 2000, etag: '"1"' });
});

test('what has not changed is not written again, changed occurrences stay with their series', () => {
  const made = (id: string) => [
    series('FREQ=WEEKLY', { id, uid: 's' }),
    event({ id: `${id}-o`, uid: 's', seriesId: id, recurrenceId: zoned('2027-03-16T14:00') }),
  ];
  const state = refresh(subscribed(), read(...made('x')));
  const patch = refreshFeed(state, 'rota', read(...made('y')), context());
  expect(patch.changes.map(({ collection }) => collection)).toEqual(['calendars']);
  expect(state.entries.get('x-o')!.seriesId).toBe('x');
});

test('reminders and attached files come only where they are wanted', () => {
  const full = event({
    id: 'r',
    uid: 'a',
    reminders: [noticeBefore(5)],
    preserved: { properties: [['attach', {}, 'uri', 'http://x.example/a.pdf']], components: [] },
  });
  // It follows the usual ones of its calendar then.
  expect(refresh(subscribed(), read(full)).entries.get('r')).not.toHaveProperty('reminders');
  expect(refresh(subscribed(), read(full)).entries.get('r')).not.toHaveProperty('preserved');
  const wanted = subscribed({ withReminders: true, withAttachments: true });
  expect(refresh(wanted, read(full)).entries.get('r')).toEqual({ ...full, calendarId: 'rota' });
});

test('a feed that can’t be read keeps its entries and says since when; the next success clears it', () => {
  const state = refresh(subscribed(), read(event({ id: 'r', uid: 'a' })));
  const failed = { kind: 'failed', code: 'vanished', detail: '410' } as const;
  const once = refresh(state, failed, 2000);
  const twice = refresh(once, failed, 3000);
  expect(twice.entries.size).toBe(1);
  expect(twice.calendars.get('rota')!.feed).toMatchObject({
    refreshed: 1000,
    tried: 3000,
    problem: { code: 'vanished', since: 2000 },
  });
  expect(refresh(twice, { kind: 'unchanged' }, 4000).calendars.get('rota')!.feed).not.toHaveProperty(
    'problem',
  );
});

test('a feed is due at first and after its interval', () => {
  const rota = (tried?: number) =>
    calendar({ feed: { ...source, ...(tried === undefined ? {} : { tried }) } });
  expect(isFeedDue(rota(), 0)).toBe(true);
  expect(isFeedDue(rota(0), 59 * MINUTE)).toBe(false);
  expect(isFeedDue(rota(0), HOUR)).toBe(true);
  expect(isFeedDue(calendar(), 1e12)).toBe(false);
});

test('to-dos of a feed come and go with it, beside events of the same UID', () => {
  const first = refresh(subscribed(), read(event({ id: 'e', uid: 'a' }), todo({ id: 't', uid: 'a' })));
  expect([...first.entries.keys()].sort()).toEqual(['e', 't']);
  const second = refresh(first, read(todo({ id: 'other', uid: 'a', title: 'Order rope, soon' })), 2000);
  expect([...second.entries.values()].map(({ id, title, calendarId }) => [id, title, calendarId])).toEqual([
    ['t', 'Order rope, soon', 'rota'],
  ]);
});
