import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import request from 'supertest';
import { event, zoned } from '../../testing/samples';
import type { CalendarEvent } from '@/core/model/entry';
import { readMail } from '@/core/interchange/mail/readMail';
import type { Invitation } from '@/core/model/invitation';
import { answerInvitation, receiveAsGuest } from '@/core/people/invitations/guest';
import type { ItipMessage } from '@/core/people/invitations/itipMessage';
import { readMessages } from '@/core/people/invitations/readMessage';
import { tell } from '@/core/people/invitations/telling';
import { writeMessage } from '@/core/people/invitations/writeMessage';
import { inDirectory } from '../../demo/busyTimes';
import { createApp } from '../app';
import { takenAt } from './colleague';
import { MailRelay } from './mailRoutes';
import { DAY, HOUR, MINUTE } from '@/core/time/civil';

const NOW = Date.UTC(2027, 2, 9, 10, 20);
const TOKEN = 'o'.repeat(32);
const KEY = 'k'.repeat(32);
const JUNA = 'juna.marsh@fennick.example';
const OONA = 'oona.pell@fennick.example';

const folders: string[] = [];
const newFolder = (): string => {
  const folder = mkdtempSync(path.join(tmpdir(), 'orderly-week-mail-'));
  folders.push(folder);
  return folder;
};
afterAll(() => {
  for (const folder of folders) rmSync(folder, { recursive: true });
});

const serverAt = (data: string, clock: { now: number }) =>
  request(createApp({ dist: 'public', data, start: () => null, now: () => clock.now }));
type Server = ReturnType<typeof serverAt>;
const handing = (fields: object = {}) => ({
  key: KEY,
  ahead: 0,
  zone: 'Europe/Lisbon',
  owner: JUNA,
  isDemo: false,
  after: 0,
  letters: [] as object[],
  ...fields,
});
interface Came {
  readonly letters: readonly { readonly number: number; readonly mail: string }[];
  readonly receipts: readonly { readonly address: string; readonly status: string }[];
  readonly next: number;
}
const exchange = async (server: Server, fields: object = {}): Promise<Came> =>
  (await server.post(`/api/mail/${TOKEN}`).send(handing(fields)).expect(200)).body as Came;

const messagesIn = async (mail: string): Promise<ItipMessage[]> => {
  const { calendars } = await readMail(new TextEncoder().encode(mail));
  return calendars.flatMap((calendar) =>
    readMessages(calendar, { zone: 'UTC', now: NOW, newId: () => 'read' }),
  );
};

/** An entry with guests at an hour at which somebody is free, or busy. */
function meetingWith(names: readonly string[], state: 'free' | 'busy', of = names[0]!): CalendarEvent {
  const guests = names.map((name) => [...inDirectory.values()].find((person) => person.name === name)!);
  const one = guests.find(({ name }) => name === of)!;
  for (let at = NOW + DAY; ; at += 30 * MINUTE) {
    if (takenAt(one, { start: at, end: at + HOUR }) !== state) continue;
    return event({
      id: 'talk',
      uid: 'talk@fennick.example',
      title: 'Lamp talk',
      start: zoned(new Date(at).toISOString().slice(0, 19), 'UTC'),
      end: zoned(new Date(at + HOUR).toISOString().slice(0, 19), 'UTC'),
      attendees: guests.map(({ addresses }) => ({
        address: `mailto:${addresses[0]!}`,
        parameters: { role: 'REQ-PARTICIPANT', rsvp: 'TRUE', partstat: 'NEEDS-ACTION' },
      })),
    });
  }
}
function requestOf(meeting: CalendarEvent, id = 'one') {
  const told = tell(meeting.uid, undefined, [meeting], {
    organizer: { address: `mailto:${JUNA}`, parameters: {} },
    own: [JUNA],
    audience: 'all',
    comment: '',
    now: NOW,
  })!;
  const [{ to, message }] = told.outgoing as [(typeof told.outgoing)[number]];
  return {
    told,
    letter: {
      id,
      from: JUNA,
      to,
      subject: 'Lamp talk',
      text: '',
      method: 'REQUEST',
      calendar: writeMessage(message),
    },
  };
}

