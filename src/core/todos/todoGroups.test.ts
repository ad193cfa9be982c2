import fc from 'fast-check';
import { date, FENNICK, todo, zoned } from '../../../testing/samples';
import type { Todo } from '../model/entry';
import { DAY, dayNumber, HOUR } from '../time/civil';
import { leftOver, todoItems } from './currentTodo';
import { groupedTodos, TODO_ORDERS } from './todoGroups';
import { beginningOf, dueOf, todoSpan } from './todoSpan';

const TODAY = dayNumber(2027, 3, 9);
/** Tuesday, 10:20. */
const NOW = TODAY * DAY + 10 * HOUR + 20 * 60_000;
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

test('what is left of an estimate is never less than nothing', () => {
  expect(leftOver({ estimate: 120 }, 0.5 * HOUR)).toBe(90);
  expect(leftOver({ estimate: 30 }, HOUR)).toBe(0);
  expect(leftOver({}, HOUR)).toBeUndefined();
});
