import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import request from 'supertest';
import { event, series, zoned } from '../../testing/samples';
import { publishedDays } from '@/core/interchange/published/publishedDays';
import { publishedCopy, publishedEvents } from '@/core/interchange/published/publishedEvents';
import { readCalendarFile } from '@/core/interchange/icalendar/readCalendarFile';
import { PUBLISHED_LEVELS } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/entry';
import { parseDate } from '@/core/time/civil';
import { writeCalendarFile } from '@/core/interchange/icalendar/writeCalendarFile';
import { createApp } from '../app';
import { pageSections } from './pageSections';
import { publishedPage } from './publishedPage';

const folder = mkdtempSync(path.join(tmpdir(), 'orderly-week-'));
afterAll(() => rmSync(folder, { recursive: true }));
const NOW = Date.UTC(2027, 2, 9, 10);
const app = createApp({ dist: 'public', data: folder, start: () => null, now: () => NOW });

const withdrawn = 'a'.repeat(32);
const token = 'b'.repeat(32);
const key = 'k'.repeat(32);
const entries = [
  event({ title: 'Lamp <test>', notes: 'bring "gloves"', location: 'Works' }),
  event({
    title: 'Dentist',
    classification: 'private',
    start: zoned('2027-03-10T09:00'),
    end: zoned('2027-03-10T10:00'),
  }),
];
const text = writeCalendarFile(publishedEvents(entries, 'everything'), { name: 'Meetings', description: '' });
const copy = { key, name: 'Meetings & more', zone: 'Europe/Lisbon', text };
const publish = (at: string, body: object) => request(app).put(`/api/published/${at}`).send(body);

test('a calendar is served at its secret address as a feed and as a page, until it is withdrawn', async () => {
  await request(app).get(`/p/${withdrawn}`).expect(404);
  await publish(withdrawn, copy).expect(204);
  const feed = await request(app).get(`/p/${withdrawn}.ics`).expect(200);
  expect(feed.headers['content-type']).toBe('text/calendar; charset=utf-8');
  expect(feed.text).toBe(text);
  await request(app).get(`/p/${withdrawn}.ics`).set('If-None-Match', feed.headers.etag!).expect(304);
  const page = await request(app).get(`/p/${withdrawn}`).expect(200);
  expect(page.text).toContain('<h1>Meetings &amp; more</h1>');
  expect(page.text).toContain('Lamp &lt;test&gt;');
  expect(page.text).toContain('14:00 – 15:00');
  expect(page.text).toContain('Tuesday, 9 March 2027');
  expect(page.text).not.toContain('Dentist');
  await request(app).delete(`/api/published/${withdrawn}`).send({ key }).expect(204);
  await request(app).delete(`/api/published/${withdrawn}`).send({ key }).expect(204);
  await request(app).get(`/p/${withdrawn}`).expect(404);
  await request(app).get(`/p/${withdrawn}.ics`).expect(404);
  // All that is left is that the address is used no more.
  expect(readdirSync(path.join(folder, 'published'))).toEqual([`${withdrawn}.gone`]);
  expect(readFileSync(path.join(folder, 'published', `${withdrawn}.gone`), 'utf8')).toBe('');
  expect(readdirSync(path.join(folder, 'pages'))).toEqual([]);
  await publish(withdrawn, copy).expect(410);
});

test('the page may stand in other pages and runs no scripts; it is not to be listed by searches', async () => {
  await publish(token, copy).expect(204);
  const { headers, text: page } = await request(app).get(`/p/${token}?from=2027-04-06`).expect(200);
  expect(headers['content-security-policy']).toContain("default-src 'none'");
  expect(headers['content-security-policy']).toContain('frame-ancestors *');
  expect(headers).not.toHaveProperty('x-frame-options');
  expect(headers['x-robots-tag']).toContain('noindex');
  expect(page).not.toContain('<script');
  expect(page).toContain('There is nothing in these four weeks.');
});

