import { attachmentNamesOf, attendeesOf } from '../../model/attendees';
import { civilDate, DAY, weekdayOf } from '../../time/civil';
import { ownZone } from '../../time/eventTime';
import { bytesOf, originOf, type TableLine } from './tableLines';
import type { TableColumn, TableGrouping, TableQuery } from './tableQuery';

type SortValue = number | string;

/** What a line is sorted by in each column. A column that is added has to be said here. */
const SORT_VALUES: Readonly<Record<TableColumn, (line: TableLine, query: TableQuery) => SortValue>> = {
  title: ({ event }) => event.title,
  start: ({ occurrence }) => occurrence.startWall,
  end: ({ occurrence }) => occurrence.endWall,
  length: ({ occurrence }) => occurrence.end - occurrence.start,
  repeat: ({ event, part }) => (part === 'single' ? '' : (event.recurrence?.rules[0] ?? '1')),
  place: ({ event }) => event.location,
  calendar: ({ event }, { calendars }) => calendars.findIndex(({ id }) => id === event.calendarId),
  category: ({ event }) => event.categories.join(', '),
  people: ({ event }) => attendeesOf(event).length,
  availability: ({ event }) => event.availability,
  visibility: ({ event }) => event.classification,
  reminders: ({ event }) => event.reminders?.length ?? -1,
  attachments: ({ event }) => attachmentNamesOf(event).length,
  size: ({ event }) => bytesOf(event),
  zone: ({ event }) => ownZone(event.start) ?? '',
  created: ({ event }) => event.created,
  changed: ({ event }) => event.modified,
  origin: ({ event }, { calendars }) => {
    const { kind, name = '' } = originOf(
      event,
      calendars.some(({ id, isFeed }) => isFeed && id === event.calendarId),
    );
    return `${kind} ${name}`;
  },
};

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

/** Lines in order of the columns asked for, then of their starts and keys: a stable order. */
export function inTableOrder(lines: readonly TableLine[], query: TableQuery): TableLine[] {
  const keys = query.sort.map(({ column, descending }) => {
    const values = lines.map((line) => SORT_VALUES[column](line, query));
    return { ranks: ranked(values), sign: descending ? -1 : 1 };
  });
  const order = Uint32Array.from(lines, (_, index) => index);
  order.sort((a, b) => {
    for (const { ranks, sign } of keys) {
      const by = ranks[a]! - ranks[b]!;
      if (by !== 0) return by * sign;
    }
    const one = lines[a]!;
    const other = lines[b]!;
    return (
      one.occurrence.startWall - other.occurrence.startWall ||
      (one.key < other.key ? -1 : one.key > other.key ? 1 : 0)
    );
  });
  return Array.from(order, (index) => lines[index]!);
}

/** What a line is gathered under: the value of its group, and where that group stands among the others. */
export function groupOf(
  line: TableLine,
  grouping: TableGrouping,
  { calendars, periods }: TableQuery,
): { readonly value: string; readonly order: SortValue } {
  const { event, occurrence } = line;
  const day = Math.floor(occurrence.startWall / DAY);
  switch (grouping) {
    case 'calendar':
      return { value: event.calendarId, order: calendars.findIndex(({ id }) => id === event.calendarId) };
    case 'month': {
      const { year, month } = civilDate(day);
      return { value: `${year}-${String(month).padStart(2, '0')}`, order: year * 12 + month };
    }
    case 'period': {
      const at = periods.findIndex(({ first, end }) => day >= first && day < end);
      return { value: String(at), order: at < 0 ? periods.length : at };
    }
    case 'category': {
      const value = [...event.categories].sort(collator.compare).join(', ');
      return { value, order: value === '' ? '\u{10FFFF}' : value };
    }
    case 'place':
      return { value: event.location, order: event.location === '' ? '\u{10FFFF}' : event.location };
    case 'weekday':
      return { value: String(weekdayOf(day)), order: weekdayOf(day) };
  }
}

/** Whether one group stands before another. */
export const compareGroups = (a: SortValue, b: SortValue): number =>
  typeof a === 'number' && typeof b === 'number' ? a - b : collator.compare(String(a), String(b));
