import fc from 'fast-check';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import request from 'supertest';
import { calendar, event, person, series, zoned } from '../../testing/samples';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { saveShare } from '@/core/change/sharing/shareChanges';
import { applyPatch } from '@/core/change/patch';
import { seenUid } from '@/core/interchange/published/publishedEvents';
import type { CalendarEvent } from '@/core/model/entry';
import { SHARE_DEPTHS } from '@/core/model/share';
import { emptyState, type State } from '@/core/model/state';
import { accessOf } from '@/core/people/sharing/access';
import { sharedParts } from '@/core/people/sharing/sharedParts';
import { parseDate } from '@/core/time/civil';
import { Files } from '@/engine/files';
import { createApp } from '../app';
import { HandInStore, MOST_WAITING } from './handInStore';
import { pageSections } from './pageSections';
import { publishedPage } from './publishedPage';

const NOW = Date.UTC(2027, 2, 9, 10);
const ZONE = 'Europe/Lisbon';
const tobias = person('Tobias Rask', { id: 'tobias' });
const DAYS_OFF = { events: [], calendars: [], workingPattern: standardWorkingPattern, now: NOW };

describe('every byte that leaves for a colleague', () => {
  /** What an entry says, each with a word that stands nowhere else. */
  const wordsOf = (id: string, calendarId: string): Partial<CalendarEvent> => ({
    id,
    calendarId,
    uid: `${id}-uid@fennick.example`,
    title: `${id}-title`,
    notes: `${id}-notes`,
    location: `${id}-location`,
    url: `https://fennick.example/${id}-url`,
    categories: [`${id}-category`],
    attachments: [{ id: `${id}-file`, name: `${id}-attachment`, mediaType: 'text/plain', size: 1 }],
    attendees: [
      { address: `mailto:${id}-guest@fennick.example`, parameters: {} },
    ] as CalendarEvent['attendees'],
    preserved: { properties: [['x-own', {}, 'text', `${id}-own`]], components: [] },
  });
  const KINDS = [
    'title',
    'notes',
    'location',
    'url',
    'category',
    'attachment',
    'guest',
    'own',
    'uid',
    'file',
  ];
  const MAY: Readonly<Record<(typeof SHARE_DEPTHS)[number], readonly string[]>> = {
    nothing: [],
    busy: [],
    titles: ['title'],
    everything: ['title', 'notes', 'location', 'url', 'category', 'guest', 'own', 'uid'],
  };
  const some = fc.record({
    calendarId: fc.constantFrom('one', 'two', 'three'),
    classification: fc.constantFrom(
      'public' as const,
      'public' as const,
      'private' as const,
      'confidential' as const,
    ),
    isSeries: fc.boolean(),
    isMoved: fc.boolean(),
    status: fc.constantFrom('confirmed' as const, 'confirmed' as const, 'cancelled' as const),
    availability: fc.constantFrom('busy' as const, 'tentative' as const, 'free' as const),
  });
  type Some = typeof some extends fc.Arbitrary<infer One> ? One : never;
  const entriesOf = (each: Some, index: number): CalendarEvent[] => {
    const { isSeries, isMoved, ...fields } = each;
    const words = wordsOf(`e${index}x`, each.calendarId);
    if (!isSeries) return [event({ ...words, ...fields })];
    const master = series('FREQ=DAILY;COUNT=5', { ...words, ...fields });
    const own = wordsOf(`e${index}y`, isMoved ? 'two' : each.calendarId);
    const changed = event({
      ...own,
      ...fields,
      calendarId: own.calendarId!,
      uid: master.uid,
      seriesId: master.id,
      recurrenceId: zoned('2027-03-10T14:00'),
    });
    return [master, changed];
  };

  const served = async (state: State): Promise<string> => {
    const parts = sharedParts(state, accessOf(state, tobias));
    const text = new Files().publish(parts, 'Juna Marsh', DAYS_OFF);
    const copy = { name: 'Juna Marsh', zone: ZONE, text, updated: NOW };
    const page = publishedPage(copy, await pageSections(copy, NOW), parseDate('2027-03-08'));
    return `${text.replaceAll(/\r\n[ \t]/g, '')}\n${page}`;
  };

  test('at each depth of each calendar nothing stands but what may be seen; what may, does', async () => {
    const depths = fc.record(
      Object.fromEntries(['one', 'two', 'three'].map((id) => [id, fc.constantFrom(...SHARE_DEPTHS)])),
    );
    const acting = fc.constantFrom(undefined, undefined, 'open' as const, 'all' as const);
    await fc.assert(
      fc.asyncProperty(
        fc.array(some, { minLength: 1, maxLength: 8 }),
        depths,
        acting,
        async (all, said, acts) => {
          const entries = all.flatMap(entriesOf);
          const before: State = {
            ...emptyState(),
            calendars: new Map(
              ['one', 'two', 'three'].map((id, order) => [
                id,
                calendar({ id, name: `${id}-calendar`, order }),
              ]),
            ),
            entries: new Map(entries.map((entry) => [entry.id, entry])),
            people: new Map([[tobias.id, tobias]]),
          };
          const fields = { depths: said, mayChange: [], ...(acts ? { acting: acts } : {}) };
          const bytes = await served(
            applyPatch(
              before,
              saveShare(before, tobias.id, tobias.name, fields, { now: NOW, newId: () => 'x', zone: ZONE }),
            ),
          );
          expect(bytes).not.toMatch(/-calendar/);
          for (const entry of entries) {
            const master = entry.seriesId === undefined ? entry : before.entries.get(entry.seriesId)!;
            const isOpen = [entry, master].every(({ classification }) => classification === 'public');
            const depth = acts ? 'everything' : said[entry.calendarId]!;
            const may = entry.status === 'cancelled' || !(isOpen || acts === 'all') ? [] : MAY[depth];
            const found = KINDS.filter((kind) => bytes.includes(`${entry.id}-${kind}`));
            expect([entry.id, found.filter((kind) => !may.includes(kind))]).toEqual([entry.id, []]);
            if (may.includes('title')) expect(found).toContain('title');
          }
        },
      ),
      { numRuns: 80 },
    );
  });
});

