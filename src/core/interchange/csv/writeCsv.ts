import type { CalendarEvent } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { dateString, DAY, localString } from '../../time/civil';
import { instantOf, wallOf, zoneOf } from '../../time/eventTime';
import { instantToWall } from '../../time/zones';
import { FLOATING } from './columns';
import { writeCsvTable } from './csvTable';

const HEADER = [
  'Title',
  'Start date',
  'Start time',
  'End date',
  'End time',
  'All day',
  'Zone',
  'Place',
  'Notes',
  'Categories',
  'Availability',
  'Visibility',
  'Status',
  'Link',
  'Repeats',
  'Left out',
  'Further dates',
  'UID',
  'Occurrence',
  'Calendar',
];

const dateOf = (wall: number): string => dateString(Math.floor(wall / DAY));
const timeOf = (wall: number): string => localString(wall).slice(11, 16);

/**
 * Writes events as a table, a row an event; a series is one row with its rule (RFC 5545 3.3.10). The end is written on
 * the start's clock; the last day of whole days is written as the last day that they take.
 */
export function writeCsv(
  events: readonly CalendarEvent[],
  calendarName: (calendarId: string) => string | undefined,
): string {
  const rows = events.map((event) => {
    const allDay = event.start.kind === 'date';
    const start = wallOf(event.start);
    const end =
      event.start.kind === 'zoned'
        ? instantToWall(zoneOf(event.start, 'UTC'), instantOf(event.end, event.start.zone))
        : wallOf(event.end);
    const { recurrence } = event;
    // All times of a row are on the clock of its start: the table names one zone a row.
    const keyOf = (time: EventTime): string => {
      if (time.kind === 'date') return time.date;
      const wall =
        event.start.kind === 'zoned' && time.kind === 'zoned'
          ? instantToWall(zoneOf(event.start, 'UTC'), instantOf(time, time.zone))
          : wallOf(time);
      return localString(wall).slice(0, 19);
    };
    return [
      event.title,
      dateOf(start),
      allDay ? '' : timeOf(start),
      dateOf(allDay ? end - DAY : end),
      allDay ? '' : timeOf(end),
      allDay ? 'yes' : 'no',
      event.start.kind === 'zoned' ? event.start.zone : allDay ? '' : FLOATING,
      event.location,
      event.notes,
      event.categories.join('; '),
      event.availability,
      event.classification === 'public' ? 'open' : event.classification,
      event.status,
      event.url,
      (recurrence?.rules ?? []).join(' | '),
      (recurrence?.exceptionDates ?? []).map(keyOf).join('; '),
      (recurrence?.dates ?? []).map(keyOf).join('; '),
      event.uid,
      event.recurrenceId ? keyOf(event.recurrenceId) : '',
      calendarName(event.calendarId) ?? '',
    ];
  });
  return writeCsvTable(HEADER, rows);
}
