import type { TodoItem } from './currentTodo';
import { isSettled } from '../schedule/standing';
import { dueWall } from './todoGroups';

/** The to-dos of a list that are open and due on each day, by day numbers in a zone. */
export function dueByDay(items: readonly TodoItem[], zone: string): ReadonlyMap<number, readonly TodoItem[]> {
  const days = new Map<number, TodoItem[]>();
  for (const item of items) {
    if (!item.due || isSettled(item.todo)) continue;
    const { day } = dueWall(item.due, zone);
    const same = days.get(day);
    if (same) same.push(item);
    else days.set(day, [item]);
  }
  return days;
}
