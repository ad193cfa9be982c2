import type { LaneMode } from '../model/look';
import { isRibbon, type Occurrence } from '../schedule/occurrence';
import { DAY, MINUTE } from '../time/civil';
import { type Extent, layoutColumns } from './columns';

/** The hours that lanes draw across, in minutes of the day. */
export interface LaneHours {
  readonly from: number;
  readonly to: number;
}

/** An entry in its lane; pixels. */
export interface LaneCard {
  readonly occurrence: Occurrence;
  readonly left: number;
  readonly width: number;
  readonly top: number;
  readonly height: number;
}

export interface Lane {
  readonly calendarId: string;
  readonly cards: readonly LaneCard[];
  /** Entries of the whole day, which take no place across. */
  readonly whole: readonly Occurrence[];
  readonly height: number;
}

export interface LaneSizes {
  readonly hourWidth: number;
  readonly cardHeight: number;
  readonly gap: number;
  /** The least width of a card. */
  readonly least: number;
}

/** The whole hours that the working pattern's hours and all timed entries of the day lie in. */
export function laneHours(occurrences: readonly Occurrence[], day: number, pattern: LaneHours): LaneHours {
  const timed = occurrences.filter((occurrence) => !isRibbon(occurrence));
  const minutes = (wall: number) => Math.min(1440, Math.max(0, (wall - day * DAY) / MINUTE));
  const from = Math.min(pattern.from, ...timed.map(({ startWall }) => minutes(startWall)));
  const to = Math.max(pattern.to, ...timed.map(({ endWall }) => minutes(endWall)));
  return { from: Math.floor(from / 60) * 60, to: Math.ceil(to / 60) * 60 };
}

/** Pixels from the left edge of the lanes to a minute of the day, within the drawn hours. */
export const minuteToX = (hours: LaneHours, hourWidth: number, minute: number): number =>
  ((Math.min(Math.max(minute, hours.from), hours.to) - hours.from) / 60) * hourWidth;

/** How far a card that is laid over another is set down, so that both tabs are seen. */
const LAID_OVER_STEP = 0.3;

/** The number of the row that each extent lies in, rows as few as will do. */
function rowsOf(extents: readonly Extent[]): { rowOf: Map<string, number>; count: number } {
  const ends: number[] = [];
  const rowOf = new Map<string, number>();
  const ordered = [...extents].sort((a, b) => a.start - b.start || b.end - a.end || (a.key < b.key ? -1 : 1));
  for (const { key, start, end } of ordered) {
    const free = ends.findIndex((taken) => taken <= start);
    const row = free === -1 ? ends.length : free;
    ends[row] = end;
    rowOf.set(key, row);
  }
  return { rowOf, count: ends.length };
}

/**
 * Lays out one lane of a day. Stacked, overlapping entries lie under each other and the lane grows; side by side, they share
 * its height; laid over, they keep their height and each is set down a little from the one that it covers.
 */
export function layoutLane(
  calendarId: string,
  occurrences: readonly Occurrence[],
  day: number,
  hours: LaneHours,
  mode: LaneMode,
  sizes: LaneSizes,
): Lane {
  const own = occurrences.filter((occurrence) => occurrence.calendarId === calendarId);
  const end = minuteToX(hours, sizes.hourWidth, hours.to);
  const extents = own
    .filter((occurrence) => !isRibbon(occurrence))
    .map((occurrence) => {
      const at = (wall: number) => minuteToX(hours, sizes.hourWidth, (wall - day * DAY) / MINUTE);
      const start = Math.min(at(occurrence.startWall), end - sizes.least);
      return {
        key: occurrence.key,
        occurrence,
        start,
        end: Math.max(at(occurrence.endWall), start + sizes.least),
      };
    });
  const { rowOf, count } = rowsOf(extents);
  const shares = mode === 'side-by-side' ? layoutColumns(extents) : undefined;
  const { cardHeight, gap } = sizes;
  const inner =
    mode === 'stacked'
      ? Math.max(1, count) * (cardHeight + gap) - gap
      : mode === 'laid-over'
        ? cardHeight * (1 + LAID_OVER_STEP * Math.max(0, count - 1))
        : cardHeight * (count > 1 ? 1.5 : 1);
  return {
    calendarId,
    whole: own.filter(isRibbon),
    height: inner + 2 * gap,
    cards: extents.map(({ key, occurrence, start, end: right }) => {
      const row = rowOf.get(key)!;
      const share = shares?.get(key);
      return {
        occurrence,
        left: start,
        width: right - start,
        top:
          gap +
          (share
            ? share.left * inner
            : row * (mode === 'stacked' ? cardHeight + gap : cardHeight * LAID_OVER_STEP)),
        height: share ? share.width * inner : cardHeight,
      };
    }),
  };
}

/** Lanes under each other: each with its distance from the top. */
export function stackLanes(lanes: readonly Lane[]): (Lane & { readonly top: number })[] {
  const stacked: (Lane & { top: number })[] = [];
  for (const lane of lanes) {
    const above = stacked.at(-1);
    stacked.push({ ...lane, top: above ? above.top + above.height : 0 });
  }
  return stacked;
}
