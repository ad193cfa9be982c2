import { uidOf } from '../../change/versions';
import { initialFields } from '../../fields/eventFields';
import { type EntryFieldName, initialValues } from '../../fields/fieldsOf';
import {
  type CalendarEvent,
  type Entry,
  type EventFields,
  LONGEST_TITLE,
  type Todo,
  type TodoFields,
  isEvent,
  isTodo,
} from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import { parseRule } from '../../recurrence/rule';
import { localString, MINUTE, parseLocal } from '../../time/civil';
import { atWall, instantOf, wallOf } from '../../time/eventTime';
import { instantToWall, isKnownZone } from '../../time/zones';
import { readLength } from '../../time/readLength';
import { todoSpan } from '../../todos/todoSpan';
import { type ColumnMapping, type CsvField, FIELDS_OF_COLUMNS, FLOATING } from './columns';
import type { CsvTable } from './csvTable';
import { type DateOrder, dayAfter, type Moment, readDate, readMoment, readTime } from './dates';
import { namesIn } from '../../fields/nameList';

export interface CsvProblem {
  readonly line: number;
  readonly code:
    | 'no-date'
    | 'unreadable-date'
    | 'unreadable-time'
    | 'unreadable-length'
    | 'unreadable-rule'
    | 'end-before-start'
    | 'unknown-zone'
    | 'unknown-value';
  readonly detail: string;
}

export interface CsvOptions {
  readonly mapping: ColumnMapping;
  readonly dateOrder: DateOrder;
  /** The zone of times that name none. */
  readonly zone: string;
  readonly defaultLengthMinutes: number;
  readonly now: number;
  readonly newId: () => string;
}

class RowProblem extends Error {
  constructor(
    readonly code: CsvProblem['code'],
    readonly detail: string,
  ) {
    super(code);
  }
}

/** The longest that an entry may reach into the next day without a date of its end, in milliseconds. */
const LONGEST_NIGHT = 12 * 60 * MINUTE;

const YES = /^(1|y|yes|true|x|on|all day)$/i;

/** What a table says of an entry being a to-do. */
const TODO = /^(to-?do|task|vtodo|aufgabe|tâche|tarea)s?$/i;

/** The entries of a table, and what could not be read of it. */
export interface ReadCsv {
  readonly events: CalendarEvent[];
  readonly todos: Todo[];
  readonly problems: CsvProblem[];
}

/**
 * The entries of a table. A row that has no readable date, and is no to-do, is left out and reported with its line; a value
 * that is not known is reported, and the row is read without it. A row is a to-do where its kind says so, or where it says
 * no kind and is due, with no end.
 */
export function readCsv(table: CsvTable, options: CsvOptions): ReadCsv {
  const problems: CsvProblem[] = [];
  const entries = table.rows.flatMap(({ line, cells }): Entry[] => {
    const report = (code: CsvProblem['code'], detail: string) => problems.push({ line, code, detail });
    try {
      const cell: Cell = (field) => cellOf(cells, options.mapping, field);
      return [isTodoRow(cell) ? readTodoRow(cell, options, report) : readRow(cell, options, report)];
    } catch (error) {
      if (!(error instanceof RowProblem)) throw error;
      report(error.code, error.detail);
      return [];
    }
  });
  return {
    events: joined(entries.filter(isEvent)),
    todos: joined(entries.filter(isTodo)),
    problems,
  };
}

const cellOf = (cells: readonly string[], mapping: ColumnMapping, field: CsvField): string => {
  const at = mapping.indexOf(field);
  return at === -1 ? '' : (cells[at] ?? '').trim();
};

type Cell = (field: CsvField) => string;
type Report = (code: CsvProblem['code'], detail: string) => void;

function readEdge(cell: Cell, edge: 'start' | 'end', order: DateOrder): Moment | undefined {
  const [whole, day] = [cell(edge), cell(`${edge}Date`)];
  // Beside a column of dates, the other one holds the time.
  const time = cell(`${edge}Time`) || (day !== '' ? whole : '');
  const dateText = day || whole;
  let moment: Moment | undefined;
  if (dateText !== '') {
    moment = readMoment(dateText, order);
    // A time alone in the column of the end is one of the same day.
    if (!moment && edge === 'end' && readTime(dateText) !== undefined) return undefined;
    if (!moment) throw new RowProblem('unreadable-date', dateText);
  }
  if (time === '' || !moment) return moment;
  const minutes = readTime(time);
  if (minutes === undefined) throw new RowProblem('unreadable-time', time);
  return { ...moment, minutes };
}