test('only whoever has the key changes or withdraws a copy, and the key itself is not kept', async () => {
  await publish(token, copy).expect(204);
  await publish(token, { ...copy, key: 'z'.repeat(32), name: 'taken over' }).expect(403);
  await request(app)
    .delete(`/api/published/${token}`)
    .send({ key: 'z'.repeat(32) })
    .expect(403);
  const kept = readFileSync(path.join(folder, 'published', `${token}.json`), 'utf8');
  expect(kept).toContain('Meetings & more');
  expect(kept).not.toContain(key);
});

test('no address names anything but a copy', async () => {
  for (const at of ['short', '..%2f..%2fpackage', `${token}%2f..`, `${token}.json`, '%00'.repeat(30)]) {
    expect((await publish(at, copy)).status).toBeGreaterThanOrEqual(400);
    expect((await request(app).get(`/p/${at}`)).status).toBe(404);
  }
  for (const place of ['/p/', '/p', '/data/', '/published/', `/published/${token}.json`])
    expect((await request(app).get(place)).text).not.toContain('keyHash');
  expect(existsSync(path.join(folder, 'package.json'))).toBe(false);
});

test('what is too large or not understood is refused, and the copy that is there stays', async () => {
  await publish(token, copy).expect(204);
  await publish(token, { ...copy, text: 'x'.repeat(21 * 1024 * 1024) }).expect(413);
  await publish(token, { name: 'no text' }).expect(400);
  await request(app).put(`/api/published/${token}`).type('json').send('{"key":').expect(400);
  await request(app).get(`/p/${token}.ics`).expect(200, text);
});

describe('what others see of entries', () => {
  const titlesAt = (
    level: 'busy' | 'titles' | 'everything',
    ...events: Parameters<typeof publishedEvents>[0][number][]
  ) => publishedEvents(events, level).map(({ title, notes, location }) => [title, notes, location]);
  const open = event({ title: 'Works round', notes: 'agenda', location: 'Chart room' });
  const closed = { ...open, id: 'c', classification: 'private' as const };

  test('busy times, titles, or everything; of private ones only that the time is taken', () => {
    expect(titlesAt('busy', open, closed)).toEqual([
      ['Busy', '', ''],
      ['Busy', '', ''],
    ]);
    expect(titlesAt('titles', open, closed)).toEqual([
      ['Works round', '', ''],
      ['Busy', '', ''],
    ]);
    expect(titlesAt('everything', open, closed)).toEqual([
      ['Works round', 'agenda', 'Chart room'],
      ['Busy', '', ''],
    ]);
    const [busy] = publishedEvents(
      [{ ...closed, categories: ['health'], url: 'https://x.example' }],
      'everything',
    );
    expect(busy).toMatchObject({ categories: [], url: '', classification: 'public' });
    expect(writeCalendarFile([busy!])).not.toMatch(/Works round|agenda|Chart|fennick/);
  });

  test('a private series hides all its occurrences; one that is called off does not come back', () => {
    const master = series('FREQ=WEEKLY;COUNT=3', { id: 's', classification: 'private', title: 'Choir' });
    const moved = event({
      id: 'm',
      seriesId: 's',
      recurrenceId: zoned('2027-03-16T14:00'),
      title: 'Choir, late',
    });
    expect(titlesAt('titles', master, moved).map(([title]) => title)).toEqual(['Busy', 'Busy']);
    const off = { ...moved, status: 'cancelled' as const };
    const [shown, ...more] = publishedEvents([master, off], 'titles');
    expect(more).toEqual([]);
    expect(shown!.recurrence!.exceptionDates).toEqual([zoned('2027-03-16T14:00')]);
  });

  test('free time is nobody’s business at the level of busy times; an occurrence that takes time stands alone', () => {
    const master = series('FREQ=WEEKLY;COUNT=3', { id: 's', availability: 'free' });
    const taken = event({
      id: 't',
      seriesId: 's',
      recurrenceId: zoned('2027-03-16T14:00'),
      availability: 'away',
    });
    const seen = publishedEvents([master, taken], 'busy');
    expect(seen.map(({ title }) => title)).toEqual(['Away']);
    expect(seen[0]).not.toHaveProperty('seriesId');
    expect(seen[0]).not.toHaveProperty('recurrenceId');
  });
});

