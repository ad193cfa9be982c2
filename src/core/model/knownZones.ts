import { isKnownZone } from '../time/zones';
import type { Settings } from './settings';

/**
 * Settings in which every zone is known here. An unknown home zone gives way to the given one; unknown rails go.
 * @param zone a zone that is known
 * @returns the same settings where nothing had to give way
 */
export function withKnownZones(settings: Settings, zone: string): Settings {
  const zoneRails = settings.zoneRails.filter((rail) => isKnownZone(rail.zone));
  const isHomeKnown = isKnownZone(settings.homeZone);
  if (isHomeKnown && zoneRails.length === settings.zoneRails.length) return settings;
  return { ...settings, homeZone: isHomeKnown ? settings.homeZone : zone, zoneRails };
}
