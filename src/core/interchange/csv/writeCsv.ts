import { type Entry, isTodo } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { localString } from '../../time/civil';
import { instantOf, wallOf, zoneOf } from '../../time/eventTime';
import { instantToWall } from '../../time/zones';
import { COLUMNS, type WrittenRow } from './columns';
import { writeCsvTable } from './csvTable';

const WRITTEN = COLUMNS.flatMap(({ written }) => written ?? []);

/** An entry as a row: all its times on the clock of its start, since the table names one zone a row. */
function rowOfEntry(entry: Entry): WrittenRow {
  const { start, end } = entry;
  const zone = start?.kind === 'zoned' ? start.zone : undefined;
  const wallHere = (time: EventTime): number =>
    zone !== undefined && time.kind === 'zoned'
      ? instantToWall(zoneOf({ kind: 'zoned', local: time.local, zone }, 'UTC'), instantOf(time, time.zone))
      : wallOf(time);
  // Of a to-do its own column says when it is due.
  const isStarted = !isTodo(entry) || entry.hasStart === true;
  return {
    entry,
    isAllDay: start?.kind === 'date',
    start: start && isStarted ? wallOf(start) : undefined,
    end: end && !isTodo(entry) ? wallHere(end) : undefined,
    keyOf: (time) => (time.kind === 'date' ? time.date : localString(wallHere(time)).slice(0, 19)),
  };
}

/**
 * Writes entries as a table, a row an entry; a series is one row with its rule (RFC 5545 3.3.10). The end is written on
 * the start's clock; the last day of whole days is written as the last day that they take.
 */
export function writeCsv(
  entries: readonly Entry[],
  calendarName: (calendarId: string) => string | undefined,
): string {
  return writeCsvTable(
    [...WRITTEN.map(({ header }) => header), 'Calendar'],
    entries.map((entry) => {
      const row = rowOfEntry(entry);
      return [...WRITTEN.map(({ write }) => write(row)), calendarName(entry.calendarId) ?? ''];
    }),
  );
}
