import { isAtPlace } from '../places/placeName';
import type { Occurrence } from '../schedule/occurrence';
import type { OccurrenceFilter, OccurrenceIndex } from '../schedule/occurrenceIndex';
import { DAY } from '../time/civil';
import { isOff } from '../schedule/standing';
import { plainAddress } from '../model/emailAddress';

/** So far ahead and back entries with somebody are looked for, in days, and so many of them are told. */
const REACH = 400;
const MOST = 5;

/** The next entries with somebody and the last ones, the nearest first. */
export interface EntriesWith {
  readonly next: readonly Occurrence[];
  readonly last: readonly Occurrence[];
}

/** Whom entries are with, by addresses, or where they are, by the name of a place as it is written. */
export interface Subject {
  readonly addresses: readonly string[];
  /** With it, entries at the place count, with an address after it too. */
  readonly place?: string | undefined;
}

/** What occurs with somebody: who is invited or has invited under one of their addresses; or what is held at a place. */
export function entriesWith(
  index: OccurrenceIndex,
  { addresses, place }: Subject,
  now: number,
  zone: string,
  filter: OccurrenceFilter,
): EntriesWith {
  const own = new Set(addresses.map(plainAddress));
  const only = new Set<string>();
  for (const { id, attendees = [], organizer, location, seriesId } of index.all()) {
    const isWith =
      attendees.some(({ address }) => own.has(plainAddress(address))) ||
      (organizer !== undefined && own.has(plainAddress(organizer.address))) ||
      (place !== undefined && isAtPlace(location, place));
    if (!isWith) continue;
    only.add(id);
    // A change that holds from an occurrence on is shown by its series.
    if (seriesId !== undefined) only.add(seriesId);
  }
  if (only.size === 0) return { next: [], last: [] };
  const range = { start: now - REACH * DAY, end: now + REACH * DAY };
  const all = index.between(range, zone, filter, only).filter((each) => !isOff(each));
  return {
    next: all.filter(({ end }) => end > now).slice(0, MOST),
    last: all
      .filter(({ end }) => end <= now)
      .reverse()
      .slice(0, MOST),
  };
}
