import { type Appearance, paperOf } from './appearance';
import { daysOf, isRibbon, type Occurrence } from '../schedule/occurrence';
import { DAY, MINUTE } from '../time/civil';
import { type Extent, layoutColumns, type Placement } from './columns';
import { type GatheredLine, gatherDaily } from './gathered';
import { layoutRibbons, type Ribbon } from './ribbons';

/** What a calendar takes of a day, in its bar: which share of the drawn hours, from 0 to 1, and where across. */
interface BarPiece {
  readonly calendarId: string;
  /** The colour that its entries have in place of their calendar's. */
  readonly colour?: string | undefined;
  /** Whether it is taken for sure, perhaps, or not at all. */
  readonly paper: Appearance['paper'];
  readonly from: number;
  readonly to: number;
  readonly across: Placement;
}

/** One day of a week row. */
export interface WeekDay {
  readonly day: number;
  readonly bar: readonly BarPiece[];
  /** The timed entries that are named here, by time. */
  readonly lines: readonly Occurrence[];
  /** How many entries the day has in all. */
  readonly count: number;
  /** How many entries of the day are neither named here nor drawn as a ribbon. */
  readonly hidden: number;
}

export interface WeekRow {
  readonly days: readonly WeekDay[];
  /** Entries of whole days over the days of this row, as many rows of them as there is room for. */
  readonly ribbons: readonly Ribbon[];
  readonly ribbonRows: number;
  /** Series that occur daily, as lines above the ribbons. */
  readonly gathered: readonly GatheredLine[];
  readonly gatheredRows: number;
}

export interface WeekRowRoom {
  /** Rows of ribbons that there is room for, and lines in a day without any ribbon, with what is left of one. */
  readonly ribbonRows: number;
  readonly lines: number;
  /** Lines that one row of ribbons takes the place of. */
  readonly linesPerRibbon: number;
  /** Lines that a gathered line takes the place of; where it is not said, nothing is gathered. */
  readonly linesPerGathered?: number;
  /** The hours that the bar draws to scale, in minutes of the day. What lies outside sticks to its end. */
  readonly from: number;
  readonly to: number;
}

/** The colour that an occurrence has of its own, in place of its calendar's. */
export type OwnColour = (occurrence: Occurrence) => string | undefined;

/** The least share of a bar that an entry is drawn with. */
const LEAST_SHARE = 0.035;

/**
 * The bar of a day: what its timed entries take of its hours. Of one calendar, colour and paper, what touches is one
 * piece; pieces that overlap lie side by side.
 */
function layoutBar(
  occurrences: readonly Occurrence[],
  day: number,
  hours: Pick<WeekRowRoom, 'from' | 'to'>,
  ownColour: OwnColour,
): BarPiece[] {
  const share = (wall: number): number => {
    const minute = (wall - day * DAY) / MINUTE;
    return Math.min(1, Math.max(0, (minute - hours.from) / (hours.to - hours.from)));
  };
  const pieces: (Extent & Pick<BarPiece, 'calendarId' | 'colour' | 'paper'> & { end: number })[] = [];
  const last = new Map<string, (typeof pieces)[number]>();
  for (const occurrence of [...occurrences].sort((a, b) => a.startWall - b.startWall)) {
    if (isRibbon(occurrence)) continue;
    const { calendarId } = occurrence;
    const colour = ownColour(occurrence);
    const paper = paperOf(occurrence);
    const kind = `${calendarId} ${colour ?? ''} ${paper}`;
    const start = Math.min(share(occurrence.startWall), 1 - LEAST_SHARE);
    const end = Math.max(share(occurrence.endWall), start + LEAST_SHARE);
    const before = last.get(kind);
    if (before && start <= before.end + 1e-9) before.end = Math.max(before.end, end);
    else {
      const piece = { key: `${kind} ${start}`, calendarId, colour, paper, start, end };
      pieces.push(piece);
      last.set(kind, piece);
    }
  }
  const across = layoutColumns(pieces);
  return pieces.map(({ key, calendarId, colour, paper, start, end }) => ({
    calendarId,
    colour,
    paper,
    from: start,
    to: end,
    across: across.get(key)!,
  }));
}

/** Occurrences by the day that they lie on, of the shown days. */
export function byShownDay(
  occurrences: readonly Occurrence[],
  days: readonly number[],
): ReadonlyMap<number, readonly Occurrence[]> {
  const found = new Map<number, Occurrence[]>(days.map((day) => [day, []]));
  for (const occurrence of occurrences) {
    const { first, end } = daysOf(occurrence);
    for (let day = Math.max(first, days[0] ?? first); day < end && day <= (days.at(-1) ?? -1); day++)
      found.get(day)?.push(occurrence);
  }
  return found;
}

