import type { CalendarEvent, Todo } from '../model/entry';
import { partOf, type RelatedTo } from '../model/relatedTo';
import type { State } from '../model/state';
import { MINUTE } from '../time/civil';
import { instantOf, recurrenceKey, wallOf } from '../time/eventTime';
import { type TodoItem, todosOf } from './currentTodo';
import { isOff, isSettled } from '../schedule/standing';
import { tieOf, tieText } from './tieOf';

/** The key of the date of its series that a to-do in a list is; undefined for one by itself. */
const dateOf = ({ key, todo }: Pick<TodoItem, 'key' | 'todo'>): string | undefined =>
  todo.recurrence ? key.split('|')[1] : changedDateOf(todo);

const changedDateOf = ({ recurrenceId }: Todo): string | undefined =>
  recurrenceId && recurrenceKey(wallOf(recurrenceId), recurrenceId.kind === 'date');

/** What ties an entry to a to-do as it stands in a list. */
export const tieTo = (item: Pick<TodoItem, 'key' | 'todo'>): RelatedTo => partOf(item.todo.uid, dateOf(item));

/** The text by which the ties to a to-do in a list are known. */
export const tieOfItem = (item: Pick<TodoItem, 'key' | 'todo'>): string =>
  tieText(item.todo.uid, dateOf(item));

/** What is known of to-dos through the entries that are time for them. */
export interface Ties {
  /** The ties whose to-dos are done, or called off. */
  readonly over: ReadonlySet<string>;
  /** The entries that are time for a to-do, by its tie. */
  readonly times: ReadonlyMap<string, readonly CalendarEvent[]>;
}

const known = new WeakMap<State['entries'], Ties>();

/** All ties, gathered once for each state of the entries. */
export function tiesOf(state: Pick<State, 'entries'>): Ties {
  const { entries } = state;
  let ties = known.get(entries);
  if (ties) return ties;
  const times = new Map<string, CalendarEvent[]>();
  for (const entry of entries.values()) {
    if (entry.relatedTo === undefined || entry.kind !== 'event') continue;
    const tie = tieOf(entry);
    if (tie === undefined) continue;
    const same = times.get(tie);
    if (same) same.push(entry);
    else times.set(tie, [entry]);
  }
  const over = new Set(
    todosOf(state)
      .filter((todo) => isSettled(todo) && !todo.recurrence)
      .map((todo) => tieText(todo.uid, changedDateOf(todo))),
  );
  known.set(entries, (ties = { over, times }));
  return ties;
}

/** How many minutes of entries are time for a to-do in a list. One that repeats counts once; what is off does not. */
export function plannedMinutes(state: Pick<State, 'entries'>, item: TodoItem, zone: string): number {
  const times = tiesOf(state).times.get(tieOfItem(item)) ?? [];
  return times
    .filter((event) => !isOff(event))
    .reduce((sum, { start, end }) => sum + (instantOf(end, zone) - instantOf(start, zone)) / MINUTE, 0);
}

/** How many minutes of the estimate of a to-do in a list have no time yet; undefined where it has no estimate. */
export function minutesLeft(state: Pick<State, 'entries'>, item: TodoItem, zone: string): number | undefined {
  const { estimate } = item.todo;
  return estimate === undefined ? undefined : Math.max(0, estimate - plannedMinutes(state, item, zone));
}

/** The key of the to-do that a tie is to: of a date of a series, where it was changed, that of the changed one. */
export function keyOfTie(state: Pick<State, 'entries'>, tie: string): string | undefined {
  let ofSeries: string | undefined;
  for (const todo of todosOf(state)) {
    if (!tie.startsWith(todo.uid)) continue;
    if (tieText(todo.uid, changedDateOf(todo)) === tie) return todo.id;
    if (todo.recurrence && tie.startsWith(`${todo.uid}|`))
      ofSeries = `${todo.id}${tie.slice(todo.uid.length)}`;
  }
  return ofSeries;
}
