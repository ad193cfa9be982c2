import { isDated, isTodo, seriesOf, type Todo } from '../model/entry';
import type { State } from '../model/state';
import { endAfter } from '../recurrence/occurrenceShape';
import { Series } from '../recurrence/series';
import { DAY, MINUTE } from '../time/civil';
import { atWall, wallOf, zoneOf } from '../time/eventTime';
import { dueOf } from './todoSpan';
import type { EventTime } from '../model/eventTime';

/** A to-do as it stands in a list: one by itself, or the date of a series that is at hand. */
export interface TodoItem {
  /** A `targetKey`. */
  readonly key: string;
  readonly todo: Todo;
  /** Of a series, those of this date. */
  readonly start?: EventTime | undefined;
  readonly due?: EventTime | undefined;
}

/** How far a to-do is done with, whatever became of it. */
export const isOver = ({ status }: Pick<Todo, 'status'>): boolean =>
  status === 'completed' || status === 'cancelled';

/** So many dates of a series are looked at for the next that is open. */
const LOOKED_AT = 400;
/** So many days before today the last date of a series is looked for, in turn. */
const REACHES = [40, 400, 4000];

const made = new WeakMap<State['entries'], readonly Todo[]>();

/** All to-dos, gathered once for each state of the entries. */
export function todosOf({ entries }: Pick<State, 'entries'>): readonly Todo[] {
  let known = made.get(entries);
  if (!known) made.set(entries, (known = [...entries.values()].filter(isTodo)));
  return known;
}

const items = new WeakMap<Todo, TodoItem>();

/** A to-do by itself; the same for as long as the to-do is. */
function itemOf(todo: Todo): TodoItem {
  let item = items.get(todo);
  if (!item) items.set(todo, (item = { key: todo.id, todo, start: todo.start, due: dueOf(todo) }));
  return item;
}

/**
 * What of all to-dos stands in a list: each by itself; of a series the dates that were changed, and the one at hand, which
 * is the last that has begun, or the next after it where that is done. What was missed before it is let go.
 * @param today a day number
 * @param zone in which floating times and dates are read
 */
export function todoItems(todos: readonly Todo[], today: number, zone: string): TodoItem[] {
  const changedOf = new Map<string, Todo[]>();
  for (const todo of todos)
    if (todo.seriesId !== undefined)
      changedOf.set(todo.seriesId, [...(changedOf.get(todo.seriesId) ?? []), todo]);
  return todos.flatMap((todo) =>
    seriesOf(todo) ? (atHand(todo, changedOf.get(todo.id) ?? [], today, zone) ?? []) : itemOf(todo),
  );
}

function atHand(todo: Todo, changed: readonly Todo[], today: number, viewZone: string): TodoItem | undefined {
  if (!isDated(todo)) return undefined;
  const series = new Series(todo);
  const zone = zoneOf(todo.start, viewZone);
  const taken = new Set(
    changed.flatMap(({ recurrenceId }) =>
      recurrenceId ? [series.wallOfRecurrenceId(recurrenceId, zone)] : [],
    ),
  );
  const itemAt = (wall: number): TodoItem => {
    const start = atWall(todo.start, wall);
    const end = endAfter(todo, start, zone);
    return { key: `${todo.id}|${series.keyOf(wall)}`, todo, start, due: dueOf({ ...todo, end }) };
  };
  const tomorrow = (today + 1) * DAY;
  for (const days of REACHES) {
    const begun = series
      .next(tomorrow - days * DAY, LOOKED_AT, zone)
      .filter(({ wall }) => wall < tomorrow)
      .at(-1);
    if (!begun) continue;
    if (!taken.has(begun.wall)) return itemAt(begun.wall);
    break;
  }
  const next = series.next(tomorrow, LOOKED_AT, zone).find(({ wall }) => !taken.has(wall));
  return next && itemAt(next.wall);
}

/** How much of an estimate is left, in minutes, where so much of it has been given a time; undefined without an estimate. */
export const leftOver = ({ estimate }: Pick<Todo, 'estimate'>, planned: number): number | undefined =>
  estimate === undefined ? undefined : Math.max(0, estimate - Math.round(planned / MINUTE));

/** The ids of the to-dos whose spans touch some days, half-open as day numbers; of series, of all that are not over by then. */
export function todosWithin(
  state: Pick<State, 'entries'>,
  days: { readonly firstDay: number; readonly endDay: number } | undefined,
): string[] {
  if (!days) return [];
  const [first, end] = [days.firstDay * DAY, days.endDay * DAY];
  return todosOf(state).flatMap((todo) => {
    if (!isDated(todo)) return [];
    const lasts = todo.recurrence ? new Series(todo).lastWall('UTC') + DAY : wallOf(todo.end);
    return wallOf(todo.start) < end && Math.max(lasts, wallOf(todo.start) + 1) > first ? [todo.id] : [];
  });
}
