import { initialFields } from '../../fields/eventFields';
import type { EventFields } from '../../model/entry';
import type { State } from '../../model/state';
import { type TodoItem } from '../../todos/currentTodo';
import { tieTo } from '../../todos/todoTies';
import { type InstantRange, zonedAt } from '../../time/eventTime';
import { type ChangeResult, isRefused } from '../eventFields';
import { createEntries } from '../entryChanges';
import { type ChangeContext, makePatch } from '../patch';

/** A time that is given to a to-do in a list: half-open instants. */
export interface GivenTime extends InstantRange {
  readonly item: TodoItem;
}

/** The event that is time for a to-do: it is called and counted as that, and tied to it. */
function eventForTodo({ item, start, end }: GivenTime, zone: string): EventFields {
  const { title, calendarId, location, categories, classification, priority, colour, url } = item.todo;
  return {
    ...initialFields(),
    title,
    calendarId,
    location,
    categories,
    classification,
    url,
    ...(priority === undefined ? {} : { priority }),
    ...(colour === undefined ? {} : { colour }),
    relatedTo: [tieTo(item)],
    start: zonedAt(start, zone),
    end: zonedAt(end, zone),
  };
}

/** Gives times to to-dos, all of them or none: an event for each. Undefined where there are none. */
export function giveTime(
  state: State,
  times: readonly GivenTime[],
  context: ChangeContext,
): ChangeResult | undefined {
  const made = createEntries(
    state,
    times.map((time) => eventForTodo(time, context.zone)),
    context,
  );
  if (!made || isRefused(made)) return made;
  const todos = new Set(times.map(({ item }) => item.key));
  const name = todos.size === 1 ? times[0]!.item.todo.title : undefined;
  const patch = makePatch(context, { what: 'todos-timed', count: todos.size, name }, made.changes);
  const first = made.changes[0]!.id;
  return times.length === 1 ? { ...patch, landed: first } : patch;
}
