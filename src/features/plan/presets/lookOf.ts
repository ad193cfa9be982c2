import type { Look } from '@/core/model/look';
import type { PlanAddress } from '@/features/workspace';

/** What of an address a preset keeps: all but the day and the preset itself. */
export function lookOf(address: PlanAddress): Look {
  const { day, presetId, ...look } = address;
  return look;
}
