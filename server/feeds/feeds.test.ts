import http, { type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createApp } from '../app';
import { feedUrl, isPublicAddress } from './addressRules';
import { fetchFeed, type FetchLimits, type FetchOptions } from './fetchFeed';
import { FEED_HOST } from '@/core/feeds/feedHost';
import { readCalendarFile } from '@/core/interchange/icalendar/readCalendarFile';

const servers: Server[] = [];
const listen = async (listener: RequestListener): Promise<number> => {
  const server = http.createServer(listener);
  servers.push(server);
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  return (server.address() as AddressInfo).port;
};
afterAll(() => Promise.all(servers.map((server) => new Promise((closed) => server.close(closed)))));

const LIMITS: FetchLimits = { bytes: 50_000, milliseconds: 2000, redirects: 3 };
/** Fetches from the feed host's name, which leads to a server of this test. */
const fetchFrom = (port: number, path: string, limits: Partial<FetchLimits> = {}, copy = {}) =>
  fetchFeed(
    { address: `http://${FEED_HOST}${path}`, ...copy },
    { limits: { ...LIMITS, ...limits }, feedHostPort: () => port },
  );

test.each([
  '127.0.0.1',
  '10.1.2.3',
  '192.168.0.1',
  '172.16.9.9',
  '169.254.169.254',
  '100.64.0.1',
  '0.0.0.0',
  '224.0.0.1',
  '::1',
  '::',
  'fe80::1',
  'fd00::1',
  '::ffff:127.0.0.1',
  '::ffff:10.0.0.1',
  'localhost',
])('%s is no public address', (address) => {
  expect(isPublicAddress(address)).toBe(false);
});

test('addresses out on the network are public; only http and https are fetched', () => {
  expect(['93.184.216.34', '2606:2800:220:1::1'].every(isPublicAddress)).toBe(true);
  expect(feedUrl('https://feeds.example/a.ics')?.href).toBe('https://feeds.example/a.ics');
  for (const address of ['file:///etc/passwd', 'ftp://feeds.example/a', 'javascript:1', 'no address'])
    expect(feedUrl(address)).toBeUndefined();
});

describe('a feed on this machine or its network is not asked for', () => {
  let asked = 0;
  let port: number;
  beforeAll(async () => {
    port = await listen((_request, response) => {
      asked++;
      response.end('inside');
    });
  });
  const addressesOf = async (name: string) =>
    name === 'two-faced.example' ? ['93.184.216.34', '127.0.0.1'] : ['127.0.0.1'];
  const options: FetchOptions = { limits: LIMITS, feedHostPort: () => undefined, addressesOf };

  test.each([
    '127.0.0.1',
    'localhost',
    '[::1]',
    '[::ffff:7f00:1]',
    '2130706433',
    '0x7f.1',
    'inside.example',
    'two-faced.example',
  ])('by the name %s', async (name) => {
    const answer = await fetchFeed({ address: `http://${name}:${port}/` }, options);
    expect(answer).toMatchObject({ kind: 'failed', code: 'not-allowed' });
    expect(asked).toBe(0);
  });

  test('nor where a redirect leads there', async () => {
    const leading = await listen((_request, response) => {
      response.writeHead(302, { location: `http://127.0.0.1:${port}/secret` }).end();
    });
    expect(await fetchFrom(leading, '/a.ics')).toMatchObject({ kind: 'failed', code: 'not-allowed' });
    expect(asked).toBe(0);
  });
});

test('what is too large, too slow, or leads in circles is given up', async () => {
  const port = await listen((request, response) => {
    if (request.url!.endsWith('/said.ics')) response.writeHead(200, { 'content-length': 60_000 }).end('x');
    else if (request.url!.endsWith('/unsaid.ics')) {
      for (let part = 0; part < 60; part++) response.write('x'.repeat(1000));
      response.end();
    } else if (request.url!.endsWith('never.ics')) response.write('BEGIN:VCALENDAR');
    else response.writeHead(302, { location: request.url!.replace('/feed-host', '') }).end();
  });
  expect(await fetchFrom(port, '/said.ics')).toMatchObject({ code: 'too-large' });
  expect(await fetchFrom(port, '/unsaid.ics')).toMatchObject({ code: 'too-large' });
  expect(await fetchFrom(port, '/never.ics', { milliseconds: 150 })).toMatchObject({ code: 'too-slow' });
  expect(await fetchFrom(port, '/round.ics')).toMatchObject({ code: 'too-many-redirects' });
  expect(await fetchFrom(1, '/nobody.ics')).toMatchObject({ code: 'unreachable' });
});

