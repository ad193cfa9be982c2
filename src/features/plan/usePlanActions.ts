import { useCallback, useMemo, useRef, useState } from 'react';
import { inCalendarZone, lengthOfNew } from '@/core/change/calendarDefaults';
import { blankFields } from '@/core/change/eventFields';
import { fieldsSeenAt } from '@/core/change/entryChanges';
import { settleTimes } from '@/core/change/settleTimes';
import { eventAt, targetKey, targetOfKey } from '@/core/change/target';
import { type Calendar, isReadOnly } from '@/core/model/calendar';
import { civilDate, DAY, dateString, localString, MINUTE, startOfWeek } from '@/core/time/civil';
import { shownDays, VIEW_DESCRIPTORS } from '@/core/layout/viewDescriptors';
import { instantOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import {
  type Commands,
  type PlanAddress,
  usePlanAddress,
  useWorkspace,
  workspace,
} from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import { words } from '@/ui/words';
import { moveOfKey } from './grid/keyMoves';
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
  const { zone, view, day, gridStep } = address;
  const { weekStart } = settings;

  // From the 31st, steps by months come back to the 31st, though a month between them is shorter.
  const meant = useRef<{ day: number; ofMonth: number } | undefined>(undefined);
  const step = useCallback(
    (direction: 1 | -1) => {
      const ofMonth = meant.current?.day === day ? meant.current.ofMonth : civilDate(day).day;
      const next = stepped(direction, ofMonth);
      if (next === undefined) return;
      meant.current = { day: next, ofMonth };
      to({ day: next });
    },
    [stepped, day, to],
  );
  const todayNumber = useCallback(() => Math.floor(instantToWall(zone, clock()) / DAY), [zone, clock]);
  // Also where today is shown already, the strip comes back to it.
  const [visits, setVisits] = useState(0);
  const today = useCallback(() => {
    setVisits((before) => before + 1);
    to({ day: todayNumber() });
  }, [to, todayNumber]);
  // The weekday stays, so that the selected day follows through the weeks; a view of days begins with the pressed one.
  const toWeek = useCallback(
    (pressed: number) => {
      const { keepsWeekday } = VIEW_DESCRIPTORS[view];
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
      const { state } = store.getSnapshot();
      const target = targetOfKey(key);
      const fields = fieldsSeenAt(state, target, commands.context());
      if (!fields) return;
      workspace.select(key);
      // The same entry that was put aside half-edited is gone on with.
      const kept = useWorkspace
        .getState()
        .aside.findLast((editing) => editing.target && targetKey(editing.target) === key);
      if (kept) workspace.takeUp(kept);
      else workspace.edit({ target, fields, before: fields, panel: 'full', changed: false });
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
      const settled = { ...fields, ...settleTimes(fields, zone) };
      workspace.clearSelection();
      // What was written in a draft goes along to another time.
      const { editing } = useWorkspace.getState();
      if (editing?.panel === 'quick' && editing.changed)
        workspace.goOn({ fields: { ...editing.fields, start: settled.start, end: settled.end } });
      else workspace.edit({ fields: settled, before: settled, panel: 'quick', changed: false });
      workspace.setDesk(true);
    },
    [store, target, zone],
  );
  /** Moves an entry by a key; the view follows where it goes out of sight. */
  const moveByKey = useCallback(
    async (key: string, event: KeyboardEvent) => {
      const dayOfKey = (of: string) => {
        const at = eventAt(store.getSnapshot().state, targetOfKey(of), commands.context());
        return at && { at, day: Math.floor(instantToWall(zone, instantOf(at.start, zone)) / DAY) };
      };
      const before = dayOfKey(key);
      const move = before && moveOfKey(event, before.at.start.kind === 'date', gridStep);
      if (!move) return;
      if (typeof move === 'string') return commands.refuse(words.keys.refusals[move]);
      // The focus follows what is selected.
      if (!useWorkspace.getState().selected.includes(key)) workspace.select(key);
      const landed = await commands.move(key, move);
      const after = landed === undefined ? undefined : dayOfKey(landed);
      if (after && !shownDays(address, settings).includes(after.day)) to({ day: after.day });
    },
    [store, commands, zone, gridStep, address, settings, to],
  );
  const gridActions = useMemo(
    (): GridActions => ({
      press: (key, { add }) => {
        if (useWorkspace.getState().editing?.panel === 'quick') workspace.putAside();
        if (add) workspace.collect(key);
        else workspace.select(key);
      },
      walkTo: (key) => {
        if (!useWorkspace.getState().collecting) workspace.select(key);
      },
      pressEmpty: (startWall, allDay, calendarId) => {
        if (useWorkspace.getState().editing?.panel === 'full') return;
        const calendar = store.getSnapshot().state.calendars.get(calendarId ?? target?.id ?? '');
        const minutes = lengthOfNew(isReadOnly(calendar) ? target : calendar, settings);
        const end = allDay ? startWall + DAY : startWall + minutes * MINUTE;
        startDraft(startWall, end, allDay, calendarId);
      },
      draft: startDraft,
      move: async (key, move) => (await commands.move(key, move)) !== undefined,
      copy: (key, move) => commands.copy(targetOfKey(key), move),
    }),
    [store, commands, startDraft, target, settings],
  );
  return {
    step,
    today,
    visits,
    todayNumber,
    toWeek,
    toDays,
    openDay,
    selectDay,
    open,
    moveByKey,
    gridActions,
  };
}
