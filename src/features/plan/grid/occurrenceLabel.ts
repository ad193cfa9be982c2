import type { Calendar } from '@/core/model/calendar';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DAY } from '@/core/time/civil';
import { dayText, timeText } from '@/ui/dates';
import { leaveText } from '@/ui/travelText';
import { words } from '@/ui/words';

/** An occurrence as it is read out: "Tuesday 9 March, 14:00 to 15:00, Keeper rota call, Meetings calendar, busy". */
export function occurrenceLabel(occurrence: Occurrence, calendar: Calendar | undefined): string {
  const first = Math.floor(occurrence.startWall / DAY);
  const last = Math.max(first, Math.ceil(occurrence.endWall / DAY) - 1);
  const when = occurrence.allDay
    ? [words.entry.allDayLabel, ...(last > first ? [words.entry.untilDay(dayText(last))] : [])]
    : last > first
      ? [
          words.entry.fromUntilDay(
            timeText(occurrence.startWall),
            dayText(last),
            timeText(occurrence.endWall),
          ),
        ]
      : [words.entry.from(timeText(occurrence.startWall), timeText(occurrence.endWall))];
  return [
    dayText(first),
    ...when,
    occurrence.title || words.entry.noTitle,
    !calendar ? '' : occurrence.personId ? calendar.name : words.entry.calendarNamed(calendar.name),
    words.entry.availability[occurrence.availability],
    occurrence.classification === 'public' ? '' : words.entry.classification[occurrence.classification],
    occurrence.status === 'cancelled' ? words.entry.status.cancelled : '',
    occurrence.isRough ? words.weather.rough : '',
    occurrence.isDone ? words.entry.done : '',
    occurrence.ownAnswer ? words.entry.ownAnswers[occurrence.ownAnswer] : '',
    occurrence.recurring ? (occurrence.changed ? words.entry.changed : words.entry.series) : '',
    occurrence.location,
    leaveText(occurrence),
  ]
    .filter(Boolean)
    .join(', ');
}
