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
import { Chance } from '../demo/random';

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
}
