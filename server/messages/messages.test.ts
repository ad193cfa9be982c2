import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import fc from 'fast-check';
import request from 'supertest';
import { createApp } from '../app';
import type { Message, MessageBox, MessagePlan } from './message';
import { afterSending, withPlan } from './messageBox';
import { MessageStore } from './messageStore';
import { MINUTE } from '@/core/time/civil';

const FIRST = Date.UTC(2027, 2, 9, 10, 20);
const TOKEN = 'o'.repeat(32);
const KEY = 'k'.repeat(32);

const folders: string[] = [];
const newFolder = (): string => {
  const folder = mkdtempSync(path.join(tmpdir(), 'orderly-week-messages-'));
  folders.push(folder);
  return folder;
};
afterAll(() => {
  for (const folder of folders) rmSync(folder, { recursive: true });
});

const message = (id: string, at: number, fields: Partial<Message> = {}): Message =>
  ({
    id,
    way: 'email',
    to: 'juna.marsh@fennick.example',
    at,
    subject: 'Works round',
    body: 'At 11:00 in the Chart room',
    ...fields,
  }) as Message;
const planOf = (...messages: Message[]): MessagePlan => ({
  key: KEY,
  ahead: 0,
  zone: 'Europe/Lisbon',
  messages,
});

/** A server over a folder, with a clock that is set by hand. */
function serverAt(data: string, clock: { now: number }) {
  return request(createApp({ dist: 'public', data, start: () => null, now: () => clock.now }));
}
type Server = ReturnType<typeof serverAt>;
const put = (server: Server, plan: object, token = TOKEN) => server.put(`/api/messages/${token}`).send(plan);
const outbox = async (server: Server, token = TOKEN) =>
  (await server.get(`/outbox/${token}`).expect(200)).text;

test('messages go out when they are due, are shown with time, address and text, and said to be simulated', async () => {
  const clock = { now: FIRST };
  const server = serverAt(newFolder(), clock);
  await put(
    server,
    planOf(
      message('a', FIRST + 10 * MINUTE),
      message('b', FIRST + 20 * MINUTE, { way: 'text', to: '+351 555 0100', subject: '', body: 'Leave now' }),
    ),
  ).expect(204);
  expect(await outbox(server)).toContain('Nothing has gone out yet.');
  clock.now += 10 * MINUTE;
  const page = await outbox(server);
  expect(page).toContain('Simulated.');
  expect(page).toContain('E-mail to juna.marsh@fennick.example');
  expect(page).toContain('9 Mar 2027, 10:30');
  expect(page).toContain('At 11:00 in the Chart room');
  expect(page.indexOf('Text message to +351 555 0100')).toBeGreaterThan(page.indexOf('To come'));
});

test('a plan takes the place of the one before: what is gone is withdrawn, what changed is changed', async () => {
  const clock = { now: FIRST };
  const server = serverAt(newFolder(), clock);
  await put(server, planOf(message('a', FIRST + 10 * MINUTE), message('b', FIRST + 10 * MINUTE))).expect(204);
  await put(server, planOf(message('b', FIRST + 30 * MINUTE, { body: 'Moved to the Lamp room' }))).expect(
    204,
  );
  clock.now += 40 * MINUTE;
  const page = await outbox(server);
  expect(page.match(/E-mail to/g)).toHaveLength(1);
  expect(page).toContain('Moved to the Lamp room');
  // It went out: asked for again, it does not go out a second time.
  await put(server, planOf(message('b', FIRST + 41 * MINUTE))).expect(204);
  clock.now += 10 * MINUTE;
  expect((await outbox(server)).match(/E-mail to/g)).toHaveLength(1);
});

test('a server that was off sends what is an hour late at the most, marked, and lists what it missed', async () => {
  const clock = { now: FIRST };
  const data = newFolder();
  await put(
    serverAt(data, clock),
    planOf(
      message('old', FIRST + MINUTE),
      message('late', FIRST + 90 * MINUTE),
      message('next', FIRST + 600 * MINUTE),
    ),
  ).expect(204);
  clock.now += 120 * MINUTE;
  const page = await outbox(serverAt(data, clock));
  expect(page).toContain('missed: the server was off for too long');
  expect(page).toContain('sent late: the server was off when it was due');
  expect(page.match(/waits/g)).toHaveLength(1);
});

test('only who has the key plans, and only who has the address reads', async () => {
  const clock = { now: FIRST };
  const data = newFolder();
  const server = serverAt(data, clock);
  await put(server, planOf(message('a', FIRST + MINUTE))).expect(204);
  await put(server, { ...planOf(), key: 'x'.repeat(32) }).expect(403);
  expect(await outbox(server)).toContain('juna.marsh');
  expect(await outbox(server, 'p'.repeat(32))).not.toContain('juna.marsh');
  await server.get('/outbox/short').expect(404);
  // The key itself is nowhere.
  expect(readFileSync(path.join(data, 'messages', `${TOKEN}.json`), 'utf8')).not.toContain(KEY);
});

test.each<[string, object]>([
  ['an address that is none', planOf(message('a', FIRST, { to: 'juna at fennick' }))],
  ['a number that is none', planOf(message('a', FIRST, { way: 'text', to: 'call me', subject: '' }))],
  ['a text that is too long', planOf(message('a', FIRST, { body: 'x'.repeat(8001) }))],
  ['too many', planOf(...Array.from({ length: 501 }, (_, index) => message(`m${index}`, FIRST)))],
  ['one in the far future', planOf(message('a', Date.UTC(9999, 0)))],
  ['no key', { ...planOf(), key: undefined }],
  ['nothing that is a plan', { messages: 'all' }],
])('what is no plan is refused, and what was planned stays: %s', async (_, plan) => {
  const clock = { now: FIRST };
  const server = serverAt(newFolder(), clock);
  await put(server, planOf(message('kept', FIRST + MINUTE))).expect(204);
  const { body } = await put(server, plan).expect(400);
  expect(body).toHaveProperty('error');
  expect((await outbox(server)).match(/waits/g)).toHaveLength(1);
});

