import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useMemo } from 'react';
import { useWindowDimensions } from 'react-native';
import type { Look } from '@/core/model/look';
import { readLook, writeLook } from '@/core/model/lookParameters';
import { DAY, dateString, isRealDate, parseDate } from '@/core/time/civil';
import { instantToWall, isKnownZone } from '@/core/time/zones';
import { useOpenStore, useSettings } from '@/store';
import { keepPlaceInHistory } from '@/ui/backCloses';
import { WIDE } from '@/ui/theme/tokens';

/** What Plan shows, as its address says: how it looks at the calendar, the selected day, and the preset in use. */
export interface PlanAddress extends Look {
  readonly day: number;
  /** The zone that the hours are shown in: the home zone, or another for a look. */
  readonly zone: string;
  readonly presetId: string | undefined;
}

const one = (value: string | string[] | undefined): string | undefined =>
  Array.isArray(value) ? value[0] : value;

const isDate = (text: string | undefined): text is string =>
  !!text && /^\d{4}-\d{2}-\d{2}$/.test(text) && isRealDate(text);

/** Reads Plan's address and changes it. What the address leaves out has a default that fits the screen. */
export function usePlanAddress() {
  const parameters = useGlobalSearchParams();
  const router = useRouter();
  const { clock } = useOpenStore();
  const { homeZone } = useSettings();
  const { width } = useWindowDimensions();
  const wide = width >= WIDE;
  const text = JSON.stringify(
    Object.entries(parameters).flatMap(([name, value]) => {
      const said = one(value as string | string[] | undefined);
      return said === undefined ? [] : [[name, said]];
    }),
  );

  const address = useMemo((): PlanAddress => {
    const said = Object.fromEntries(JSON.parse(text) as [string, string][]) as Record<
      string,
      string | undefined
    >;
    const look = readLook(said, wide ? 'workdays' : 'days');
    const zone = look.zone !== undefined && isKnownZone(look.zone) ? look.zone : homeZone;
    const today = Math.floor(instantToWall(zone, clock()) / DAY);
    return { ...look, zone, day: isDate(said.date) ? parseDate(said.date) : today, presetId: said.preset };
  }, [text, wide, homeZone, clock]);

  const change = useMemo(
    () => ({
      /** Goes to a changed address; the one before is a step back. `quietly`: takes its place instead. */
      to(changes: Partial<PlanAddress>, { quietly = false }: { quietly?: boolean } = {}) {
        const { day, presetId, zone, ...look } = changes;
        keepPlaceInHistory(quietly);
        router.setParams({
          ...writeLook(look),
          ...(day === undefined ? {} : { date: dateString(day) }),
          ...('presetId' in changes ? { preset: presetId } : {}),
          ...('zone' in changes ? { zone: zone === homeZone ? undefined : zone } : {}),
        });
      },
    }),
    [router, homeZone],
  );
  return { address, to: change.to };
}
