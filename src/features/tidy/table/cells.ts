import type { Calendar } from '@/core/model/calendar';
import type { EntryRow, TableColumn, TableGrouping } from '@/core/tidy/table/tableQuery';
import { DAY, MINUTE, parseDate } from '@/core/time/civil';
import { ownZone } from '@/core/time/eventTime';
import { cityOf, instantToWall } from '@/core/time/zones';
import { dateText, lengthText, monthText, rangeText, shortDayText, timeText, weekdayName } from '@/ui/dates';
import { recurrenceText } from '@/ui/recurrenceText';
import { remindersText } from '@/ui/reminderText';
import { importanceOf } from '@/core/fields/importance';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { tidyWords } from '@/ui/words/tidy';
import { todoWords } from '@/ui/words/todos';

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

/** What stands in each column of an entry's row. A column that is added has to be said here. */
const CELLS: Readonly<Record<TableColumn, (row: EntryRow, names: CellNames) => string>> = {
  title: ({ title }) => title || words.entry.noTitle,
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
  place: ({ location }) => location,
  calendar: ({ calendarId }, { calendars }) => calendars.get(calendarId)?.name ?? '',
  category: ({ categories }) => categories.join(', '),
  people: ({ people }) => people.join(', '),
  availability: ({ availability }) => (availability ? words.entry.availability[availability] : ''),
  status: ({ status }) => ({ ...words.entry.status, ...todoWords.status })[status],
  importance: ({ priority }) => (priority === undefined ? '' : words.entry.priority[importanceOf(priority)]),
  percent: ({ percent }) => (percent === undefined ? '' : `${percent} %`),
  visibility: ({ classification }) => words.entry.classification[classification],
  reminders: ({ entryKind, reminders }, { zone }) =>
    reminders === undefined
      ? entryKind === 'todo'
        ? ''
        : tidyWords.usual
      : remindersText(reminders, zone, entryKind === 'todo'),
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

export const cellText = (column: TableColumn, row: EntryRow, names: CellNames): string =>
  CELLS[column](row, names);

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

/** How wide a column is at first, in pixels, and whether it stands there. */
export const COLUMN_SIZES: Readonly<
  Record<TableColumn, { readonly width: number; readonly isShown: boolean }>
> = {
  title: { width: 260, isShown: true },
  kind: { width: 80, isShown: false },
  start: { width: 168, isShown: true },
  end: { width: 110, isShown: false },
  length: { width: 90, isShown: true },
  repeat: { width: 190, isShown: true },
  place: { width: 140, isShown: true },
  calendar: { width: 120, isShown: false },
  category: { width: 120, isShown: false },
  people: { width: 160, isShown: false },
  availability: { width: 100, isShown: false },
  status: { width: 110, isShown: false },
  importance: { width: 100, isShown: false },
  percent: { width: 70, isShown: false },
  visibility: { width: 90, isShown: false },
  reminders: { width: 170, isShown: false },
  attachments: { width: 70, isShown: false },
  size: { width: 80, isShown: false },
  zone: { width: 110, isShown: false },
  created: { width: 110, isShown: false },
  changed: { width: 110, isShown: false },
  origin: { width: 150, isShown: false },
};
