import fc from 'fast-check';
import { date, event, FENNICK, series, todo, zoned } from '../../../../testing/samples';
import { TODO_STATUSES } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { dateString, DAY } from '../../time/civil';
import { atWall, wallOf } from '../../time/eventTime';
import { todoSpan } from '../../todos/todoSpan';
import { FileError } from '../icalendar/problems';
import { zipSync } from 'fflate';
import { readLength } from '../../time/readLength';
import { tableText } from '../icalendar/fileText';
import { unzip } from '../unzip';
import { guessColumns } from './columns';
import { readCsvTable, writeCsvTable } from './csvTable';
import { type DateOrder, guessDateOrder, readDate, readMoment, readTime } from './dates';
import { guessTable } from './guessTable';
import { readCsv } from './readCsv';
import { writeCsv } from './writeCsv';

const earlier = (time: EventTime, days: number): EventTime => atWall(time, wallOf(time) - days * DAY);

let made = 0;
const read = (text: string, dateOrder: DateOrder = 'day-month') => {
  const table = readCsvTable(text);
  const options = { zone: FENNICK, now: 0, newId: () => `row-${++made}`, defaultLengthMinutes: 30 };
  return readCsv(table, { ...options, dateOrder, mapping: guessColumns(table.header) });
};

test.each([
  ['2027-03-09', 'day-month', '2027-03-09'],
  ['20270309', 'month-day', '2027-03-09'],
  ['2027/3/9', 'day-month', '2027-03-09'],
  ['9.3.2027', 'day-month', '2027-03-09'],
  ['09.03.27', 'day-month', '2027-03-09'],
  ['3/9/2027', 'month-day', '2027-03-09'],
  ['9/3/2027', 'day-month', '2027-03-09'],
  ['9 March 2027', 'day-month', '2027-03-09'],
  ['Tue, 9 Mar 2027', 'month-day', '2027-03-09'],
  ['March 9th, 2027', 'day-month', '2027-03-09'],
  ['31.2.2027', 'day-month', undefined],
  ['13/13/2027', 'day-month', undefined],
  ['soon', 'day-month', undefined],
] as const)('the date “%s” written %s is %s', (text, order, expected) => {
  expect(readDate(text, order)).toBe(expected);
});

test.each([
  ['14:00', 840],
  ['2 pm', 840],
  ['12:30 a.m.', 30],
  ['14.15', 855],
  ['9h30', 570],
  ['0930', 570],
  ['24:00', 1440],
  ['13 pm', undefined],
  ['25:00', undefined],
  ['9:75', undefined],
] as const)('the time “%s” is %s minutes after midnight', (text, minutes) => {
  expect(readTime(text)).toBe(minutes);
});

test('lengths, moments with offsets, and the order of numbers', () => {
  expect(['90', '1:30', '1,5 h', '2 days', 'long'].map(readLength)).toEqual([90, 90, 90, 2880, undefined]);
  expect(readMoment('2027-03-09T14:00:00+02:00', 'day-month')).toEqual({
    date: '2027-03-09',
    minutes: 840,
    offset: 120,
  });
  expect(readMoment('9/3/2027 2 pm', 'day-month')).toMatchObject({ date: '2027-03-09', minutes: 840 });
  expect(guessDateOrder(['1/2/2027', '3/25/2027'])).toBe('month-day');
  expect(guessDateOrder(['1.2.2027', '25.3.2027'])).toBe('day-month');
  expect(guessDateOrder(['1/2/2027', '3/4/2027'])).toBeUndefined();
  expect(guessDateOrder(['25/3/2027', '3/25/2027'])).toBeUndefined();
});

