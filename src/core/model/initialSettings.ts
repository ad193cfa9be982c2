import { standardWorkingPattern } from '../time/standardWorkingPattern';
import type { Settings } from './settings';

/** Settings of someone who begins with nothing. */
export function initialSettings(homeZone: string): Settings {
  return {
    id: 'settings',
    homeZone,
    zoneRails: [],
    workingPattern: standardWorkingPattern,
    defaultLengthMinutes: 60,
  };
}
