import { isTodo } from '@/core/model/entry';
import { DAY, MINUTE } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { shortDayText, timeText } from '@/ui/dates';
import { words } from '@/ui/words';
import { reminderWords } from '@/ui/words/reminders';
import type { Heard } from './useHeardReminders';

const said = reminderWords.due;

/** What is said of a due reminder beside its title: "in 10 min · Chart room"; of a to-do, when it is due. */
export function dueText({ entry, span, came }: Heard, now: number, zone: string): string {
  const isDue = isTodo(entry) && !entry.isNeverDue;
  const isAllDay = entry.start.kind === 'date';
  const at = isDue ? { ...span, start: span.end, leave: span.end } : span;
  const wall = isAllDay ? span.day * DAY : instantToWall(zone, at.start);
  const [day, today] = [wall, instantToWall(zone, now)].map((each) => Math.floor(each / DAY));
  const dayWords = day === today ? (isDue && isAllDay ? said.today : '') : shortDayText(day!);
  const hourWords = !isAllDay ? timeText(wall) : isDue ? '' : words.entry.allDayLabel;
  const when = [dayWords, hourWords].filter(Boolean).join(' · ');
  return [
    came.description ?? '',
    isDue ? said.dueAt(when) : when,
    untilText(at, now, isAllDay),
    entry.location,
  ]
    .filter(Boolean)
    .join(' · ');
}

/** How long it is until one leaves, or until it starts. */
function untilText(span: Heard['span'], now: number, isAllDay: boolean): string {
  if (isAllDay) return '';
  const minutesTo = (instant: number) => Math.round((instant - now) / MINUTE);
  if (span.leave < span.start && now < span.start)
    return minutesTo(span.leave) > 0 ? said.leaveIn(minutesTo(span.leave)) : said.leaveNow;
  return reminderWords.startsIn(minutesTo(span.start));
}
