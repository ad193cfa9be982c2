import fc from 'fast-check';
import { date, event, todo, zoned } from '../../../testing/samples';
import { readCalendarFile } from '../interchange/icalendar/readCalendarFile';
import { writeCalendarFile } from '../interchange/icalendar/writeCalendarFile';
import type { CalendarEvent } from '../model/entry';
import {
  MOST_REMINDERS,
  noticeBefore,
  offsetTrigger,
  type Reminder,
  type ReminderTrigger,
} from '../model/reminder';
import { todoSpan } from '../todos/todoSpan';
import { readAlarm, writeAlarm } from './alarms';
import { MINUTE } from '../time/civil';

const options = {
  now: 0,
  newId: (() =>
    (
      (id) => () =>
        `id-${++id}`
    )(0))(),
  zone: 'Europe/Lisbon',
};

const read = async (text: string) => {
  const { events, problems } = await readCalendarFile(text, options);
  return { event: events[0]!, problems: problems.map(({ code }) => code) };
};
const withAlarms = (...alarms: readonly (readonly string[])[]): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Fennick//EN',
    'BEGIN:VEVENT',
    'UID:round@fennick.example',
    'DTSTAMP:20270301T090000Z',
    'DTSTART;TZID=Europe/Lisbon:20270309T140000',
    'DTEND;TZID=Europe/Lisbon:20270309T150000',
    'SUMMARY:Works round',
    ...alarms.flatMap((lines) => ['BEGIN:VALARM', ...lines, 'END:VALARM']),
    'END:VEVENT',
    'END:VCALENDAR',
    '',
  ].join('\r\n');
const DISPLAY = ['ACTION:DISPLAY', 'DESCRIPTION:Works round'];
const triggerOf = async (...lines: string[]): Promise<ReminderTrigger | undefined> =>
  (await read(withAlarms([...DISPLAY, ...lines]))).event.reminders?.[0]?.trigger;

test.each<[string, string[], ReminderTrigger]>([
  ['minutes before the start', ['TRIGGER:-PT15M'], offsetTrigger(-15)],
  ['hours, as minutes', ['TRIGGER;RELATED=START:-PT2H30M'], offsetTrigger(-150)],
  ['a day of the calendar, not 24 hours', ['TRIGGER:-P1D'], offsetTrigger(0, 'start', -1)],
  ['24 hours, not a day of the calendar', ['TRIGGER:-PT24H'], offsetTrigger(-1440)],
  ['weeks', ['TRIGGER:-P2W'], offsetTrigger(0, 'start', -14)],
  ['days and hours', ['TRIGGER:-P1DT3H'], offsetTrigger(-180, 'start', -1)],
  ['after the start', ['TRIGGER:PT10M'], offsetTrigger(10)],
  ['before the end', ['TRIGGER;RELATED=END:-PT5M'], offsetTrigger(-5, 'end')],
  [
    'a fixed moment',
    ['TRIGGER;VALUE=DATE-TIME:20270308T160000Z'],
    { kind: 'fixed', at: Date.parse('2027-03-08T16:00Z') },
  ],
  [
    'a moment in the year 9999',
    ['TRIGGER;VALUE=DATE-TIME:99991231T120000Z'],
    { kind: 'fixed', at: Date.parse('9999-12-31T12:00Z') },
  ],
])('an alarm is read: %s', async (_, lines, expected) => {
  expect(await triggerOf(...lines)).toEqual(expected);
});

test.each([
  ['a moment without a zone', ['TRIGGER;VALUE=DATE-TIME:20270308T160000']],
  ['thousands of years before', ['TRIGGER:-P999999D']],
  ['half a minute', ['TRIGGER:-PT30S']],
  ['no trigger', []],
  ['by nearness to a place (RFC 9074 8)', ['TRIGGER;VALUE=DATE-TIME:19760401T005545Z', 'PROXIMITY:ARRIVE']],
])('an alarm that can’t be said is kept as it was, and it is told: %s', async (_, lines) => {
  const text = withAlarms([...DISPLAY, ...lines]);
  const { event: one, problems } = await read(text);
  expect(one.reminders).toBeUndefined();
  expect(problems).toEqual(['kept-alarm']);
  const written = writeCalendarFile([one]);
  for (const line of lines) expect(written).toContain(line);
  expect(written.match(/BEGIN:VALARM/g)).toHaveLength(1);
});

test('more alarms than an entry is read with are kept, and it is told', async () => {
  const alarms = Array.from({ length: 5000 }, (_, index) => [...DISPLAY, `TRIGGER:-PT${index + 1}M`]);
  const { event: one, problems } = await read(withAlarms(...alarms));
  expect(one.reminders).toHaveLength(MOST_REMINDERS);
  expect(problems).toEqual(['too-many-alarms']);
  const written = writeCalendarFile([one]);
  expect(written.match(/BEGIN:VALARM/g)).toHaveLength(5000);
  expect(written).toContain('TRIGGER:-PT5000M');
});

