import { useMemo } from 'react';
import type { Look } from '@/core/model/look';
import type { ViewPreset } from '@/core/model/viewPreset';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { usePlanAddress } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';

/** Every field of a look, so that a preset leaves nothing of what was before. */
const whole = (look: Look, homeZone: string): Look => ({
  ...look,
  zone: look.zone ?? homeZone,
  periodSetId: look.periodSetId,
});

/** Applies a preset: looks as it says, and at today if it is to. */
export function useApplyPreset(): (preset: ViewPreset, options?: { quietly?: boolean }) => void {
  const { to } = usePlanAddress();
  const { clock } = useOpenStore();
  const { homeZone } = useSettings();
  return useMemo(
    () => (preset, options) => {
      const { zone = homeZone, ...look } = whole(preset.look, homeZone);
      to(
        {
          ...look,
          zone,
          presetId: preset.id,
          ...(preset.fromToday ? { day: Math.floor(instantToWall(zone, clock()) / DAY) } : {}),
        },
        options,
      );
    },
    [to, clock, homeZone],
  );
}
