import { getAllCountries, getAllTimezones } from 'countries-and-timezones';
import { DAY, HOUR, MINUTE, civilDate, dayNumber } from './civil';
import { allZones, cityOf, isKnownZone, offsetOnce } from './zones';

/** A zone of the IANA database as it is looked for. */
export interface ZoneEntry {
  readonly zone: string;
  readonly city: string;
  readonly countries: readonly string[];
  /** Cities of the zone's other names in the database. */
  readonly otherCities: readonly string[];
}

const plain = (text: string): string => text.normalize('NFD').replaceAll(/\p{M}/gu, '').toLowerCase();

let entries: readonly ZoneEntry[] | undefined;

/** All zones of the IANA database that the runtime knows, each once under its present name, by city. */
export function zoneEntries(): readonly ZoneEntry[] {
  if (entries) return entries;
  const countries = getAllCountries();
  const known = getAllTimezones({ deprecated: true });
  const listed = new Set(allZones());
  const names = new Set([...listed, ...Object.keys(known).filter((name) => name !== 'Factory')]);
  const presentName = (name: string): string => {
    const target = known[name as keyof typeof known]?.aliasOf;
    if (!target || !isKnownZone(target)) return name;
    // A city that the runtime lists beside its target (Oslo beside Berlin) stays; one that goes by an old name there
    // (Calcutta) does not.
    return listed.has(name) && listed.has(target) ? name : target;
  };
  const aliases = new Map<string, string[]>();
  for (const name of names) {
    const zone = presentName(name);
    aliases.set(zone, [...(aliases.get(zone) ?? []), ...(zone === name ? [] : [name])]);
  }
  entries = [...aliases]
    .filter(([zone]) => isKnownZone(zone))
    .map(([zone, others]) => ({
      zone,
      city: cityOf(zone),
      countries: (known[zone as keyof typeof known]?.countries ?? []).map(
        (code) => countries[code as keyof typeof countries]?.name ?? code,
      ),
      otherCities: [...new Set(others.map(cityOf))].filter((city) => city !== cityOf(zone)),
    }))
    .sort((a, b) => a.city.localeCompare(b.city));
  return entries;
}

/** English as it is written where abbreviations of zones are usual: each knows those of its own part of the world. */
const ABBREVIATING = ['en-US', 'en-GB', 'en-AU', 'en-NZ', 'en-IN', 'en-ZA'];
const abbreviations = new Map<string, readonly string[]>();

/** The abbreviations of a zone's winter and summer time, as far as Intl has any: "EST", "EDT". */
export function abbreviationsOf(zone: string, now: number): readonly string[] {
  const { year } = civilDate(Math.floor(now / DAY));
  const key = `${zone} ${year}`;
  const cached = abbreviations.get(key);
  if (cached) return cached;
  const instants = [dayNumber(year, 1, 15) * DAY, dayNumber(year, 7, 15) * DAY];
  const found = new Set<string>();
  for (const locale of ABBREVIATING) {
    const format = new Intl.DateTimeFormat(locale, { timeZone: zone, timeZoneName: 'short' });
    for (const instant of instants) {
      const name = format.formatToParts(instant).find((part) => part.type === 'timeZoneName')?.value ?? '';
      if (/^[A-Z]{2,5}$/.test(name)) found.add(name);
    }
  }
  const list = [...found];
  abbreviations.set(key, list);
  return list;
}

const OFFSET = /^(?:utc|gmt)?\s*([+−–-])\s*(\d{1,2})(?::?([0-5]\d))?$/i;

/** The offset, in milliseconds, that a text says: "+2", "UTC-3:30", "gmt+0530"; undefined if it says none. */
export function offsetOfText(text: string): number | undefined {
  const match = OFFSET.exec(text.trim());
  if (!match) return undefined;
  const [, sign, hours, minutes = '0'] = match;
  const size = Number(hours) * HOUR + Number(minutes) * MINUTE;
  return size > 14 * HOUR ? undefined : sign === '+' ? size : -size;
}

/** How well an entry fits words: 0 not at all, the higher the better. */
function fit(entry: ZoneEntry, words: string, asks: (zone: string) => readonly string[]): number {
  const city = plain(entry.city);
  if (city === words) return 10;
  const others = entry.otherCities.map(plain);
  if (others.includes(words)) return 9;
  if (/^[a-z]{2,5}$/.test(words) && asks(entry.zone).some((name) => plain(name) === words)) return 8;
  if (city.startsWith(words)) return 7;
  if (others.some((other) => other.startsWith(words))) return 6;
  const countries = entry.countries.map(plain);
  if (countries.some((country) => country.startsWith(words))) return 5;
  const all = [city, ...others, ...countries, plain(entry.zone).replaceAll(/[/_]/g, ' ')];
  if (all.some((text) => text.split(/[\s-]+/).some((word) => word.startsWith(words)))) return 4;
  const together = all.join(' ');
  return words.split(/[\s,/_]+/).every((word) => together.includes(word)) ? 2 : 0;
}

/**
 * The zones that fit what is typed: a city, a country, an abbreviation, an offset or a zone's name; best first, then as
 * listed. Without words, all of them.
 * @param now the instant whose offset is meant, in milliseconds
 */
export function searchZones(text: string, now: number): readonly ZoneEntry[] {
  const words = plain(text.trim());
  if (words === '') return zoneEntries();
  const offset = offsetOfText(words);
  if (offset !== undefined) return zoneEntries().filter((entry) => offsetOnce(entry.zone, now) === offset);
  const asks = (zone: string) => abbreviationsOf(zone, now);
  return zoneEntries()
    .map((entry, order) => ({ entry, order, fit: fit(entry, words, asks) }))
    .filter((found) => found.fit > 0)
    .sort((a, b) => b.fit - a.fit || a.order - b.order)
    .map((found) => found.entry);
}
