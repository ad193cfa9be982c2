import type { Todo } from '../../model/entry';
import { DAY } from '../../time/civil';
import { instantOf } from '../../time/eventTime';
import { isOff, isSettled } from '../../schedule/standing';
import { tieOf, tieText } from '../../todos/tieOf';
import { dueOf } from '../../todos/todoSpan';
import { type Checked, finding, type Found } from './check';
import type { CheckName, Finding } from './finding';
import { Groups, type Touched } from './groups';

/** So long what is overdue is let be. */
const LONG_OVERDUE = 60 * DAY;
/** So long what is over is kept without a word. */
const LONG_OVER = 365 * DAY;
/** So long after its last time it is asked whether a to-do is done. */
const TIME_IS_OVER = DAY;

type TodoCheck = (todo: Todo, checked: Checked) => Omit<Found, 'keys'> | undefined;

/** When a single to-do is due, as an instant: the end of the day that it is due on. */
const dueAt = (todo: Todo, { query }: Checked): number | undefined =>
  dueOf(todo) && todo.end ? instantOf(todo.end, query.zone) : undefined;

const toBin = ({ id }: Todo): Found['fix'] => [{ keys: [id], steps: [{ kind: 'delete' }] }];

/** What is asked of each to-do by itself; of a series each date is done for itself. */
const CHECKS_OF_ONE: Readonly<Partial<Record<CheckName, TodoCheck>>> = {
  'no-title': (todo) =>
    todo.title.trim() === '' ? { details: { name: '', other: todo.location, at: todo.created } } : undefined,
  'todo-overdue': (todo, checked) => {
    const due = dueAt(todo, checked);
    return !isSettled(todo) && due !== undefined && due < checked.query.now - LONG_OVERDUE
      ? { details: { name: todo.title, at: due - 1 }, fix: toBin(todo)! }
      : undefined;
  },
  'todo-over': (todo, checked) => {
    const at = todo.completed ?? todo.modified;
    return isSettled(todo) && at < checked.query.now - LONG_OVER
      ? { details: { name: todo.title, at }, fix: toBin(todo)! }
      : undefined;
  },
};

/** What is told of a change of to-dos, with all that is found about them now. */
type FollowTodos = (touched: Touched<Todo>) => Iterable<Finding>;

/** What is wrong with to-dos by themselves. */
function ofEachTodo(checked: Checked): FollowTodos {
  const found = new Map<string, readonly Finding[]>();
  return (touched) => {
    for (const [id, todo] of touched) {
      const own =
        todo && !todo.recurrence && !checked.isClosed(todo)
          ? (Object.entries(CHECKS_OF_ONE) as [CheckName, TodoCheck][]).flatMap(([check, look]) => {
              const seen = look(todo, checked);
              return seen ? finding(check, { keys: [id], ...seen }) : [];
            })
          : [];
      if (own.length > 0) found.set(id, own);
      else found.delete(id);
    }
    return [...found.values()].flat();
  };
}

/** Open to-dos that say the same: the title, and when they are due. */
function todoDoubles(checked: Checked): FollowTodos {
  const groups = new Groups<Todo, Finding>(
    (todo) =>
      isSettled(todo) || todo.seriesId !== undefined || todo.title.trim() === '' || checked.isClosed(todo)
        ? []
        : [JSON.stringify([todo.title.trim().toLowerCase(), dueOf(todo), todo.recurrence?.rules])],
    (todos) => {
      const [kept, ...going] = [...todos].sort((a, b) => a.created - b.created || (a.id < b.id ? -1 : 1));
      if (!kept || going.length === 0) return undefined;
      const keys = going.map(({ id }) => id);
      return finding('todo-double', {
        keys: [kept.id, ...keys],
        details: { name: kept.title, count: going.length, at: dueAt(kept, checked) ?? kept.created },
        fix: [{ keys, steps: [{ kind: 'delete' }] }],
      });
    },
  );
  return (touched) => groups.follow(touched);
}

/** Open to-dos whose times are all over: they are likely done. */
function timesOver(checked: Checked): FollowTodos {
  const open = new Map<string, Todo>();
  return (touched) => {
    for (const [id, todo] of touched) {
      if (todo && !isSettled(todo) && !todo.recurrence && todo.seriesId === undefined) open.set(id, todo);
      else open.delete(id);
    }
    if (open.size === 0) return [];
    const { zone, now } = checked.query;
    const last = new Map<string, number>();
    for (const event of checked.index.all()) {
      if (event.relatedTo === undefined || isOff(event)) continue;
      const tie = tieOf(event);
      // What repeats gives time again and again.
      const end = event.recurrence ? Infinity : instantOf(event.end, zone);
      if (tie !== undefined) last.set(tie, Math.max(last.get(tie) ?? -Infinity, end));
    }
    return [...open.values()].flatMap((todo) => {
      const end = last.get(tieText(todo.uid, undefined));
      if (end === undefined || end > now - TIME_IS_OVER || checked.isClosed(todo)) return [];
      return finding('todo-time-over', {
        keys: [todo.id],
        details: { name: todo.title, at: end },
        fix: [{ keys: [todo.id], steps: [{ kind: 'done', isDone: true }] }],
      });
    });
  };
}

/** All that is asked of to-dos. */
export function ofTodos(checked: Checked): FollowTodos {
  const checks = [ofEachTodo(checked), todoDoubles(checked), timesOver(checked)];
  return (touched) => checks.flatMap((check) => [...check(touched)]);
}
