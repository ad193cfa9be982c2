import fc from 'fast-check';
import { date, FENNICK, todo, zoned } from '../../../../testing/samples';
import { TODO_STATUSES, type Todo } from '../../model/entry';
import { DAY } from '../../time/civil';
import { dueOf, todoSpan } from '../../todos/todoSpan';
import { readCalendarFile } from './readCalendarFile';
import { writeCalendarFile } from './writeCalendarFile';

let made = 0;
const options = { zone: FENNICK, now: Date.UTC(2027, 2, 9), newId: () => `read-${++made}` };
const file = (...lines: string[]) =>
  readCalendarFile(['BEGIN:VCALENDAR', 'VERSION:2.0', ...lines, 'END:VCALENDAR', ''].join('\r\n'), options);
const vtodo = (...lines: string[]) => [
  'BEGIN:VTODO',
  'UID:t',
  'DTSTAMP:20270301T000000Z',
  ...lines,
  'END:VTODO',
];

test('the to-dos of the standard are read (RFC 5545 3.6.2)', async () => {
  const { todos, problems } = await file(
    ...vtodo(
      'DUE;VALUE=DATE:20070501',
      'SUMMARY:Submit Quebec Income Tax Return for 2006',
      'CLASS:CONFIDENTIAL',
      'CATEGORIES:FAMILY,FINANCE',
      'STATUS:NEEDS-ACTION',
    ),
    ...vtodo(
      'DTSTART:20070514T110000Z',
      'DUE:20070709T130000Z',
      'COMPLETED:20070707T100000Z',
      'SUMMARY:Submit Revised Internet-Draft',
      'PRIORITY:1',
      'STATUS:NEEDS-ACTION',
    ),
  );
  expect(problems).toEqual([]);
  expect(dueOf(todos[0]!)).toEqual(date('2007-05-01'));
  expect(todos[0]).toMatchObject({
    classification: 'confidential',
    categories: ['FAMILY', 'FINANCE'],
    status: 'needs-action',
  });
  expect(todos[0]).not.toHaveProperty('hasStart');
  expect(todos[1]).toMatchObject({
    hasStart: true,
    priority: 1,
    completed: Date.UTC(2007, 6, 7, 10),
    end: { kind: 'zoned', local: '2007-07-09T13:00:00', zone: 'UTC' },
  });
});

test('one without any time, one that only begins, and one with a length', async () => {
  const { todos } = await file(
    ...vtodo('SUMMARY:Some day'),
    ...vtodo('SUMMARY:From then on', 'DTSTART;VALUE=DATE:20270310'),
    ...vtodo('SUMMARY:Two days', 'DTSTART;VALUE=DATE:20270310', 'DURATION:P2D'),
  );
  expect(todos.map(dueOf)).toEqual([undefined, undefined, date('2027-03-11')]);
  expect(todos[1]).toMatchObject({ hasStart: true, isNeverDue: true, start: date('2027-03-10') });
});

test('what is due before it begins is said, and due when it begins', async () => {
  const { todos, problems } = await file(
    ...vtodo('DTSTART:20270310T100000Z', 'DUE:20270309T100000Z', 'SUMMARY:x'),
  );
  expect(problems.map(({ code }) => code)).toEqual(['end-before-start']);
  expect(todos[0]!.end).toEqual(todos[0]!.start);
});

test('a done date of a series finds its series', async () => {
  const { todos } = await file(
    ...vtodo('DTSTART;VALUE=DATE:20270305', 'DUE;VALUE=DATE:20270305', 'RRULE:FREQ=WEEKLY', 'SUMMARY:Count'),
    ...vtodo(
      'RECURRENCE-ID;VALUE=DATE:20270312',
      'DUE;VALUE=DATE:20270312',
      'STATUS:COMPLETED',
      'SUMMARY:Count',
    ),
  );
  expect(todos[1]!.seriesId).toBe(todos[0]!.id);
});

const day = fc
  .integer({ min: 20_000, max: 22_000 })
  .map((number) => date(new Date(number * DAY).toISOString().slice(0, 10)));
const moment = fc
  .tuple(day, fc.integer({ min: 0, max: 23 }))
  .map(([on, hour]) => zoned(`${on.kind === 'date' ? on.date : ''}T${String(hour).padStart(2, '0')}:30`));
const words = fc.string({ maxLength: 30 }).map((text) => text.replaceAll(/[\p{C}\s]+/gu, ' ').trim());

const anyTodo: fc.Arbitrary<Todo> = fc
  .record({
    span: fc.oneof(
      fc.constant({}),
      day.map((due) => todoSpan(due, undefined)),
      moment.map((due) => todoSpan(due, undefined)),
      day.map((beginning) => todoSpan(undefined, beginning)),
      fc.tuple(day, fc.integer({ min: 0, max: 40 })).map(([due, before]) => {
        const start = new Date(Date.parse(due.kind === 'date' ? due.date : '') - before * DAY);
        return todoSpan(due, date(start.toISOString().slice(0, 10)));
      }),
    ),
    status: fc.constantFrom(...TODO_STATUSES),
    own: fc.record(
      {
        completed: fc.integer({ min: 1, max: 2_000_000_000 }).map((seconds) => seconds * 1000),
        percent: fc.integer({ min: 0, max: 100 }),
        estimate: fc.integer({ min: 1, max: 10_000 }),
        priority: fc.integer({ min: 1, max: 9 }),
        parts: fc.array(fc.record({ text: words.map((text) => `part ${text}`), isDone: fc.boolean() }), {
          minLength: 1,
          maxLength: 4,
        }),
        repeatAfter: fc.record({
          every: fc.integer({ min: 1, max: 999 }),
          unit: fc.constantFrom('days' as const, 'weeks' as const, 'months' as const),
        }),
      },
      { requiredKeys: [] },
    ),
    title: words,
    notes: words,
    repeats: fc.boolean(),
  })
  .map(({ span, own, repeats, ...rest }) =>
    todo({
      ...rest,
      ...span,
      ...own,
      ...(repeats && 'start' in span
        ? { recurrence: { rules: ['FREQ=WEEKLY;COUNT=5'], dates: [], exceptionDates: [] } }
        : {}),
    }),
  );

test('any to-do that is written is read again as it was', async () => {
  await fc.assert(
    fc.asyncProperty(anyTodo, async (before) => {
      const { todos, problems } = await readCalendarFile(writeCalendarFile([before]), options);
      expect(problems).toEqual([]);
      const [again] = todos;
      // A series has to have a start in a file.
      const hasStart = before.recurrence ? { hasStart: true } : {};
      expect({ ...again, id: before.id, calendarId: before.calendarId }).toEqual({ ...before, ...hasStart });
    }),
    { numRuns: 200 },
  );
});
