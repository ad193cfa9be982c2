import type { Detail } from '@/core/model/look';

/** Pixels of the weekdays' row, of the head of a day, and the column of week numbers. */
export const WEEKDAYS = 26;
export const HEAD = 26;
export const NUMBER_WIDTH = 54;
export const NARROW_NUMBER_WIDTH = 30;
/** Under this width a day has no room for titles: its bar takes all of it. */
export const WIDE_BAR = 84;

/** Pixels of a named entry, with its gap. */
export const LINE: Record<Detail, number> = { bars: 20, titles: 20, full: 36 };
/** Pixels of a line that gathers a daily series, with its gap. */
export const GATHERED = 20;
/** The least height of a week. */
export const LEAST_ROW: Record<Detail, number> = { bars: 84, titles: 92, full: 140 };