test('a table with semicolons and names of its own becomes entries', () => {
  const { events, problems } = read(
    [
      'Subject;Date;From;Until;Room;Tags',
      'Lamp test;9.3.2027;14:00;15:30;Works;lamp, test',
      'Night watch;9.3.2027;22:00;02:00;;',
      'Stocktaking;10.3.2027;;;;',
    ].join('\r\n'),
  );
  expect(problems).toEqual([]);
  expect(events.map(({ title, start, end }) => [title, start, end])).toEqual([
    ['Lamp test', zoned('2027-03-09T14:00'), zoned('2027-03-09T15:30')],
    ['Night watch', zoned('2027-03-09T22:00'), zoned('2027-03-10T02:00')],
    ['Stocktaking', date('2027-03-10'), date('2027-03-11')],
  ]);
  expect(events[0]).toMatchObject({ location: 'Works', categories: ['lamp', 'test'] });
});

test('a bad row is named by its line and the others are read', () => {
  const { events, problems } = read(
    [
      'Title,Start date,Start time,End time,Status,Zone',
      'One,2027-03-09,10:00,11:00,confirmed,',
      'Two,2027-02-30,10:00,,,',
      'Three,,10:00,,,',
      'Four,2027-03-09,half past,,,',
      'Five,2027-03-09,10:00,,maybe,Nowhere',
    ].join('\n'),
  );
  expect(events.map(({ title }) => title)).toEqual(['One', 'Five']);
  expect(problems.map(({ line, code }) => [line, code])).toEqual([
    [3, 'unreadable-date'],
    [4, 'no-date'],
    [5, 'unreadable-time'],
    [6, 'unknown-zone'],
    [6, 'unknown-value'],
  ]);
});

test('what is no table is refused', () => {
  expect(() => readCsvTable('Dear keepers')).toThrow(new FileError('not-a-table'));
});

test('cells that a spreadsheet would take for formulas are harmless, and come back as they were', () => {
  const text = writeCsvTable(['A', 'B'], [['=1+1', '"quoted", with\nlines']]);
  expect(text).toContain("'=1+1");
  expect(readCsvTable(text).rows[0]!.cells).toEqual(['=1+1', '"quoted", with\nlines']);
});

test('what is written as a table is read back the same', () => {
  const texts = fc.string({ unit: fc.constantFrom('a', 'Z', ' ', ',', ';', '"', '\n', '=', '@', 'é', '灯') });
  const wall = fc
    .date({
      min: new Date('2000-01-01T00:00:00Z'),
      max: new Date('2049-12-30T00:00:00Z'),
      noInvalidDate: true,
    })
    .map((at) => `${at.toISOString().slice(0, 16)}:00`);
  fc.assert(
    fc.property(
      texts.map((text) => text.trim()),
      texts.map((text) => text.trim()),
      wall,
      fc.constantFrom('Europe/Lisbon', 'America/Halifax', 'UTC'),
      fc.integer({ min: 0, max: 3000 }),
      fc.boolean(),
      (title, notes, start, zone, minutes, repeats) => {
        const from = Temporal.PlainDateTime.from(start).toZonedDateTime(zone);
        const to = from.add({ minutes });
        const local = (at: Temporal.ZonedDateTime) => `${at.toPlainDateTime().toString().slice(0, 16)}:00`;
        const before = event({
          title,
          notes,
          start: zoned(local(from), zone),
          end: zoned(local(to), zone),
          ...(repeats
            ? {
                recurrence: {
                  rules: ['FREQ=WEEKLY;COUNT=3'],
                  dates: [],
                  exceptionDates: [zoned(local(from), zone)],
                },
              }
            : {}),
        });
        // A wall time that stands twice is written once: the table has no way to say which.
        if (to.toPlainDateTime().toZonedDateTime(zone).epochMilliseconds !== to.epochMilliseconds) return;
        const { events, problems } = read(writeCsv([before], () => undefined));
        expect(problems).toEqual([]);
        expect(events).toEqual([{ ...before, id: events[0]!.id, calendarId: '-' }]);
      },
    ),
    { numRuns: 200 },
  );
});