test('so many plans in a minute are enough', async () => {
  const clock = { now: FIRST };
  const server = serverAt(newFolder(), clock);
  const answers: number[] = [];
  for (let time = 0; time < 62; time++) answers.push((await put(server, planOf())).status);
  expect(answers.filter((status) => status === 429)).toHaveLength(2);
});

test('one sender has room for so many boxes, and all together for so much; what was there stays', async () => {
  const store = new MessageStore(path.join(newFolder(), 'messages'), () => FIRST, {
    boxes: 3,
    bySender: 2,
    bytes: 5000,
  });
  const tokens = ['a', 'b', 'c', 'd'].map((letter) => letter.repeat(32));
  const plan = planOf(message('m', FIRST + MINUTE));
  expect(await store.plan(tokens[0]!, plan, '10.0.0.1')).toBe('done');
  expect(await store.plan(tokens[1]!, plan, '10.0.0.1')).toBe('done');
  expect(await store.plan(tokens[2]!, plan, '10.0.0.1')).toBe('too-much');
  expect(await store.plan(tokens[2]!, plan, '10.0.0.2')).toBe('done');
  expect(await store.plan(tokens[3]!, plan, '10.0.0.3')).toBe('too-much');
  const long = planOf(message('m', FIRST + MINUTE, { body: 'x'.repeat(6000) }));
  expect(await store.plan(tokens[0]!, long, '10.0.0.1')).toBe('too-much');
  expect((await store.get(tokens[0]!))?.planned).toHaveLength(1);
  store.end();
});

test('what a write that was cut off has left is cleared, and a box that is torn begins anew', async () => {
  const clock = { now: FIRST };
  const data = newFolder();
  await put(serverAt(data, clock), planOf(message('a', FIRST + MINUTE))).expect(204);
  const folder = path.join(data, 'messages');
  writeFileSync(path.join(folder, `${TOKEN}.json.1234abcd`), '{"keyHash"');
  writeFileSync(path.join(folder, `${'t'.repeat(32)}.json`), '{"keyHash":"');
  const server = serverAt(data, clock);
  expect(await outbox(server)).toContain('waits');
  expect(readdirSync(folder).filter((name) => !name.endsWith('.json'))).toEqual([]);
  await put(server, planOf(message('b', FIRST + MINUTE)), 't'.repeat(32)).expect(204);
});

const EMPTY: MessageBox = {
  keyHash: '',
  sender: '',
  ahead: 0,
  zone: 'UTC',
  planned: [],
  done: [],
  doneIds: {},
  changed: 0,
};

test('whatever is planned anew and whenever the server runs, each message is done once, and none is forgotten', () => {
  const minute = fc.integer({ min: 1, max: 600 });
  const step = fc.oneof(
    fc.record({ kind: fc.constant('run' as const), minutes: fc.integer({ min: 0, max: 90 }) }),
    fc.record({
      kind: fc.constant('plan' as const),
      ids: fc.dictionary(fc.constantFrom('a', 'b', 'c', 'd', 'e'), minute),
    }),
  );
  fc.assert(
    fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
      let box = EMPTY;
      let now = 0;
      let planned = new Map<string, number>();
      const expected: string[] = [];
      const run = () => {
        for (const [id, at] of [...planned].sort((a, b) => a[1] - b[1] || (a[0] < b[0] ? -1 : 1)))
          if (at <= now) {
            expected.push(id);
            planned.delete(id);
          }
        box = afterSending(box, now);
      };
      for (const one of steps) {
        if (one.kind === 'run') {
          now += one.minutes * MINUTE;
          run();
        } else {
          run();
          const ids = Object.entries(one.ids).map(([id, minutes]): [string, number] => [
            id,
            now + minutes * MINUTE,
          ]);
          box = withPlan(box, planOf(...ids.map(([id, at]) => message(id, at))), now);
          planned = new Map(ids.filter(([id]) => !expected.includes(id)));
        }
      }
      expect(box.done.map(({ message: { id } }) => id)).toEqual(expected);
      expect(box.planned.map(({ id }) => id).sort()).toEqual([...planned.keys()].sort());
    }),
  );
});

test('a server that is killed between any two writes has sent nothing twice and lost nothing', async () => {
  const data = path.join(newFolder(), 'messages');
  const clock = { now: FIRST };
  const first = new MessageStore(data, () => clock.now);
  const messages = Array.from({ length: 20 }, (_, index) =>
    message(`m${index}`, FIRST + (index + 1) * MINUTE),
  );
  await first.plan(TOKEN, planOf(...messages));
  first.end();
  // Each time another server takes over what the one before has on the disk, and is gone without a word.
  for (let minute = 1; minute <= 21; minute++) {
    clock.now = FIRST + minute * MINUTE;
    const next = new MessageStore(data, () => clock.now);
    await next.open();
    next.end();
  }
  const last = new MessageStore(data, () => clock.now);
  const box = await last.get(TOKEN);
  last.end();
  expect(box?.done.map(({ message: { id } }) => id)).toEqual(messages.map(({ id }) => id));
  expect(box?.planned).toEqual([]);
});
