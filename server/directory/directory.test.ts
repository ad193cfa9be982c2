import express from 'express';
import type { AddressInfo } from 'node:net';
import { readFreeBusy } from '@/core/people/busy/freeBusyFile';
import { readCards } from '@/core/people/vcard/readCards';
import { DAY } from '@/core/time/civil';
import { busyTimesIn, depthOf } from '../../demo/busyTimes';
import { people } from '../../demo/people';
import { directory } from './directory';

const NOW = Date.UTC(2027, 2, 9, 10, 20);
let close: () => void;
let address: string;

beforeAll(async () => {
  const app = express();
  app.use(
    '/api/directory',
    directory(() => NOW),
  );
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  close = () => server.close();
});
afterAll(() => close());

const range = { start: NOW - 7 * DAY, end: NOW + 35 * DAY };
const busy = (path: string, query = `from=${range.start}&until=${range.end}`) =>
  fetch(`${address}${path}?${query}`);

test('the directory hands out all of the office as cards', async () => {
  const response = await fetch(`${address}/api/directory`);
  expect(response.headers.get('content-type')).toContain('text/vcard');
  const read = readCards(new Uint8Array(await response.arrayBuffer()));
  expect(read.problems).toEqual([]);
  expect(read.people.map(({ name, busyAddress }) => [name, busyAddress])).toEqual(
    people.map(({ name, busyAddress }) => [name, busyAddress]),
  );
});

test.each(people.map((person) => [person.name, person] as const))(
  'the busy times of %s are as deep as they allow, in every byte',
  async (_, person) => {
    const text = await (await busy(person.busyAddress!)).text();
    const spans = busyTimesIn(person, range);
    expect(spans.length).toBeGreaterThan(5);
    const read = readFreeBusy(text)!;
    expect(read.spans.map(({ start, end, kind }) => [start, end, kind])).toEqual(
      spans.map(({ start, end, kind }) => [start, end, kind]),
    );
    expect(read.workingPattern).toEqual(person.workingPattern);
    const depth = depthOf(person);
    const unfolded = text.replace(/\r\n /g, '');
    // The zone of the working hours may name a town, too.
    const taken = unfolded.split('\r\n').filter((line) => line.startsWith('FREEBUSY'));
    for (const { title, place } of spans) {
      if (depth === 'busy') expect(unfolded).not.toContain(title);
      if (depth !== 'everything' && place) expect(taken.join()).not.toContain(place);
    }
  },
);

test('nobody, and a range that is none or far too long, are refused', async () => {
  expect((await busy('/api/directory/busy/nobody')).status).toBe(404);
  const of = people[0]!.busyAddress!;
  for (const query of ['', 'from=5&until=5', `from=0&until=${200 * DAY}`, 'from=now&until=later'])
    expect((await busy(of, query)).status).toBe(400);
});

test('one who is invited is taken at that time, as they answered', () => {
  const [tobias] = people;
  const spans = busyTimesIn(tobias!, { start: NOW, end: NOW + DAY });
  expect(spans).toContainEqual(
    expect.objectContaining({ title: 'Tobias: crane survey', start: Date.UTC(2027, 2, 9, 11), kind: 'busy' }),
  );
});
