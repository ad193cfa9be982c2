import { useCallback, useMemo } from 'react';
import { inCalendarZone, lengthOfNew } from '@/core/change/calendarDefaults';
import { blankFields } from '@/core/change/eventFields';
import { eventAt, targetOfKey } from '@/core/change/target';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import { DAY, dateString, localString, MINUTE, startOfWeek } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import {
  type Commands,
  type PlanAddress,
  usePlanAddress,
  useWorkspace,
  workspace,
} from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import type { GridActions } from './grid/useGridDrag';
import type { PlanRange } from './usePlanRange';

/** What can be done in Plan, whatever the view: going about, opening, drafting, moving. */
export function usePlanActions(
  address: PlanAddress,
  stepped: PlanRange['stepped'],
  commands: Commands,
  target: Calendar | undefined,
) {
  const { store, clock } = useOpenStore();
  const settings = useSettings();
  const { to } = usePlanAddress();
  const { zone, view, day } = address;
  const { weekStart } = settings;

  const step = useCallback(
    (direction: 1 | -1) => {
      const next = stepped(direction);
      if (next !== undefined) to({ day: next });
    },
    [stepped, to],
  );
  const todayNumber = useCallback(() => Math.floor(instantToWall(zone, clock()) / DAY), [zone, clock]);
  const today = useCallback(() => to({ day: todayNumber() }), [to, todayNumber]);
  // The weekday stays, so that the selected day follows through the weeks; a view of days begins with the pressed one.
  const toWeek = useCallback(
    (pressed: number) => {
      const keepsWeekday = view === 'week' || view === 'workdays' || view === 'weeks';
      to({
        day: keepsWeekday ? startOfWeek(pressed, weekStart) + day - startOfWeek(day, weekStart) : pressed,
      });
    },
    [to, view, day, weekStart],
  );
  const toDays = useCallback(
    (first: number, count: number) => {
      if (count === 1) to({ view: 'day', day: first });
      else if (count <= 14) to({ view: 'days', day: first, dayCount: count, weekends: true });
      else
        to({
          view: 'weeks',
          day: first,
          weekCount: Math.min(8, Math.max(2, Math.ceil((first + count - startOfWeek(first, weekStart)) / 7))),
          periodSetId: undefined,
        });
    },
    [to, weekStart],
  );
  const openDay = useCallback((opened: number) => to({ view: 'day', day: opened }), [to]);
  const selectDay = useCallback((selected: number) => to({ day: selected }, { quietly: true }), [to]);
  const open = useCallback(
    (key: string) => {
      const event = eventAt(store.getSnapshot().state, targetOfKey(key), commands.context());
      if (!event) return;
      const master =
        event.recurrence ?? store.getSnapshot().state.entries.get(targetOfKey(key).entryId)?.recurrence;
      workspace.select(key);
      workspace.edit({ target: targetOfKey(key), fields: { ...event, recurrence: master }, panel: 'full' });
    },
    [store, commands],
  );
  const startDraft = useCallback(
    (startWall: number, endWall: number, allDay: boolean, calendarId = target?.id) => {
      const named =
        calendarId === undefined ? undefined : store.getSnapshot().state.calendars.get(calendarId);
      // A place that belongs to a calendar that can't be changed gives the entry to the usual one.
      const calendar = isReadOnly(named) ? target : named;
      if (!calendar) return;
      const zoned = (wall: number) =>
        inCalendarZone({ kind: 'zoned', local: localString(wall), zone }, calendar, zone);
      const whole = (wall: number) => ({ kind: 'date' as const, date: dateString(Math.floor(wall / DAY)) });
      const fields = allDay
        ? blankFields(calendar.id, whole(startWall), whole(endWall))
        : blankFields(calendar.id, zoned(startWall), zoned(endWall));
      workspace.clearSelection();
      workspace.edit({ fields, panel: 'quick' });
      workspace.setDesk(true);
    },
    [store, target, zone],
  );
  const gridActions = useMemo(
    (): GridActions => ({
      press: (key, { add }) => {
        if (add) workspace.collect(key);
        else workspace.select(key);
        if (useWorkspace.getState().editing?.panel === 'quick') workspace.edit(null);
      },
      pressEmpty: (startWall, allDay, calendarId) => {
        const busy = useWorkspace.getState();
        if (busy.editing?.panel === 'full') return;
        if (busy.selected.length > 0 || busy.editing) {
          workspace.clearSelection();
          workspace.edit(null);
          return;
        }
        const calendar = store.getSnapshot().state.calendars.get(calendarId ?? target?.id ?? '');
        const minutes = lengthOfNew(isReadOnly(calendar) ? target : calendar, settings);
        const end = allDay ? startWall + DAY : startWall + minutes * MINUTE;
        startDraft(startWall, end, allDay, calendarId);
      },
      draft: startDraft,
      move: (key, move) => commands.move(targetOfKey(key), move),
      copy: (key, move) => void commands.copy(targetOfKey(key), move),
    }),
    [store, commands, startDraft, target, settings],
  );
  return { step, today, todayNumber, toWeek, toDays, openDay, selectDay, open, gridActions };
}
