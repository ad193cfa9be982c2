import { isOnline } from '../model/attendees';
import { type CalendarEvent, type Entry, isEvent } from '../model/entry';
import type { Coordinates } from '../model/geo';
import { DAY } from '../time/civil';
import { instantOf, wallOf } from '../time/eventTime';
import { coordinatesOfPlace, placesOf } from './placeBook';
import { isAtPlace, nameAndAddress, samePlace } from './placeName';

/** A way to a place and back that was written down before. */
interface WayBefore {
  readonly to: string;
  /** Where one came from: the place of the entry before it on that day, where there was one. */
  readonly from: string | undefined;
  readonly there: number;
  readonly back: number;
}

/** What a proposed way is known from: entries at the place, some of them after the same other place, or the distance. */
export type TravelReason =
  | { readonly kind: 'before'; readonly count: number; readonly from?: string | undefined }
  | { readonly kind: 'distance'; readonly kilometres: number; readonly from: string };

/** A way there and back, in minutes, and what it is known from. */
export interface TravelProposal {
  readonly there: number;
  readonly back: number;
  readonly reason: TravelReason;
}

/** How much longer a road is than the straight line, and how fast one gets on, in kilometres an hour: both are guesses. */
const ROAD = 1.3;
export const ROAD_SPEED = 50;
/** Farther than so many kilometres nobody can tell how one travels. */
const FARTHEST = 400;
/** A guess is no finer than so many minutes. */
const ROUNDED_TO = 5;
const EARTH_RADIUS = 6371;

const ways = new WeakMap<ReadonlyMap<string, Entry>, readonly WayBefore[]>();

const isSomewhere = (event: CalendarEvent): boolean => event.location.trim() !== '' && !isOnline(event);

/** All ways of entries, gathered once for each state of them. */
function waysOf(entries: ReadonlyMap<string, Entry>): readonly WayBefore[] {
  let known = ways.get(entries);
  if (known) return known;
  const timed = [...entries.values()]
    .filter(isEvent)
    .filter((event) => event.start.kind !== 'date' && isSomewhere(event));
  const byDay = new Map<number, CalendarEvent[]>();
  for (const event of timed) {
    const day = Math.floor(wallOf(event.start) / DAY);
    const others = byDay.get(day);
    if (others) others.push(event);
    else byDay.set(day, [event]);
  }
  known = timed.flatMap((event): WayBefore[] => {
    const { there = 0, back = 0 } = event.travel ?? {};
    if (there + back === 0) return [];
    const start = instantOf(event.start, 'UTC');
    const before = byDay
      .get(Math.floor(wallOf(event.start) / DAY))!
      .filter((other) => other !== event && instantOf(other.end, 'UTC') <= start)
      .sort((a, b) => instantOf(b.end, 'UTC') - instantOf(a.end, 'UTC'))[0];
    return [{ to: event.location, from: before?.location, there, back }];
  });
  ways.set(entries, known);
  return known;
}

/** The middle of some numbers, the lower of two. */
const middle = (numbers: readonly number[]): number =>
  [...numbers].sort((a, b) => a - b)[Math.floor((numbers.length - 1) / 2)] ?? 0;

/** How far two points are from each other over the ground in a straight line, in kilometres. */
export function distanceBetween(a: Coordinates, b: Coordinates): number {
  const radians = (degrees: number): number => (degrees * Math.PI) / 180;
  const [north, south] = [radians(a.latitude), radians(b.latitude)];
  const half =
    Math.sin((south - north) / 2) ** 2 +
    Math.cos(north) * Math.cos(south) * Math.sin(radians(b.longitude - a.longitude) / 2) ** 2;
  return 2 * EARTH_RADIUS * Math.asin(Math.min(1, Math.sqrt(half)));
}

/**
 * Ways to a place as far as anything is known of them, the best known first: as they were written after being at the same
 * place before, as they were written at all, and by the straight distance, which is a guess by road.
 * @param from where one comes from, where that is known
 */
export function travelProposals(
  entries: ReadonlyMap<string, Entry>,
  to: string,
  from: string | undefined,
): TravelProposal[] {
  const place = nameAndAddress(to).name;
  if (place === '') return [];
  const proposals: TravelProposal[] = [];
  const before = waysOf(entries).filter((way) => isAtPlace(way.to, place));
  const propose = (some: readonly WayBefore[], reason: Omit<TravelReason & { kind: 'before' }, 'count'>) => {
    if (some.length === 0) return;
    const [there, back] = [middle(some.map((way) => way.there)), middle(some.map((way) => way.back))];
    if (proposals.some((other) => other.there === there && other.back === back)) return;
    proposals.push({ there, back, reason: { ...reason, count: some.length } });
  };
  const start = from === undefined ? '' : nameAndAddress(from).name;
  if (start !== '') {
    const same = before.filter((way) => way.from !== undefined && isAtPlace(way.from, start));
    propose(same, { kind: 'before', from: start });
  }
  propose(before, { kind: 'before' });
  const book = placesOf(entries);
  const [a, b] = [start === '' ? undefined : coordinatesOfPlace(book, start), coordinatesOfPlace(book, to)];
  if (a && b && samePlace(start) !== samePlace(place)) {
    const kilometres = distanceBetween(a, b);
    const minutes = Math.max(
      ROUNDED_TO,
      Math.round(((kilometres * ROAD) / ROAD_SPEED) * (60 / ROUNDED_TO)) * ROUNDED_TO,
    );
    if (kilometres <= FARTHEST)
      proposals.push({
        there: minutes,
        back: minutes,
        reason: { kind: 'distance', kilometres, from: start },
      });
  }
  return proposals;
}