describe('every byte that is served', () => {
  const SECRET = 'Keeper-secret';
  const secretly = (fields: Partial<CalendarEvent>): Partial<CalendarEvent> => ({
    title: SECRET,
    notes: SECRET,
    location: SECRET,
    url: `https://fennick.example/${SECRET}`,
    categories: [SECRET],
    uid: `${SECRET}@fennick.example`,
    created: Date.UTC(2011, 1, 2, 3, 4, 5),
    modified: Date.UTC(2012, 1, 2, 3, 4, 5),
    sequence: 4711,
    timedMinutes: 47,
    preserved: {
      properties: [['x-own', {}, 'text', SECRET]],
      components: [],
      parameters: { summary: { 'x-p': SECRET } },
    },
    attachments: [{ id: 'a', name: SECRET, mediaType: 'text/plain', size: 1 }],
    ...fields,
  });
  const exception = (fields: Partial<CalendarEvent>) =>
    event({
      id: 'exception',
      uid: 'rota@fennick.example',
      seriesId: 'rota',
      recurrenceId: zoned('2027-03-16T14:00'),
      start: zoned('2027-03-16T16:00'),
      end: zoned('2027-03-16T17:00'),
      ...fields,
    });
  const rota = (fields: Partial<CalendarEvent> = {}) =>
    series('FREQ=WEEKLY;COUNT=4', { id: 'rota', uid: 'rota@fennick.example', title: 'Rota call', ...fields });
  const cases: [string, CalendarEvent[]][] = [
    ['a private entry', [event(secretly({ classification: 'private' }))]],
    ['a confidential entry', [event(secretly({ classification: 'confidential' }))]],
    [
      'a private series with an open exception',
      [rota(secretly({ classification: 'private' })), exception({ title: SECRET })],
    ],
    [
      'an open series with a private exception',
      [rota(), exception(secretly({ classification: 'private', uid: 'rota@fennick.example' }))],
    ],
    [
      'an open series with a private change from a date on',
      [
        rota(),
        exception(
          secretly({
            classification: 'private',
            uid: 'rota@fennick.example',
            recurrenceRange: 'this-and-future',
          }),
        ),
      ],
    ],
    [
      'a private exception that takes no time',
      [rota(), exception(secretly({ classification: 'private', availability: 'free' }))],
    ],
    [
      'a private exception that is called off',
      [rota(), exception(secretly({ classification: 'private', status: 'cancelled' }))],
    ],
  ];

  test.each(cases)('hides %s at every depth, page and feed', async (_, events) => {
    for (const level of PUBLISHED_LEVELS) {
      const { events: seen, taken } = publishedCopy(events, level);
      const text = writeCalendarFile(seen, undefined, {
        withoutHistory: { ids: taken, now: Date.UTC(2027, 2, 9) },
      });
      const plain = text.replaceAll('\r\n ', '');
      expect(plain).not.toMatch(/Keeper-secret|2011|2012|4711/);
      const rotaCopy = { name: 'Rota', zone: 'Europe/Lisbon', text, updated: Date.UTC(2027, 2, 9) };
      const sections = await pageSections(rotaCopy, Date.UTC(2027, 2, 9));
      const page = publishedPage(rotaCopy, sections, parseDate('2027-03-08'));
      expect(sections.days.length).toBeGreaterThan(0);
      expect(page).not.toMatch(/Keeper-secret/);
      // An occurrence stands once: as the exception says it, and not as its series does.
      const { events: again } = await readCalendarFile(text, {
        zone: 'Europe/Lisbon',
        now: 0,
        newId: () => String(++made),
      });
      const days = publishedDays(
        again,
        { first: parseDate('2027-03-16'), end: parseDate('2027-03-17') },
        'Europe/Lisbon',
      );
      expect(days.flatMap(({ items }) => items).length).toBeLessThanOrEqual(1);
    }
  });

  test('an occurrence that was moved to another calendar is not there', () => {
    const { events: seen } = publishedCopy([rota()], 'everything', [exception({ calendarId: 'home' })]);
    expect(seen[0]!.recurrence!.exceptionDates).toEqual([zoned('2027-03-16T14:00')]);
  });
});

let made = 0;
