import { attachmentNamesOf } from '../../model/attendees';
import { civilDate, DAY, MINUTE, weekdayOf } from '../../time/civil';
import { ownZone } from '../../time/eventTime';
import { bytesOf, lengthOf, originOf, type TableLine } from './tableLines';
import type { OtherColumn, TableColumn, TableGrouping, TableQuery } from './tableQuery';
import { anyRowOf, type FieldTableColumn, rowFor, TABLE_FIELDS, valueOf } from '../../fields/fieldsOf';

type SortValue = number | string;

/** When a line is, as a number that sorts: what has no date comes last. */
const startOrder = ({ occurrence }: TableLine): number => occurrence?.startWall ?? Infinity;
const spanOf = ({ occurrence }: TableLine): number => (occurrence ? occurrence.end - occurrence.start : 0);

/** What a line is sorted by in each column that shows something else than one field. */
const SORT_VALUES: Readonly<Record<OtherColumn, (line: TableLine, query: TableQuery) => SortValue>> = {
  kind: ({ entry }) => entry.kind,
  start: startOrder,
  end: ({ occurrence }) => occurrence?.endWall ?? Infinity,
  length: (line) => (line.entry.kind === 'event' ? spanOf(line) : lengthOf(line) * MINUTE),
  repeat: ({ entry, part }) => (part === 'single' ? '' : (entry.recurrence?.rules[0] ?? '1')),
  calendar: ({ entry }, { calendars }) => calendars.findIndex(({ id }) => id === entry.calendarId),
  attachments: ({ entry }) => attachmentNamesOf(entry).length,
  size: ({ entry }) => bytesOf(entry),
  zone: ({ entry }) => (entry.start && ownZone(entry.start)) ?? '',
  created: ({ entry }) => entry.created,
  changed: ({ entry }) => entry.modified,
  origin: ({ entry }, { calendars }) => {
    const { kind, name = '' } = originOf(
      entry,
      calendars.some(({ id, isFeed }) => isFeed && id === entry.calendarId),
    );
    return `${kind} ${name}`;
  },
};

/** What lines are sorted by in a column. */
function sortValueOf(column: TableColumn, query: TableQuery): (line: TableLine) => SortValue {
  const field = TABLE_FIELDS.get(column as FieldTableColumn);
  if (field === undefined) return (line) => SORT_VALUES[column as OtherColumn](line, query);
  const { order } = anyRowOf(field).table!;
  return ({ entry }) => order(rowFor(entry.kind, field) && valueOf(entry, field), entry);
}

const collator = new Intl.Collator(undefined, { numeric: true, sensitivity: 'base' });

/** Values as numbers that are in the same order: each text is compared once with each other, however many lines bear it. */
function ranked(values: readonly SortValue[]): Float64Array {
  const ranks = new Float64Array(values.length);
  const texts = new Set<string>();
  for (const value of values) if (typeof value === 'string') texts.add(value);
  const rank = new Map<string, number>();
  [...texts].sort(collator.compare).forEach((text, index) => rank.set(text, index + 1));
  values.forEach((value, index) => (ranks[index] = typeof value === 'string' ? rank.get(value)! : value));
  return ranks;
}

/** How numbers compare, without an end too. */
const difference = (a: number, b: number): number => (a === b ? 0 : a - b);

/** Lines in order of the columns asked for, then of their starts and keys: a stable order. */
export function inTableOrder(lines: readonly TableLine[], query: TableQuery): TableLine[] {
  const keys = query.sort.map(({ column, descending }) => {
    const values = lines.map(sortValueOf(column, query));
    return { ranks: ranked(values), sign: descending ? -1 : 1 };
  });
  const order = Uint32Array.from(lines, (_, index) => index);
  order.sort((a, b) => {
    for (const { ranks, sign } of keys) {
      const by = difference(ranks[a]!, ranks[b]!);
      if (by !== 0) return by * sign;
    }
    const one = lines[a]!;
    const other = lines[b]!;
    return (
      difference(startOrder(one), startOrder(other)) ||
      (one.key < other.key ? -1 : one.key > other.key ? 1 : 0)
    );
  });
  return Array.from(order, (index) => lines[index]!);
}

const UNDATED = { value: '', order: Infinity };

/** What a line is gathered under: the value of its group, and where that group stands among the others. */
export function groupOf(
  line: TableLine,
  grouping: TableGrouping,
  { calendars, periods }: TableQuery,
): { readonly value: string; readonly order: SortValue } {
  const { entry, occurrence } = line;
  const day = occurrence && Math.floor(occurrence.startWall / DAY);
  switch (grouping) {
    case 'calendar':
      return { value: entry.calendarId, order: calendars.findIndex(({ id }) => id === entry.calendarId) };
    case 'month': {
      if (day === undefined) return UNDATED;
      const { year, month } = civilDate(day);
      return { value: `${year}-${String(month).padStart(2, '0')}`, order: year * 12 + month };
    }
    case 'period': {
      if (day === undefined) return { value: '-1', order: periods.length };
      const at = periods.findIndex(({ first, end }) => day >= first && day < end);
      return { value: String(at), order: at < 0 ? periods.length : at };
    }
    case 'category': {
      const value = [...entry.categories].sort(collator.compare).join(', ');
      return { value, order: value === '' ? '\u{10FFFF}' : value };
    }
    case 'place':
      return { value: entry.location, order: entry.location === '' ? '\u{10FFFF}' : entry.location };
    case 'weekday':
      return day === undefined ? UNDATED : { value: String(weekdayOf(day)), order: weekdayOf(day) };
  }
}

/** Whether one group stands before another. */
export const compareGroups = (a: SortValue, b: SortValue): number =>
  typeof a === 'number' && typeof b === 'number' ? difference(a, b) : collator.compare(String(a), String(b));
