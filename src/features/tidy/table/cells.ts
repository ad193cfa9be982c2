import type { Calendar } from '@/core/model/calendar';
import type { EntryRow, OtherColumn, TableColumn, TableGrouping } from '@/core/tidy/table/tableQuery';
import { DAY, MINUTE, parseDate } from '@/core/time/civil';
import { ownZone } from '@/core/time/eventTime';
import { cityOf, instantToWall } from '@/core/time/zones';
import { dateText, lengthText, monthText, rangeText, shortDayText, timeText, weekdayName } from '@/ui/dates';
import { recurrenceText } from '@/ui/recurrenceText';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { tidyWords } from '@/ui/words/tidy';
import {
  anyRowOf,
  type EntryFieldName,
  type FieldTableColumn,
  rowFor,
  TABLE_FIELDS,
} from '@/core/fields/fieldsOf';
import { valueText } from '@/ui/fieldValueText';

/** What cells are said with. */
export interface CellNames {
  readonly calendars: ReadonlyMap<string, Calendar>;
  readonly zone: string;
}

const timeOn = (wall: number, allDay: boolean): string => {
  const day = Math.floor(wall / DAY);
  return allDay ? shortDayText(day) : `${shortDayText(day)}, ${timeText(wall)}`;
};
/** When a row ends, or is due; the end of whole days is the day after the last of them. */
function endText({ entryKind, allDay, startWall, endWall }: EntryRow): string {
  if (endWall === undefined) return '';
  const wall = allDay ? endWall - DAY : endWall;
  const sameDay = startWall !== undefined && Math.floor(wall / DAY) === Math.floor(startWall / DAY);
  return sameDay && !allDay && entryKind === 'event' ? timeText(wall) : timeOn(wall, allDay);
}

const momentOn = (instant: number, { zone }: CellNames): string =>
  instant === 0 ? '' : dateText(Math.floor(instantToWall(zone, instant) / DAY));

const originText = ({ origin }: EntryRow): string =>
  origin.kind === 'imported' ? tidyWords.origins.imported(origin.name ?? '') : tidyWords.origins[origin.kind];

/** What stands in each column that shows something else than one field. */
const CELLS: Readonly<Record<OtherColumn, (row: EntryRow, names: CellNames) => string>> = {
  kind: ({ entryKind }) => tidyWords.kind[entryKind],
  // A to-do that can be done from now on is told by when it is due.
  start: (row) =>
    row.startWall === undefined
      ? row.endWall === undefined
        ? ''
        : tidyWords.due(endText(row))
      : timeOn(row.startWall, row.allDay),
  end: endText,
  length: ({ entryKind, allDay, startWall = 0, endWall = 0, minutes }) => {
    if (entryKind === 'todo') return minutes === 0 ? '' : lengthText(minutes * MINUTE);
    return allDay ? tidyWords.days(Math.round((endWall - startWall) / DAY)) : lengthText(minutes * MINUTE);
  },
  repeat: ({ recurrence, start, part, changed }) =>
    recurrence && start
      ? recurrenceText(recurrence, start)
      : part === 'occurrence'
        ? changed
          ? words.entry.changed
          : words.entry.series
        : '',
  calendar: ({ calendarId }, { calendars }) => calendars.get(calendarId)?.name ?? '',
  attachments: ({ files }) => (files === 0 ? '' : String(files)),
  size: ({ bytes }) => (bytes === 0 ? '' : exchangeWords.attachments.size(bytes)),
  zone: ({ start }, { zone }) => {
    const own = start && ownZone(start);
    return own === undefined || own === zone ? '' : cityOf(own);
  },
  created: ({ created }, names) => momentOn(created, names),
  changed: ({ modified }, names) => momentOn(modified, names),
  origin: originText,
};

/** The field that a column shows; undefined for one that shows something else. */
export const fieldOfColumn = (column: TableColumn): EntryFieldName | undefined =>
  TABLE_FIELDS.get(column as FieldTableColumn);

/** What a column is called. */
export function columnName(column: TableColumn): string {
  const field = fieldOfColumn(column);
  return field ? words.fields[field] : tidyWords.columnNames[column as OtherColumn];
}

/** What stands in a column of an entry's row. */
export function cellText(column: TableColumn, row: EntryRow, names: CellNames): string {
  const field = fieldOfColumn(column);
  if (field === undefined) return CELLS[column as OtherColumn](row, names);
  if (field === 'title') return row.title || words.entry.noTitle;
  // An entry of the other kind has no such field.
  if (!rowFor(row.entryKind, field)) return '';
  return valueText(field, row.values[field], {
    calendarName: (id) => names.calendars.get(id)?.name ?? '',
    homeZone: names.zone,
    start: row.start,
    kind: row.entryKind,
  });
}

/** What a group of rows is called. */
export function groupText(
  grouping: TableGrouping,
  value: string,
  { calendars }: CellNames,
  periods: readonly { readonly first: number; readonly end: number }[],
): string {
  const none = tidyWords.noGroup[grouping];
  switch (grouping) {
    case 'calendar':
      return calendars.get(value)?.name ?? none;
    case 'month':
      return monthText(parseDate(`${value}-01`));
    case 'period': {
      const period = periods[Number(value)];
      return period ? rangeText(period.first, period.end - 1, true) : none;
    }
    case 'weekday':
      return weekdayName(Number(value), 'long');
    case 'category':
    case 'place':
      return value || none;
  }
}

/** How wide the columns that show something else than one field are at first, in pixels. */
const WIDTHS: Readonly<Record<OtherColumn, number>> = {
  kind: 80,
  start: 168,
  end: 110,
  length: 90,
  repeat: 190,
  calendar: 120,
  attachments: 70,
  size: 80,
  zone: 110,
  created: 110,
  changed: 110,
  origin: 150,
};
const SHOWN_AT_FIRST: readonly OtherColumn[] = ['start', 'length', 'repeat'];

/** How wide a column is at first, in pixels, and whether it stands there. */
export function columnSize(column: TableColumn): { readonly width: number; readonly isShown: boolean } {
  const field = fieldOfColumn(column);
  if (field === undefined)
    return {
      width: WIDTHS[column as OtherColumn],
      isShown: SHOWN_AT_FIRST.some((shown) => shown === column),
    };
  const { width, isShown = false } = anyRowOf(field).table!;
  return { width, isShown };
}