describe('what is handed in at the address', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'orderly-week-'));
  afterAll(() => rmSync(folder, { recursive: true }));
  const start = () => createApp({ dist: 'public', data: folder, start: () => null, now: () => NOW });
  let app = start();
  const token = 't'.repeat(32);
  const key = 'k'.repeat(32);
  const round = event({ id: 'round', title: 'Works <round>', location: 'Chart room' });
  const uid = seenUid(round, 'titles');
  const text = new Files().publish(
    [{ events: [round], elsewhere: [], level: 'titles' }],
    'Juna Marsh',
    DAYS_OFF,
  );
  const copy = { key, name: 'Juna Marsh', zone: ZONE, text };
  const allows = { calendars: [{ id: 'meetings', name: 'Meetings' }], changeable: [uid] };
  const publish = (at: string, body: object) =>
    request(app).put(`/api/published/${at}`).send(body).expect(204);
  const send = (at: string, form: Record<string, string>) =>
    request(app).post(`/p/${at}`).type('form').send(form);
  const fetch = (at: string, taken: string[] = [], as = key) =>
    request(app).post(`/api/published/${at}/handed-in`).send({ key: as, taken });
  const survey = {
    kind: 'add',
    calendar: 'meetings',
    title: 'Lens survey',
    date: '2027-03-11',
    from: '10:00',
    until: '11:00',
    place: 'Skerry',
  };

  test('who only reads has a page without forms, and hands nothing in', async () => {
    const read = 'r'.repeat(32);
    await publish(read, copy);
    const page = await request(app).get(`/p/${read}`).expect(200);
    expect(page.text).not.toContain('<form');
    expect(page.headers['content-security-policy']).toContain("form-action 'none'");
    await send(read, survey).expect(404);
    expect((await fetch(read).expect(200)).body).toEqual({ items: [] });
  });

  test('an entry and a change are kept over a restart until their owner has taken them', async () => {
    await publish(token, { ...copy, allows });
    const page = await request(app).get(`/p/${token}`).expect(200);
    expect(page.headers['content-security-policy']).toContain("form-action 'self'");
    expect(page.headers['content-security-policy']).not.toContain('frame-ancestors *');
    expect(page.text).toContain('value="Works &lt;round&gt;"');
    expect(page.text).not.toContain('Chart room');
    const answer = await send(token, survey).expect(303);
    expect((await request(app).get(answer.headers.location!).expect(200)).text).toContain('Handed in.');
    const beginning = String(Date.UTC(2027, 2, 9, 14));
    await send(token, { ...survey, kind: 'change', uid, start: beginning, title: 'Later' }).expect(303);
    await send(token, { ...survey, kind: 'remove', uid, start: beginning }).expect(303);
    app = start();
    await fetch(token, [], 'z'.repeat(32)).expect(403);
    const { items } = (await fetch(token).expect(200)).body as { items: { id: string; kind: string }[] };
    expect(items.map(({ kind }) => kind)).toEqual(['add', 'change', 'remove']);
    const left = (await fetch(token, [items[0]!.id]).expect(200)).body as { items: object[] };
    expect(left.items).toHaveLength(2);
  });

  test('what is not allowed, or says nothing, is not kept', async () => {
    await publish('n'.repeat(32), { ...copy, allows });
    const refused = [
      { ...survey, calendar: 'desk' },
      { ...survey, title: ' ' },
      { ...survey, date: '2027-02-30' },
      { ...survey, from: '25:00' },
      { ...survey, until: '' },
      { ...survey, kind: 'change', uid: 'another', start: '0' },
      { ...survey, kind: 'change', uid, start: 'soon' },
      { kind: 'publish' },
    ];
    for (const form of refused)
      expect(
        (await send('n'.repeat(32), form as Record<string, string>).expect(303)).headers.location,
      ).toContain('note=not');
    expect((await fetch('n'.repeat(32))).body).toEqual({ items: [] });
    await send('n'.repeat(32), { ...survey, place: 'x'.repeat(20_000) }).expect(413);
  });

  test('so many wait at the most; what is withdrawn takes nothing any more', async () => {
    const store = new HandInStore(path.join(folder, 'full'), () => NOW);
    await store.make(token, key, '', NOW);
    const item = (id: string) => ({ id, at: NOW, kind: 'remove' as const, target: { uid, start: 0 } });
    for (let index = 0; index < MOST_WAITING; index++)
      expect(await store.add(token, item(`${index}`))).toBe(true);
    expect(await store.add(token, item('more'))).toBe(false);
    await request(app).delete(`/api/published/${token}`).send({ key }).expect(204);
    await send(token, survey).expect(404);
  });
});
