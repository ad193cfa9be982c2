import { MINUTE } from '@/core/time/civil';
import { dueOf } from '@/core/todos/todoSpan';
import { dueWall } from '@/core/todos/todoGroups';
import { dayText, lengthText, timeText } from '@/ui/dates';
import { recurrenceText } from '@/ui/recurrenceText';
import { todoWords as said } from '@/ui/words/todos';
import type { ReadTodo } from './useLineReader';

/** What was understood of a line that makes a to-do, in words. */
export function todoLineText({ fields, calendar }: ReadTodo, zone: string): string {
  const due = dueOf(fields);
  const at = due && dueWall(due, zone);
  const parts = [
    `“${fields.title}”`,
    at
      ? said.due([dayText(at.day), at.wall === undefined ? '' : timeText(at.wall)].filter(Boolean).join(', '))
      : '',
    fields.estimate === undefined ? '' : lengthText(fields.estimate * MINUTE),
    fields.priority === undefined ? '' : said.high,
    fields.recurrence && fields.start ? recurrenceText(fields.recurrence, fields.start) : '',
    fields.location,
    fields.categories.join(', '),
    calendar.name,
  ]
    .filter(Boolean)
    .join(' · ');
  return `${said.understood}: ${parts}`;
}
