import path from 'node:path';
import request from 'supertest';
import { makeDemo } from '../demo/makeDemo';
import { makeLarge } from '../demo/makeLarge';
import { Calendar } from '@/core/model/calendar';
import { Entry } from '@/core/model/entry';
import { Settings } from '@/core/model/settings';
import { createApp } from './app';
import { parseOptions, UsageError } from './options';

const app = createApp({ dist: path.resolve('public'), start: makeDemo });

test('a new browser is given the demo, which is always the same', async () => {
  const { body } = await request(app).get('/api/start').expect(200);
  expect(body).toEqual(JSON.parse(JSON.stringify({ demo: makeDemo() })));
  const demo = makeDemo();
  expect(demo.entries.length).toBeGreaterThanOrEqual(440);
  demo.entries.forEach((entry) => Entry.parse(entry));
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
  expect(parseOptions([])).toEqual({ port: 4300, data: 'demo' });
  expect(parseOptions(['--port', '4400', '--empty'])).toEqual({ port: 4400, data: 'empty' });
  for (const wrong of [['--port', 'x'], ['--port'], ['--port', '99999'], ['--what']])
    expect(() => parseOptions(wrong)).toThrow(UsageError);
});
