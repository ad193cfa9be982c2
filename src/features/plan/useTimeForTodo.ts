import { useCallback, useEffect, useRef } from 'react';
import { DAY, MINUTE } from '@/core/time/civil';
import { wallToInstant } from '@/core/time/zones';
import type { Commands } from '@/features/workspace';
import { useDaysQuery, useOpenStore, useSettings } from '@/store';
import { words } from '@/ui/words';
import type { GridActions } from './grid/useGridDrag';

/** Gives a to-do that was dragged into Plan its time: where it was let go, or in the first gap of that day. */
export function useTimeForTodo(commands: Commands, zone: string): GridActions['giveTime'] {
  const { store, clock } = useOpenStore();
  const { homeZone, workingPattern } = useSettings();
  const query = useDaysQuery({});
  const asked = useRef(query);
  useEffect(() => {
    asked.current = query;
  });
  return useCallback(
    (key, minutes, startWall, anyTime) => {
      const give = (start: number) => void commands.giveTime([{ key, start, end: start + minutes * MINUTE }]);
      if (!anyTime) return give(wallToInstant(zone, startWall));
      const day = Math.floor(startWall / DAY);
      const refuse = () => commands.refuse(words.plan.noGap);
      Promise.all([
        import('./firstGap'),
        store.engine.days({ ...asked.current, firstDay: day, endDay: day + 1 }),
      ]).then(([{ firstGap }, answer]) => {
        const gap = firstGap(day, minutes, answer, { zone: homeZone, workingPattern, now: clock() });
        if (gap) give(gap.start);
        else refuse();
      }, refuse);
    },
    [commands, zone, store, clock, homeZone, workingPattern],
  );
}
