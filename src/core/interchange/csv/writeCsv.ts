import type { CalendarEvent } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { localString } from '../../time/civil';
import { instantOf, wallOf, zoneOf } from '../../time/eventTime';
import { instantToWall } from '../../time/zones';
import { COLUMNS, type WrittenRow } from './columns';
import { writeCsvTable } from './csvTable';

const WRITTEN = COLUMNS.flatMap(({ written }) => written ?? []);

/** An event as a row: all its times on the clock of its start, since the table names one zone a row. */
function rowOfEvent(event: CalendarEvent): WrittenRow {
  const wallHere = (time: EventTime): number =>
    event.start.kind === 'zoned' && time.kind === 'zoned'
      ? instantToWall(zoneOf(event.start, 'UTC'), instantOf(time, time.zone))
      : wallOf(time);
  return {
    event,
    isAllDay: event.start.kind === 'date',
    start: wallOf(event.start),
    end:
      event.start.kind === 'zoned'
        ? instantToWall(zoneOf(event.start, 'UTC'), instantOf(event.end, event.start.zone))
        : wallOf(event.end),
    keyOf: (time) => (time.kind === 'date' ? time.date : localString(wallHere(time)).slice(0, 19)),
  };
}

/**
 * Writes events as a table, a row an event; a series is one row with its rule (RFC 5545 3.3.10). The end is written on
 * the start's clock; the last day of whole days is written as the last day that they take.
 */
export function writeCsv(
  events: readonly CalendarEvent[],
  calendarName: (calendarId: string) => string | undefined,
): string {
  return writeCsvTable(
    [...WRITTEN.map(({ header }) => header), 'Calendar'],
    events.map((event) => {
      const row = rowOfEvent(event);
      return [...WRITTEN.map(({ write }) => write(row)), calendarName(event.calendarId) ?? ''];
    }),
  );
}