test('a copy that is here is asked for only if it has changed', async () => {
  const headers: http.IncomingHttpHeaders[] = [];
  const port = await listen((request, response) => {
    headers.push(request.headers);
    if (request.headers['if-none-match'] === '"7"') response.writeHead(304).end();
    else
      response.writeHead(200, { etag: '"7"', 'last-modified': 'Tue, 09 Mar 2027 10:00:00 GMT' }).end('text');
  });
  const first = await fetchFrom(port, '/a.ics');
  expect(first).toEqual({
    kind: 'read',
    text: 'text',
    etag: '"7"',
    lastModified: 'Tue, 09 Mar 2027 10:00:00 GMT',
  });
  const copy = { etag: '"7"', lastModified: 'Tue, 09 Mar 2027 10:00:00 GMT' };
  expect(await fetchFrom(port, '/a.ics', {}, copy)).toEqual({ kind: 'unchanged' });
  expect(headers[1]!['if-modified-since']).toBe(copy.lastModified);
});

describe('the feed host that ships with the server', () => {
  let port: number;
  beforeAll(async () => {
    const app = createApp({
      dist: 'public',
      data: 'nowhere',
      start: () => null,
      port: () => port,
      slowMilliseconds: 300,
    });
    port = await listen(app);
  });
  const ask = async (path: string, limits = {}) => fetchFrom(port, path, { bytes: 20_000_000, ...limits });
  const titles = async (path: string) => {
    const answer = await ask(path);
    if (answer.kind !== 'read') throw new Error(JSON.stringify(answer));
    let id = 0;
    const file = await readCalendarFile(answer.text, { zone: 'UTC', now: 0, newId: () => String(++id) });
    expect(file.problems).toEqual([]);
    return file.events.map(({ title }) => title);
  };

  test('offers the rota, days off of regions, and what has moved', async () => {
    expect(await titles('/rota.ics')).toContain('Relief boat');
    expect(await titles('/days-off/northmark.ics')).toContain('Midsummer');
    expect(await titles('/moved.ics')).toContain('Fog day');
    const first = await ask('/rota.ics');
    const etag = first.kind === 'read' ? first.etag : undefined;
    const again = await fetchFrom(port, '/rota.ics', {}, { etag });
    expect(again).toEqual({ kind: 'unchanged' });
  });

  test('has its troubles: slow, unsteady, cut off, vanished', async () => {
    expect(await ask('/slow.ics', { milliseconds: 100 })).toMatchObject({ code: 'too-slow' });
    expect(await ask('/slow.ics')).toMatchObject({ kind: 'read' });
    expect([await ask('/unsteady.ics'), await ask('/unsteady.ics')]).toMatchObject([
      { kind: 'read' },
      { kind: 'failed', code: 'refused-by-host', detail: '503' },
    ]);
    const cut = await ask('/malformed.ics');
    const text = cut.kind === 'read' ? cut.text : '';
    await expect(readCalendarFile(text, { zone: 'UTC', now: 0, newId: () => '1' })).rejects.toThrow(
      'cut-off',
    );
    expect(await ask('/gone.ics')).toMatchObject({ code: 'vanished', detail: '410' });
    expect(await ask('/constructor.ics')).toMatchObject({ code: 'vanished' });
    expect(await ask('/days-off/constructor.ics')).toMatchObject({ code: 'vanished', detail: '404' });
  });

  test('says that it is a stand-in', async () => {
    const response = await fetch(`http://127.0.0.1:${port}/feed-host/`);
    expect(await response.text()).toContain('simulated');
  });
});