test('a changed occurrence finds its series in a table', () => {
  const master = series('FREQ=WEEKLY', { uid: 'call' });
  const changed = event({ uid: 'call', recurrenceId: zoned('2027-03-16T14:00'), title: 'later' });
  const { events } = read(writeCsv([master, changed], () => 'Meetings'));
  expect(events[1]).toMatchObject({ seriesId: events[0]!.id, recurrenceId: zoned('2027-03-16T14:00') });
});

test('to-dos go through a table and come back as they were', () => {
  const day = fc.integer({ min: 0, max: 700 }).map((day) => dateString(20_800 + day));
  const due = fc.oneof(
    fc.constant(undefined),
    day.map((text): EventTime => ({ kind: 'date', date: text })),
    fc
      .tuple(day, fc.integer({ min: 0, max: 95 }), fc.constantFrom(FENNICK, 'America/Halifax'))
      .map(([on, quarter, zone]): EventTime => ({
        kind: 'zoned',
        local: `${on}T${String(Math.floor(quarter / 4)).padStart(2, '0')}:${String((quarter % 4) * 15).padStart(2, '0')}:00`,
        zone,
      })),
  );
  fc.assert(
    fc.property(
      fc.record({
        title: fc.string({ maxLength: 20 }).map((text) => text.trim()),
        due,
        daysBefore: fc.option(fc.integer({ min: 0, max: 30 }), { nil: undefined }),
        status: fc.constantFrom(...TODO_STATUSES),
        estimate: fc.option(fc.integer({ min: 1, max: 3000 }), { nil: undefined }),
        percent: fc.option(fc.integer({ min: 0, max: 100 }), { nil: undefined }),
        repeats: fc.boolean(),
      }),
      ({ title, due: at, daysBefore, status, estimate, percent, repeats }) => {
        const beginning = at && daysBefore !== undefined ? earlier(at, daysBefore) : undefined;
        const span = todoSpan(at, beginning);
        const before = todo({
          title,
          status,
          ...span,
          ...(estimate === undefined ? {} : { estimate }),
          ...(percent === undefined ? {} : { percent }),
          ...(repeats && at
            ? { recurrence: { rules: ['FREQ=WEEKLY'], dates: [], exceptionDates: [span.start!] } }
            : {}),
        });
        const { events, todos, problems } = read(writeCsv([before], () => undefined));
        expect(problems).toEqual([]);
        expect(events).toEqual([]);
        expect(todos).toEqual([{ ...before, id: todos[0]!.id, calendarId: '-' }]);
      },
    ),
    { numRuns: 200 },
  );
});

test('a table of tasks from elsewhere is read as to-dos, each row that can be', () => {
  const { events, todos, problems } = read(
    'Task,Deadline,Effort,Progress\nOrder rope,2027-03-12,2 h,40 %\nSurvey,2027-03-13 17:00,soon,\nOdd,someday,,',
  );
  expect(events).toEqual([]);
  expect(todos).toMatchObject([
    { title: 'Order rope', end: date('2027-03-13'), estimate: 120, percent: 40 },
    { title: 'Survey', end: zoned('2027-03-13T17:00') },
  ]);
  expect(problems.map(({ line, code }) => [line, code])).toEqual([
    [3, 'unknown-value'],
    [4, 'unreadable-date'],
  ]);
});

