import { useEffect } from 'react';
import { isSettled } from '@/core/schedule/standing';
import type { Occurrence } from '@/core/schedule/occurrence';
import { daysOf } from '@/core/schedule/occurrence';
import { useCalendars, useSettings } from '@/store';
import { timeText } from '@/ui/dates';
import { type Glance, keepGlance, MOST } from '@/ui/glance/keptGlance';
import { words } from '@/ui/words';

/** Keeps a day as it is listed, so that the small window shows it at once next time. Nothing while it is not known. */
export function useKeepGlance(occurrences: readonly Occurrence[] | undefined, day: number): void {
  const { homeZone, demoNow } = useSettings();
  const calendars = useCalendars();
  useEffect(() => {
    if (!occurrences) return;
    const rows = occurrences
      .filter((each) => daysOf(each).first <= day && daysOf(each).end > day)
      .sort((a, b) => Number(b.allDay) - Number(a.allDay) || a.start - b.start || a.end - b.end)
      .slice(0, MOST)
      .map((each): Glance['rows'][number] => {
        const calendar = calendars.find(({ id }) => id === each.calendarId);
        return {
          title: each.title,
          time: each.allDay ? words.entry.allDayLabel : timeText(each.startWall),
          start: each.start,
          end: each.end,
          mark: calendar?.mark ?? '',
          colour: calendar?.colour ?? 'slate',
          isStruck: isSettled(each),
        };
      });
    keepGlance({ day, zone: homeZone, ...(demoNow ? { demoNow } : {}), rows });
  }, [occurrences, day, homeZone, demoNow, calendars]);
}
