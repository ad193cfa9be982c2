import { lengthOfNew } from '@/core/change/calendarDefaults';
import type { Calendar } from '@/core/model/calendar';
import { freeStartOn } from '@/core/schedule/agenda';
import type { Occurrence } from '@/core/schedule/occurrence';
import { MINUTE } from '@/core/time/civil';
import { useNow, useSettings } from '@/store';
import type { GridActions } from './useGridDrag';

/** A free time of a day, in wall times. */
export interface FreeTime {
  readonly startWall: number;
  readonly endWall: number;
}

/** Drafts an entry on a day where it names no hour: in a free time of it, else where the day is first free. */
export function useDraftOnDay(
  zone: string,
  draftCalendar: Calendar | undefined,
  { draft }: Pick<GridActions, 'draft'>,
): (taken: readonly Occurrence[], day: number, gap?: FreeTime) => void {
  const settings = useSettings();
  const now = useNow();
  return (taken, day, gap) => {
    const length = lengthOfNew(draftCalendar, settings) * MINUTE;
    const context = { zone, homeZone: settings.homeZone, pattern: settings.workingPattern, now };
    const start = gap?.startWall ?? freeStartOn(taken, day, length, context);
    draft(start, Math.min(start + length, gap?.endWall ?? Infinity), false);
  };
}