test('somebody who is free answers yes a moment later, by a mail as the standards have it', async () => {
  const clock = { now: NOW };
  const server = serverAt(newFolder(), clock);
  const first = await exchange(server, { letters: [requestOf(meetingWith(['Oona Pell'], 'free')).letter] });
  expect(first.letters).toEqual([]);
  expect(first.next).toBeGreaterThan(0);
  expect(first.receipts).toEqual([expect.objectContaining({ address: OONA, status: 'delivered' })]);
  clock.now += first.next;
  const then = await exchange(server);
  expect(then.receipts.map(({ status }) => status)).toEqual(['delivered', 'opened']);
  const [{ mail }] = then.letters as [Came['letters'][number]];
  expect(mail).toMatch(/Content-Type: text\/calendar; charset=utf-8; method=REPLY/i);
  expect((await readMail(new TextEncoder().encode(mail))).from.address).toBe(OONA);
  const [reply] = await messagesIn(mail);
  expect(reply).toMatchObject({ method: 'REPLY', uid: 'talk@fennick.example' });
  expect(reply!.parts[0]!.attendees[0]!.parameters.partstat).toBe('ACCEPTED');
});

test('somebody who is busy says no; one always proposes a time at which they are free', async () => {
  const clock = { now: NOW };
  const server = serverAt(newFolder(), clock);
  await exchange(server, { letters: [requestOf(meetingWith(['Oona Pell', 'Ines Falk'], 'busy')).letter] });
  clock.now += 2_000;
  const came = (
    await Promise.all((await exchange(server)).letters.map(({ mail }) => messagesIn(mail)))
  ).flat();
  expect(came.map(({ method }) => method).sort()).toEqual(['COUNTER', 'REPLY']);
  const [start] = came.flatMap(({ method, parts }) => (method === 'COUNTER' ? parts[0]!.event!.start : []));
  const ines = [...inDirectory.values()].find(({ name }) => name === 'Ines Falk')!;
  const at = Date.parse(`${(start as { local: string }).local}Z`);
  expect(takenAt(ines, { start: at, end: at + HOUR })).toBe('free');
});

test('a few are late, and what they were about to say to an earlier version is not said', async () => {
  const clock = { now: NOW };
  const server = serverAt(newFolder(), clock);
  const meeting = meetingWith(['Salma Wray'], 'free');
  const { told, letter } = requestOf(meeting);
  await exchange(server, { letters: [letter] });
  clock.now += 2 * MINUTE;
  expect((await exchange(server)).letters).toEqual([]);
  const off = tell(meeting.uid, told.invitation, [], {
    organizer: { address: `mailto:${JUNA}`, parameters: {} },
    own: [JUNA],
    audience: 'all',
    comment: '',
    now: NOW + MINUTE,
  })!;
  await exchange(server, {
    letters: [{ ...letter, id: 'two', method: 'CANCEL', calendar: writeMessage(off.outgoing[0]!.message) }],
  });
  clock.now += HOUR;
  expect((await exchange(server)).letters).toEqual([]);
});

test('a letter that is handed over twice goes once, and what came is given until it was read', async () => {
  const clock = { now: NOW };
  const data = newFolder();
  const { letter } = requestOf(meetingWith(['Oona Pell'], 'free'));
  await exchange(serverAt(data, clock), { letters: [letter] });
  await exchange(serverAt(data, clock), { letters: [letter] });
  clock.now += 2_000;
  // Each time another server takes over what the one before has on the disk.
  const once = await exchange(serverAt(data, clock));
  const again = await exchange(serverAt(data, clock));
  expect(once.letters).toHaveLength(1);
  expect(again.letters).toEqual(once.letters);
  expect((await exchange(serverAt(data, clock), { after: once.letters[0]!.number })).letters).toEqual([]);
  const outbox = (await serverAt(data, clock).get(`/outbox/${TOKEN}`).expect(200)).text;
  expect(outbox.match(/Lamp talk/g)).toHaveLength(1);
});

test('somebody whom the office does not know gets nothing, and it is said; another house is not written to', async () => {
  const server = serverAt(newFolder(), { now: NOW });
  const { letter } = requestOf(meetingWith(['Oona Pell'], 'free'));
  const { receipts } = await exchange(server, {
    letters: [{ ...letter, to: ['nobody@fennick.example', 'edda@tern.example', 'urn:uuid:7'] }],
  });
  expect(receipts.map(({ address, status }) => [address, status])).toEqual([
    ['nobody@fennick.example', 'refused'],
    ['edda@tern.example', 'delivered'],
    ['urn:uuid:7', 'refused'],
  ]);
});

