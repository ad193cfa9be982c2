import { DAY, MINUTE } from '../../time/civil';
import { instantToWall, wallToInstant } from '../../time/zones';
import { GapSearch } from './findGaps';
import type { GapQuery, SeriesWish } from './gapQuery';
import { SLOT } from './timeline';

/** A date of a series that does not suit all: of those who can't come, or a day off. */
interface SeriesException {
  readonly start: number;
  readonly missing: readonly string[];
}

/** A weekday and an hour at which something could be held again and again. */
export interface SeriesSlot {
  /** The first date: instants, half-open. */
  readonly start: number;
  readonly end: number;
  /** How many of the dates suit all who have to come. */
  readonly suits: number;
  readonly dates: number;
  readonly exceptions: readonly SeriesException[];
  /** Of how many dates it is not known of somebody whether they can. */
  readonly unknown: number;
}

/** So many are proposed, and so many for one weekday. */
const MOST = 8;
const MOST_A_DAY = 2;
/** A series begins on the quarter of an hour, in minutes. */
const QUARTER = 15;

interface Candidate extends SeriesSlot {
  readonly cost: number;
}

/**
 * The weekdays and hours that suit the most of the coming dates of a series, the best first; its exceptions are named. Dates are
 * on one clock, also over its changes.
 * @param query its range has room for all dates; those beyond it are not looked at
 */
export function findSeriesSlots(query: GapQuery, { everyWeeks, dates }: SeriesWish): SeriesSlot[] {
  const search = new GapSearch(query);
  const { slots, timelines } = search;
  const period = everyWeeks * 7 * DAY;
  const candidates: Candidate[] = [];
  const slotAt = (instant: number): number => Math.round((instant - slots.from) / SLOT);
  for (let slot = 0; slot < Math.min(slots.count, period / SLOT); slot++) {
    const start = slots.from + slot * SLOT;
    const wall = instantToWall(query.zone, start);
    if ((wall / MINUTE) % QUARTER !== 0) continue;
    const exceptions: SeriesException[] = [];
    let [suits, unknown, cost] = [0, 0, 0];
    for (let date = 0; date < dates; date++) {
      const instant = wallToInstant(query.zone, wall + date * period);
      const at = slotAt(instant);
      if (at + search.length > slots.count) break;
      const missing = search.mayBegin(at) ? search.missingAt(at)! : undefined;
      if (missing?.length === 0) {
        suits++;
        cost += search.costAt(at, missing);
        if (timelines.some((timeline) => timeline.isUnknown(at, at + search.length))) unknown++;
      } else exceptions.push({ start: instant, missing: missing ?? [] });
    }
    if (suits > 0)
      candidates.push({
        start,
        end: start + search.length * SLOT,
        suits,
        dates: suits + exceptions.length,
        exceptions,
        unknown,
        cost: cost / suits,
      });
  }
  candidates.sort((a, b) => b.suits - a.suits || a.cost - b.cost || a.start - b.start);
  const chosen: Candidate[] = [];
  for (const candidate of candidates) {
    const day = Math.floor(instantToWall(query.zone, candidate.start) / DAY);
    const sameDay = chosen.filter(({ start }) => Math.floor(instantToWall(query.zone, start) / DAY) === day);
    const isBeside = sameDay.some(({ start }) => Math.abs(start - candidate.start) < search.length * SLOT);
    if (isBeside || sameDay.length >= MOST_A_DAY) continue;
    chosen.push(candidate);
    if (chosen.length === MOST) break;
  }
  return chosen.map(({ cost: _, ...slot }) => slot);
}
