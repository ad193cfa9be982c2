import { importanceOf } from '@/core/fields/importance';
import { DAY, MINUTE } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import type { TodoItem } from '@/core/todos/currentTodo';
import { dueWall, type TodoGroup } from '@/core/todos/todoGroups';
import { beginningOf } from '@/core/todos/todoSpan';
import { dayText, lengthText, timeText } from '@/ui/dates';
import { todoWords as said } from '@/ui/words/todos';

/** When a to-do is due, as its row says it. */
export function dueText(
  { due }: Pick<TodoItem, 'due'>,
  group: TodoGroup,
  zone: string,
  today: number,
): string {
  if (!due) return '';
  const { day, wall } = dueWall(due, zone);
  const time = wall === undefined ? '' : timeText(wall);
  if (day === today) return time ? said.dueTodayAt(time) : said.dueToday;
  const when = [dayText(day), time].filter(Boolean).join(', ');
  return group === 'overdue' ? said.overdueSince(when) : said.due(when);
}

/** All that a row says of a to-do beside its title and when it is due. */
export function detailsOf(
  { todo }: TodoItem,
  group: TodoGroup,
  zone: string,
  /** How many minutes of it have a time. */
  planned: number,
): string[] {
  const { completed, estimate, location, parts = [], percent, priority, status, categories } = todo;
  const beginning = beginningOf(todo);
  const isRepeated = todo.recurrence !== undefined || todo.seriesId !== undefined;
  return [
    group === 'over' && status === 'cancelled' ? said.calledOff : '',
    group === 'over' && completed !== undefined
      ? said.doneOn(dayText(Math.floor(instantToWall(zone, completed) / DAY)))
      : '',
    importanceOf(priority) === 'high' ? said.high : '',
    plannedText(estimate, planned),
    beginning && group !== 'over' ? said.from(dayText(dueWall(beginning, zone).day)) : '',
    parts.length > 0 ? said.parts(parts.filter(({ isDone }) => isDone).length, parts.length) : '',
    parts.length === 0 && percent && group !== 'over' ? said.percent(percent) : '',
    isRepeated ? said.repeats : '',
    todo.repeatAfter ? said.repeatAfter(todo.repeatAfter) : '',
    location,
    categories.join(', '),
  ].filter(Boolean);
}

/** How long a to-do takes, and how much of that has a time. */
function plannedText(estimate: number | undefined, planned: number): string {
  const length = (minutes: number): string => lengthText(minutes * MINUTE);
  if (planned === 0) return estimate === undefined ? '' : length(estimate);
  if (estimate === undefined) return said.planned(length(planned));
  return planned < estimate
    ? said.plannedOf(length(planned), length(estimate))
    : said.allPlanned(length(estimate));
}
