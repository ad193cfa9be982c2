import { usePathname, useRouter } from 'expo-router';
import { useMemo } from 'react';
import { changeSession } from '@/core/change/calendarChanges';
import { writeLook } from '@/core/model/lookParameters';
import type { ViewPreset } from '@/core/model/viewPreset';
import { DAY, dateString } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import { keepPlaceInHistory } from '@/ui/backCloses';

/** Applies a preset: goes to its place, looks as it says, and at today if it is to; nothing stays of what was before. */
export function useApplyPreset(): (preset: ViewPreset, options?: { quietly?: boolean }) => void {
  const router = useRouter();
  const here = usePathname();
  const { store, clock } = useOpenStore();
  const { context } = useCommands();
  const { homeZone } = useSettings();
  return useMemo(
    () =>
      ({ id, look, table, fromToday }, { quietly = false } = {}) => {
        const zone = look.zone ?? homeZone;
        const parameters: Record<string, string | undefined> = {
          ...writeLook({ ...look, periodSetId: look.periodSetId }),
          // What is said of the table by no word is as at first.
          ...Object.fromEntries(
            Object.entries(table?.parameters ?? {}).map(([name, value]) => [name, value || undefined]),
          ),
          ...(fromToday ? { date: dateString(Math.floor(instantToWall(zone, clock()) / DAY)) } : {}),
          zone: zone === homeZone ? undefined : zone,
          preset: id,
        };
        if (table?.columns) {
          const { state } = store.getSnapshot();
          void store.commit(changeSession(state, { tableColumns: table.columns }, context()), 'quiet');
        }
        const pathname = table ? '/tidy' : '/';
        if (here === pathname) {
          keepPlaceInHistory(quietly);
          router.setParams(parameters);
        } else if (quietly) router.replace({ pathname, params: parameters });
        else router.navigate({ pathname, params: parameters });
      },
    [router, here, store, context, clock, homeZone],
  );
}
