import { type ColumnRoom, type HoursScale, layoutDay } from '@/core/layout/hours';
import type { SheetSize } from '@/core/layout/paper';
import { daysOf, isRibbon, type Occurrence } from '@/core/schedule/occurrence';
import { DAY, MINUTE } from '@/core/time/civil';
import { timeRangeText } from '@/ui/dates';
import { measureSmallText } from '@/ui/measureText';
import { words } from '@/ui/words';
import { CARD_LINE } from './printClasses';
import { printArea } from './SheetFrame';

export const RAIL = 44;
/** A narrower card has no room for words; the number of those left out takes so much beside the cards. */
const LEAST_CARD = 84;
const CROWD = 22;
export const DAY_HEAD = 20;
export const LINE = 13;

/** What a page of hours is made of. */
export interface HoursPage {
  days: readonly number[];
  occurrences: readonly Occurrence[];
  hours: { readonly from: number; readonly to: number };
  sheet: SheetSize;
  smallMonths: boolean;
  /** The notes that are printed with an entry. */
  notesOf: (occurrence: Occurrence) => string;
}

/** Where what of a page of hours goes: its columns, and the scale of its hours. Pixels. */
export function layoutHoursPage(page: HoursPage) {
  const { days, occurrences, hours, sheet, smallMonths } = page;
  const area = printArea(sheet, smallMonths);
  const width = (area.width - RAIL) / days.length;
  const columns = days.map((day) => {
    const onDay = occurrences.filter((occurrence) => {
      const { first, end } = daysOf(occurrence);
      return first <= day && day < end;
    });
    const timed = onDay.filter((occurrence) => !isRibbon(occurrence));
    const before = timed.filter(
      ({ startWall, endWall }) =>
        endWall <= day * DAY + hours.from * MINUTE && startWall < day * DAY + hours.from * MINUTE,
    );
    const after = timed.filter(({ startWall }) => startWall >= day * DAY + hours.to * MINUTE);
    return { day, onDay, whole: onDay.filter(isRibbon), before, after };
  });
  const heightOf = (texts: readonly string[], line: number, room: number) =>
    texts.reduce((sum, text) => sum + line * linesOf(text, room), 0);
  const titles = (entries: readonly Occurrence[]) => entries.map(({ title }) => title || words.entry.noTitle);
  const above =
    Math.max(
      ...columns.map(
        ({ whole, before }) =>
          heightOf(titles(whole), 17, width - 34) + heightOf(titles(before), LINE, width - 62),
      ),
    ) + 4;
  const belowWith = (inFull: readonly (readonly Occurrence[])[]) =>
    Math.max(
      ...columns.map(
        ({ after }, index) =>
          heightOf(titles(after), LINE, width - 62) +
          heightOf((inFull[index] ?? []).map(wholeText), LINE, width - 34),
      ),
    ) + 4;
  const scaleOver = (below: number): HoursScale => ({
    ...hours,
    foldedBefore: hours.from > 0,
    foldedAfter: hours.to < 1440,
    hourHeight:
      Math.max(LEAST_HOURS, area.height - DAY_HEAD - above - below) / ((hours.to - hours.from) / 60),
    foldHeight: 0,
  });
  const cutAt = (scale: HoursScale) =>
    columns.map(({ day, onDay }) => cutCards(onDay, day, scale, width, page.notesOf));
  // What has no room on its card stands in full below its day, which leaves the hours less: it is asked again.
  let inFull: readonly (readonly Occurrence[])[] = [];
  let scale = scaleOver(belowWith(inFull));
  let cut = cutAt(scale);
  for (let round = 0; round < 4; round++) {
    inFull = cut.map((cards) => cards.filter((each) => !page.notesOf(each)));
    scale = scaleOver(belowWith(inFull));
    cut = cutAt(scale);
  }
  // Too much to stand there is listed on pages of its own, as are notes.
  const isTooMuch = belowWith(inFull) > MOST_BELOW * area.height;
  if (isTooMuch) {
    inFull = [];
    scale = scaleOver(belowWith(inFull));
    cut = cutAt(scale);
  }
  const listed = cut.flatMap((cards, index) => cards.filter((each) => !inFull[index]?.includes(each)));
  const room = roomOf(width);
  return {
    area,
    width,
    above,
    scale,
    listed,
    columns: columns.map((column, index) => ({
      ...column,
      inFull: inFull[index] ?? [],
      ...layoutDay(column.onDay, column.day, scale, undefined, room),
    })),
  };
}

