import ICAL from 'ical.js';
import fc from 'fast-check';
import { date, event, FENNICK, series, zoned } from '../../../../testing/samples';
import { Entry } from '../../model/entry';
import { OccurrenceIndex } from '../../schedule/occurrenceIndex';
import { fileText } from './fileText';
import { FileError, LARGEST_FILE } from './problems';
import { readCalendarFile } from './readCalendarFile';
import { writeCalendarFile } from './writeCalendarFile';
import { noticeBefore } from '../../model/reminder';

let made = 0;
const options = { zone: FENNICK, now: Date.UTC(2027, 2, 9), newId: () => `read-${++made}` };
const file = (...lines: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR', ''].join('\r\n');
const vevent = (...lines: string[]) => ['BEGIN:VEVENT', 'UID:1', ...lines, 'END:VEVENT'];
const read = async (...lines: string[]) => readCalendarFile(file(...lines), options);

test('times are read as they are written: zoned, UTC, floating, whole days, with a length', async () => {
  const { events, problems } = await read(
    ...vevent('DTSTART;TZID=America/Halifax:20270309T100000', 'DURATION:PT45M'),
    ...vevent('DTSTART:20270309T100000Z', 'DTEND:20270309T110000Z'),
    ...vevent('DTSTART:20270309T100000'),
    ...vevent('DTSTART;VALUE=DATE:20270309', 'DURATION:P2D'),
    ...vevent('DTSTART;VALUE=DATE:20270309'),
  );
  expect(problems).toEqual([]);
  expect(events.map(({ start, end }) => [start, end])).toEqual([
    [zoned('2027-03-09T10:00', 'America/Halifax'), zoned('2027-03-09T10:45', 'America/Halifax')],
    [zoned('2027-03-09T10:00', 'UTC'), zoned('2027-03-09T11:00', 'UTC')],
    [
      { kind: 'floating', local: '2027-03-09T10:00:00' },
      { kind: 'floating', local: '2027-03-09T10:00:00' },
    ],
    [date('2027-03-09'), date('2027-03-11')],
    [date('2027-03-09'), date('2027-03-10')],
  ]);
  events.forEach((entry) => expect(Entry.safeParse({ ...entry, calendarId: 'x' }).success).toBe(true));
});

test('a zone without a name is none', async () => {
  const { events } = await read(
    ...vevent(
      'DTSTART;TZID=:20270309T100000',
      'DTEND;TZID="":20270309T110000',
      'EXDATE;TZID=:20270309T100000',
    ),
  );
  expect(events.map(({ start, end }) => [start, end])).toEqual([
    [
      { kind: 'floating', local: '2027-03-09T10:00:00' },
      { kind: 'floating', local: '2027-03-09T11:00:00' },
    ],
  ]);
});

test('a zone of another name is found by its end or its rules; an unknown one is said once', async () => {
  const { events, problems } = await read(
    'BEGIN:VTIMEZONE',
    'TZID:Works office',
    'BEGIN:STANDARD',
    'DTSTART:16010101T030000',
    'TZOFFSETFROM:+0200',
    'TZOFFSETTO:+0100',
    'END:STANDARD',
    'BEGIN:DAYLIGHT',
    'DTSTART:16010101T020000',
    'TZOFFSETFROM:+0100',
    'TZOFFSETTO:+0200',
    'END:DAYLIGHT',
    'END:VTIMEZONE',
    ...vevent('DTSTART;TZID=Works office:20270709T100000'),
    ...vevent('DTSTART;TZID=/fennick.example/tz/Europe/Oslo:20270309T100000'),
    ...vevent('DTSTART;TZID=Nowhere:20270309T100000'),
    ...vevent('DTSTART;TZID=Nowhere:20270310T100000'),
  );
  const zones = events.map(({ start }) => (start.kind === 'zoned' ? start.zone : ''));
  expect(Temporal.ZonedDateTime.from(`2027-07-09T10:00[${zones[0]}]`).offset).toBe('+02:00');
  expect(zones.slice(1)).toEqual(['Europe/Oslo', 'Nowhere', 'Nowhere']);
  expect(problems.filter(({ code }) => code === 'unknown-zone')).toHaveLength(1);
});

test('one bad line loses neither the event nor the file, and is told by its number', async () => {
  const { events, problems } = await read(
    ...vevent('DTSTART:20270309T100000Z', 'nonsense without a colon', 'RRULE:FREQ=SOMETIMES', 'SUMMARY:kept'),
    ...vevent('SUMMARY:no start'),
    ...vevent('DTSTART:20270309T100000Z', 'DTEND:20270308T100000Z', 'SUMMARY:backwards'),
    'BEGIN:VTODO',
    'UID:t',
    'END:VTODO',
  );
  expect(events.map(({ title }) => title)).toEqual(['kept', 'backwards']);
  expect(problems.map(({ line, code }) => [line, code])).toEqual([
    [6, 'unreadable-line'],
    [7, 'unreadable-rule'],
    [10, 'no-start'],
    [14, 'end-before-start'],
  ]);
});

test('a changed occurrence finds its series, and a folded line is one line', async () => {
  const { events } = await read(
    ...vevent(
      'DTSTART:20270302T100000Z',
      'RRULE:FREQ=WEEKLY',
      'EXDATE:20270316T100000Z',
      'SUMMARY:Keeper',
      '  rota call',
    ),
    ...vevent('DTSTART:20270309T120000Z', 'RECURRENCE-ID:20270309T100000Z', 'SUMMARY:later'),
  );
  expect(events[0]!.title).toBe('Keeper rota call');
  expect(events[1]!.seriesId).toBe(events[0]!.id);
  const index = new OccurrenceIndex();
  index.load(events);
  const found = index.between({ start: Date.UTC(2027, 2, 1), end: Date.UTC(2027, 2, 24) }, 'UTC');
  expect(found.map(({ start }) => new Date(start).toISOString().slice(5, 13))).toEqual([
    '03-02T10',
    '03-09T12',
    '03-23T10',
  ]);
});

test.each([
  ['empty', new Uint8Array()],
  ['zip', new Uint8Array([0x50, 0x4b, 3, 4])],
  ['wrong-encoding', new Uint8Array([0x42, 0xe4, 0x72])],
  ['wrong-encoding', new Uint8Array([0x42, 0, 0x43, 0])],
  ['too-large', new Uint8Array(LARGEST_FILE + 1)],
] as const)('bytes that are no calendar are refused: %s', (reason, bytes) => {
  expect(() => fileText(bytes)).toThrow(new FileError(reason));
});

test('a text in UTF-16 that says so is read', () => {
  expect(fileText(new Uint8Array([0xff, 0xfe, 0x42, 0, 0xe4, 0]))).toBe('Bä');
  expect(fileText(new Uint8Array([0xfe, 0xff, 0, 0x42]))).toBe('B');
});

test('a text that is no calendar, or half of one, is refused', async () => {
  await expect(readCalendarFile('Dear keepers', options)).rejects.toThrow(new FileError('not-a-calendar'));
  await expect(readCalendarFile('BEGIN:VCALENDAR\nBEGIN:VEVENT', options)).rejects.toThrow(
    new FileError('cut-off'),
  );
});

const texts = fc.string({
  unit: fc.constantFrom('a', 'Z', ' ', ',', ';', ':', '\\', '\n', '"', 'é', '灯', '😀'),
});
const local = fc
  .date({ min: new Date('2000-01-01T00:00:00Z'), max: new Date('2035-12-30T00:00:00Z'), noInvalidDate: true })
  .map((at) => at.toISOString().slice(0, 19));
const zones = fc.constantFrom('Europe/Lisbon', 'America/Halifax', 'UTC', 'Atlantic/Azores');

test('whatever is exported is read back the same, and keeps what the model does not know', async () => {
  await fc.assert(
    fc.asyncProperty(
      texts,
      texts,
      texts,
      local,
      zones,
      fc.constantFrom('busy', 'tentative', 'free', 'away'),
      fc.boolean(),
      async (title, notes, category, start, zone, availability, repeats) => {
        const before = event({
          title: title.slice(0, 1000),
          notes,
          categories: category.trim() ? [category] : [],
          start: { kind: 'zoned', local: start, zone },
          end: { kind: 'zoned', local: start, zone },
          availability,
          classification: 'confidential',
          status: 'tentative',
          reminders: [noticeBefore(15)],
          sequence: 3,
          ...(repeats
            ? {
                recurrence: {
                  rules: ['FREQ=WEEKLY;COUNT=5'],
                  dates: [],
                  exceptionDates: [{ kind: 'zoned', local: start, zone }],
                },
              }
            : {}),
          preserved: {
            properties: [['x-shelf', {}, 'unknown', '12']],
            components: [
              [
                'valarm',
                [
                  ['action', {}, 'text', 'PROCEDURE'],
                  ['trigger', {}, 'duration', '-PT5M'],
                ],
                [],
              ],
            ],
          },
        });
        const text = writeCalendarFile([before], { name: 'Stores', description: '' });
        expect(() => ICAL.parse(text)).not.toThrow();
        const { events, problems, name } = await readCalendarFile(text, options);
        expect(problems.map(({ code }) => code)).toEqual(['kept-alarm']);
        expect(name).toBe('Stores');
        expect(events[0]).toEqual({ ...before, id: events[0]!.id, calendarId: '-' });
      },
    ),
    { numRuns: 60 },
  );
});

const timeOf = (text: string) => {
  const [year, month, day, hour, minute, second] = text.split(/[-T:]/).map(Number);
  return new ICAL.Time(
    { year, month, day, hour, minute, second, isDate: false },
    ICAL.Timezone.localTimezone,
  );
};

test('exported time zones say the right offset at every instant of their span', () => {
  const text = writeCalendarFile([
    series('FREQ=DAILY', { start: zoned('2027-01-01T12:00'), end: zoned('2027-01-01T13:00') }),
  ]);
  const calendar = new ICAL.Component(ICAL.parse(text) as string);
  const zone = new ICAL.Timezone(calendar.getFirstSubcomponent('vtimezone')!);
  for (const [at, offset] of [
    ['2027-03-28T00:59:00', 0],
    ['2027-03-28T02:30:00', 3600],
    ['2027-07-01T12:00:00', 3600],
    ['2030-10-27T12:00:00', 0],
  ] as const)
    expect([at, zone.utcOffset(timeOf(at))]).toEqual([at, offset]);
  // With a zoned start, UNTIL is written in UTC.
  expect(
    writeCalendarFile([series('FREQ=DAILY;UNTIL=20270709', { start: zoned('2027-01-01T12:00') })]),
  ).toContain('UNTIL=20270709T225959Z');
});