/** The zone of a row, or undefined for times that belong to none. */
function readZone(cell: Cell, options: CsvOptions, report: Report): string | undefined {
  const text = cell('zone');
  if (text.toLowerCase() === FLOATING) return undefined;
  if (text === '' || isKnownZone(text)) return text || options.zone;
  report('unknown-zone', text);
  return options.zone;
}

function eventTime(moment: Moment, zone: string | undefined): EventTime {
  if (moment.minutes === undefined) return { kind: 'date', date: moment.date };
  const wall = parseLocal(`${moment.date}T00:00:00`) + moment.minutes * MINUTE;
  if (zone === undefined) return { kind: 'floating', local: localString(wall) };
  if (moment.offset === undefined) return { kind: 'zoned', local: localString(wall), zone };
  return { kind: 'zoned', local: localString(instantToWall(zone, wall - moment.offset * MINUTE)), zone };
}

function readTimes(cell: Cell, options: CsvOptions, report: Report): { start: EventTime; end: EventTime } {
  const order = options.dateOrder;
  const first = readEdge(cell, 'start', order);
  if (!first) throw new RowProblem('no-date', cell('title'));
  const allDay = cell('allDay') === '' ? first.minutes === undefined : YES.test(cell('allDay'));
  const last = readEdge(cell, 'end', order);
  if (allDay) {
    const lastDay = last && last.date > first.date ? last.date : first.date;
    if (last && last.date < first.date) report('end-before-start', `${first.date} – ${last.date}`);
    return { start: { kind: 'date', date: first.date }, end: { kind: 'date', date: dayAfter(lastDay) } };
  }
  const zone = readZone(cell, options, report);
  const start = eventTime({ ...first, minutes: first.minutes ?? 0 }, zone);
  const endTime = last ? last.minutes : readTime(cell('endTime') || cell('end'));
  let end: EventTime | undefined;
  if (endTime !== undefined) {
    const written = { date: last?.date ?? first.date, minutes: endTime, offset: last?.offset };
    end = eventTime(written, zone);
    // Without a date of its own, an end before the start is one of the next day.
    if (!last && wallOf(end) <= wallOf(start)) {
      const nextDay = eventTime({ ...written, date: dayAfter(first.date) }, zone);
      // A night is one; 23 hours are more likely a slip.
      if (wallOf(nextDay) - wallOf(start) <= LONGEST_NIGHT) end = nextDay;
    }
  }
  const lengthText = cell('length');
  const length = lengthText === '' ? undefined : readLength(lengthText);
  if (lengthText !== '' && length === undefined) report('unreadable-length', lengthText);
  const afterLength = atWall(start, wallOf(start) + (length ?? options.defaultLengthMinutes) * MINUTE);
  const at = zone ?? options.zone;
  if (end && instantOf(end, at) < instantOf(start, at)) {
    report(
      'end-before-start',
      `${cell('start') || cell('startDate')} ${cell('startTime')} – ${cell('end') || cell('endDate')} ${cell('endTime')}`.trim(),
    );
    end = undefined;
  }
  return { start, end: end ?? afterLength };
}

/** The fields that the columns of a row say. */
function readFields<Kind extends Entry['kind']>(
  kind: Kind,
  cell: Cell,
  report: Report,
): Partial<Kind extends 'event' ? EventFields : TodoFields> {
  const fields: Partial<Record<EntryFieldName, unknown>> = {};
  for (const [id, { name, codec }] of FIELDS_OF_COLUMNS[kind]) {
    const text = cell(id as CsvField);
    if (text === '') continue;
    const value = codec.read(text);
    if (value === undefined) report('unknown-value', text);
    else fields[name] = value;
  }
  return fields as Partial<Kind extends 'event' ? EventFields : TodoFields>;
}

