import { instantToWall } from '@/core/time/zones';
import { DAY } from '@/core/time/civil';
import { shortDayText, timeText } from '@/ui/dates';
import { words } from '@/ui/words';
import { reminderWords } from '@/ui/words/reminders';
import type { Heard } from './useHeardReminders';

const said = reminderWords.due;

/** What is said of a due reminder beside its title: "in 10 min · Chart room". */
export function dueText({ event, span, came }: Heard, now: number, zone: string): string {
  const wall = instantToWall(zone, span.start);
  const [day, today] = [wall, instantToWall(zone, now)].map((each) => Math.floor(each / DAY));
  const isAllDay = event.start.kind === 'date';
  return [
    came.description ?? '',
    day === today ? '' : shortDayText(day!),
    isAllDay ? words.entry.allDayLabel : timeText(wall),
    untilText(span, now, isAllDay),
    event.location,
  ]
    .filter(Boolean)
    .join(' · ');
}

/** How long it is until one leaves, or until it starts. */
function untilText(span: Heard['span'], now: number, isAllDay: boolean): string {
  if (isAllDay) return '';
  const minutesTo = (instant: number) => Math.round((instant - now) / 60_000);
  if (span.leave < span.start && now < span.start)
    return minutesTo(span.leave) > 0 ? said.leaveIn(minutesTo(span.leave)) : said.leaveNow;
  return reminderWords.startsIn(minutesTo(span.start));
}