/**
 * Lays out one week: ribbons and daily series over its days, and for each day its bar and the lines that there is room for.
 * Every entry of a day is a ribbon, part of a gathered line, a line, or counted as hidden.
 * @param days the shown day numbers of the week, ascending
 * @param pinned keys of entries that are named before others: the selected ones
 */
export function layoutWeekRow(
  onDays: ReadonlyMap<number, readonly Occurrence[]>,
  days: readonly number[],
  room: WeekRowRoom,
  pinned: ReadonlySet<string> = new Set(),
  ownColour: OwnColour = () => undefined,
): WeekRow {
  const whole = [...new Set(days.flatMap((day) => (onDays.get(day) ?? []).filter(isRibbon)))];
  const all = layoutRibbons(whole, days);
  const rows = Math.max(0, ...all.map((ribbon) => ribbon.row + 1));
  const ribbonRows = Math.min(rows, room.ribbonRows);
  const ribbons = all.filter((ribbon) => ribbon.row < ribbonRows);
  // Ribbons lie in rows over the whole week; a day without any in the lowest rows has their room to itself.
  const takenBy = (from: number, to: number): number =>
    Math.max(
      0,
      ...ribbons.filter((ribbon) => ribbon.from < to && from < ribbon.to).map(({ row }) => row + 1),
    );
  const gathered = gatherOver(onDays, days, room, takenBy);
  const gatheredRows = Math.max(0, ...gathered.map(({ row }) => row + 1));
  const isGathered = new Set(gathered.flatMap((line) => line.occurrences.map(({ key }) => key)));
  return {
    ribbons,
    ribbonRows,
    gathered,
    gatheredRows,
    days: days.map((day, index) => {
      const occurrences = onDays.get(day) ?? [];
      const timed = occurrences.filter((occurrence) => !isRibbon(occurrence));
      const single = timed.filter(({ key }) => !isGathered.has(key));
      const covered = all.filter((ribbon) => ribbon.from <= index && index < ribbon.to);
      const unseen = covered.filter((ribbon) => ribbon.row >= ribbonRows).length;
      const ribbonsHere = takenBy(index, index + 1);
      const gatheredHere = ribbonsHere > 0 ? gatheredRows : gatheredRowsOn(gathered, index);
      const taken = ribbonsHere * room.linesPerRibbon + gatheredHere * (room.linesPerGathered ?? 0);
      const lines = Math.max(0, Math.floor(room.lines - taken));
      const named = single.length <= lines ? single : namedLines(single, lines, pinned);
      return {
        day,
        bar: layoutBar(timed, day, room, ownColour),
        lines: named,
        count: occurrences.length,
        hidden: single.length - named.length + unseen,
      };
    }),
  };
}

/** How many rows of gathered lines lie over a column. */
export const gatheredRowsOn = (gathered: readonly GatheredLine[], column: number): number =>
  Math.max(0, ...gathered.filter(({ from, to }) => from <= column && column < to).map(({ row }) => row + 1));

/** The daily series of a week, as far as a line is left below them and the ribbons. */
function gatherOver(
  onDays: ReadonlyMap<number, readonly Occurrence[]>,
  days: readonly number[],
  { lines, linesPerRibbon, linesPerGathered }: WeekRowRoom,
  takenBy: (from: number, to: number) => number,
): GatheredLine[] {
  if (linesPerGathered === undefined) return [];
  const timed = days.map((day) => (onDays.get(day) ?? []).filter((occurrence) => !isRibbon(occurrence)));
  for (let rows = 3; rows > 0; rows--) {
    const gathered = gatherDaily(timed, days, rows);
    const ribbons = Math.max(0, ...gathered.map(({ from, to }) => takenBy(from, to)));
    const most = Math.max(0, ...gathered.map(({ row }) => row + 1));
    if (ribbons * linesPerRibbon + most * linesPerGathered + 1 <= lines) return gathered;
  }
  return [];
}

/** The first entries of a day by time, with pinned ones among them in place of the last. */
function namedLines(
  timed: readonly Occurrence[],
  count: number,
  pinned: ReadonlySet<string>,
): readonly Occurrence[] {
  const wanted = timed.filter(({ key }) => pinned.has(key)).slice(0, count);
  const others = timed.filter(({ key }) => !pinned.has(key)).slice(0, count - wanted.length);
  return timed.filter((occurrence) => wanted.includes(occurrence) || others.includes(occurrence));
}

/** The rows of a view of weeks: the shown days, a list for each week. */
export function weeksOf(days: readonly number[], weekStart: number): number[][] {
  const weeks: number[][] = [];
  let current: number | undefined;
  for (const day of days) {
    // 1970-01-05, day 4, was a Monday.
    const week = Math.floor((day - 3 - weekStart) / 7);
    if (week !== current) weeks.push([]);
    current = week;
    weeks.at(-1)!.push(day);
  }
  return weeks;
}
