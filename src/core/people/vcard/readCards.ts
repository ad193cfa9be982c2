import ICAL from 'ical.js';
import {
  componentTree,
  type ComponentLines,
  contentLines,
  fileText,
} from '../../interchange/icalendar/fileText';
import { FileError, LARGEST_FILE, type ReadProblem } from '../../interchange/icalendar/problems';
import type { JCalProperty } from '../../model/jcal';
import { Person } from '../../model/person';
import { isKnownZone } from '../../time/zones';
import { withoutMailto } from '../../model/emailAddress';

/** The largest file of cards that is read, in bytes, and the most cards of one: pictures in them make them long. */
export const LARGEST_CARDS = Math.min(LARGEST_FILE, 40 * 1024 * 1024);
const MOST_CARDS = 20_000;

/** What a card says of somebody: all but what is known of the record. */
export type CardPerson = Omit<Person, 'id' | 'created' | 'modified'>;

export interface ReadCards {
  readonly people: readonly CardPerson[];
  /** Lines and cards that could not be read, and why. */
  readonly problems: readonly ReadProblem[];
}

/** Properties whose meaning a person's fields have; all others survive as they are. */
const READ = new Set(
  'version fn kind email role title adr tz note categories fburl x-seats x-equipment prodid rev'.split(' '),
);

/**
 * The people and rooms of a file of cards: vCard 4 (RFC 6350) and 3 (RFC 2426).
 * @throws FileError if it is no such file, or more than is read
 */
export function readCards(bytes: Uint8Array): ReadCards {
  const cards = componentTree(contentLines(fileText(bytes, LARGEST_CARDS)), 'VCARD');
  if (cards.length > MOST_CARDS) throw new FileError('too-large');
  const problems: ReadProblem[] = [];
  const people = cards.flatMap((card) => {
    const properties = card.properties.flatMap((line): JCalProperty[] => {
      try {
        return [readProperty(line.text, isVersion3(card))];
      } catch {
        problems.push({ line: line.line, code: 'unreadable-line', detail: line.text.slice(0, 120) });
        return [];
      }
    });
    const person = personOf(properties);
    if (!person) problems.push({ line: card.line, code: 'unreadable-entry', detail: 'VCARD' });
    return person ?? [];
  });
  return { people, problems };
}

const isVersion3 = ({ properties }: ComponentLines): boolean =>
  properties.some(({ text }) => /^VERSION:\s*[23]/i.test(text));

const ZONE = /^(?:[A-Z0-9-]+\.)?TZ(?:;[^:]*)?:(.*)$/i;
const NAMED = /^(?:[A-Z0-9-]+\.)?[A-Z0-9-]+[;:]/i;

function readProperty(text: string, isOld: boolean): JCalProperty {
  // A zone's name is no offset, whatever version the card is of.
  const zone = ZONE.exec(text);
  if (zone) return ['tz', {}, 'text', zone[1]!.trim()];
  if (!NAMED.test(text)) throw new Error('no name');
  const { vcard, vcard3 } = ICAL.design;
  const property = ICAL.parse.property(text, isOld ? vcard3 : vcard) as JCalProperty;
  if (typeof property[2] !== 'string' || property.length < 4) throw new Error('no value');
  return property;
}

/** How far before others an address of a card stands: its PREF (RFC 6350 5.3), or that it is preferred at all. */
function rankOf([, { pref, type }]: JCalProperty): number {
  const isPreferred = [type ?? []].flat().some((each) => each.toLowerCase() === 'pref');
  return Number([pref].flat()[0] ?? (isPreferred ? 1 : 101)) || 101;
}

function personOf(properties: readonly JCalProperty[]): CardPerson | undefined {
  const all = (name: string): JCalProperty[] => properties.filter((property) => property[0] === name);
  const text = (name: string): string => String(all(name)[0]?.[3] ?? '').trim();
  const texts = (name: string): string[] =>
    all(name)
      .flatMap((property) => property.slice(3).map((value) => String(value).trim()))
      .filter(Boolean);
  const addresses = all('email')
    .map((property, at) => ({ address: String(property[3]).trim(), rank: rankOf(property), at }))
    .sort((a, b) => a.rank - b.rank || a.at - b.at)
    .map(({ address }) => withoutMailto(address))
    .filter(Boolean);
  const structured = all('adr')[0]?.[3];
  const locality = Array.isArray(structured) ? [structured[3]].flat().join(' ') : '';
  const kind = (text('kind') || text('x-kind')).toLowerCase();
  const seats = Number(text('x-seats'));
  const zone = text('tz');
  const kept = properties.filter(([name]) => !READ.has(name) && name !== 'x-kind');
  const person = Person.omit({ id: true, created: true, modified: true }).safeParse({
    kind: kind === 'location' ? 'room' : 'colleague',
    name: text('fn') || addresses[0] || '',
    addresses: [...new Set(addresses)],
    role: text('role') || text('title'),
    place: locality.trim(),
    ...(isKnownZone(zone) ? { zone } : {}),
    ...(text('x-seats') !== '' && Number.isInteger(seats) ? { seats } : {}),
    equipment: texts('x-equipment'),
    notes: text('note'),
    groups: [...new Set(texts('categories'))],
    ...(text('fburl') === '' ? {} : { busyAddress: text('fburl') }),
    ...(kept.length > 0 ? { preserved: { properties: kept, components: [] } } : {}),
  });
  return person.success ? person.data : undefined;
}
