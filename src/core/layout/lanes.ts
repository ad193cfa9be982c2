import type { LaneMode } from '../model/look';
import { isRibbon, type Occurrence } from '../schedule/occurrence';
import type { ClockChange } from '../time/clockChange';
import { type Extent, layoutColumns } from './columns';
import { DAY, MINUTE } from '../time/civil';
import { dayMinutes, type HoursScale, minutesOf, scaleMinute } from './hours';

/** The hours that lanes draw across: minutes of the scale, half-open (see `HoursScale`). */
export type LaneHours = Pick<HoursScale, 'from' | 'to' | 'repeated'>;

/** An entry in its lane; pixels. */
export interface LaneCard {
  readonly occurrence: Occurrence;
  readonly left: number;
  readonly width: number;
  readonly top: number;
  readonly height: number;
}

/** What a lane is for, whatever it is: a calendar, a person, a room. */
export interface LaneSubject {
  readonly id: string;
  /** Whether an occurrence lies in it. */
  readonly holds: (occurrence: Occurrence) => boolean;
}

export interface Lane {
  /** That of its subject. */
  readonly id: string;
  readonly cards: readonly LaneCard[];
  /** Entries of the whole day, which take no place across. */
  readonly whole: readonly Occurrence[];
  readonly height: number;
}

export interface LaneSizes {
  readonly hourWidth: number;
  readonly cardHeight: number;
  readonly gap: number;
  /** The least width of a card, and the least height that has room for its title. */
  readonly least: number;
  readonly leastHeight: number;
  /** The height of an entry of the whole day, under the cards. */
  readonly wholeHeight: number;
}

/**
 * The whole hours that the working pattern's hours and all timed entries of the day lie in.
 * @param pattern minutes of the wall clock
 * @param change the change of the clock on that day, if there is one
 */
export function laneHours(
  occurrences: readonly Occurrence[],
  day: number,
  pattern: { readonly from: number; readonly to: number },
  change?: ClockChange,
): LaneHours {
  const repeated = change?.kind === 'repeated' ? { at: change.at, length: change.length } : undefined;
  const taken = occurrences
    .filter((occurrence) => !isRibbon(occurrence))
    .map((occurrence) => minutesOf({ repeated }, day, occurrence, change));
  const within = (minute: number) => Math.min(dayMinutes({ repeated }), Math.max(0, minute));
  const from = within(Math.min(scaleMinute({ repeated }, pattern.from), ...taken.map((each) => each.from)));
  const to = within(Math.max(scaleMinute({ repeated }, pattern.to), ...taken.map((each) => each.to)));
  return { from: Math.floor(from / 60) * 60, to: Math.ceil(to / 60) * 60, repeated };
}

/** Whether an entry of a day and longer takes all of the drawn hours of a day: on its first and last it may not. */
const takesDay = (occurrence: Occurrence, day: number, { from, to }: LaneHours): boolean =>
  occurrence.allDay ||
  occurrence.endWall <= day * DAY + from * MINUTE ||
  occurrence.startWall >= day * DAY + to * MINUTE ||
  (occurrence.startWall <= day * DAY + from * MINUTE && occurrence.endWall >= day * DAY + to * MINUTE);

/** Pixels from the left edge of the lanes to a minute of the scale, within the drawn hours. */
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
 * @param change the change of the clock on that day, if there is one
 */
export function layoutLane(
  { id, holds }: LaneSubject,
  occurrences: readonly Occurrence[],
  day: number,
  hours: LaneHours,
  mode: LaneMode,
  sizes: LaneSizes,
  change?: ClockChange,
): Lane {
  const own = occurrences.filter(holds);
  const isWhole = (occurrence: Occurrence) => isRibbon(occurrence) && takesDay(occurrence, day, hours);
  const end = minuteToX(hours, sizes.hourWidth, hours.to);
  const extents = own
    .filter((occurrence) => !isWhole(occurrence))
    .map((occurrence) => {
      const { from, to } = minutesOf(hours, day, occurrence, change);
      const x = (minute: number) => minuteToX(hours, sizes.hourWidth, minute);
      const start = Math.min(x(from), end - sizes.least);
      return {
        key: occurrence.key,
        occurrence,
        start,
        end: Math.max(x(to), start + sizes.least),
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
        : Math.max(cardHeight * (count > 1 ? 1.5 : 1), count * sizes.leastHeight);
  const whole = own.filter(isWhole);
  return {
    id,
    whole,
    height: inner + 2 * gap + whole.length * sizes.wholeHeight,
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

/** The minute of the scale at so many pixels from the left edge of the lanes, within the drawn hours. */
export const xToMinute = (hours: LaneHours, hourWidth: number, x: number): number =>
  Math.min(hours.to, Math.max(hours.from, hours.from + (x / hourWidth) * 60));

/** Lanes under each other: each with its distance from the top. */
export function stackLanes(lanes: readonly Lane[]): (Lane & { readonly top: number })[] {
  const stacked: (Lane & { top: number })[] = [];
  for (const lane of lanes) {
    const above = stacked.at(-1);
    stacked.push({ ...lane, top: above ? above.top + above.height : 0 });
  }
  return stacked;
}
