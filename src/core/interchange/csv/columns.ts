import type { FieldColumnId } from '../../fields/eventFields';
import type { ColumnCodec } from '../../fields/field';
import { type EntryFieldName, fieldsOf, valueOf } from '../../fields/fieldsOf';
import type { TodoColumnId } from '../../fields/todoFields';
import { type Entry, isTodo } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { dateString, DAY, localString } from '../../time/civil';
import { dueOf } from '../../todos/todoSpan';

/** What stands in the zone's column of a time that belongs to no zone. */
export const FLOATING = 'floating';

/** What the column of kinds says of a to-do. */
const TODO_KIND = 'to-do';

/** What a row of a table is written of: an entry, with its times on the clock of its start. */
export interface WrittenRow {
  readonly entry: Entry;
  readonly isAllDay: boolean;
  /** Wall times in milliseconds: of an event, of a to-do from when it can be done, where that was said. */
  readonly start: number | undefined;
  readonly end: number | undefined;
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
const zoneOfRow = ({ entry: { start }, isAllDay }: WrittenRow): string =>
  start?.kind === 'zoned' ? start.zone : isAllDay || !start ? '' : FLOATING;
const timed = ({ isAllDay }: WrittenRow, wall: number | undefined): string =>
  isAllDay || wall === undefined ? '' : timeOf(wall);

/** When a to-do is due: a day, or a day and a time. */
function dueText({ entry, keyOf }: WrittenRow): string {
  const due = isTodo(entry) ? dueOf(entry) : undefined;
  return due ? keyOf(due).replace('T', ' ').slice(0, 16) : '';
}

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
    written: { header: 'Start date', write: ({ start }) => (start === undefined ? '' : dateOf(start)) },
  }),
  column({
    id: 'startTime',
    names:
      /^(start|begin|from)s?(time|hour)$|^(time|at)$|^(start|beginn?|anfangs?)(zeit|uhrzeit)$|^(uhrzeit|zeit|heure|hora)$|^heure(de)?début$|^hora(de)?(inicio|comienzo)$/,
    written: { header: 'Start time', write: (row) => timed(row, row.start) },
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
    written: {
      header: 'End date',
      write: ({ isAllDay, end }) => (end === undefined ? '' : dateOf(isAllDay ? end - DAY : end)),
    },
  }),
  column({
    id: 'endTime',
    names:
      /^(end|finish|until|to)s?(time|hour)$|^end(e)?(zeit|uhrzeit)$|^heure(de)?fin$|^hora(de)?(fin|final|finalización)$/,
    written: { header: 'End time', write: (row) => timed(row, row.end) },
  }),
  column({ id: 'length', names: /^(length|duration|minutes|hours|howlong|dauer|länge|durée|duración)$/ }),
  column({
    id: 'allDay',
    names:
      /^((all|whole)day.*|ganztägig|ganztags|ganzertag|journéeentière|todalajornada|todoeldía|todoeldia)$/,
    written: {
      header: 'All day',
      write: ({ entry, isAllDay }) => (isTodo(entry) && !entry.start ? '' : isAllDay ? 'yes' : 'no'),
    },
  }),
  column({
    id: 'zone',
    names: /^(zone|timezone|tz|tzid|zeitzone|fuseauhoraire|zonahoraria|husohorario)$/,
    written: { header: 'Zone', write: (row) => zoneOfRow(row) },
  }),
] as const;

const KINDS = [
  column({
    id: 'kind',
    names: /^(kind|type|component|art|typ|genre|tipo)$/,
    written: { header: 'Kind', write: ({ entry }) => (isTodo(entry) ? TODO_KIND : 'event') },
  }),
  column({
    id: 'due',
    names: /^(due|dueon|dueat|duedate|deadline|fällig|fälligam|échéance|vencimiento)$/,
    written: { header: 'Due', write: dueText },
  }),
] as const;

const REPEATS = [
  column({
    id: 'repeats',
    names: /^(repeats?|rrule|rule|recurrence|recurs|wiederholung|récurrence|repetición)$/,
    written: { header: 'Repeats', write: (row) => (row.entry.recurrence?.rules ?? []).join(' | ') },
  }),
  column({
    id: 'leftOut',
    names: /^(leftout|exdate|exceptions?)$/,
    written: {
      header: 'Left out',
      write: (row) => (row.entry.recurrence?.exceptionDates ?? []).map(row.keyOf).join('; '),
    },
  }),
  column({
    id: 'further',
    names: /^(further|rdate|furtherdates)$/,
    written: {
      header: 'Further dates',
      write: (row) => (row.entry.recurrence?.dates ?? []).map(row.keyOf).join('; '),
    },
  }),
  column({ id: 'uid', names: /^(uid|id|key)$/, written: { header: 'UID', write: (row) => row.entry.uid } }),
  column({
    id: 'occurrence',
    names: /^(occurrence|recurrenceid|occurrenceof)$/,
    written: {
      header: 'Occurrence',
      write: (row) => (row.entry.recurrenceId ? row.keyOf(row.entry.recurrenceId) : ''),
    },
  }),
] as const;

/** What a column of a table can hold. */
export type CsvField =
  | FieldColumnId
  | TodoColumnId
  | (typeof TIMES)[number]['id']
  | (typeof KINDS)[number]['id']
  | (typeof REPEATS)[number]['id'];

/** The columns that hold fields of a kind of entry, by their ids. */
function fieldColumnsOf(kind: Entry['kind']) {
  const { names, rowOf } = fieldsOf(kind);
  return new Map<string, { readonly name: EntryFieldName; readonly codec: ColumnCodec<unknown> }>(
    names.flatMap((name) => {
      const codec = rowOf(name).column;
      return codec ? [[codec.id, { name, codec }] as const] : [];
    }),
  );
}

/** The fields of each kind of entry that a column holds, by its id. */
export const FIELDS_OF_COLUMNS = { event: fieldColumnsOf('event'), todo: fieldColumnsOf('todo') } as const;

const FIELD_COLUMNS = [...new Map([...FIELDS_OF_COLUMNS.event, ...FIELDS_OF_COLUMNS.todo])].map(
  ([id, known]): Column<CsvField> => {
    const { header, names } = FIELDS_OF_COLUMNS.event.get(id)?.codec ?? known.codec;
    const write = ({ entry }: WrittenRow): string => {
      const held = FIELDS_OF_COLUMNS[entry.kind].get(id);
      return held ? held.codec.write(valueOf(entry, held.name)) : '';
    };
    return { id: id as CsvField, names, written: { header, write } };
  },
);
const isTitle = ({ id }: Column<CsvField>): boolean => id === 'title';

/** All columns, in the order in which they are written and offered. The first whose name fits holds a column. */
export const COLUMNS: readonly Column<CsvField>[] = [
  ...FIELD_COLUMNS.filter(isTitle),
  ...TIMES,
  ...FIELD_COLUMNS.filter((one) => !isTitle(one)),
  ...KINDS,
  ...REPEATS,
];
export const CSV_FIELDS: readonly CsvField[] = COLUMNS.map(({ id }) => id);

/** The columns of which a table has to have one: what says when its entries are. */
export const DATED_BY: readonly CsvField[] = ['start', 'startDate', 'due'];

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
