import type { Entry, Recurrence } from '../../model/entry';
import type { EventTime } from '../../model/eventTime';
import type { EntryFilter } from '../../model/look';
import type { WorkingPattern } from '../../model/settings';
import type { Standing } from '../../schedule/standing';
import { type EntryFieldName, type FieldTableColumn, TABLE_FIELDS } from '../../fields/fieldsOf';

/** The columns that show something else than one field. */
export type OtherColumn =
  | 'kind'
  | 'start'
  | 'end'
  | 'length'
  | 'repeat'
  | 'calendar'
  | 'attachments'
  | 'size'
  | 'zone'
  | 'created'
  | 'changed'
  | 'origin';
export type TableColumn = FieldTableColumn | OtherColumn;

/** The columns that stand first, and those that stand last; between them come the columns of further fields. */
const FIRST = [
  'title',
  'kind',
  'start',
  'end',
  'length',
  'repeat',
  'place',
  'calendar',
  'category',
  'people',
  'availability',
  'status',
  'importance',
  'percent',
  'visibility',
] as const satisfies readonly TableColumn[];
const LAST = [
  'reminders',
  'attachments',
  'size',
  'zone',
  'created',
  'changed',
  'origin',
] as const satisfies readonly TableColumn[];

/** The columns of the table of all entries, in the order that they stand in at first. */
export const TABLE_COLUMNS: readonly TableColumn[] = [
  ...FIRST,
  ...[...TABLE_FIELDS.keys()].filter((id) => ![...FIRST, ...LAST].some((known) => known === id)),
  ...LAST,
];

/** What rows can be gathered by. */
export const TABLE_GROUPINGS = ['calendar', 'month', 'period', 'category', 'place', 'weekday'] as const;
export type TableGrouping = (typeof TABLE_GROUPINGS)[number];

export interface TableSort {
  readonly column: TableColumn;
  readonly descending: boolean;
}

/** A calendar as far as the table has to know it. */
interface TableCalendar {
  readonly id: string;
  readonly name: string;
  readonly mark: string;
  /** Whether it is read from an address. */
  readonly isFeed: boolean;
}

/** What the table asks for. */
export interface TableQuery {
  readonly zone: string;
  readonly now: number;
  readonly workingPattern: WorkingPattern;
  /** Day numbers, half-open; without them all that there is, a series once. */
  readonly range?: { readonly firstDay: number; readonly endDay: number };
  /** A series as one row, or each of its occurrences in the range as one. */
  readonly as: 'entries' | 'occurrences';
  /** Only entries of a kind; all without. */
  readonly kind?: Entry['kind'];
  /** A search line. */
  readonly text: string;
  readonly filter: EntryFilter;
  readonly withoutCancelled: boolean;
  readonly hiddenCalendarIds: readonly string[];
  /** In their order. */
  readonly calendars: readonly TableCalendar[];
  readonly sort: readonly TableSort[];
  readonly group?: TableGrouping;
  /** For rows gathered by period: in order, half-open. */
  readonly periods: readonly { readonly first: number; readonly end: number }[];
  /** Groups that are folded, by their ids, and series that are unfolded, by theirs. */
  readonly folded: readonly string[];
  readonly unfolded: readonly string[];
}

/** How many, and how long. Minutes are of hours alone; whole days are counted apart. */
export interface TableSums {
  readonly entries: number;
  readonly occurrences: number;
  /** Minutes, each counted, and what of them is not counted twice; not known where series are counted once. */
  readonly minutesEach?: number;
  readonly minutesOnce?: number;
  readonly wholeDays: number;
}

/** Where an entry came from. */
export interface EntryOrigin {
  readonly kind: 'typed' | 'imported' | 'feed' | 'invitation';
  /** The file that it was imported from. */
  readonly name?: string;
}

/** A row that gathers others. What it stands for depends on the grouping: an id, a month, a number. */
export interface GroupRow {
  readonly kind: 'group';
  readonly id: string;
  readonly value: string;
  readonly sums: TableSums;
  readonly isFolded: boolean;
}

/** A row of an entry, or of one occurrence. */
export interface EntryRow {
  readonly kind: 'entry';
  readonly entryKind: Entry['kind'];
  /** A `targetKey`. */
  readonly key: string;
  readonly calendarId: string;
  readonly title: string;
  /**
   * Wall times of the zone that is asked for, in milliseconds; the end is exclusive. Of a to-do from when it can be done and
   * until when it is due, as far as they were said.
   */
  readonly startWall?: number;
  readonly endWall?: number;
  readonly allDay: boolean;
  /** How long it is; of a to-do how long it is said to take, 0 where nothing is said. */
  readonly minutes: number;
  /** How it repeats, and the start that this is said for. */
  readonly recurrence?: Recurrence;
  readonly start?: EventTime;
  /** The values of the fields that have a column, by their names. */
  readonly values: Readonly<Partial<Record<EntryFieldName, unknown>>>;
  readonly standing: Standing;
  readonly files: number;
  readonly bytes: number;
  readonly created: number;
  readonly modified: number;
  readonly origin: EntryOrigin;
  /** Whether it is one of a series, or a series with so many occurrences in the range. */
  readonly part: 'single' | 'occurrence' | 'series';
  readonly changed: boolean;
  readonly count: number;
  readonly isUnfolded: boolean;
  /** 1 for the occurrences of an unfolded series. */
  readonly depth: 0 | 1;
}

export type TableRow = GroupRow | EntryRow;

/** A part of the table. */
export interface TableAnswer {
  /** The first of the rows that are here, and how many there are in all. */
  readonly from: number;
  readonly rows: readonly TableRow[];
  readonly rowCount: number;
  readonly sums: TableSums;
  readonly problems: readonly string[];
}

/** What others have to share with an entry to be like it. */
export const LIKENESSES = ['title', 'series', 'place', 'people'] as const;
export type Likeness = (typeof LIKENESSES)[number];

/** What is selected, summed. */
export interface SelectionSums {
  readonly entries: number;
  readonly series: number;
  readonly minutes: number;
  readonly wholeDays: number;
  /** Which of the selected a filter and range leave out. */
  readonly outOfSight: number;
}
