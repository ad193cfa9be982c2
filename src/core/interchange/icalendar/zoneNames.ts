import { allZones, isKnownZone } from '../../time/zones';
import type { ComponentLines } from './fileText';
import { midYearOffsets, readOffset, zoneByRules } from './timezoneRules';

/** A file names a handful of clocks: what is beyond these is told by its offsets alone. */
const MOST_BY_RULES = 100;

/** Offsets of a VTIMEZONE's standard and daylight time, in milliseconds (RFC 5545 3.6.5). */
interface ZoneOffsets {
  readonly standard: number;
  readonly daylight: number;
}

function offsetsOf(component: ComponentLines): ZoneOffsets | undefined {
  const last = (name: string) =>
    readOffset(
      component.components
        .filter((part) => part.name === name)
        .at(-1)
        ?.properties.find((line) => /^TZOFFSETTO/i.test(line.text))
        ?.text.replace(/^[^:]*:/, '')
        .trim(),
    );
  const standard = last('STANDARD') ?? last('DAYLIGHT');
  return standard === undefined ? undefined : { standard, daylight: last('DAYLIGHT') ?? standard };
}

/** A zone of the runtime whose winter and summer offsets are the given ones; the preferred one if it fits. */
function zoneWith(offsets: ZoneOffsets, year: number, preferred: string): string | undefined {
  const fits = (zone: string) => {
    const both = midYearOffsets(zone, year);
    return Math.min(...both) === offsets.standard && Math.max(...both) === offsets.daylight;
  };
  return [preferred, ...allZones()].find(fits);
}

/**
 * Finds the runtime's zone for a TZID: its own name, the end of it, the name that its VTIMEZONE bears beside it, or one
 * whose clock does what the VTIMEZONE says; failing that, one with its winter and summer offsets. Undefined where nothing
 * fits.
 */
export function zoneFinder(timezones: readonly ComponentLines[], year: number, preferred: string) {
  const found = new Map<string, string | undefined>();
  const byName = new Map<string, ComponentLines>();
  for (const zone of timezones)
    for (const line of zone.properties)
      if (/^TZID[:;]/i.test(line.text)) byName.set(line.text.replace(/^[^:]*:/, ''), zone);
  // Many names may stand for one clock.
  const byClock = new Map<string, string | undefined>();
  const clockOf = ({ components }: ComponentLines) =>
    components
      .map(({ name, properties }) => [name, ...properties.map(({ text }) => text)].join('\n'))
      .join('\n\n');
  const withClock = (component: ComponentLines): string | undefined => {
    const clock = clockOf(component);
    if (byClock.has(clock)) return byClock.get(clock);
    const offsets = offsetsOf(component);
    const byRules = byClock.size < MOST_BY_RULES ? zoneByRules(component, year, preferred) : undefined;
    const zone = byRules ?? (offsets && zoneWith(offsets, year, preferred));
    byClock.set(clock, zone);
    return zone;
  };
  const find = (name: string): string | undefined => {
    if (isKnownZone(name)) return name;
    const parts = name.split('/');
    for (const length of [3, 2]) {
      const end = parts.slice(-length).join('/');
      if (parts.length > length && isKnownZone(end)) return end;
    }
    const component = byName.get(name);
    if (!component) return undefined;
    const location = component.properties
      .find((line) => /^(X-LIC-LOCATION|TZID-ALIAS-OF)[:;]/i.test(line.text))
      ?.text.replace(/^[^:]*:/, '')
      .trim();
    if (location && isKnownZone(location)) return location;
    return withClock(component);
  };
  return (name: string): string | undefined => {
    if (!found.has(name)) found.set(name, find(name));
    return found.get(name);
  };
}
