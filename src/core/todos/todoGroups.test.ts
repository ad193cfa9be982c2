import fc from 'fast-check';
import { date, FENNICK, todo, zoned } from '../../../testing/samples';
import type { Todo } from '../model/entry';
import { DAY, dayNumber, HOUR, MINUTE } from '../time/civil';
import { todoItems, todosWithin } from './currentTodo';
import { groupedTodos, TODO_ORDERS } from './todoGroups';
import { beginningOf, dueOf, todoSpan } from './todoSpan';

const TODAY = dayNumber(2027, 3, 9);
/** Tuesday, 10:20. */
const NOW = TODAY * DAY + 10 * HOUR + 20 * MINUTE;
const WEEK_END = dayNumber(2027, 3, 15);

const grouped = (todos: readonly Todo[], order: (typeof TODO_ORDERS)[number] = 'due') =>
  groupedTodos(todoItems(todos, TODAY, FENNICK), order, NOW, WEEK_END, FENNICK).map(({ group, items }) => [
    group,
    items.map(({ key }) => key),
  ]);
const due = (id: string, time: Parameters<typeof todoSpan>[0], fields: Partial<Todo> = {}): Todo =>
  todo({ id, title: id, ...todoSpan(time, undefined), ...fields });

test('to-dos stand in groups by when they are due; a moment of today that has passed is overdue', () => {
  expect(
    grouped([
      due('passed', zoned('2027-03-09T10:00')),
      due('yesterday', date('2027-03-08')),
      due('today', date('2027-03-09')),
      due('tonight', zoned('2027-03-09T18:00')),
      due('sunday', date('2027-03-14')),
      due('monday', date('2027-03-15')),
      due('never', undefined),
      due('done', date('2027-03-08'), { status: 'completed', completed: 5 }),
      due('off', date('2027-03-20'), { status: 'cancelled' }),
    ]),
  ).toEqual([
    ['overdue', ['yesterday', 'passed']],
    ['today', ['tonight', 'today']],
    ['week', ['sunday']],
    ['later', ['monday']],
    ['undated', ['never']],
    ['over', ['done', 'off']],
  ]);
});

test('a moment in another zone is due on the day that it is here', () => {
  // Half past eight in the evening in Halifax is past midnight in Fennick.
  expect(grouped([due('call', zoned('2027-03-09T20:30', 'America/Halifax'))])).toEqual([['week', ['call']]]);
});

test('within a group they are ordered as is asked, then by when they are due', () => {
  const todos = [
    due('b', date('2027-03-20'), { priority: 1, estimate: 60 }),
    due('a', date('2027-03-19'), { estimate: 90 }),
    due('c', date('2027-03-18'), { priority: 9 }),
  ];
  expect(grouped(todos, 'due')[0]![1]).toEqual(['c', 'a', 'b']);
  expect(grouped(todos, 'importance')[0]![1]).toEqual(['b', 'c', 'a']);
  expect(grouped(todos, 'title')[0]![1]).toEqual(['a', 'b', 'c']);
  expect(grouped(todos, 'estimate')[0]![1]).toEqual(['b', 'a', 'c']);
});

test('what is due and from when it can be begun is what was said', () => {
  const day = fc.integer({ min: TODAY - 500, max: TODAY + 500 }).map((number) => {
    const text = new Date(number * DAY).toISOString().slice(0, 10);
    return date(text);
  });
  const moment = fc
    .tuple(day, fc.integer({ min: 0, max: 23 }))
    .map(([on, hour]) => zoned(`${on.kind === 'date' ? on.date : ''}T${String(hour).padStart(2, '0')}:00`));
  fc.assert(
    fc.property(fc.option(fc.oneof(day, moment), { nil: undefined }), (time) => {
      expect(dueOf(todoSpan(time, undefined))).toEqual(time);
      expect(beginningOf(todoSpan(time, undefined))).toBeUndefined();
    }),
  );
  fc.assert(
    fc.property(fc.option(day, { nil: undefined }), day, (time, beginning) => {
      expect(dueOf(todoSpan(time, beginning))).toEqual(time);
      expect(beginningOf(todoSpan(time, beginning))).toEqual(beginning);
    }),
  );
});

