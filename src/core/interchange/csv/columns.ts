import { FIELD_NAMES, type FieldColumnId, rowOf } from '../../fields/eventFields';
import type { CalendarEvent } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { dateString, DAY, localString } from '../../time/civil';

/** What stands in the zone's column of a time that belongs to no zone. */
export const FLOATING = 'floating';

/** What a row of a table is written of: an event, with its times on the clock of its start. */
export interface WrittenRow {
  readonly event: CalendarEvent;
  readonly isAllDay: boolean;
  /** Wall times in milliseconds. */
  readonly start: number;
  readonly end: number;
  /** How a further time is written. */
  readonly keyOf: (time: EventTime) => string;
}

/** A column of a table: how it is called, and what is written into it, if it is. */
interface Column<Id extends string> {
  readonly id: Id;
  /** Names that such columns go by, without spaces and signs, in English, German, French and Spanish. */
  readonly names: RegExp;
  readonly written?: { readonly header: string; readonly write: (row: WrittenRow) => string };
}

const dateOf = (wall: number): string => dateString(Math.floor(wall / DAY));
const timeOf = (wall: number): string => localString(wall).slice(11, 16);
const zoneOfRow = ({ event, isAllDay }: WrittenRow): string =>
  event.start.kind === 'zoned' ? event.start.zone : isAllDay ? '' : FLOATING;

const column = <const Id extends string>(row: Column<Id>): Column<Id> => row;

const TIMES = [
  column({
    id: 'start',
    names:
      /^(start|starts|begin|begins|from|dtstart|starts?(at|on)|(start|begin)s?date(and)?time|beginn|anfang|von|début|debut|inicio|comienzo|desde)$/,
  }),
  column({
    id: 'startDate',
    names:
      /^(start|begin|from)s?(date|day)$|^(date|day|when)$|^(start|beginn?|anfangs?)(datum|tag)$|^(datum|tag|dat(e|um)vom|jour|fecha|día)$|^date(de)?début$|^jour(de)?début$|^fecha(de)?(inicio|comienzo)$/,
    written: { header: 'Start date', write: (row) => dateOf(row.start) },
  }),
  column({
    id: 'startTime',
    names:
      /^(start|begin|from)s?(time|hour)$|^(time|at)$|^(start|beginn?|anfangs?)(zeit|uhrzeit)$|^(uhrzeit|zeit|heure|hora)$|^heure(de)?début$|^hora(de)?(inicio|comienzo)$/,
    written: { header: 'Start time', write: (row) => (row.isAllDay ? '' : timeOf(row.start)) },
  }),
  column({
    id: 'end',
    names:
      /^(end|ends|finish|until|to|dtend|ends?(at|on)|(end|finish)(es)?date(and)?time|ende|bis|fin|final|hasta)$/,
  }),
  column({
    id: 'endDate',
    names:
      /^(end|finish|until|to)s?(date|day)$|^end(e)?(datum|tag)$|^(date|jour)(de)?fin$|^fecha(de)?(fin|final|finalización)$/,
    written: { header: 'End date', write: (row) => dateOf(row.isAllDay ? row.end - DAY : row.end) },
  }),
  column({
    id: 'endTime',
    names:
      /^(end|finish|until|to)s?(time|hour)$|^end(e)?(zeit|uhrzeit)$|^heure(de)?fin$|^hora(de)?(fin|final|finalización)$/,
    written: { header: 'End time', write: (row) => (row.isAllDay ? '' : timeOf(row.end)) },
  }),
  column({ id: 'length', names: /^(length|duration|minutes|hours|howlong|dauer|länge|durée|duración)$/ }),
  column({
    id: 'allDay',
    names:
      /^((all|whole)day.*|ganztägig|ganztags|ganzertag|journéeentière|todalajornada|todoeldía|todoeldia)$/,
    written: { header: 'All day', write: (row) => (row.isAllDay ? 'yes' : 'no') },
  }),
  column({
    id: 'zone',
    names: /^(zone|timezone|tz|tzid|zeitzone|fuseauhoraire|zonahoraria|husohorario)$/,
    written: { header: 'Zone', write: (row) => zoneOfRow(row) },
  }),
] as const;

const REPEATS = [
  column({
    id: 'repeats',
    names: /^(repeats?|rrule|rule|recurrence|recurs|wiederholung|récurrence|repetición)$/,
    written: { header: 'Repeats', write: (row) => (row.event.recurrence?.rules ?? []).join(' | ') },
  }),
  column({
    id: 'leftOut',
    names: /^(leftout|exdate|exceptions?)$/,
    written: {
      header: 'Left out',
      write: (row) => (row.event.recurrence?.exceptionDates ?? []).map(row.keyOf).join('; '),
    },
  }),
  column({
    id: 'further',
    names: /^(further|rdate|furtherdates)$/,
    written: {
      header: 'Further dates',
      write: (row) => (row.event.recurrence?.dates ?? []).map(row.keyOf).join('; '),
    },
  }),
  column({ id: 'uid', names: /^(uid|id|key)$/, written: { header: 'UID', write: (row) => row.event.uid } }),
  column({
    id: 'occurrence',
    names: /^(occurrence|recurrenceid|occurrenceof)$/,
    written: {
      header: 'Occurrence',
      write: (row) => (row.event.recurrenceId ? row.keyOf(row.event.recurrenceId) : ''),
    },
  }),
] as const;

/** What a column of a table can hold. */
export type CsvField = FieldColumnId | (typeof TIMES)[number]['id'] | (typeof REPEATS)[number]['id'];

const FIELD_COLUMNS = FIELD_NAMES.flatMap((name): Column<CsvField>[] => {
  const codec = rowOf(name).column;
  if (!codec) return [];
  const write = ({ event }: WrittenRow) => codec.write(event[name]);
  return [{ id: codec.id as FieldColumnId, names: codec.names, written: { header: codec.header, write } }];
});
const isTitle = ({ id }: Column<CsvField>): boolean => id === 'title';

/** All columns, in the order in which they are written and offered. The first whose name fits holds a column. */
export const COLUMNS: readonly Column<CsvField>[] = [
  ...FIELD_COLUMNS.filter(isTitle),
  ...TIMES,
  ...FIELD_COLUMNS.filter((one) => !isTitle(one)),
  ...REPEATS,
];
export const CSV_FIELDS: readonly CsvField[] = COLUMNS.map(({ id }) => id);

/** The field of each column, by position; undefined for one that is passed over. */
export type ColumnMapping = readonly (CsvField | undefined)[];

/** Guesses what the columns hold by their names; each field once. */
export function guessColumns(header: readonly string[]): ColumnMapping {
  const taken = new Set<CsvField>();
  return header.map((name) => {
    const plain = name
      .normalize('NFC')
      .toLowerCase()
      .replaceAll(/[^\p{L}\p{N}]/gu, '');
    const field = COLUMNS.find(({ id, names }) => !taken.has(id) && names.test(plain))?.id;
    if (field) taken.add(field);
    return field;
  });
}
