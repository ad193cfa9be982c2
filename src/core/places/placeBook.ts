import type { Entry } from '../model/entry';
import { type Coordinates, coordinatesOf } from '../model/geo';
import { foldText } from '../schedule/entryFilter';

/** A place as entries name it. */
export interface KnownPlace {
  /** As it is written most often, and among those most lately. */
  readonly name: string;
  /** How many entries name it; a series counts once. */
  readonly count: number;
  /** Where it is, as the entry that was changed last says it. */
  readonly coordinates?: Coordinates | undefined;
  /** When such an entry was last made or changed: an instant. */
  readonly used: number;
}

const books = new WeakMap<ReadonlyMap<string, Entry>, readonly KnownPlace[]>();

/** How a place is told apart: capitals, accents and spaces say nothing. */
const sameAs = (name: string): string => foldText(name.trim().replaceAll(/\s+/g, ' '));

interface Spelling {
  count: number;
  used: number;
  coordinates?: { readonly at: number; readonly point: Coordinates } | undefined;
}

/** All places that entries name, the most used first: learned from what was typed, once for each state of the entries. */
export function placesOf(entries: ReadonlyMap<string, Entry>): readonly KnownPlace[] {
  let book = books.get(entries);
  if (book) return book;
  const spellings = new Map<string, Map<string, Spelling>>();
  for (const { location, modified, seriesId, geo } of entries.values()) {
    const name = location.trim();
    // A changed occurrence is of a series that counts already.
    if (name === '' || seriesId !== undefined) continue;
    const same = sameAs(name);
    let known = spellings.get(same);
    if (!known) spellings.set(same, (known = new Map<string, Spelling>()));
    const spelling = known.get(name) ?? { count: 0, used: -Infinity };
    const point = coordinatesOf({ geo, location });
    known.set(name, {
      count: spelling.count + 1,
      used: Math.max(spelling.used, modified),
      coordinates:
        point && modified >= (spelling.coordinates?.at ?? -Infinity)
          ? { at: modified, point }
          : spelling.coordinates,
    });
  }
  book = [...spellings.values()].map((known) => placeOf(known)).sort(byUse);
  books.set(entries, book);
  return book;
}

function placeOf(spellings: ReadonlyMap<string, Spelling>): KnownPlace {
  const all = [...spellings];
  const [name] = all.sort(([, a], [, b]) => b.count - a.count || b.used - a.used)[0]!;
  const [said] = all.flatMap(([, { coordinates }]) => coordinates ?? []).sort((a, b) => b.at - a.at);
  return {
    name,
    ...(said ? { coordinates: said.point } : {}),
    count: all.reduce((sum, [, { count }]) => sum + count, 0),
    used: Math.max(...all.map(([, { used }]) => used)),
  };
}

const byUse = (a: KnownPlace, b: KnownPlace): number =>
  b.count - a.count || b.used - a.used || (a.name < b.name ? -1 : 1);

/**
 * Places that what is being typed may mean: those that begin with it, then those of which a word does, the most used first.
 * Nothing for nothing typed, nor the one that it is already.
 */
export function suggestedPlaces(book: readonly KnownPlace[], typed: string, most: number): KnownPlace[] {
  const looked = sameAs(typed);
  if (looked === '') return [];
  const begins: KnownPlace[] = [];
  const holds: KnownPlace[] = [];
  for (const place of book) {
    const name = sameAs(place.name);
    if (name === looked) continue;
    if (name.startsWith(looked)) begins.push(place);
    else if (name.split(/[\s,;/()-]+/).some((word) => word.startsWith(looked))) holds.push(place);
    if (begins.length >= most) break;
  }
  return [...begins, ...holds].slice(0, most);
}

/** Where a place is by its name, as any entry says it. */
export const coordinatesOfPlace = (book: readonly KnownPlace[], name: string): Coordinates | undefined =>
  book.find((place) => sameAs(place.name) === sameAs(name))?.coordinates;
