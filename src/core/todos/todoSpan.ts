import type { Todo } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { DAY } from '../time/civil';
import { atWall, wallOf } from '../time/eventTime';

/** What of a to-do says when it is to be done. */
export type TodoSpan = Pick<Todo, 'start' | 'end' | 'hasStart' | 'isNeverDue'>;

/** When a to-do is due as a person says it, its last day or a moment; undefined where it never is. */
export function dueOf({ end, isNeverDue }: TodoSpan): EventTime | undefined {
  if (!end || isNeverDue) return undefined;
  return end.kind === 'date' ? atWall(end, wallOf(end) - DAY) : end;
}

/** From when on a to-do can be done; undefined where that was not said. */
export const beginningOf = ({ start, hasStart }: TodoSpan): EventTime | undefined =>
  hasStart ? start : undefined;

/** The end of what has until a day or a moment. */
const endOf = (due: EventTime): EventTime => (due.kind === 'date' ? atWall(due, wallOf(due) + DAY) : due);

/**
 * The span of a to-do by when it is due and from when it can be done; each may be missing. A beginning of another kind than
 * the due time is read as its day, or as its midnight.
 */
export function todoSpan(due: EventTime | undefined, beginning: EventTime | undefined): TodoSpan {
  if (!beginning) return due ? { start: due, end: endOf(due) } : {};
  if (!due) return { start: beginning, end: endOf(beginning), hasStart: true, isNeverDue: true };
  const start = due.kind === beginning.kind ? beginning : atWall(due, wallOf(beginning));
  return { start, end: endOf(due), hasStart: true };
}