function timesOf(text: string, start: EventTime, report: Report): EventTime[] {
  return namesIn(text).flatMap((part): EventTime[] => {
    const local =
      /^\d{4}-\d\d-\d\d(T\d\d:\d\d(:\d\d)?)?$/.exec(part) && readDate(part.slice(0, 10), 'day-month');
    if (!local) {
      report('unreadable-date', part);
      return [];
    }
    return [atWall(start, parseLocal(part.length === 16 ? `${part}:00` : part))];
  });
}

function readRule(text: string, report: Report): string[] {
  return text
    .split(/\s*\|\s*|\n/)
    .map((rule) => rule.trim().replace(/^RRULE:/i, ''))
    .filter(Boolean)
    .filter((rule) => {
      try {
        parseRule(rule);
        return true;
      } catch {
        report('unreadable-rule', rule);
        return false;
      }
    });
}

/** How an entry repeats, or which date of a series it is. */
function readRecurrence(
  cell: Cell,
  start: EventTime,
  report: Report,
): Pick<Entry, 'recurrence' | 'recurrenceId'> {
  const [recurrenceId] = timesOf(cell('occurrence'), start, report);
  if (recurrenceId) return { recurrenceId };
  const rules = readRule(cell('repeats'), report);
  const dates = timesOf(cell('further'), start, report);
  if (rules.length + dates.length === 0) return {};
  return { recurrence: { rules, dates, exceptionDates: timesOf(cell('leftOut'), start, report) } };
}

/** What an entry is known by, and that it is new. */
const newRecord = (cell: Cell, { newId, now }: CsvOptions) => {
  const id = newId();
  return { id, uid: cell('uid') || uidOf(id), calendarId: '-', sequence: 0, created: now, modified: now };
};

function readRow(cell: Cell, options: CsvOptions, report: Report): CalendarEvent {
  const { start, end } = readTimes(cell, options, report);
  const { title = '', ...fields } = readFields('event', cell, report);
  return {
    ...initialFields(),
    ...fields,
    title: title.slice(0, LONGEST_TITLE),
    kind: 'event',
    ...newRecord(cell, options),
    start,
    end,
    ...readRecurrence(cell, start, report),
  };
}

const isTodoRow = (cell: Cell): boolean =>
  cell('kind') === ''
    ? cell('due') !== '' && [cell('end'), cell('endDate'), cell('endTime')].every((text) => text === '')
    : TODO.test(cell('kind'));

/** When a to-do is due, and from when it can be done. */
function readTodoTimes(cell: Cell, options: CsvOptions, report: Report) {
  const zone = readZone(cell, options, report);
  const read = (moment: Moment | undefined): EventTime | undefined => moment && eventTime(moment, zone);
  const dueText = cell('due');
  const due = dueText === '' ? undefined : readMoment(dueText, options.dateOrder);
  if (dueText !== '' && !due) throw new RowProblem('unreadable-date', dueText);
  const span = todoSpan(read(due), read(readEdge(cell, 'start', options.dateOrder)));
  if (!span.start || !span.end || wallOf(span.end) >= wallOf(span.start)) return span;
  report('end-before-start', `${cell('start') || cell('startDate')} – ${dueText}`);
  return todoSpan(read(due), undefined);
}

function readTodoRow(cell: Cell, options: CsvOptions, report: Report): Todo {
  const span = readTodoTimes(cell, options, report);
  const { title = '', ...fields } = readFields('todo', cell, report);
  return {
    ...(initialValues('todo') as Omit<TodoFields, 'calendarId'>),
    ...fields,
    ...span,
    title: title.slice(0, LONGEST_TITLE),
    kind: 'todo',
    ...newRecord(cell, options),
    ...(span.start ? readRecurrence(cell, span.start, report) : {}),
  };
}

/** Changed occurrences join the series of their UID. */
function joined<Kept extends Entry>(entries: readonly Kept[]): Kept[] {
  const series = new Map(entries.filter(({ recurrence }) => recurrence).map((entry) => [entry.uid, entry]));
  return entries.map((entry) => {
    const master = entry.recurrenceId && series.get(entry.uid);
    return master ? { ...entry, seriesId: master.id } : entry;
  });
}
