import { mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import request from 'supertest';
import { createApp } from '../app';
import { sectionsInWorker } from './sectionsInWorker';
import { DAY } from '@/core/time/civil';

const folder = mkdtempSync(path.join(tmpdir(), 'orderly-week-limits-'));
afterAll(() => rmSync(folder, { recursive: true }));
const NOW = Date.UTC(2027, 2, 9, 10);
const key = 'k'.repeat(32);
const fileOf = (events: string[][]) =>
  `BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${events.flat().join('\r\n')}\r\nEND:VCALENDAR\r\n`;
const vevent = (uid: number | string, ...lines: string[]) => [
  'BEGIN:VEVENT',
  `UID:${uid}`,
  ...lines,
  'END:VEVENT',
];
const plain = fileOf([vevent('a', 'DTSTART:20270309T140000Z', 'SUMMARY:Lamp test')]);
const copyOf = (text: string) => ({ key, name: 'Lamps', zone: 'Europe/Lisbon', text });

let folders = 0;
/** A server of its own, and what is asked of it. */
function server(options: Partial<Parameters<typeof createApp>[0]> = {}) {
  const data = path.join(folder, String(++folders));
  const app = createApp({ dist: 'public', data, start: () => null, now: () => NOW, ...options });
  const put = (token: string, body: object) => request(app).put(`/api/published/${token}`).send(body);
  const withdraw = (token: string) => request(app).delete(`/api/published/${token}`).send({ key });
  return { app, data, put, withdraw };
}

const numbers = (from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, index) => from + index).join();

test('a calendar of endless rules has a page, and whoever else asks is answered meanwhile', async () => {
  const { app, put } = server();
  const hostile = fileOf([
    vevent('a', 'DTSTART:20270309T140000Z', 'SUMMARY:Lamp test'),
    vevent(
      'b',
      'DTSTART:20270309T140000Z',
      'SUMMARY:Every part',
      `RRULE:FREQ=YEARLY;COUNT=99999;BYMONTHDAY=${numbers(1, 31)};BYHOUR=${numbers(0, 23)};BYMINUTE=${numbers(0, 59)};BYSECOND=${numbers(0, 59)}`,
    ),
    vevent('c', 'DTSTART:20270309T140000Z', 'RRULE:FREQ=HOURLY;BYSETPOS=2'),
  ]);
  const token = 'h'.repeat(32);
  await put(token, copyOf(hostile)).expect(204);
  let isMade = false;
  const page = request(app)
    .get(`/p/${token}`)
    .then(({ text }) => {
      isMade = true;
      return text;
    });
  await request(app).get('/api/health').expect(200);
  expect(isMade).toBe(false);
  expect(await page).toContain('Lamp test');
});

test('150,000 entries are made to a page in a thread of their own, or it is said that they are too many', async () => {
  const events = Array.from({ length: 150_000 }, (_, number) => {
    const day = new Date(NOW + (number % 365) * DAY).toISOString().slice(0, 10).replaceAll('-', '');
    return vevent(number, `DTSTART:${day}T100000Z`, 'SUMMARY:Buoy');
  });
  // How fast the machine is at the moment is not what is asked here.
  const limits = { milliseconds: 110_000, megabytes: 1024 };
  const sections = await sectionsInWorker({ copy: { text: fileOf(events), zone: 'UTC' }, now: NOW }, limits);
  expect(sections?.days.length).toBe(365);
  expect(sections!.days.every(([, markup]) => markup.split('Buoy').length > 400)).toBe(true);
}, 120_000);

test('a page that takes too long is given up, and the feed is there', async () => {
  const { app, put } = server({
    makeSections: (job) => sectionsInWorker(job, { milliseconds: 1, megabytes: 64 }),
  });
  const token = 't'.repeat(32);
  await put(token, copyOf(plain)).expect(204);
  const { text } = await request(app).get(`/p/${token}`).expect(200);
  expect(text).toContain('too large for a page. Its feed has all of it.');
  await request(app).get(`/p/${token}.ics`).expect(200, plain);
});

test('a page is made once for each copy', async () => {
  let made = 0;
  const { app, put } = server({
    makeSections: async () => {
      made++;
      return { first: 0, end: 100_000, days: [[20_886, `<p>${made}</p>`]] };
    },
  });
  const token = 'o'.repeat(32);
  await put(token, copyOf(plain)).expect(204);
  for (let times = 0; times < 3; times++)
    await request(app)
      .get(`/p/${token}?from=2027-03-09`)
      .expect(200, /<p>1<\/p>/);
  expect(made).toBe(1);
});

