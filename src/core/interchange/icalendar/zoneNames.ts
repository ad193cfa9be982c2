import { dayNumber, DAY } from '../../time/civil';
import { allZones, isKnownZone, offsetAt } from '../../time/zones';
import type { ComponentLines } from './fileText';

/** Offsets of a VTIMEZONE's standard and daylight time, in milliseconds (RFC 5545 3.6.5). */
interface ZoneOffsets {
  readonly standard: number;
  readonly daylight: number;
}

function offsetOf(text: string | undefined): number | undefined {
  const match = /^TZOFFSETTO[^:]*:([+-])(\d\d)(\d\d)/i.exec(text ?? '');
  return match
    ? (match[1] === '-' ? -1 : 1) * (Number(match[2]) * 60 + Number(match[3])) * 60_000
    : undefined;
}

function offsetsOf(component: ComponentLines): ZoneOffsets | undefined {
  const last = (name: string) =>
    offsetOf(
      component.components
        .filter((part) => part.name === name)
        .at(-1)
        ?.properties.find((line) => /^TZOFFSETTO/i.test(line.text))?.text,
    );
  const standard = last('STANDARD') ?? last('DAYLIGHT');
  return standard === undefined ? undefined : { standard, daylight: last('DAYLIGHT') ?? standard };
}

/** A zone of the runtime whose winter and summer offsets are the given ones; the preferred one if it fits. */
function zoneWith(offsets: ZoneOffsets, year: number, preferred: string): string | undefined {
  const january = dayNumber(year, 1, 15) * DAY;
  const july = dayNumber(year, 7, 15) * DAY;
  const fits = (zone: string) => {
    const both = [offsetAt(zone, january), offsetAt(zone, july)];
    return Math.min(...both) === offsets.standard && Math.max(...both) === offsets.daylight;
  };
  return [preferred, ...allZones()].find(fits);
}

/**
 * Finds the runtime's zone for a TZID: its own name, the end of it, or one with the offsets that its VTIMEZONE
 * says. Undefined where nothing fits.
 */
export function zoneFinder(timezones: readonly ComponentLines[], year: number, preferred: string) {
  const found = new Map<string, string | undefined>();
  const find = (name: string): string | undefined => {
    if (isKnownZone(name)) return name;
    const parts = name.split('/');
    for (const length of [3, 2]) {
      const end = parts.slice(-length).join('/');
      if (parts.length > length && isKnownZone(end)) return end;
    }
    const component = timezones.find((zone) =>
      zone.properties.some((line) => line.text.replace(/^TZID[^:]*:/i, '') === name),
    );
    const offsets = component && offsetsOf(component);
    return offsets && zoneWith(offsets, year, preferred);
  };
  return (name: string): string | undefined => {
    if (!found.has(name)) found.set(name, find(name));
    return found.get(name);
  };
}
