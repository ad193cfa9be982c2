import { daysOf, isRibbon, type Occurrence } from '../schedule/occurrence';
import { takesTime } from '../schedule/standing';
import type { ClockChange } from '../time/clockChange';
import { type ColumnRoom, type DayCard, type DayLayout, type HoursScale, layoutDay } from './hours';
import { layoutRibbons, type Ribbon } from './ribbons';

/** A column of the hours: a day, one calendar's or colleague's part of it, or what of it is one's own. */
export interface HoursColumn {
  readonly day: number;
  readonly calendarId?: string;
  readonly isOwn?: boolean;
}

/** What a column shows: its cards, and the entry of whole days that takes it, if one does. */
interface HoursColumnLayout extends DayLayout {
  readonly day: number;
  readonly washing: Occurrence | undefined;
}

export interface HoursGridLayout {
  readonly columns: readonly HoursColumnLayout[];
  /** Entries of whole days over the columns, in so many rows. */
  readonly ribbons: readonly Ribbon[];
  readonly ribbonRows: number;
}

const isIn = (occurrence: Occurrence, { calendarId, isOwn }: HoursColumn): boolean =>
  calendarId === undefined
    ? !isOwn || occurrence.personId === undefined
    : occurrence.calendarId === calendarId;

/** Ribbons over the days, or, where each column is a calendar, in the column of theirs. */
function ribbonsOver(occurrences: readonly Occurrence[], columns: readonly HoursColumn[]): Ribbon[] {
  const whole = occurrences.filter(isRibbon);
  if (columns.every(({ calendarId, isOwn }) => calendarId === undefined && !isOwn))
    return layoutRibbons(
      whole,
      columns.map(({ day }) => day),
    );
  return columns.flatMap((column, index) =>
    layoutRibbons(
      whole.filter((occurrence) => isIn(occurrence, column)),
      [column.day],
    ).map((ribbon) => ({ ...ribbon, from: index, to: index + 1 })),
  );
}

/**
 * Lays out columns of hours side by side: each with its own cards, and ribbons above them.
 * @param changes the change of the clock on the day of each column, where there is one
 * @param room how many cards of a column have room beside each other; as many as there are without it
 */
export function layoutHoursGrid(
  occurrences: readonly Occurrence[],
  columns: readonly HoursColumn[],
  scale: HoursScale,
  changes: readonly (ClockChange | undefined)[],
  room?: ColumnRoom,
): HoursGridLayout {
  const ribbons = ribbonsOver(occurrences, columns);
  return {
    ribbons,
    ribbonRows: Math.max(0, ...ribbons.map((ribbon) => ribbon.row + 1)),
    columns: columns.map((column, index) => {
      const { day } = column;
      const own = occurrences.filter((occurrence) => {
        const { first, end } = daysOf(occurrence);
        return first <= day && day < end && isIn(occurrence, column);
      });
      const washing = own.find(
        (occurrence) => isRibbon(occurrence) && takesTime(occurrence) && !occurrence.isOutlined,
      );
      return { day, washing, ...layoutDay(own, day, scale, changes[index], room) };
    }),
  };
}

/** Where an entry lies in a layout: its ribbon, and its card in each column. */
export interface EntryPlaces {
  readonly ribbon: Ribbon | undefined;
  readonly cards: readonly (DayCard | undefined)[];
}

/** Where the entry of a key lies; nowhere without one. */
export const placesOf = ({ ribbons, columns }: HoursGridLayout, key: string | undefined): EntryPlaces => ({
  ribbon: ribbons.find(({ occurrence }) => occurrence.key === key),
  cards: columns.map(({ cards }) => cards.find(({ occurrence }) => occurrence.key === key)),
});

/** A layout without the entry of a key: the others stay where they are. */
export const withoutKey = (layout: HoursGridLayout, key: string): HoursGridLayout => ({
  ...layout,
  ribbons: layout.ribbons.filter(({ occurrence }) => occurrence.key !== key),
  columns: layout.columns.map((column) =>
    column.cards.some(({ occurrence }) => occurrence.key === key)
      ? { ...column, cards: column.cards.filter(({ occurrence }) => occurrence.key !== key) }
      : column,
  ),
});