describe('tables from elsewhere', () => {
  test('German, French and Spanish names of columns are known', () => {
    expect(
      guessColumns(['Betreff', 'Datum', 'Startzeit', 'Endzeit', 'Ort', 'Ganztägig', 'Beschreibung']),
    ).toEqual(['title', 'startDate', 'startTime', 'endTime', 'place', 'allDay', 'notes']);
    expect(
      guessColumns(['Objet', 'Date de début', 'Heure de début', 'Date de fin', 'Heure de fin', 'Lieu']),
    ).toEqual(['title', 'startDate', 'startTime', 'endDate', 'endTime', 'place']);
    expect(
      guessColumns(['Asunto', 'Fecha de inicio', 'Hora de inicio', 'Hora de fin', 'Lugar', 'Notas']),
    ).toEqual(['title', 'startDate', 'startTime', 'endTime', 'place', 'notes']);
  });

  test('a table without names keeps its first row, and its columns are known by what stands in them', () => {
    const table = readCsvTable(
      '2027-03-09,14:00,15:00,Keeper rota call,Lamp room\n2027-03-10,09:00,09:30,Stock list,\n',
    );
    expect(table.hasNames).toBe(false);
    expect(guessTable(table)).toEqual(['startDate', 'startTime', 'endTime', 'title', 'place']);
    const options = { zone: FENNICK, now: 0, newId: () => 'x', defaultLengthMinutes: 30 };
    const { events } = readCsv(table, {
      ...options,
      dateOrder: 'day-month',
      mapping: guessTable(table),
    });
    expect(events.map(({ title, start }) => [title, start])).toEqual([
      ['Keeper rota call', zoned('2027-03-09T14:00')],
      ['Stock list', zoned('2027-03-10T09:00')],
    ]);
  });

  test('dates that say themselves which number is what are not asked about', () => {
    expect(guessDateOrder(['2027-03-09', '2027-04-01'])).toBe('day-month');
    expect(guessDateOrder(['9 March 2027'])).toBe('day-month');
    expect(guessDateOrder(['03/04/2027'])).toBeUndefined();
  });

  test('a night may end on the next day; an end before the start is said and not made 23 hours', () => {
    const night = read('title,date,start time,end time\nWatch,2027-03-09,22:00,06:00');
    expect(night.problems).toEqual([]);
    expect(night.events[0]!.end).toEqual(zoned('2027-03-10T06:00'));
    const slip = read('title,date,start time,end time\nCall,2027-03-09,10:00,09:00');
    expect(slip.problems.map(({ code }) => code)).toEqual(['end-before-start']);
    expect(slip.events[0]!.end).toEqual(zoned('2027-03-09T10:30'));
  });

  test('a table that is no UTF-8 is read as Western European text, and it is said', () => {
    const bytes = new Uint8Array(
      [...'title,date\nB'].map((letter) => letter.charCodeAt(0)).concat(0xe4, 0x72),
    );
    expect(tableText(bytes)).toEqual({ text: 'title,date\nBär', isGuessed: true });
    expect(tableText(new TextEncoder().encode('Bär'))).toEqual({ text: 'Bär', isGuessed: false });
  });
});

test('of an archive, what can’t be read is named: other kinds, and archives within', () => {
  const bytes = zipSync({
    'stores/a.ics': new TextEncoder().encode('BEGIN:VCALENDAR'),
    'inner.zip': new Uint8Array([1]),
    'letter.txt': new Uint8Array([1]),
    '__MACOSX/._a.ics': new Uint8Array([1]),
  });
  const { unpacked, leftOut } = unzip(bytes, ['.ics']);
  expect(unpacked.map(({ name }) => name)).toEqual(['a.ics']);
  expect(leftOut).toEqual([
    { name: 'inner.zip', reason: 'zip-inside' },
    { name: 'letter.txt', reason: 'other-kind' },
  ]);
});

test('no cell or line of a cell begins a formula, and every text comes back as it was', () => {
  const risky = [
    '=1+1',
    '  =1+1',
    '\t=1',
    '+49',
    '-5',
    '@SUM(A1)',
    'notes\n=HYPERLINK("x")',
    'a\r\n  @b',
    "'=quoted",
    "''-twice",
    "it's plain",
    ' blank',
    '__proto__',
    'a\n\n-b',
  ];
  const table = writeCsvTable(['title', 'notes'], [risky.slice(0, 2), ...risky.map((text) => [text, 'x'])]);
  for (const line of table.split(/\r\n|\n|\r/)) expect(line.replace(/^"/, '')).not.toMatch(/^\s*[=+\-@]/);
  expect(readCsvTable(table).rows.map(({ cells }) => cells[0])).toEqual([risky[0], ...risky]);
});
