import { standardWorkingPattern } from '../time/standardWorkingPattern';
import type { Settings } from './settings';

/**
 * Settings of someone who begins with nothing.
 * @param weekStart the day that weeks begin with where they are, an ISO weekday
 */
export function initialSettings(homeZone: string, weekStart = 1): Settings {
  return {
    id: 'settings',
    homeZone,
    zoneRails: [],
    workingPattern: standardWorkingPattern,
    weekStart,
    defaultLengthMinutes: 60,
  };
}
