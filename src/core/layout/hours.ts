import { DAY, MINUTE } from '../time/civil';
import { isRibbon, type Occurrence } from '../schedule/occurrence';
import type { ClockChange } from '../time/clockChange';
import { type Extent, fitColumns, layoutColumns, type Placement, type Room } from './columns';

/**
 * What the hours of a day look like down a column. Its minutes are those of the wall clock, but for an hour that a clock
 * change of a shown day repeats: there the later pass has minutes of its own, and whatever follows is later by as much.
 */
export interface HoursScale {
  /** The unfolded minutes. */
  readonly from: number;
  readonly to: number;
  readonly foldedBefore: boolean;
  readonly foldedAfter: boolean;
  /** Pixels of an hour and of a folded band. */
  readonly hourHeight: number;
  readonly foldHeight: number;
  /** The minute at which the clock of a shown day goes back, and by how many minutes. */
  readonly repeated?: { readonly at: number; readonly length: number } | undefined;
}

/** The minutes of the longest shown day: 1440, or more where a clock change repeats some. */
export const dayMinutes = (scale: Pick<HoursScale, 'repeated'>): number =>
  1440 + (scale.repeated?.length ?? 0);

/** The scale's minute for a minute of the wall clock. `isLater`: of the two times that a change repeats, the later one. */
export function scaleMinute(
  { repeated }: Pick<HoursScale, 'repeated'>,
  wallMinute: number,
  isLater = false,
): number {
  return repeated && (wallMinute >= repeated.at || isLater) ? wallMinute + repeated.length : wallMinute;
}

/** The minute of the wall clock that a minute of the scale stands for. */
export const wallMinute = ({ repeated }: Pick<HoursScale, 'repeated'>, minute: number): number =>
  repeated && minute >= repeated.at ? minute - repeated.length : minute;

/** The scale's minute of a wall time of a day at an instant. */
export function minuteOfInstant(
  scale: Pick<HoursScale, 'repeated'>,
  day: number,
  wall: number,
  instant: number,
  change: ClockChange | undefined,
): number {
  const minute = (wall - day * DAY) / MINUTE;
  const isLater =
    change?.kind === 'repeated' &&
    instant >= change.instant &&
    minute >= change.at - change.length &&
    minute < change.at;
  return scaleMinute(scale, minute, isLater);
}

/**
 * Which folded hours hide a time whole on the day that it begins on, whether they stand open or not: those before the
 * scale's hours, or those after. A time of whole days is hidden by none.
 */
export function foldsOver(
  scale: Pick<HoursScale, 'from' | 'to' | 'repeated'>,
  { startWall, endWall, allDay }: { startWall: number; endWall: number; allDay: boolean },
): { readonly before: boolean; readonly after: boolean } {
  const midnight = Math.floor(startWall / DAY) * DAY;
  const from = scaleMinute(scale, (startWall - midnight) / MINUTE);
  const to = scaleMinute(scale, (endWall - midnight) / MINUTE);
  return { before: !allDay && to <= scale.from, after: !allDay && from >= scale.to };
}

/** The minutes of the scale that an occurrence takes of a day, half-open; beyond the day where it reaches beyond. */
export function minutesOf(
  scale: Pick<HoursScale, 'repeated'>,
  day: number,
  { start, end, startWall, endWall }: Occurrence,
  change: ClockChange | undefined,
): { readonly from: number; readonly to: number } {
  // What ends as the clock leaps ahead does not take the hour that is left out.
  const endsAtLeap = change?.kind === 'skipped' && end === change.instant && start < end;
  return {
    from: minuteOfInstant(scale, day, startWall, start, change),
    to: endsAtLeap ? scaleMinute(scale, change.at) : minuteOfInstant(scale, day, endWall, end, change),
  };
}

/**
 * The minutes of the scale that a day has not, half-open: those that its clock skips, or that only the clock of another
 * shown day repeats.
 */