test('e-mail, sound, repeats and what RFC 9074 adds are read and written with nothing lost', async () => {
  const alarms = [
    [
      'ACTION:EMAIL',
      'DESCRIPTION:Bring the drawings',
      'SUMMARY:Works round soon',
      'ATTENDEE:mailto:juna.marsh@fennick.example',
      'TRIGGER:-PT60M',
      'UID:a1@fennick.example',
      'ACKNOWLEDGED:20270309T123000Z',
    ],
    ['ACTION:AUDIO', 'TRIGGER:-PT5M', 'REPEAT:2', 'DURATION:PT5M', 'ATTACH;FMTTYPE=audio/basic:bell.aud'],
    [...DISPLAY, 'TRIGGER;VALUE=DATE-TIME:20270309T135500Z', 'RELATED-TO;RELTYPE=SNOOZE:a1@fennick.example'],
  ];
  const { event: one, problems } = await read(withAlarms(...alarms));
  expect(problems).toEqual([]);
  expect(one.reminders).toMatchObject([
    {
      by: 'email',
      description: 'Bring the drawings',
      trigger: offsetTrigger(-60),
      acknowledged: Date.parse('2027-03-09T12:30Z'),
    },
    { by: 'sound', trigger: offsetTrigger(-5), repeat: { times: 2, everyMinutes: 5 } },
    { by: 'notice', trigger: { kind: 'fixed' } },
  ]);
  const written = writeCalendarFile([one]).replaceAll('\r\n ', '');
  for (const line of alarms.flat()) expect(written).toContain(line);
  const again = await read(written);
  expect(again.event.reminders).toEqual(one.reminders);
});

const trigger: fc.Arbitrary<ReminderTrigger> = fc.oneof(
  fc
    .record({
      from: fc.constantFrom('start' as const, 'end' as const, 'leaving' as const),
      days: fc.integer({ min: 0, max: 40 }),
      minutes: fc.integer({ min: 0, max: 3000 }),
      sign: fc.constantFrom(-1, 1),
    })
    .map(({ from, days, minutes, sign }) => offsetTrigger(sign * minutes || 0, from, sign * days || 0)),
  fc.record({
    kind: fc.constant('time-of-day' as const),
    daysBefore: fc.integer({ min: 0, max: 30 }),
    minute: fc.integer({ min: 0, max: 1439 }),
  }),
  fc.integer({ min: 0, max: 4_000_000 }).map((minute) => ({ kind: 'fixed' as const, at: minute * MINUTE })),
);
const reminder: fc.Arbitrary<Reminder> = fc
  .record({
    trigger,
    by: fc.constantFrom('notice' as const, 'sound' as const, 'email' as const, 'text' as const),
    description: fc.option(fc.constantFrom('Bring the drawings', 'Oil; wicks, and\nglass'), {
      nil: undefined,
    }),
    repeat: fc.option(
      fc.record({ times: fc.integer({ min: 1, max: 50 }), everyMinutes: fc.integer({ min: 1, max: 600 }) }),
      { nil: undefined },
    ),
  })
  .map(({ description, repeat, ...rest }) => ({
    ...rest,
    ...(description === undefined ? {} : { description }),
    ...(repeat ? { repeat } : {}),
  }));

test('every reminder is read as it was written, of timed entries and whole days, with travel', async () => {
  const kinds: Partial<CalendarEvent>[] = [
    {},
    { start: zoned('2027-03-28T00:30', 'Europe/Oslo'), end: zoned('2027-03-28T05:00', 'Europe/Oslo') },
    { start: date('2027-03-09'), end: date('2027-03-11') },
    { travel: { there: 40, back: 55 } },
  ];
  await fc.assert(
    fc.asyncProperty(
      fc.array(reminder, { maxLength: 6 }),
      fc.constantFrom(...kinds),
      async (reminders, kind) => {
        const before = event({ ...kind, reminders });
        const { event: after, problems } = await read(writeCalendarFile([before]));
        expect(problems).toEqual([]);
        expect(after.reminders).toEqual(reminders);
        expect(after.travel).toEqual(before.travel);
      },
    ),
    { numRuns: 300 },
  );
});

test('an entry that follows its calendar is written with what is usual there, and read as following', async () => {
  const usual = new Map([['meetings', { timed: [noticeBefore(10)], wholeDays: [] }]]);
  const written = writeCalendarFile([event({})], undefined, { usual });
  expect(written).toContain('TRIGGER:-PT10M');
  expect((await read(written)).event.reminders).toBeUndefined();
  // Another one than the usual ones, and none at all, are its own.
  const none = writeCalendarFile([event({ reminders: [] })], undefined, { usual });
  expect(none).not.toContain('VALARM');
  expect((await read(none)).event.reminders).toEqual([]);
});

test('the way there of another writer is read, and kept for as long as it is so', async () => {
  const theirs = 'X-FENNICK-TRAVEL-DURATION;VALUE=DURATION:PT45M';
  const text = withAlarms().replace('SUMMARY', `${theirs}\r\nSUMMARY`);
  const { event: one } = await read(text);
  expect(one.travel).toEqual({ there: 45, back: 0 });
  expect(writeCalendarFile([one])).toContain('X-FENNICK-TRAVEL-DURATION');
  const changed = writeCalendarFile([{ ...one, travel: { there: 30, back: 0 } }]);
  expect(changed).not.toContain('X-FENNICK-TRAVEL-DURATION');
  expect((await read(changed)).event.travel).toEqual({ there: 30, back: 0 });
});

test('a to-do that is due and has no start reminds before its DUE, and reads so again', () => {
  const rope = todo({ title: 'Order rope', ...todoSpan(date('2027-03-12'), undefined) });
  const morning = { trigger: { kind: 'time-of-day', daysBefore: 1, minute: 540 }, by: 'notice' } as const;
  const [, properties] = writeAlarm(morning, rope);
  // Due until the end of the 12th: 39 hours before that is the 11th at 9:00.
  expect(properties.find(([name]) => name === 'trigger')).toEqual([
    'trigger',
    { related: 'END' },
    'duration',
    '-PT2340M',
  ]);
  expect(readAlarm(writeAlarm(morning, rope), rope)).toEqual(morning);
  const hour = { trigger: offsetTrigger(-60, 'end'), by: 'notice' } as const;
  expect(readAlarm(writeAlarm(hour, rope), rope)).toEqual(hour);
});
