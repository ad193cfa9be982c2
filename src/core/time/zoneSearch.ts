import { getAllCountries, getAllTimezones } from 'countries-and-timezones';
import { CITIES, PEOPLE } from './cities';
import { DAY, HOUR, MINUTE, civilDate, dayNumber } from './civil';
import { allZones, cityOf, isKnownZone, offsetOnce } from './zones';

/** A zone of the IANA database as it is looked for. */
export interface ZoneEntry {
  readonly zone: string;
  readonly city: string;
  readonly countries: readonly string[];
  /** Cities of the zone's other names in the database. */
  readonly otherCities: readonly string[];
  /** What it was found by, where that is none of its names here: a large city in it, or a name of the person's own. */
  readonly foundBy?: string;
}

/** A name that the person has given a zone. */
export interface OwnZoneName {
  readonly name: string;
  readonly zone: string;
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
      otherCities: [...new Set(others.filter((name) => name.includes('/')).map(cityOf))].filter(
        (city) => city !== cityOf(zone),
      ),
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

/** Names that are usual for a place, beside those of the data: what they are called there. */
const USUAL_NAMES: Readonly<Record<string, string>> = {
  nyc: 'new york',
  la: 'los angeles',
  sf: 'san francisco',
  dc: 'washington',
  'washington dc': 'washington',
  bombay: 'mumbai',
  madras: 'chennai',
  bangalore: 'bengaluru',
  peking: 'beijing',
  canton: 'guangzhou',
  leningrad: 'st. petersburg',
  usa: 'united states of america',
  us: 'united states of america',
  'united states': 'united states of america',
  america: 'united states of america',
  uk: 'united kingdom',
  'great britain': 'united kingdom',
  england: 'united kingdom',
  scotland: 'united kingdom',
  wales: 'united kingdom',
  holland: 'netherlands',
  uae: 'united arab emirates',
  burma: 'myanmar',
};

let citiesByZone: ReadonlyMap<string, readonly string[]> | undefined;
const largeCitiesOf = (zone: string): readonly string[] => {
  citiesByZone ??= new Map(Object.entries(CITIES).map(([name, cities]) => [name, cities.split(',')]));
  return citiesByZone.get(zone) ?? [];
};

const longNames = new Map<string, string>();
/** What a zone's time is called in words, as far as Intl says: "pacific time", "central european time". */
function longNameOf(zone: string): string {
  let name = longNames.get(zone);
  if (name === undefined) {
    const format = new Intl.DateTimeFormat('en-US', { timeZone: zone, timeZoneName: 'longGeneric' });
    name = plain(format.formatToParts(0).find((part) => part.type === 'timeZoneName')?.value ?? '');
    longNames.set(zone, name);
  }
  return name;
}

/** How well an entry fits, the higher the better, and by which name that is not its own. */
interface Fit {
  readonly fit: number;
  readonly foundBy?: string;
}

const beginsAWord = (text: string, words: string): boolean =>
  text === words || text.startsWith(words) || text.split(/[\s-]+/).some((word) => word.startsWith(words));

function fitOf(entry: ZoneEntry, words: string, asks: (zone: string) => readonly string[]): Fit {
  const city = plain(entry.city);
  if (city === words) return { fit: 12 };
  const others = entry.otherCities.map(plain);
  const large = largeCitiesOf(entry.zone);
  const exact = large.find((name) => plain(name) === words);
  if (exact !== undefined) return { fit: 11, foundBy: exact };
  if (others.includes(words)) return { fit: 11 };
  if (/^[a-z]{2,5}$/.test(words) && asks(entry.zone).some((name) => plain(name) === words))
    return { fit: 10 };
  const [first = '', ...further] = entry.countries.map(plain);
  if (first === words) return { fit: 9 };
  if (further.includes(words)) return { fit: 8 };
  if (words.length < 2) return { fit: city.startsWith(words) ? 7 : 0 };
  if (city.startsWith(words)) return { fit: 7 };
  if (first.startsWith(words)) return { fit: 6 };
  const begun = large.find((name) => plain(name).startsWith(words));
  if (begun !== undefined) return { fit: 5, foundBy: begun };
  if (others.some((other) => other.startsWith(words))) return { fit: 5 };
  const all = [city, ...others, first, ...further, plain(entry.zone).replaceAll(/[/_]/g, ' ')];
  if (all.some((text) => beginsAWord(text, words))) return { fit: 4 };
  const parts = words.split(/[\s,/_]+/);
  return { fit: parts.every((part) => all.some((text) => beginsAWord(text, part))) ? 2 : 0 };
}

/** Nobody lives there, or the zone is only an offset: such zones come when nothing else is meant. */
const isOutOfTheWay = (zone: string): boolean => /^(Antarctica|Arctic|Etc)\//.test(zone);

/** One that is out of the way comes last, unless it is called by its name. */
const pushesIn = ({ entry, fit }: { entry: ZoneEntry; fit: number }): number =>
  isOutOfTheWay(entry.zone) && fit < 11 ? 1 : 0;

/** Zones that most people mean come first. */
const peopleIn = (zone: string): number => (isOutOfTheWay(zone) ? -1 : (PEOPLE[zone] ?? 0));

/**
 * The zones that fit what is typed: a city, a country, an abbreviation, a name of the zone's time, an offset or a zone's
 * name; best first, of those that fit alike the one in which most people live. Without words, all of them.
 * @param now the instant whose offset is meant, in milliseconds
 * @param own names that the person has given zones
 */
export function searchZones(
  text: string,
  now: number,
  own: readonly OwnZoneName[] = [],
): readonly ZoneEntry[] {
  const said = plain(text.trim());
  if (said === '') return zoneEntries();
  const offset = offsetOfText(said);
  if (offset !== undefined)
    return zoneEntries()
      .filter((entry) => offsetOnce(entry.zone, now) === offset)
      .sort((a, b) => peopleIn(b.zone) - peopleIn(a.zone));
  if (!/\p{L}/u.test(said)) return [];
  const words = USUAL_NAMES[said] ?? said;
  const asks = (zone: string) => abbreviationsOf(zone, now);
  const found = zoneEntries().flatMap((entry, order) => {
    const ownName = own.find(({ name, zone }) => zone === entry.zone && beginsAWord(plain(name), said));
    const fit: Fit = ownName ? { fit: 13, foundBy: ownName.name } : fitOf(entry, words, asks);
    return fit.fit > 0 ? [{ entry, order, ...fit }] : [];
  });
  const named =
    found.length > 0 || !said.includes(' ')
      ? found
      : zoneEntries().flatMap((entry, order) =>
          longNameOf(entry.zone).includes(said) ? [{ entry, order, fit: 1, foundBy: undefined }] : [],
        );
  return named
    .sort(
      (a, b) =>
        pushesIn(a) - pushesIn(b) ||
        b.fit - a.fit ||
        peopleIn(b.entry.zone) - peopleIn(a.entry.zone) ||
        a.order - b.order,
    )
    .map(({ entry, foundBy }) => (foundBy === undefined ? entry : { ...entry, foundBy }));
}
