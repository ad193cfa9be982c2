import type { Calendar } from '@/core/model/calendar';
import type { EntryRow, TableColumn, TableGrouping } from '@/core/tidy/table/tableQuery';
import { DAY, MINUTE, parseDate } from '@/core/time/civil';
import { ownZone } from '@/core/time/eventTime';
import { cityOf, instantToWall } from '@/core/time/zones';
import { dateText, lengthText, monthText, rangeText, shortDayText, timeText, weekdayName } from '@/ui/dates';
import { recurrenceText } from '@/ui/recurrenceText';
import { remindersText } from '@/ui/reminderText';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { tidyWords } from '@/ui/words/tidy';

/** What cells are said with. */
export interface CellNames {
  readonly calendars: ReadonlyMap<string, Calendar>;
  readonly zone: string;
}

const timeOn = (wall: number, allDay: boolean): string => {
  const day = Math.floor(wall / DAY);
  return allDay ? shortDayText(day) : `${shortDayText(day)}, ${timeText(wall)}`;
};
const momentOn = (instant: number, { zone }: CellNames): string =>
  instant === 0 ? '' : dateText(Math.floor(instantToWall(zone, instant) / DAY));

const originText = ({ origin }: EntryRow): string =>
  origin.kind === 'imported' ? tidyWords.origins.imported(origin.name ?? '') : tidyWords.origins[origin.kind];

/** What stands in each column of an entry's row. A column that is added has to be said here. */
const CELLS: Readonly<Record<TableColumn, (row: EntryRow, names: CellNames) => string>> = {
  title: ({ title }) => title || words.entry.noTitle,
  start: (row) => timeOn(row.startWall, row.allDay),
  // The end of whole days is the day after the last of them.
  end: (row) => {
    const wall = row.allDay ? row.endWall - DAY : row.endWall;
    const sameDay = Math.floor(wall / DAY) === Math.floor(row.startWall / DAY);
    return sameDay && !row.allDay ? timeText(wall) : timeOn(wall, row.allDay);
  },
  length: ({ allDay, startWall, endWall, minutes }) =>
    allDay ? tidyWords.days(Math.round((endWall - startWall) / DAY)) : lengthText(minutes * MINUTE),
  repeat: ({ recurrence, start, part, changed }) =>
    recurrence
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
  availability: ({ availability }) => words.entry.availability[availability],
  visibility: ({ classification }) => words.entry.classification[classification],
  reminders: ({ reminders }, { zone }) =>
    reminders === undefined ? tidyWords.usual : remindersText(reminders, zone),
  attachments: ({ files }) => (files === 0 ? '' : String(files)),
  size: ({ bytes }) => (bytes === 0 ? '' : exchangeWords.attachments.size(bytes)),
  zone: ({ start }, { zone }) => {
    const own = ownZone(start);
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
  start: { width: 150, isShown: true },
  end: { width: 110, isShown: false },
  length: { width: 90, isShown: true },
  repeat: { width: 190, isShown: true },
  place: { width: 140, isShown: true },
  calendar: { width: 120, isShown: false },
  category: { width: 120, isShown: false },
  people: { width: 160, isShown: false },
  availability: { width: 100, isShown: false },
  visibility: { width: 90, isShown: false },
  reminders: { width: 170, isShown: false },
  attachments: { width: 70, isShown: false },
  size: { width: 80, isShown: false },
  zone: { width: 110, isShown: false },
  created: { width: 110, isShown: false },
  changed: { width: 110, isShown: false },
  origin: { width: 150, isShown: false },
};
