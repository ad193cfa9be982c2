import { attachmentNamesOf } from '../../model/attendees';
import { type Entry, isDated, isEvent } from '../../model/entry';
import { filterTest } from '../../schedule/entryFilter';
import type { EntryIndex } from '../../schedule/entryIndex';
import { type Occurrence, occurrenceOf } from '../../schedule/occurrence';
import { dayWindow } from '../../schedule/occurrenceIndex';
import { dueOf } from '../../todos/todoSpan';
import { MINUTE } from '../../time/civil';
import { instantOf } from '../../time/eventTime';
import type { EntryOrigin, EntryRow, TableQuery } from './tableQuery';
import { isOff, standingOf } from '../../schedule/standing';
import { rowFor, TABLE_FIELDS, valueOf } from '../../fields/fieldsOf';

/** A row before it is sorted: what it stands for, and the occurrences in the range that it sums. */
export interface TableLine {
  readonly key: string;
  readonly entry: Entry;
  /** The one whose times it shows: the first in the range; undefined for a to-do without a date. */
  readonly occurrence: Occurrence | undefined;
  readonly occurrences: readonly Occurrence[];
  readonly part: EntryRow['part'];
}

/** A table's words and filters as a test of entries. */
type Accepts = (entry: Entry) => boolean;

const acceptsOf = (query: TableQuery, found: ReadonlySet<string> | undefined): Accepts => {
  const hidden = new Set(query.hiddenCalendarIds);
  const passes = filterTest(query.filter);
  return (entry) =>
    (query.kind === undefined || entry.kind === query.kind) &&
    !hidden.has(entry.calendarId) &&
    !(query.withoutCancelled && isOff(entry)) &&
    (!found || found.has(entry.id)) &&
    passes(entry);
};

/**
 * The rows that a query asks for, in no order.
 * @param found the ids of entries that its search line finds; undefined where it asks for nothing
 */
export function tableLines(
  index: EntryIndex,
  query: TableQuery,
  found: ReadonlySet<string> | undefined,
): TableLine[] {
  const accepts = acceptsOf(query, found);
  return query.range ? linesInRange(index, query, accepts) : allLines(index, query, accepts);
}

function linesInRange(index: EntryIndex, query: TableQuery, accepts: Accepts): TableLine[] {
  const { range, zone, workingPattern } = query;
  const window = dayWindow(range!.firstDay, range!.endDay, zone);
  const known = new Map<Entry, boolean>();
  const isAccepted = (entry: Entry): boolean => {
    let answer = known.get(entry);
    if (answer === undefined) known.set(entry, (answer = accepts(entry)));
    return answer;
  };
  const lines: TableLine[] = [];
  const series = new Map<string, Occurrence[]>();
  for (const occurrence of index.between(window, zone, { workingPattern })) {
    const entry = index.fieldsOf(occurrence);
    if (!entry || !isAccepted(entry)) continue;
    const root = index.rootOf(entry);
    if (query.as === 'occurrences' || !occurrence.recurring) {
      const part = occurrence.recurring ? 'occurrence' : 'single';
      lines.push({ key: occurrence.key, entry, occurrence, occurrences: [occurrence], part });
      continue;
    }
    const others = series.get(root.id);
    if (others) others.push(occurrence);
    else series.set(root.id, [occurrence]);
  }
  for (const [id, occurrences] of series) {
    const entry = index.get(id)!;
    const part = entry.recurrence ? 'series' : 'occurrence';
    lines.push({ key: id, entry, occurrence: occurrences[0]!, occurrences, part });
  }
  return lines;
}

function allLines(index: EntryIndex, query: TableQuery, accepts: Accepts): TableLine[] {
  const lines: TableLine[] = [];
  const { zone } = query;
  for (const entry of index.all()) {
    // A changed occurrence is a part of its series.
    if (index.rootOf(entry) !== entry || !accepts(entry)) continue;
    const part = entry.recurrence ? 'series' : 'single';
    if (!isDated(entry)) {
      lines.push({ key: entry.id, entry, occurrence: undefined, occurrences: [], part });
      continue;
    }
    const at = { start: instantOf(entry.start, zone), end: instantOf(entry.end, zone) };
    const occurrence = occurrenceOf(entry, { ...at, key: entry.id }, zone);
    lines.push({ key: entry.id, entry, occurrence, occurrences: [occurrence], part });
  }
  return lines;
}

/** Where an entry came from: a file is noted with it, all else follows from what it is. */
export function originOf(entry: Entry, isFeed: boolean): EntryOrigin {
  if (isFeed) return { kind: 'feed' };
  if (entry.importedFrom !== undefined) return { kind: 'imported', name: entry.importedFrom };
  return { kind: entry.organizer ? 'invitation' : 'typed' };
}

/** How long its hours are, in minutes; 0 for whole days. */
export const minutesOf = ({ allDay, start, end }: Occurrence): number =>
  allDay ? 0 : Math.round((end - start) / MINUTE);

/** How long the hours of a line are, or what its to-do is said to take, in minutes. */
export function lengthOf({ entry, occurrence }: TableLine): number {
  if (!isEvent(entry)) return entry.estimate ?? 0;
  return occurrence ? minutesOf(occurrence) : 0;
}

export const bytesOf = (entry: Entry): number =>
  (entry.attachments ?? []).reduce((sum, { size }) => sum + size, 0);

/** From when a line is, and until when, as wall times: of a to-do as far as each was said. */
function wallsOf({ entry, occurrence }: TableLine): Pick<EntryRow, 'startWall' | 'endWall'> {
  if (!occurrence) return {};
  const { startWall, endWall } = occurrence;
  if (isEvent(entry)) return { startWall, endWall };
  return {
    ...(entry.hasStart ? { startWall } : {}),
    ...(dueOf(entry) ? { endWall } : {}),
  };
}

/** The values of the fields that have a column. */
const columnValues = (entry: Entry): EntryRow['values'] =>
  Object.fromEntries(
    [...TABLE_FIELDS.values()].flatMap((name) => {
      const value = rowFor(entry.kind, name) && valueOf(entry, name);
      return value === undefined ? [] : [[name, value] as const];
    }),
  );

/** A line as it is handed out. */
export function rowOfLine(line: TableLine, isFeed: boolean, isUnfolded: boolean, depth: 0 | 1): EntryRow {
  const { entry, occurrence, part } = line;
  return {
    kind: 'entry',
    entryKind: entry.kind,
    key: line.key,
    calendarId: entry.calendarId,
    title: entry.title,
    ...wallsOf(line),
    allDay: occurrence?.allDay ?? false,
    minutes: lengthOf(line),
    ...(entry.recurrence ? { recurrence: entry.recurrence } : {}),
    ...(entry.start ? { start: entry.start } : {}),
    values: columnValues(entry),
    standing: standingOf(entry),
    files: attachmentNamesOf(entry).length,
    bytes: bytesOf(entry),
    created: entry.created,
    modified: entry.modified,
    origin: originOf(entry, isFeed),
    part,
    changed: occurrence?.changed ?? false,
    count: line.occurrences.length,
    isUnfolded,
    depth,
  };
}