test('each to-do stands in exactly one group, in every order', () => {
  const some = fc.record({
    day: fc.option(fc.integer({ min: -30, max: 30 }), { nil: undefined }),
    status: fc.constantFrom(
      'needs-action' as const,
      'in-process' as const,
      'completed' as const,
      'cancelled' as const,
    ),
    priority: fc.option(fc.integer({ min: 1, max: 9 }), { nil: undefined }),
  });
  fc.assert(
    fc.property(fc.array(some, { maxLength: 30 }), fc.constantFrom(...TODO_ORDERS), (all, order) => {
      const todos = all.map(({ day, status, priority }, index) =>
        due(
          `${index}`,
          day === undefined ? undefined : date(new Date((TODAY + day) * DAY).toISOString().slice(0, 10)),
          { status, ...(priority === undefined ? {} : { priority }) },
        ),
      );
      const ids = grouped(todos, order).flatMap(([, keys]) => keys);
      expect([...ids].sort()).toEqual(todos.map(({ id }) => id).sort());
    }),
  );
});

describe('whatever a file brings keeps nobody from their to-dos', () => {
  const upTo = (from: number, to: number) =>
    Array.from({ length: to - from + 1 }, (_, index) => from + index).join();
  const rule = (text: string) => ({ rules: [text], dates: [], exceptionDates: [] });
  test.each([
    ['a zone that nobody knows', due('x', zoned('2027-03-11T17:00', 'Nowhere/Else'))],
    [
      'a series in such a zone',
      due('x', zoned('2027-03-11T17:00', 'Nowhere/Else'), { recurrence: rule('FREQ=WEEKLY') }),
    ],
    ['a date each second', due('x', zoned('2027-03-01T17:00'), { recurrence: rule('FREQ=SECONDLY') })],
    [
      'dates beyond number',
      due('x', zoned('2027-03-01T17:00'), {
        recurrence: rule(
          `FREQ=YEARLY;COUNT=99999;BYMONTHDAY=${upTo(1, 31)};BYHOUR=${upTo(0, 23)};BYMINUTE=${upTo(0, 59)};BYSECOND=${upTo(0, 59)}`,
        ),
      }),
    ],
    ['a very long count', due('x', date('1970-01-01'), { recurrence: rule('FREQ=DAILY;COUNT=1000000') })],
    [
      'a rule that makes no date',
      due('x', date('2027-03-01'), { recurrence: rule('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30') }),
    ],
    ['a rule that can’t be read', due('x', date('2027-03-01'), { recurrence: rule('FREQ=SOMETIMES') })],
  ])('%s', (_, odd) => {
    const keys = grouped([odd, due('plain', date('2027-03-09'))]).flatMap(([, own]) => own);
    expect(keys).toContain('plain');
    expect(keys).toHaveLength(2);
    const state = { entries: new Map([[odd.id, odd]]) };
    expect(() => todosWithin(state, { firstDay: TODAY, endDay: TODAY + 7 })).not.toThrow();
  });
});

describe('of a series one date stands in the list', () => {
  const series = due('s', date('2027-03-02'), {
    recurrence: { rules: ['FREQ=WEEKLY'], dates: [], exceptionDates: [] },
  });
  const changed = (on: string, fields: Partial<Todo>): Todo =>
    due(`s ${on}`, date(on), { seriesId: 's', recurrenceId: date(on), ...fields });

  test('a date at hand that was changed and is open stands there itself, and no other beside it', () =>
    expect(grouped([series, changed('2027-03-09', { title: 'other' })])).toEqual([
      ['today', ['s 2027-03-09']],
    ]));

  test('where it is over, the next stands there, itself if it was changed', () => {
    const over = changed('2027-03-09', { status: 'completed' });
    expect(grouped([series, over])).toEqual([
      ['later', ['s|2027-03-16']],
      ['over', ['s 2027-03-09']],
    ]);
    expect(grouped([series, over, changed('2027-03-16', {})])[0]).toEqual(['later', ['s 2027-03-16']]);
    const both = [over, changed('2027-03-16', { status: 'cancelled' })];
    expect(grouped([series, ...both])[0]).toEqual(['later', ['s|2027-03-23']]);
  });
});

test('the to-dos of some days are those whose span touches them, and series that are not over by then', () => {
  const weekly = { rules: ['FREQ=WEEKLY;COUNT=3'], dates: [], exceptionDates: [] };
  const todos = [
    due('before', date('2027-03-08')),
    due('first', date('2027-03-09')),
    due('last', date('2027-03-15')),
    due('after', date('2027-03-16')),
    due('never', undefined),
    due('on', date('2027-03-01'), { recurrence: weekly }),
    due('over', date('2027-02-15'), { recurrence: weekly }),
  ];
  const state = { entries: new Map(todos.map((each) => [each.id, each])) };
  expect(todosWithin(state, { firstDay: TODAY, endDay: TODAY + 7 })).toEqual(['first', 'last', 'on']);
  expect(todosWithin(state, undefined)).toEqual([]);
});
