import { DAY, MINUTE } from '../time/civil';
import { isRibbon, type Occurrence } from '../schedule/occurrence';
import { type Extent, layoutColumns, type Placement } from './columns';

/** What the hours of a day look like down a column. */
export interface HoursScale {
  /** The unfolded minutes of the wall clock. */
  readonly from: number;
  readonly to: number;
  readonly foldedBefore: boolean;
  readonly foldedAfter: boolean;
  /** Pixels of an hour and of a folded band. */
  readonly hourHeight: number;
  readonly foldHeight: number;
}

/** The first and last minute that is drawn to scale. */
export const drawnMinutes = (scale: HoursScale): { from: number; to: number } => ({
  from: scale.foldedBefore ? scale.from : 0,
  to: scale.foldedAfter ? scale.to : 1440,
});

/** Pixels from the top of the hours to a minute of the day. Inside a fold, its edge towards the open hours. */
export function minuteToY(scale: HoursScale, minute: number): number {
  const drawn = drawnMinutes(scale);
  const top = scale.foldedBefore ? scale.foldHeight : 0;
  const clamped = Math.min(Math.max(minute, drawn.from), drawn.to);
  return top + ((clamped - drawn.from) / 60) * scale.hourHeight;
}

/** The minute of the day at a pixel, within the drawn hours. */
export function yToMinute(scale: HoursScale, y: number): number {
  const drawn = drawnMinutes(scale);
  const top = scale.foldedBefore ? scale.foldHeight : 0;
  const minute = drawn.from + ((y - top) / scale.hourHeight) * 60;
  return Math.min(Math.max(minute, drawn.from), drawn.to);
}

/** The height of all hours with their folds. */
export function hoursHeight(scale: HoursScale): number {
  return minuteToY(scale, 1440) + (scale.foldedAfter ? scale.foldHeight : 0);
}

/** A minute rounded to a grid step. */
export const snapMinute = (minute: number, step: number): number => Math.round(minute / step) * step;

/** A card of one day: a piece of an occurrence with its place. */
export interface DayCard {
  readonly occurrence: Occurrence;
  /** Minutes of the day, half-open. */
  readonly from: number;
  readonly to: number;
  readonly top: number;
  readonly height: number;
  readonly across: Placement;
  /** Whether the occurrence begins or ends on another day. */
  readonly continuesBefore: boolean;
  readonly continuesAfter: boolean;
}

/** The cards of a day, and how many entries its folds hide. */
export interface DayLayout {
  readonly cards: readonly DayCard[];
  readonly hiddenBefore: number;
  readonly hiddenAfter: number;
}

/** The least height of a card, in pixels: a tab and a line of text. */
export const LEAST_CARD_HEIGHT = 20;

/**
 * Lays out the timed occurrences of a day. Cards are compared as they are drawn, so that a five-minute entry
 * with its least height is not drawn over the next one.
 */
export function layoutDay(occurrences: readonly Occurrence[], day: number, scale: HoursScale): DayLayout {
  const drawn = drawnMinutes(scale);
  const bottom = minuteToY(scale, drawn.to);
  let hiddenBefore = 0;
  let hiddenAfter = 0;
  const pieces: (Omit<DayCard, 'across'> & Extent)[] = [];
  for (const occurrence of occurrences) {
    if (isRibbon(occurrence)) continue;
    const from = (occurrence.startWall - day * DAY) / MINUTE;
    // An end before the start on the wall clock: the clock was set back meanwhile.
    const length = (occurrence.end - occurrence.start) / MINUTE;
    const wallTo = (occurrence.endWall - day * DAY) / MINUTE;
    const to = wallTo > from || length === 0 ? wallTo : from + length;
    if (from >= 1440 || to < 0 || (to === 0 && from < 0)) continue;
    if (to <= drawn.from && from < drawn.from) {
      hiddenBefore++;
      continue;
    }
    if (from >= drawn.to) {
      hiddenAfter++;
      continue;
    }
    const start = Math.min(minuteToY(scale, from), bottom - LEAST_CARD_HEIGHT);
    const end = Math.max(minuteToY(scale, to), start + LEAST_CARD_HEIGHT);
    pieces.push({
      key: occurrence.key,
      start,
      end,
      occurrence,
      from: Math.max(0, from),
      to: Math.min(1440, to),
      top: start,
      height: end - start,
      continuesBefore: from < 0,
      continuesAfter: to > 1440,
    });
  }
  const across = layoutColumns(pieces);
  const cards = pieces.map(({ key, start, end, ...card }) => ({ ...card, across: across.get(key)! }));
  return { cards, hiddenBefore, hiddenAfter };
}
