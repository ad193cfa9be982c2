import { CITIES, PEOPLE } from '../../time/cities';
import { zoneEntries } from '../../time/zoneSearch';
import { HOUR, MINUTE } from '../../time/civil';
import { allZones, cityOf, isKnownZone } from '../../time/zones';
import { type Candidate, wholeWords } from '../candidate';
import { ENGLISH } from '../language';
import type { LineContext } from '../lineContext';

const plain = (text: string): string =>
  text.normalize('NFD').replaceAll(/\p{M}/gu, '').toLowerCase().replaceAll(/\s+/g, ' ').trim();

const abbreviated: ReadonlyMap<string, string> = new Map(Object.entries(ENGLISH.zones));
let known: ReadonlyMap<string, string> | undefined;

/** Zones by the names of their cities and countries; of those of one name, the one in which most people live. */
function zonesByName(): ReadonlyMap<string, string> {
  if (known) return known;
  const named = new Map<string, string>();
  const add = (name: string, zone: string) => {
    const key = plain(name);
    const before = named.get(key);
    if (key.length > 2 && (before === undefined || (PEOPLE[zone] ?? 0) > (PEOPLE[before] ?? 0)))
      named.set(key, zone);
  };
  for (const { zone, countries } of zoneEntries()) if (countries[0]) add(countries[0], zone);
  for (const [zone, cities] of Object.entries(CITIES)) for (const city of cities.split(',')) add(city, zone);
  for (const { zone, otherCities } of zoneEntries())
    for (const city of otherCities) named.set(plain(city), zone);
  for (const zone of allZones()) named.set(plain(cityOf(zone)), zone);
  for (const [name, zone] of [
    ['uk', 'Europe/London'],
    ['england', 'Europe/London'],
    ['scotland', 'Europe/London'],
    ['usa', 'America/New_York'],
    ['eastern', 'America/New_York'],
    ['central european', 'Europe/Berlin'],
    ['pacific', 'America/Los_Angeles'],
    ['nyc', 'America/New_York'],
    ['holland', 'Europe/Amsterdam'],
    ['azores', 'Atlantic/Azores'],
    ['madeira', 'Atlantic/Madeira'],
  ] as const)
    named.set(name, zone);
  return (known = named);
}

const OFFSET = wholeWords(String.raw`\(?(?:utc|gmt)\s?([+-])\s?(\d{1,2})(?::?([0-5]\d))?\)?`);

/** The zone of an offset in whole hours; of others the one whose clock keeps it all year. */
function zoneOfOffset(sign: string, hours: number, minutes: number): string | undefined {
  if (hours > 14) return undefined;
  if (minutes === 0) return hours === 0 ? 'UTC' : `Etc/GMT${sign === '+' ? '-' : '+'}${hours}`;
  const offset = (sign === '+' ? 1 : -1) * (hours * HOUR + minutes * MINUTE);
  const usual: Readonly<Record<string, string>> = {
    [5.5 * HOUR]: 'Asia/Kolkata',
    [5.75 * HOUR]: 'Asia/Kathmandu',
    [6.5 * HOUR]: 'Asia/Yangon',
    [4.5 * HOUR]: 'Asia/Kabul',
    [3.5 * HOUR]: 'Asia/Tehran',
    [9.5 * HOUR]: 'Australia/Darwin',
    [-3.5 * HOUR]: 'America/St_Johns',
  };
  return usual[offset];
}

/** What may stand behind a time: up to four words that name a zone, in brackets or not; and how far is looked. */
const BEHIND_TIME = /^([\s,]*(?:in\s)?\(?)([\p{L}'-]+(?: [\p{L}'-]+){0,3})/iu;
const LOOKED_AT = 64;
/** The name of a zone in the database: "Europe/Lisbon", "Etc/GMT-2". */
const ID =
  /(?<![\p{L}\p{N}/])[A-Z][A-Za-z]+(?:\/[A-Za-z_]+(?:-[A-Za-z]+)*(?:[+-]?\d{1,2})?){1,2}(?![\p{L}\p{N}/])/gu;

/** Words that are read as a zone behind a time: its city, or its name in the database where that means another. */
export const zoneWords = (zone: string): string => {
  const city = cityOf(zone);
  return zonesByName().get(plain(city)) === zone ? `${city} time` : zone;
};

/**
 * All zones that a text may say: behind one of the places where a time ends ("14:00 Halifax", "3pm EST"), or before the
 * word "time".
 */
export function* zonesIn(
  text: string,
  timeEnds: readonly number[],
  context: LineContext,
): Generator<Candidate> {
  const slots = ['zone'] as const;
  for (const match of text.matchAll(OFFSET)) {
    const zone = zoneOfOffset(match[1]!, Number(match[2]), Number(match[3] ?? 0));
    if (zone) yield { from: match.index, to: match.index + match[0].length, score: 9, slots, said: { zone } };
  }
  const own = new Map((context.zones ?? []).map(({ name, zone }) => [plain(name), zone]));
  const zoneNamed = (name: string): string | undefined =>
    own.get(name) ?? abbreviated.get(name) ?? zonesByName().get(name);
  for (const match of text.matchAll(ID))
    if (isKnownZone(match[0]))
      yield {
        from: match.index,
        to: match.index + match[0].length,
        score: 12,
        slots,
        said: { zone: match[0] },
      };
  for (const end of new Set(timeEnds)) {
    const behind = BEHIND_TIME.exec(text.slice(end, end + LOOKED_AT));
    if (!behind) continue;
    const [lead, words] = [behind[1]!, behind[2]!.split(' ')];
    for (let count = words.length; count > 0; count--) {
      const name = words.slice(0, count).join(' ');
      const zone = zoneNamed(plain(name));
      // "9:00 mt": two letters are an abbreviation in capitals only.
      if (!zone || (name.length <= 2 && name !== name.toUpperCase())) continue;
      const nameEnd = end + lead.length + name.length;
      const time = /^\s(?:local\s)?time(?![\p{L}])/iu.exec(text.slice(nameEnd))?.[0] ?? '';
      // "14:00 in Halifax" says where, not by which clock.
      const saysIn = lead.search(/in\s/iu);
      if (saysIn >= 0 && !time) continue;
      const opens = lead.endsWith('(') ? 1 : 0;
      const to = nameEnd + time.length;
      yield {
        from: saysIn >= 0 ? end + saysIn : end + lead.length - opens,
        to: to + (opens > 0 && text[to] === ')' ? 1 : 0),
        score: 7 + (time ? 3 : 0) + count * 0.5,
        slots,
        said: { zone },
      };
      break;
    }
  }
  for (const match of text.matchAll(
    /(?<![\p{L}\p{N}])((?:[\p{L}'-]+\s+){1,3})(?:local\s+)?time(?![\p{L}\p{N}])/giu,
  )) {
    const words = match[1]!.trim().split(/\s+/);
    for (let skip = 0; skip < words.length; skip++) {
      const name = words.slice(skip).join(' ');
      const zone = zoneNamed(plain(name));
      if (!zone) continue;
      const from = match.index + match[1]!.search(new RegExp(`${name.replaceAll(/\s+/g, '\\s+')}\\s*$`, 'u'));
      const lead = /(?:in|by|at)\s+$/iu.exec(text.slice(0, from))?.[0].length ?? 0;
      yield { from: from - lead, to: match.index + match[0].length, score: 9, slots, said: { zone } };
      break;
    }
  }
}
