import type { Settings } from '@/core/model/settings';
import { cityOf } from '@/core/time/zones';

/** What the person calls a zone: the home zone's or a rail's own name, else its city. */
export function zoneLabel(
  settings: Pick<Settings, 'homeZone' | 'homeLabel' | 'zoneRails'>,
  zone: string,
): string {
  if (zone === settings.homeZone && settings.homeLabel) return settings.homeLabel;
  return settings.zoneRails.find((rail) => rail.zone === zone)?.label ?? cityOf(zone);
}