/** An entry on one line: its times, title and place. */
export const wholeText = ({ title, startWall, endWall, location }: Occurrence): string =>
  [`${timeRangeText(startWall, endWall)} ${title || words.entry.noTitle}`, location]
    .filter(Boolean)
    .join(' · ');

/** How many cards of a day are printed beside each other: as many as have room for words. */
function roomOf(width: number): ColumnRoom {
  const many = (room: number) => Math.max(1, Math.floor(room / LEAST_CARD));
  return {
    most: many(width),
    mostCrowded: many(width - CROWD),
    reserve: CROWD / width,
    stays: new Set(),
  };
}

/** The entries of a day whose text has no room on their cards, and those that have no card. */
const cutCards = (
  onDay: readonly Occurrence[],
  day: number,
  scale: HoursScale,
  width: number,
  notesOf: HoursPage['notesOf'],
): readonly Occurrence[] => {
  const { cards, crowds } = layoutDay(onDay, day, scale, undefined, roomOf(width));
  const shown = new Set(cards.map(({ occurrence }) => occurrence.key));
  const left = crowds.flatMap(({ all }) => all.filter(({ key }) => !shown.has(key)));
  const cut = cards.flatMap(({ occurrence, across, height }) => {
    // A little less than there is: what is measured and what is printed may differ by a hair.
    const room = across.width * width - 3 - 34;
    const notes = notesOf(occurrence);
    const noteLines = notes ? notes.split('\n').reduce((sum, line) => sum + linesOf(line, room), 0) : 0;
    return fits(wholeText(occurrence), room, wholeLines(height) - noteLines) ? [] : [occurrence];
  });
  return [...cut, ...left].sort((a, b) => a.startWall - b.startWall || a.title.localeCompare(b.title));
};

/** So much of a page is given to what stands in full below its days, at the most. */
const MOST_BELOW = 0.35;
/** However much lies above and below them, the hours keep so much of the page. */
const LEAST_HOURS = 240;
/** Letters on paper are smaller than those that are measured. */
const PAPER_SHARE = 11 / 12;

const widthOf = (text: string): number => measureSmallText(text, '700') * PAPER_SHARE;
/** Words, and the halves of times, which are broken at their dash. */
const wordsOf = (text: string): string[] => text.split(/\s+|(?<=–)/).filter(Boolean);

/** How many lines a text takes at a width, where a word that is wider than a line is broken. */
function linesOf(text: string, width: number): number {
  const room = Math.max(20, width);
  let lines = 1;
  let taken = 0;
  for (const word of wordsOf(text)) {
    const wide = widthOf(word);
    const after = taken === 0 ? wide : taken + widthOf(' ') + wide;
    if (after <= room) {
      taken = after;
      continue;
    }
    if (taken > 0) lines++;
    lines += Math.max(0, Math.ceil(wide / room) - 1);
    taken = wide % room;
  }
  return lines;
}

/** Whether a text stands in so many lines with its words whole. */
const fits = (text: string, width: number, lines: number): boolean =>
  wordsOf(text).every((word) => widthOf(word) <= width) && linesOf(text, width) <= lines;

/** The entries of a page that are printed once more in a list: there is no room for their text on it. */
export const withoutRoom = (page: HoursPage): readonly Occurrence[] => layoutHoursPage(page).listed;

/** The lines that a card has room for: none is cut through. */
export const wholeLines = (height: number): number => Math.max(1, Math.floor((height - 4) / CARD_LINE));
