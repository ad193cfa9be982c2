import { useCallback, useRef, useState } from 'react';
import { VIEW_DESCRIPTORS } from '@/core/layout/viewDescriptors';
import { civilDate, DAY, startOfWeek } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { type PlanAddress, usePlanAddress } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import type { PlanRange } from './usePlanRange';

/** Days up to so many are shown with their hours, more as weeks. */
const MOST_DAYS = 14;
const MOST_WEEKS = 8;

/** Going about in Plan: by steps, to today, to a week, to some days. */
export function usePlanSteps({ zone, view, day }: PlanAddress, stepped: PlanRange['stepped']) {
  const { clock } = useOpenStore();
  const { weekStart } = useSettings();
  const { to } = usePlanAddress();
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
      else if (count <= MOST_DAYS) to({ view: 'days', day: first, dayCount: count, weekends: true });
      else
        to({
          view: 'weeks',
          day: first,
          weekCount: Math.min(
            MOST_WEEKS,
            Math.max(2, Math.ceil((first + count - startOfWeek(first, weekStart)) / 7)),
          ),
          periodSetId: undefined,
        });
    },
    [to, weekStart],
  );
  const openDay = useCallback((opened: number) => to({ view: 'day', day: opened }), [to]);
  const selectDay = useCallback((selected: number) => to({ day: selected }, { quietly: true }), [to]);
  return { step, today, visits, todayNumber, toWeek, toDays, openDay, selectDay };
}
