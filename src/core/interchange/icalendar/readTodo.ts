import type { Todo, TodoFields } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { DAY } from '../../time/civil';
import { atWall, instantOf, wallOf } from '../../time/eventTime';
import { todoSpan } from '../../todos/todoSpan';
import type { ComponentLines } from './fileText';
import type { ReadContext } from './readContext';
import { afterDuration, readParts } from './readParts';

/**
 * Reads a VTODO (RFC 5545 3.6.2). What is due before it begins is taken to be due when it begins, and that is said. Which
 * series it belongs to is set later.
 */
export function readTodo(component: ComponentLines, context: ReadContext): Todo {
  const { named, text, times, common } = readParts('todo', component, context);
  const beginning = times('dtstart')[0];
  const [duration] = named('duration');
  const afterwards =
    beginning && duration && afterDuration(beginning, String(duration.property[3]), context.zone);
  // The end of whole days is the day after the last of them; a to-do is due on that last day.
  const wholeDays = afterwards?.kind === 'date' ? lastDay(afterwards) : afterwards;
  let due = times('due')[0] ?? wholeDays;
  if (due && beginning && isBefore(due, beginning, context.zone)) {
    context.report({
      line: component.line,
      code: 'end-before-start',
      detail: text('summary').slice(0, 120),
    });
    due = beginning;
  }
  const span = todoSpan(due, beginning);
  const { fields, identity } = common(span.start);
  return {
    ...(fields as Omit<TodoFields, 'calendarId'>),
    ...identity,
    kind: 'todo',
    ...span,
  };
}

const lastDay = (end: EventTime): EventTime => atWall(end, wallOf(end) - DAY);

const isBefore = (due: EventTime, beginning: EventTime, zone: string): boolean =>
  due.kind === beginning.kind
    ? instantOf(due, zone) < instantOf(beginning, zone)
    : wallOf(due) < Math.floor(wallOf(beginning) / DAY) * DAY;
