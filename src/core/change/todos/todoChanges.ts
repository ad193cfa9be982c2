import { initialValues } from '../../fields/fieldsOf';
import { type Entry, isTodo, type RepeatAfter, type Todo, type TodoFields } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import type { State } from '../../model/state';
import { beginningOf, dueOf, todoSpan } from '../../todos/todoSpan';
import { civilDate, dateString, DAY, dayNumber, daysInMonth } from '../../time/civil';
import { atWall, wallOf } from '../../time/eventTime';
import { instantToWall } from '../../time/zones';
import type { Edit } from '../edits';
import { isWholeSeries } from '../editEach';
import { changeEntry, todoFieldsSeenAt } from '../entryChanges';
import { type ChangeResult, isRefused, withFields } from '../eventFields';
import { type ChangeContext, makePatch, put, type SummaryKind } from '../patch';
import { checked, editTarget, firstOf } from '../scopes';
import { isRefusal } from '../shift';
import { type Scope, type Target, targetKey } from '../target';
import { freshCopy, freshVersion } from '../versions';

/** A to-do with nothing but its calendar. */
export const blankTodo = (calendarId: string): TodoFields => ({
  ...(initialValues('todo') as Omit<TodoFields, 'calendarId'>),
  calendarId,
});

/** Makes a to-do. */
export function createTodo(state: State, fields: TodoFields, context: ChangeContext): ChangeResult {
  if (!state.calendars.has(fields.calendarId)) return { refused: 'calendar-missing' };
  const todo = checked<Todo>({ ...fields, kind: 'todo', ...freshVersion(context) });
  if (isRefusal(todo)) return { refused: todo };
  return {
    ...makePatch(context, { what: 'todo-made', count: 1, name: todo.title }, [put(state, 'entries', todo)]),
    landed: targetKey(firstOf(todo)),
  };
}

/** An edit of to-dos alone. */
const editTodo =
  (edit: (todo: Todo) => Todo): Edit =>
  (entry: Entry) =>
    isTodo(entry) ? edit(entry) : 'entry-missing';

const done = (todo: Todo, now: number): Todo => ({
  ...todo,
  status: 'completed',
  completed: now,
  percent: 100,
});

function open(todo: Todo): Todo {
  const { completed: _, percent, ...rest } = todo;
  return {
    ...rest,
    status: 'needs-action',
    ...(percent === undefined || percent === 100 ? {} : { percent }),
  };
}

/** A time moved to another day, at the same time of the clock. */
const onDay = (time: EventTime, day: number): EventTime =>
  atWall(time, day * DAY + wallOf(time) - Math.floor(wallOf(time) / DAY) * DAY);

/** The day so long after another; in a shorter month its last day. */
function dayAfter(day: number, { every, unit }: RepeatAfter): number {
  if (unit !== 'months') return day + every * (unit === 'weeks' ? 7 : 1);
  const { year, month, day: date } = civilDate(day);
  const months = year * 12 + month - 1 + every;
  const [nextYear, nextMonth] = [Math.floor(months / 12), (months % 12) + 1];
  return dayNumber(nextYear, nextMonth, Math.min(date, daysInMonth(nextYear, nextMonth)));
}

/** The to-do that follows one that is to be done again some time after it was done. */
function nextAfter(todo: Todo, context: ChangeContext): Todo | undefined {
  if (!todo.repeatAfter || todo.seriesId !== undefined || todo.recurrence) return undefined;
  const today = Math.floor(instantToWall(context.zone, context.now) / DAY);
  const day = dayAfter(today, todo.repeatAfter);
  const due = dueOf(todo);
  const beginning = beginningOf(todo);
  const anchor = due ?? beginning;
  const along = (time: EventTime | undefined): EventTime | undefined =>
    time && anchor && onDay(time, day + Math.floor(wallOf(time) / DAY) - Math.floor(wallOf(anchor) / DAY));
  const { start: _, end: __, hasStart: ___, isNeverDue: ____, ...rest } = open(todo);
  const span = anchor
    ? todoSpan(along(due), along(beginning))
    : todoSpan({ kind: 'date', date: dateString(day) }, undefined);
  const { percent: _____, ...fresh } = rest;
  const parts = todo.parts?.map((part) => ({ ...part, isDone: false }));
  return freshCopy({ ...fresh, ...span, ...(parts ? { parts } : {}) }, context);
}

/**
 * Sets a to-do, or one date of a series of them, done or open again: a series as a whole is not. One that is to be done again after it was done has a
 * new one beside it.
 */
export function setDone(state: State, target: Target, isDone: boolean, context: ChangeContext): ChangeResult {
  if (isWholeSeries(state, target)) return { refused: 'done-by-date' };
  let shown: Todo | undefined;
  const edited = editTarget(
    state,
    target,
    'this',
    editTodo((todo) => {
      shown = todo;
      return isDone ? done(todo, context.now) : open(todo);
    }),
    context,
  );
  if (isRefusal(edited)) return { refused: edited };
  const next = isDone && shown && shown.status !== 'completed' ? nextAfter(shown, context) : undefined;
  const what: SummaryKind = isDone ? 'todo-done' : 'todo-open';
  return {
    ...makePatch(context, { what, count: 1, name: shown?.title }, [
      ...edited.changes,
      ...(next ? [put(state, 'entries', next)] : []),
    ]),
    ...(edited.landed ? { landed: targetKey(edited.landed) } : {}),
  };
}

/**
 * Sets fields of a to-do, of one date of a series, of this and later ones, or of every one. What is said to be done by it is
 * done as by itself, and what is to be done again then has a new one beside it.
 */
export function changeTodo(
  state: State,
  target: Target,
  fields: TodoFields,
  scope: Scope,
  context: ChangeContext,
): ChangeResult {
  const shown = todoFieldsSeenAt(state, target, context);
  const isDone = fields.status === 'completed';
  const isDoneNow = isDone && shown?.status !== 'completed';
  const settled: TodoFields = isDoneNow
    ? { ...fields, completed: context.now, percent: 100 }
    : { ...fields, completed: isDone ? fields.completed : undefined };
  const changed = changeEntry(state, target, settled, scope, context);
  const stored = state.entries.get(target.entryId);
  if (isRefused(changed) || !isDoneNow || !stored || !isTodo(stored)) return changed;
  const next = nextAfter(withFields(stored, settled), context);
  return next ? { ...changed, changes: [...changed.changes, put(state, 'entries', next)] } : changed;
}

/** Sets one part of a to-do done or open again. How much of the whole is done follows. */
export function setPartDone(
  state: State,
  target: Target,
  at: number,
  isDone: boolean,
  context: ChangeContext,
): ChangeResult {
  let title = '';
  const edited = editTarget(
    state,
    target,
    'this',
    editTodo((todo) => {
      title = todo.title;
      const parts = (todo.parts ?? []).map((part, index) => (index === at ? { ...part, isDone } : part));
      const share = parts.filter((part) => part.isDone).length / Math.max(1, parts.length);
      const { percent: _, ...rest } = todo;
      return {
        ...rest,
        parts,
        ...(share > 0 ? { percent: Math.round(share * 100) } : {}),
        ...(todo.status === 'needs-action' && share > 0 ? { status: 'in-process' as const } : {}),
      };
    }),
    context,
  );
  if (isRefusal(edited)) return { refused: edited };
  return {
    ...makePatch(context, { what: 'todo-part', count: 1, name: title }, edited.changes),
    ...(edited.landed ? { landed: targetKey(edited.landed) } : {}),
  };
}
