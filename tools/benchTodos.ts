import type { Entry, Todo } from '@/core/model/entry';
import { blankTodo } from '@/core/change/todos/todoChanges';
import { ownBusy } from '@/core/people/busy/ownBusy';
import { freeTimes } from '@/core/people/freeTimes/freeTimes';
import { dayWindow, type OccurrenceIndex } from '@/core/schedule/occurrenceIndex';
import { dateString, DAY, HOUR } from '@/core/time/civil';
import { standardWorkingPattern } from '@/core/time/standardWorkingPattern';
import { todoItems, todosOf } from '@/core/todos/currentTodo';
import { groupedTodos } from '@/core/todos/todoGroups';
import { placeTodos } from '@/core/todos/placeTodos';
import { todoSpan } from '@/core/todos/todoSpan';
import { worksOf } from '@/core/todos/worksOf';
import { EntryIndex } from '@/core/schedule/entryIndex';
import { Checked } from '@/core/tidy/checks/check';
import type { CheckQuery } from '@/core/tidy/checks/finding';
import { ofTodos } from '@/core/tidy/checks/todoChecks';
import { tableLines } from '@/core/tidy/table/tableLines';
import { inTableOrder } from '@/core/tidy/table/tableOrder';
import { Chance } from '../demo/random';
import { wholeTable } from './wholeTable';

const DAYS = 14;

/** Lists of 5,000 to-dos beside a large calendar, and a proposal of times for thirty of them in the gaps of two weeks. */
export function measureTodos(
  entries: readonly Entry[],
  /** What occurs by them. */
  index: OccurrenceIndex,
  today: number,
  zone: string,
  measure: (what: string, runs: number, task: () => unknown) => void,
): void {
  const chance = new Chance(18);
  const calendarId = entries[0]!.calendarId;
  const todos = Array.from({ length: 5000 }, (_, index): Todo => {
    const isSoon = index < 30;
    const day = today + (isSoon ? chance.between(1, DAYS) : chance.between(20, 400));
    return {
      ...blankTodo(calendarId),
      ...todoSpan({ kind: 'date', date: dateString(day) }, undefined),
      kind: 'todo',
      id: `todo-${index}`,
      uid: `todo-${index}`,
      title: `To-do ${index}`,
      estimate: 15 * chance.between(1, 12),
      sequence: 0,
      created: 0,
      modified: 0,
    };
  });
  const all = new Map([...entries, ...todos].map((entry) => [entry.id, entry]));
  const nowWall = today * DAY + 10 * HOUR;
  measure('5,000 to-dos beside 20,000 entries, in groups', 20, () => {
    // A map of its own: nothing that was worked out before is known of it.
    const state = { entries: new Map(all) };
    return groupedTodos(todoItems(todosOf(state), today, zone), 'due', nowWall, today + 6, zone);
  });
  measure('a proposal of times for thirty to-dos in two weeks', 20, () => {
    const state = { entries: new Map(all) };
    const items = todoItems(todosOf(state), today, zone);
    const works = worksOf(state, items, 60, zone).sort((a, b) => a.due - b.due);
    const free = freeTimes({
      first: today,
      end: today + DAYS,
      zone,
      workingPattern: standardWorkingPattern,
      minutes: 15,
      busy: ownBusy(index.between(dayWindow(today, today + DAYS, zone), zone)),
      overTentative: false,
      daysOff: [],
      now: today * DAY,
    });
    return placeTodos(works.slice(0, 30), { free, shortest: 30, withLate: false });
  });
  for (const [what, some] of [
    ['20,000 entries', entries],
    ['20,000 entries and 5,000 to-dos', [...entries, ...todos]],
  ] as const) {
    const loaded = new EntryIndex();
    measure(`an index of ${what}`, 3, () => loaded.load(some));
    const query = wholeTable(today, zone);
    measure(`the table of ${what}, by when they are`, 5, () =>
      inTableOrder(tableLines(loaded, query, undefined), query),
    );
  }
  const touched = new Map(todos.map((todo) => [todo.id, todo]));
  const loaded = new EntryIndex();
  loaded.load([...entries, ...todos]);
  measure('all checks of 5,000 to-dos beside 20,000 entries', 5, () =>
    ofTodos(new Checked(loaded, checkQuery(calendarId, today, zone)))(touched),
  );
}

const checkQuery = (calendarId: string, today: number, zone: string): CheckQuery => ({
  zone,
  now: today * DAY,
  workingPattern: standardWorkingPattern,
  calendars: [
    {
      id: calendarId,
      name: calendarId,
      mark: 'DW',
      colour: 'pine',
      isClosed: false,
      isFeed: false,
      reminds: false,
    },
  ],
  fine: [],
});
