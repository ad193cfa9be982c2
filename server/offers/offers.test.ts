import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import request from 'supertest';
import { createApp } from '../app';
import { HOUR } from '@/core/time/civil';

const folder = mkdtempSync(path.join(tmpdir(), 'orderly-week-'));
afterAll(() => rmSync(folder, { recursive: true }));

let now = Date.UTC(2026, 10, 28, 10);
/** The browser's clock is that of the demo. */
const AHEAD = Date.UTC(2027, 2, 9, 10) - now;
const start = () => createApp({ dist: 'public', data: folder, start: () => null, now: () => now });
let app = start();

const key = 'k'.repeat(32);
const first = Date.UTC(2027, 2, 10, 9);
const offer = {
  key,
  ahead: AHEAD,
  title: 'Boat <plans>',
  name: 'Juna Marsh',
  zone: 'Europe/Lisbon',
  times: [first, first + 5 * HOUR].map((at) => ({ start: at, end: at + HOUR })),
  expires: now + AHEAD + 48 * HOUR,
};
const put = (token: string, body: object = offer) => request(app).put(`/api/offers/${token}`).send(body);
const ask = (token: string, as = key) => request(app).post(`/api/offers/${token}`).send({ key: as });
const press = async (token: string, form: Record<string, string>): Promise<string> => {
  const answer = await request(app).post(`/o/${token}`).type('form').send(form);
  return answer.headers.location ?? String(answer.status);
};
const salma = { start: String(first), name: 'Salma Wray', address: 'salma.wray@fennick.example' };

test('one of the times is chosen once, and stays chosen over a restart', async () => {
  const token = 'a'.repeat(32);
  await put(token).expect(200, { chosen: null, isWithdrawn: false });
  const page = await request(app).get(`/o/${token}`).expect(200);
  expect(page.text).toContain('Boat &lt;plans&gt;');
  expect(page.text).toContain('Wednesday, 10 March 2027');
  expect(page.headers['content-security-policy']).toContain("form-action 'self'");
  expect(page.text).not.toContain('<script');
  expect(await press(token, salma)).toBe(`/o/${token}?note=kept`);
  expect(await press(token, { ...salma, name: 'Tobias Rask' })).toBe(`/o/${token}?note=taken`);
  app = start();
  const { chosen } = (await ask(token).expect(200)).body as { chosen: { name: string; at: number } };
  expect(chosen).toMatchObject({ start: first, name: 'Salma Wray', at: now + AHEAD });
  const after = await request(app).get(`/o/${token}`).expect(200);
  expect(after.text).not.toContain('<form');
  // Who chose is nobody else's business.
  expect(after.text).not.toMatch(/Salma|salma/);
  await put(token, { ...offer, title: 'Something else' }).expect(200);
  expect((await request(app).get(`/o/${token}`)).text).toContain('Boat &lt;plans&gt;');
});

test('of two who press at the same moment one has it', async () => {
  const token = 'b'.repeat(32);
  await put(token).expect(200);
  const notes = await Promise.all(
    [0, 1, 2, 3].map((one) => press(token, { ...salma, name: `Guest ${one}` })),
  );
  expect(notes.filter((note) => note.endsWith('note=kept'))).toHaveLength(1);
});

test('nobody else asks, changes or withdraws it, and the key is not kept', async () => {
  const token = 'c'.repeat(32);
  await put(token).expect(200);
  await ask(token, 'z'.repeat(32)).expect(403);
  await put(token, { ...offer, key: 'z'.repeat(32) }).expect(403);
  await request(app)
    .delete(`/api/offers/${token}`)
    .send({ key: 'z'.repeat(32) })
    .expect(403);
  expect(readFileSync(path.join(folder, 'offers', `${token}.json`), 'utf8')).not.toContain(key);
});

test('what was not offered, is over, past or withdrawn is not booked; what is none is refused', async () => {
  const token = 'd'.repeat(32);
  await put(token).expect(200);
  expect(await press(token, { ...salma, start: String(first + 1) })).toContain('note=taken');
  expect(await press(token, { ...salma, address: 'nobody' })).toContain('note=not');
  expect(await press(token, { ...salma, name: ' ' })).toContain('note=not');
  expect(await press(token, { name: 'x' })).toContain('note=not');
  await put('e'.repeat(32), { ...offer, times: [] }).expect(400);
  await put('short').expect(400);
  await request(app)
    .get(`/o/${'f'.repeat(32)}`)
    .expect(404);
  await ask('f'.repeat(32)).expect(200, { chosen: null, isWithdrawn: false });
  now += 30 * HOUR;
  // The first of them is past by now, the other is not.
  expect(await press(token, salma)).toContain('note=taken');
  await request(app).delete(`/api/offers/${token}`).send({ key }).expect(200);
  expect(await press(token, { ...salma, start: String(first + 5 * HOUR) })).toContain('note=taken');
  // Put once more, it stays withdrawn, and that is said.
  await put(token).expect(200, { chosen: null, isWithdrawn: true });
  const late = 'g'.repeat(32);
  await put(late, { ...offer, expires: now + AHEAD - 1 }).expect(200);
  expect((await request(app).get(`/o/${late}`)).text).toContain('This offer is over.');
});