test('colleagues of the demo invite by themselves, once; a time that is proposed to them is taken or turned down', async () => {
  const clock = { now: NOW };
  const server = serverAt(newFolder(), clock);
  const { letters } = await exchange(server, { isDemo: true });
  expect(letters).toHaveLength(3);
  const messages = (await Promise.all(letters.map(({ mail }) => messagesIn(mail)))).flat();
  expect(messages.map(({ method }) => method)).toEqual(['REQUEST', 'REQUEST', 'REQUEST']);
  const last = letters.at(-1)!.number;
  expect((await exchange(server, { isDemo: true, after: last })).letters).toEqual([]);
  const [request] = messages;
  const received = receiveAsGuest(undefined, request!, 'tobias.rask@fennick.example');
  const { invitation } = received as { invitation: Invitation };
  const [meeting] = invitation.events;
  const later = (time: CalendarEvent['start']) => ({
    ...time,
    local: (time as { local: string }).local.replace('T15', 'T03').replace('T16', 'T04'),
  });
  const counter = answerInvitation(
    invitation,
    {
      answer: 'declined',
      comment: '',
      proposal: { start: later(meeting!.start), end: later(meeting!.end) } as never,
    },
    [JUNA],
    NOW + MINUTE,
  );
  await exchange(server, {
    after: last,
    letters: [
      {
        id: 'counter',
        from: JUNA,
        to: counter.outgoing.to,
        subject: '',
        text: '',
        method: 'COUNTER',
        calendar: writeMessage(counter.outgoing.message),
      },
    ],
  });
  clock.now += 2_000;
  const [answer] = (await exchange(server, { after: last })).letters;
  expect(['REQUEST', 'DECLINECOUNTER']).toContain((await messagesIn(answer!.mail))[0]!.method);
});

test('only who has the key hands over, and the key itself is nowhere', async () => {
  const data = newFolder();
  const server = serverAt(data, { now: NOW });
  await exchange(server);
  await server
    .post(`/api/mail/${TOKEN}`)
    .send(handing({ key: 'x'.repeat(32) }))
    .expect(403);
  expect(readFileSync(path.join(data, 'mail', `${TOKEN}.json`), 'utf8')).not.toContain(KEY);
});

test.each<[string, object]>([
  ['no key', { key: 'short' }],
  ['an owner that is no address', { owner: 'Juna' }],
  ['no addressee', { letters: [{ id: 'a', from: JUNA, to: [], subject: '', text: '' }] }],
  [
    'too many letters',
    {
      letters: Array.from({ length: 51 }, (_, id) => ({
        id: `${id}`,
        from: JUNA,
        to: [OONA],
        subject: '',
        text: '',
      })),
    },
  ],
  [
    'a calendar that is too long',
    {
      letters: [{ id: 'a', from: JUNA, to: [OONA], subject: '', text: '', calendar: 'x'.repeat(1_000_001) }],
    },
  ],
])('what is no letter is refused: %s', async (_, fields) => {
  const server = serverAt(newFolder(), { now: NOW });
  await server.post(`/api/mail/${TOKEN}`).send(handing(fields)).expect(400);
  expect((await exchange(server)).letters).toEqual([]);
});

test('a calendar text that is none harms nobody', async () => {
  const server = serverAt(newFolder(), { now: NOW });
  const { receipts } = await exchange(server, {
    letters: [
      { id: 'a', from: JUNA, to: [OONA], subject: '', text: '', calendar: 'BEGIN:VCALENDAR\r\nBEGIN:VEVENT' },
    ],
  });
  expect(receipts).toEqual([]);
});

test('one sender has room for so many boxes; what was there stays', async () => {
  const relay = new MailRelay(path.join(newFolder(), 'mail'), () => NOW, {
    boxes: 9,
    bySender: 1,
    bytes: 1e6,
  });
  const one = handing() as Parameters<MailRelay['handOver']>[1];
  expect(await relay.handOver('a'.repeat(32), one, '10.0.0.1')).toHaveProperty('owner');
  expect(await relay.handOver('b'.repeat(32), one, '10.0.0.1')).toBe('too-much');
  expect(await relay.get('a'.repeat(32))).toHaveProperty('owner', JUNA);
});

test('a meeting room says that it is a stand-in; what is no address of one is none', async () => {
  const server = serverAt(newFolder(), { now: NOW });
  expect((await server.get(`/meet/${'m'.repeat(32)}`).expect(200)).text).toContain('Simulated.');
  await server.get('/meet/short').expect(404);
});
