import { importanceOf, IMPORTANCES } from '../fields/importance';
import type { EventTime } from '../model/eventTime';
import { DAY } from '../time/civil';
import { instantOf, wallOf } from '../time/eventTime';
import { instantToWall } from '../time/zones';
import type { TodoItem } from './currentTodo';
import { isSettled } from '../schedule/standing';

/** Parts of the list of to-dos, in their order. */
const TODO_GROUPS = ['overdue', 'today', 'week', 'later', 'undated', 'over'] as const;
export type TodoGroup = (typeof TODO_GROUPS)[number];

/** By what a list of to-dos is ordered within its groups. */
export const TODO_ORDERS = ['due', 'importance', 'title', 'estimate'] as const;
export type TodoOrder = (typeof TODO_ORDERS)[number];

/** When something is due for who is in a zone: the day, and for a moment its wall time, in milliseconds. */
export interface DueWall {
  readonly day: number;
  readonly wall?: number;
}

export function dueWall(due: EventTime, zone: string): DueWall {
  if (due.kind === 'date') return { day: Math.floor(wallOf(due) / DAY) };
  const wall = instantToWall(zone, instantOf(due, zone));
  return { day: Math.floor(wall / DAY), wall };
}

/**
 * The group that a to-do belongs to.
 * @param nowWall the wall time of now in the zone
 * @param weekEnd the day number after the last of this week
 */
export function groupOfTodo(
  { todo, due }: TodoItem,
  nowWall: number,
  weekEnd: number,
  zone: string,
): TodoGroup {
  if (isSettled(todo)) return 'over';
  if (!due) return 'undated';
  const { day, wall } = dueWall(due, zone);
  const today = Math.floor(nowWall / DAY);
  if (day < today || (wall !== undefined && wall < nowWall)) return 'overdue';
  if (day === today) return 'today';
  return day < weekEnd ? 'week' : 'later';
}

const rankOf = ({ todo }: TodoItem): number => IMPORTANCES.indexOf(importanceOf(todo.priority));

/** When something is due as a number that sorts: what is due on a day comes after its moments, what is never due last. */
const dueOrder = ({ due }: TodoItem, zone: string): number => {
  if (!due) return Infinity;
  const { day, wall } = dueWall(due, zone);
  return wall ?? (day + 1) * DAY - 1;
};

/** Compares to-dos in an order; those that are alike in it by when they are due, then by importance and title. */
function compareTodos(order: TodoOrder, zone: string) {
  const by: Record<TodoOrder, (a: TodoItem, b: TodoItem) => number> = {
    due: (a, b) => difference(dueOrder(a, zone), dueOrder(b, zone)),
    importance: (a, b) => rankOf(a) - rankOf(b),
    title: (a, b) => a.todo.title.localeCompare(b.todo.title),
    estimate: (a, b) => difference(a.todo.estimate ?? Infinity, b.todo.estimate ?? Infinity),
  };
  return (a: TodoItem, b: TodoItem): number =>
    by[order](a, b) ||
    by.due(a, b) ||
    by.importance(a, b) ||
    by.title(a, b) ||
    (a.key < b.key ? -1 : a.key > b.key ? 1 : 0);
}

const difference = (a: number, b: number): number => (a === b ? 0 : a < b ? -1 : 1);

/** What is over, the latest first. */
const byCompletion = (a: TodoItem, b: TodoItem): number =>
  (b.todo.completed ?? b.todo.modified) - (a.todo.completed ?? a.todo.modified) || (a.key < b.key ? -1 : 1);

/** To-dos in their groups and order; groups without any are left out. */
export function groupedTodos(
  items: readonly TodoItem[],
  order: TodoOrder,
  nowWall: number,
  weekEnd: number,
  zone: string,
): { readonly group: TodoGroup; readonly items: readonly TodoItem[] }[] {
  const found = new Map<TodoGroup, TodoItem[]>();
  for (const item of items) {
    const group = groupOfTodo(item, nowWall, weekEnd, zone);
    const others = found.get(group);
    if (others) others.push(item);
    else found.set(group, [item]);
  }
  const compare = compareTodos(order, zone);
  return TODO_GROUPS.flatMap((group) => {
    const own = found.get(group);
    return own ? [{ group, items: own.sort(group === 'over' ? byCompletion : compare) }] : [];
  });
}
