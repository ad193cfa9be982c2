import type { Entry } from '../model/entry';
import { type Coordinates, coordinatesOf } from '../model/geo';
import { nameAndAddress, samePlace } from './placeName';

/** A place as entries name it. */
export interface KnownPlace {
  /** As it is written most often, and among those most lately. */
  readonly name: string;
  /** How many entries name it; a series counts once. */
  readonly count: number;
  /** Its address, where it was also written with one after its name: the one of late. */
  readonly address?: string | undefined;
  /** Where it is, as the entry that was changed last says it. */
  readonly coordinates?: Coordinates | undefined;
  /** When such an entry was last made or changed: an instant. */
  readonly used: number;
}

const books = new WeakMap<ReadonlyMap<string, Entry>, readonly KnownPlace[]>();

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
    const same = samePlace(name);
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
  const merged = withAddresses(spellings);
  book = [...merged].map(([same, known]) => placeOf(known, same)).sort(byUse);
  books.set(entries, book);
  return book;
}

/** Places that are written with an address after the name of another are that one. */
function withAddresses(
  spellings: ReadonlyMap<string, ReadonlyMap<string, Spelling>>,
): ReadonlyMap<string, ReadonlyMap<string, Spelling>> {
  const merged = new Map<string, ReadonlyMap<string, Spelling>>();
  for (const [same, known] of spellings) {
    const name = samePlace(nameAndAddress(same).name);
    const own = name !== same && spellings.has(name) ? name : same;
    merged.set(own, new Map([...(merged.get(own) ?? []), ...known]));
  }
  return merged;
}

/** @param same how the place is told apart */
function placeOf(spellings: ReadonlyMap<string, Spelling>, same: string): KnownPlace {
  const all = [...spellings];
  const isPlain = ([name]: readonly [string, Spelling]): boolean => samePlace(name) === same;
  const [addressed] = all.filter((each) => !isPlain(each)).sort(([, a], [, b]) => b.used - a.used);
  const address = addressed && nameAndAddress(addressed[0]).address;
  const [name] = all.filter(isPlain).sort(([, a], [, b]) => b.count - a.count || b.used - a.used)[0]!;
  const [said] = all.flatMap(([, { coordinates }]) => coordinates ?? []).sort((a, b) => b.at - a.at);
  return {
    name,
    ...(address ? { address } : {}),
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
  const looked = samePlace(typed);
  if (looked === '') return [];
  const begins: KnownPlace[] = [];
  const holds: KnownPlace[] = [];
  for (const place of book) {
    const name = samePlace(place.name);
    if (name === looked) continue;
    if (name.startsWith(looked)) begins.push(place);
    else if (name.split(/[\s,;/()-]+/).some((word) => word.startsWith(looked))) holds.push(place);
    if (begins.length >= most) break;
  }
  return [...begins, ...holds].slice(0, most);
}

/** A place by what is written of it: its name, or its name with an address after it. */
export function placeNamed(book: readonly KnownPlace[], written: string): KnownPlace | undefined {
  const names = [samePlace(written), samePlace(nameAndAddress(written).name)];
  return names
    .map((same) => book.find((place) => samePlace(place.name) === same))
    .find((place) => place !== undefined);
}

/** Where a place is by its name, as any entry says it. */
export const coordinatesOfPlace = (book: readonly KnownPlace[], name: string): Coordinates | undefined =>
  placeNamed(book, name)?.coordinates;
