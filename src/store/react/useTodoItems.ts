import { DAY, MINUTE, startOfWeek } from '@/core/time/civil';
import { type TodoItem, todoItems, todosOf } from '@/core/todos/currentTodo';
import { dueByDay } from '@/core/todos/dueByDay';
import type { Todo } from '@/core/model/entry';
import { useNowWall } from './useNow';
import { useSettings, useSnapshot } from './StoreContext';

/** To-dos as they stand in lists, and the moment by which they are grouped. */
export interface TodosNow {
  readonly items: readonly TodoItem[];
  /** The wall time of now in the home zone, in whole minutes. */
  readonly nowWall: number;
  /** A day number, as is the end of this week. */
  readonly today: number;
  readonly weekEnd: number;
}

interface Listed {
  readonly todos: readonly Todo[];
  readonly today: number;
  readonly zone: string;
  readonly items: readonly TodoItem[];
  readonly byDay: ReadonlyMap<number, readonly TodoItem[]>;
}

let made: Listed | undefined;

/** What stands in lists on a day, made once for all that ask. */
function listedOn(todos: readonly Todo[], today: number, zone: string): Listed {
  if (made?.todos !== todos || made.today !== today || made.zone !== zone) {
    const items = todoItems(todos, today, zone);
    made = { todos, today, zone, items, byDay: dueByDay(items, zone) };
  }
  return made;
}

/** All to-dos as they stand in lists now, in the home zone. */
export function useTodoItems(): TodosNow {
  const { homeZone, weekStart } = useSettings();
  const todos = useSnapshot(({ state }) => todosOf(state));
  // Groups change with the minute, not with each moment.
  const nowWall = Math.floor(useNowWall(homeZone) / MINUTE) * MINUTE;
  const today = Math.floor(nowWall / DAY);
  const { items } = listedOn(todos, today, homeZone);
  return { items, nowWall, today, weekEnd: startOfWeek(today, weekStart) + 7 };
}

/** The open to-dos that are due on each day, by day numbers in the home zone. */
export function useDueByDay(): ReadonlyMap<number, readonly TodoItem[]> {
  const { homeZone } = useSettings();
  const todos = useSnapshot(({ state }) => todosOf(state));
  const today = Math.floor(useNowWall(homeZone) / DAY);
  return listedOn(todos, today, homeZone).byDay;
}
