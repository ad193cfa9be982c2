import { type DatedTodo, isDated, isTodo, type Todo } from '../model/entry';
import type { State } from '../model/state';
import { endAfter } from '../recurrence/occurrenceShape';
import { TooManyDatesError } from '../recurrence/expandRule';
import { Series } from '../recurrence/series';
import { isSettled } from '../schedule/standing';
import { DAY } from '../time/civil';
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

/** So many dates of a series are looked at for the next that is open: those that are done before their time go by. */
const LOOKED_AT = 40;
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
    todo.recurrence && isDated(todo)
      ? (asked(todo, (series) => atHand(series, changedOf.get(todo.id) ?? [], today, zone), itemOf(todo)) ??
        [])
      : itemOf(todo),
  );
}

/** The rules of series, read once for as long as each is as it is. */
const compiled = new WeakMap<Todo, Series<DatedTodo>>();

function seriesIn(todo: DatedTodo): Series<DatedTodo> {
  let series = compiled.get(todo);
  if (!series) compiled.set(todo, (series = new Series(todo)));
  return series;
}

/**
 * What is asked of a series, or what stands for it where it makes more dates than anyone can do: that is found out once, and
 * keeps nobody from the others.
 */
function asked<Answer>(
  todo: DatedTodo,
  ask: (series: Series<DatedTodo>) => Answer,
  otherwise: Answer,
): Answer {
  const series = seriesIn(todo);
  if (series.isDense) return otherwise;
  try {
    return ask(series);
  } catch (error) {
    if (!(error instanceof TooManyDatesError)) throw error;
    series.holdBack();
    return otherwise;
  }
}

/** The date of a series that stands in the list for it; undefined where a changed one stands there, or none is left. */
function atHand(
  series: Series<DatedTodo>,
  changed: readonly Todo[],
  today: number,
  viewZone: string,
): TodoItem | undefined {
  const todo = series.event;
  const zone = zoneOf(todo.start, viewZone);
  const changedAt = new Map(
    changed.flatMap((each) =>
      each.recurrenceId ? [[series.wallOfRecurrenceId(each.recurrenceId, zone), each] as const] : [],
    ),
  );
  const tomorrow = (today + 1) * DAY;
  const begun = lastBegun(series, tomorrow, zone);
  const walls = [
    ...(begun === undefined ? [] : [begun]),
    ...series.next(tomorrow, LOOKED_AT, zone).map(({ wall }) => wall),
  ];
  for (const wall of walls) {
    const other = changedAt.get(wall);
    if (other && isSettled(other)) continue;
    if (other) return undefined;
    const start = atWall(todo.start, wall);
    const end = endAfter(todo, start, zone);
    return { key: `${todo.id}|${series.keyOf(wall)}`, todo, start, due: dueOf({ ...todo, end }) };
  }
  return undefined;
}

/** The wall time of the last date of a series before another. */
function lastBegun(series: Series<DatedTodo>, before: number, zone: string): number | undefined {
  for (const days of REACHES) {
    const window = { start: before - days * DAY, end: before + DAY };
    const last = series
      .between(window, zone)
      .map(({ wall }) => wall)
      .filter((wall) => wall < before)
      .at(-1);
    if (last !== undefined) return last;
  }
  return undefined;
}

/** The ids of the to-dos whose spans touch some days, half-open as day numbers; of series, of all that are not over by then. */
export function todosWithin(
  state: Pick<State, 'entries'>,
  days: { readonly firstDay: number; readonly endDay: number } | undefined,
): string[] {
  if (!days) return [];
  const [first, end] = [days.firstDay * DAY, days.endDay * DAY];
  return todosOf(state).flatMap((todo) => {
    if (!isDated(todo)) return [];
    const lasts = todo.recurrence
      ? asked(todo, (series) => series.lastWall('UTC') + DAY, Infinity)
      : wallOf(todo.end);
    return wallOf(todo.start) < end && Math.max(lasts, wallOf(todo.start) + 1) > first ? [todo.id] : [];
  });
}
