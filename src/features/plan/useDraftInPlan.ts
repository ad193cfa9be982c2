import { useCallback } from 'react';
import { inCalendarZone, lengthOfNew } from '@/core/change/calendarDefaults';
import { blankFields } from '@/core/change/eventFields';
import { settleTimes } from '@/core/change/settleTimes';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import { DAY, dateString, localString, MINUTE } from '@/core/time/civil';
import { useWorkspace, workspace } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import type { GridActions } from './grid/useGridDrag';

const whole = (wall: number) => ({ kind: 'date' as const, date: dateString(Math.floor(wall / DAY)) });

/** Drafts an entry where something empty was pressed or dragged over, in the zone of the view. */
export function useDraftInPlan(
  zone: string,
  target: Calendar | undefined,
): Pick<GridActions, 'draft' | 'pressEmpty'> {
  const { store } = useOpenStore();
  const settings = useSettings();
  const draft = useCallback(
    (startWall: number, endWall: number, allDay: boolean, calendarId = target?.id) => {
      const named =
        calendarId === undefined ? undefined : store.getSnapshot().state.calendars.get(calendarId);
      // A place that belongs to a calendar that can't be changed gives the entry to the usual one.
      const calendar = isReadOnly(named) ? target : named;
      if (!calendar) return;
      const zoned = (wall: number) =>
        inCalendarZone({ kind: 'zoned', local: localString(wall), zone }, calendar, zone);
      const fields = allDay
        ? blankFields(calendar.id, whole(startWall), whole(endWall))
        : blankFields(calendar.id, zoned(startWall), zoned(endWall));
      const settled = { ...fields, ...settleTimes(fields, zone) };
      workspace.clearSelection();
      // What was written in a draft goes along to another time.
      const { editing } = useWorkspace.getState();
      if (editing?.panel === 'quick' && editing.changed)
        workspace.goOn({
          fields: { ...editing.fields, start: settled.start, end: settled.end },
          before: { ...editing.before, start: settled.start, end: settled.end },
        });
      else workspace.edit({ fields: settled, before: settled, panel: 'quick', changed: false });
      workspace.setDesk(true);
    },
    [store, target, zone],
  );
  const pressEmpty = useCallback(
    (startWall: number, allDay: boolean, calendarId?: string) => {
      if (useWorkspace.getState().editing?.panel === 'full') return;
      const calendar = store.getSnapshot().state.calendars.get(calendarId ?? target?.id ?? '');
      const minutes = lengthOfNew(isReadOnly(calendar) ? target : calendar, settings);
      const end = allDay ? startWall + DAY : startWall + minutes * MINUTE;
      draft(startWall, end, allDay, calendarId);
    },
    [store, draft, target, settings],
  );
  return { draft, pressEmpty };
}
