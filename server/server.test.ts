import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import request from 'supertest';
import { makeDemo } from '../demo/makeDemo';
import { makeLarge } from '../demo/makeLarge';
import { Calendar } from '@/core/model/calendar';
import { Entry } from '@/core/model/entry';
import { Settings } from '@/core/model/settings';
import { createApp } from './app';
import { parseOptions, UsageError } from './options';

const folder = mkdtempSync(path.join(tmpdir(), 'orderly-week-'));
afterAll(() => rmSync(folder, { recursive: true }));
const app = createApp({ dist: path.resolve('public'), data: folder, start: makeDemo });

test('a new browser is given the demo, which is always the same', async () => {
  const { body } = await request(app).get('/api/start').expect(200);
  expect(body).toEqual(JSON.parse(JSON.stringify({ demo: makeDemo() })));
  const demo = makeDemo();
  expect(demo.entries.length).toBeGreaterThanOrEqual(440);
  [...demo.entries, ...demo.todos].forEach((entry) => Entry.parse(entry));
  demo.calendars.forEach((calendar) => Calendar.parse(calendar));
  Settings.parse(demo.settings);
});

test('the large set has its size', () => {
  const { entries } = makeLarge();
  expect(entries).toHaveLength(20_000);
  expect(entries.filter((entry) => entry.recurrence)).toHaveLength(2_000);
});

test('places get the page, missing files and unknown questions get nothing', async () => {
  const page = await request(app).get('/setup').expect(200);
  expect(page.text).toContain('<title>Orderly Week</title>');
  await request(app).get('/nothing.js').expect(404);
  await request(app).get('/api/nothing').expect(404);
  await request(app).get('/..%2f..%2fpackage.json').expect(404);
});

test('the command line is understood or refused in words', () => {
  const usual = { port: 4300, host: '127.0.0.1', folder: 'data', data: 'demo' };
  expect(parseOptions([])).toEqual(usual);
  expect(parseOptions(['--port', '4400', '--empty'])).toEqual({ ...usual, port: 4400, data: 'empty' });
  expect(parseOptions(['--host', '0.0.0.0', '--data', 'kept'])).toEqual({
    ...usual,
    host: '0.0.0.0',
    folder: 'kept',
  });
  for (const wrong of [
    ['--port', 'x'],
    ['--port'],
    ['--port', '99999'],
    ['--what'],
    ['--host', 'everywhere'],
    ['--data'],
  ])
    expect(() => parseOptions(wrong)).toThrow(UsageError);
});

test('every answer has the headers that keep a page safe, and none tells what the server is made of', async () => {
  for (const place of ['/setup', '/api/health', '/api/nothing', '/feed-host/']) {
    const { headers } = await request(app).get(place);
    expect(headers['content-security-policy']).toContain("default-src 'self'");
    expect(headers['content-security-policy']).not.toContain('unsafe-eval');
    expect(headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'no-referrer',
      'x-frame-options': 'SAMEORIGIN',
    });
    expect(headers).not.toHaveProperty('x-powered-by');
  }
});

test('who asks too often is told to wait, of each kind apart', async () => {
  const strict = createApp({
    dist: path.resolve('public'),
    data: folder,
    start: () => null,
    perMinute: { feeds: 1 },
  });
  await request(strict).post('/api/feed').send({}).expect(400);
  const { body, headers } = await request(strict).post('/api/feed').send({}).expect(429);
  expect(body.error).toContain('wait');
  expect(headers).toHaveProperty('ratelimit');
  await request(strict).get('/api/health').expect(200);
});

test('forms that others fill in are limited by themselves: their pages stay', async () => {
  const strict = createApp({
    dist: path.resolve('public'),
    data: folder,
    start: () => null,
    perMinute: { forms: 1 },
  });
  for (const address of [`/p/${'a'.repeat(32)}`, `/o/${'b'.repeat(32)}`]) {
    const form = () => request(strict).post(address).type('form').send({ kind: 'add' });
    expect((await form()).status).not.toBe(429);
    await form().expect(429);
    await request(strict).get(address).expect(404);
  }
});

test('the files of the application use up nothing of what may be asked', async () => {
  const strict = createApp({
    dist: path.resolve('public'),
    data: folder,
    start: () => null,
    perMinute: { all: 1 },
  });
  for (let page = 0; page < 3; page++) await request(strict).get('/_expo/static/none.js').expect(404);
  await request(strict).get('/api/health').expect(200);
  await request(strict).get('/api/health').expect(429);
  await request(strict).get('/assets/none.png').expect(404);
});

test('folders are not listed, and no way leads out of them', async () => {
  for (const place of [
    '/_expo/static/',
    '/assets/',
    '/%2e%2e/package.json',
    '/assets/..%2f..%2fpackage.json',
  ])
    expect((await request(app).get(place)).text ?? '').not.toMatch(/orderly-week"|<li>/);
});