export function missingMinutes(
  scale: Pick<HoursScale, 'repeated'>,
  change: ClockChange | undefined,
): { readonly from: number; readonly to: number } | undefined {
  if (change?.kind === 'skipped') {
    const from = scaleMinute(scale, change.at);
    return { from, to: from + change.length };
  }
  const { repeated } = scale;
  return repeated && !change ? { from: repeated.at, to: repeated.at + repeated.length } : undefined;
}

/** The first and last minute that is drawn to scale. */
export const drawnMinutes = (scale: HoursScale): { from: number; to: number } => ({
  from: scale.foldedBefore ? scale.from : 0,
  to: scale.foldedAfter ? scale.to : dayMinutes(scale),
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
  return minuteToY(scale, dayMinutes(scale)) + (scale.foldedAfter ? scale.foldHeight : 0);
}

/** A minute rounded to a grid step. */
export const snapMinute = (minute: number, step: number): number => Math.round(minute / step) * step;

/** A card of one day: a piece of an occurrence with its place. */
export interface DayCard {
  readonly occurrence: Occurrence;
  /** Minutes of the scale, half-open. */
  readonly from: number;
  readonly to: number;
  readonly top: number;
  readonly height: number;
  readonly across: Placement;
  /** Whether the occurrence begins or ends on another day. */
  readonly continuesBefore: boolean;
  readonly continuesAfter: boolean;
}

/** Entries that have no room beside the others of their hour; pixels from the top. */
export interface Crowd {
  readonly top: number;
  /** How many are left out. */
  readonly count: number;
  /** All that lie there, shown or not. */
  readonly all: readonly Occurrence[];
}

/** The room of a day's column: how many cards beside each other can say something. */
export interface ColumnRoom extends Room {
  /** The share of the width that the number of those left out takes, beside the cards. */
  readonly reserve: number;
  /** The keys of entries that are never left out. */
  readonly stays: ReadonlySet<string>;
}

/** The cards of a day, and how many entries its folds hide. */
export interface DayLayout {
  readonly cards: readonly DayCard[];
  readonly crowds: readonly Crowd[];
  readonly hiddenBefore: number;
  readonly hiddenAfter: number;
}

/** The least height of a card, in pixels: a tab and a line of text. */
const LEAST_CARD_HEIGHT = 20;

/**
 * Lays out the timed occurrences of a day. Cards are compared as they are drawn, so that a five-minute entry
 * with its least height is not drawn over the next one.
 * @param change the change of the clock on that day, if there is one
 * @param room how many cards have room beside each other; as many as there are without it
 */
export function layoutDay(
  occurrences: readonly Occurrence[],
  day: number,
  scale: HoursScale,
  change?: ClockChange,
  room: ColumnRoom = ENOUGH_ROOM,
): DayLayout {
  const length = dayMinutes(scale);
  const drawn = drawnMinutes(scale);
  const bottom = minuteToY(scale, drawn.to);
  let hiddenBefore = 0;
  let hiddenAfter = 0;
  const pieces: (Omit<DayCard, 'across'> & Extent)[] = [];
  for (const occurrence of occurrences) {
    if (isRibbon(occurrence)) continue;
    const { from, to } = minutesOf(scale, day, occurrence, change);
    if (from >= length || to < 0 || (to === 0 && from < 0)) continue;
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
      to: Math.min(length, to),
      top: start,
      height: end - start,
      continuesBefore: from < 0,
      continuesAfter: to > length,
    });
  }
  const { shown, crowds, crowded } = fitColumns(pieces, room, ({ key }) => room.stays.has(key));
  const across = layoutColumns(shown);
  const cards = shown.map(({ key, start, end, ...card }) => {
    const placement = across.get(key)!;
    const share = crowded.has(key) ? 1 - room.reserve : 1;
    return { ...card, across: { left: placement.left * share, width: placement.width * share } };
  });
  return {
    cards,
    crowds: crowds.map(({ start, left, all }) => ({
      top: start,
      count: left.length,
      all: all.map(({ occurrence }) => occurrence),
    })),
    hiddenBefore,
    hiddenAfter,
  };
}

const ENOUGH_ROOM: ColumnRoom = { most: Infinity, mostCrowded: Infinity, reserve: 0, stays: new Set() };