test('a withdrawal holds, whatever push is on its way', async () => {
  const { app, put, withdraw } = server();
  const token = 'w'.repeat(32);
  await put(token, copyOf(plain)).expect(204);
  const [pushed, gone] = await Promise.all([put(token, copyOf(plain)), withdraw(token)]);
  expect([204, 410]).toContain(pushed.status);
  expect(gone.status).toBe(204);
  await put(token, copyOf(plain)).expect(410);
  await request(app).get(`/p/${token}.ics`).expect(404);
  // Also one that was withdrawn before its first push came.
  const other = 'x'.repeat(32);
  await withdraw(other).expect(204);
  await put(other, copyOf(plain)).expect(410);
});

test('of several who take an address at once one has it', async () => {
  const { put } = server();
  const answers = await Promise.all(
    Array.from({ length: 8 }, (_, number) =>
      put('f'.repeat(32), { ...copyOf(plain), key: String(number).repeat(32) }),
    ),
  );
  expect(answers.map(({ status }) => status).sort()).toEqual([204, ...Array<number>(7).fill(403)]);
});

test('what is kept in all has a limit, and what is withdrawn makes room', async () => {
  const { put, withdraw } = server({ keeping: { total: 2_000, bySender: 1_500 } });
  const large = copyOf(`${plain}${'x'.repeat(900)}`);
  await put('1'.repeat(32), large).expect(204);
  await put('2'.repeat(32), large).expect(507);
  await put('1'.repeat(32), large).expect(204);
  await withdraw('1'.repeat(32)).expect(204);
  await put('2'.repeat(32), large).expect(204);
});

test('a sender’s room is the same after a new start', async () => {
  const keeping = { total: 1_000_000, bySender: 1_500 };
  const { data, put } = server({ keeping });
  const large = copyOf(`${plain}${'x'.repeat(900)}`);
  await put('1'.repeat(32), large).expect(204);
  const again = createApp({ dist: 'public', data, start: () => null, now: () => NOW, keeping });
  const send = (token: string) => request(again).put(`/api/published/${token}`).send(large);
  await send('2'.repeat(32)).expect(507);
  await send('1'.repeat(32)).expect(204);
});

test('the folder is its owner’s alone; what a write left is cleared; a torn copy answers in words', async () => {
  const { app, data, put } = server();
  await put('p'.repeat(32), copyOf(plain)).expect(204);
  const kept = path.join(data, 'published');
  expect(statSync(kept).mode & 0o777).toBe(0o700);
  for (const name of readdirSync(kept)) expect(statSync(path.join(kept, name)).mode & 0o777).toBe(0o600);
  writeFileSync(path.join(kept, `${'q'.repeat(32)}.json.1-abc`), 'half');
  writeFileSync(path.join(kept, `${'r'.repeat(32)}.json`), '{"name":"Lam');
  const again = createApp({ dist: 'public', data, start: () => null, now: () => NOW });
  for (const end of ['', '.ics'])
    await request(again)
      .get(`/p/${'r'.repeat(32)}${end}`)
      .expect(503, /has to publish it anew/);
  expect(readdirSync(kept)).not.toContain(`${'q'.repeat(32)}.json.1-abc`);
  await request(app)
    .get(`/p/${'p'.repeat(32)}.ics`)
    .expect(200);
});

test('it is asked under its own names only', async () => {
  const { app } = server();
  for (const host of ['localhost:4300', '127.0.0.1', '[::1]:4300', 'LOCALHOST'])
    await request(app).get('/api/health').set('Host', host).expect(200);
  for (const host of [
    'rebound.example',
    'rebound.example:4300',
    '192.168.0.9',
    'localhost.rebound.example',
    '@localhost',
    '',
  ])
    await request(app)
      .get('/api/health')
      .set('Host', host)
      .expect((answer) => {
        if (answer.status < 400) throw new Error(`answered ${answer.status} to “${host}”`);
      });
  const elsewhere = server({ host: '192.0.2.7' }).app;
  await request(elsewhere).get('/api/health').set('Host', '192.0.2.7:4300').expect(200);
});
