import { startOfWeek } from '../time/civil';

/** The least width of a week in the strip, in pixels. */
const LEAST_WEEK = 64;

/** How many weeks a strip of a width shows: at least three. */
export const weeksIn = (width: number): number => Math.max(3, Math.floor(width / LEAST_WEEK));

/**
 * The first week, by the day number of its first day, that a strip shows so that a range of days lies in it: the one it
 * shows already where that will do, else as little further as it takes, with a week to spare.
 * @param shown the first week that is shown now; undefined at the start, when the range comes to lie a third into it
 */
export function firstWeekFor(
  shown: number | undefined,
  weeks: number,
  range: { readonly first: number; readonly last: number },
  weekStart: number,
): number {
  const from = startOfWeek(range.first, weekStart);
  const to = startOfWeek(range.last, weekStart);
  if (shown === undefined) return from - 7 * Math.floor(weeks / 3);
  const spare = weeks > 5 ? 7 : 0;
  // Of a range that is longer than the strip, the beginning is shown.
  if (to - from > 7 * (weeks - 1) - 2 * spare) return from - spare;
  if (from - spare < shown) return from - spare;
  const lastShown = shown + 7 * (weeks - 1);
  if (to + spare > lastShown) return Math.min(from, to + spare - 7 * (weeks - 1));
  return shown;
}

/** The day number at a pixel of a strip. */
export function dayAtX(x: number, width: number, firstWeek: number, weeks: number): number {
  const day = Math.floor((x / width) * weeks * 7);
  return firstWeek + Math.min(weeks * 7 - 1, Math.max(0, day));
}

/** Where a half-open range of days lies in a strip, in pixels, cut off at its edges; undefined if none of it is shown. */
export function spanInStrip(
  first: number,
  end: number,
  width: number,
  firstWeek: number,
  weeks: number,
): { left: number; width: number } | undefined {
  const lastDay = firstWeek + weeks * 7;
  const from = Math.max(first, firstWeek);
  const to = Math.min(end, lastDay);
  if (to <= from) return undefined;
  const dayWidth = width / (weeks * 7);
  return { left: (from - firstWeek) * dayWidth, width: (to - from) * dayWidth };
}

/** Weeks whose loads are asked for together: the strip fetches only what it has not shown yet. */
export const BLOCK_WEEKS = 4;

/** The blocks of weeks, each by its first day, that a strip needs. */
export function blocksOf(firstWeek: number, weeks: number): number[] {
  const length = BLOCK_WEEKS * 7;
  // Counted from a Monday; where weeks begin on another day, blocks reach a little further.
  const first = Math.floor((firstWeek - 4) / length) * length + 4;
  const blocks: number[] = [];
  for (let block = first; block < firstWeek + weeks * 7; block += length) blocks.push(block);
  return blocks;
}
