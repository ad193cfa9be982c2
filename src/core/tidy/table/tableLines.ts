import { attachmentNamesOf, attendeesOf } from '../../model/attendees';
import type { CalendarEvent } from '../../model/entry';
import { filterTest } from '../../schedule/entryFilter';
import { type Occurrence, occurrenceOf } from '../../schedule/occurrence';
import { dayWindow, type OccurrenceIndex } from '../../schedule/occurrenceIndex';
import { MINUTE } from '../../time/civil';
import { instantOf } from '../../time/eventTime';
import type { EntryOrigin, EntryRow, TableQuery } from './tableQuery';

/** A row before it is sorted: what it stands for, and the occurrences in the range that it sums. */
export interface TableLine {
  readonly key: string;
  readonly event: CalendarEvent;
  /** The one whose times it shows: the first in the range. */
  readonly occurrence: Occurrence;
  readonly occurrences: readonly Occurrence[];
  readonly part: EntryRow['part'];
}

/** A table's words and filters as a test of events. */
export type Accepts = (event: CalendarEvent) => boolean;

const acceptsOf = (query: TableQuery, found: ReadonlySet<string> | undefined): Accepts => {
  const hidden = new Set(query.hiddenCalendarIds);
  const passes = filterTest(query.filter);
  return (event) =>
    !hidden.has(event.calendarId) &&
    !(query.withoutCancelled && event.status === 'cancelled') &&
    (!found || found.has(event.id)) &&
    passes(event);
};

/**
 * The rows that a query asks for, in no order.
 * @param found the ids of entries that its search line finds; undefined where it asks for nothing
 */
export function tableLines(
  index: OccurrenceIndex,
  query: TableQuery,
  found: ReadonlySet<string> | undefined,
): TableLine[] {
  const accepts = acceptsOf(query, found);
  return query.range ? linesInRange(index, query, accepts) : allLines(index, query, accepts);
}

/** A series and its changed occurrences as one, by its id; anything else by its own. */
const rootOf = (index: OccurrenceIndex, event: CalendarEvent): CalendarEvent =>
  (event.seriesId !== undefined ? index.get(event.seriesId) : undefined) ?? event;

function linesInRange(index: OccurrenceIndex, query: TableQuery, accepts: Accepts): TableLine[] {
  const { range, zone, workingPattern } = query;
  const window = dayWindow(range!.firstDay, range!.endDay, zone);
  const known = new Map<CalendarEvent, boolean>();
  const isAccepted = (event: CalendarEvent): boolean => {
    let answer = known.get(event);
    if (answer === undefined) known.set(event, (answer = accepts(event)));
    return answer;
  };
  const lines: TableLine[] = [];
  const series = new Map<string, Occurrence[]>();
  for (const occurrence of index.between(window, zone, { workingPattern })) {
    const event = index.fieldsOf(occurrence);
    if (!event || !isAccepted(event)) continue;
    const root = rootOf(index, event);
    if (query.as === 'occurrences' || !occurrence.recurring) {
      const part = occurrence.recurring ? 'occurrence' : 'single';
      lines.push({ key: occurrence.key, event, occurrence, occurrences: [occurrence], part });
      continue;
    }
    const others = series.get(root.id);
    if (others) others.push(occurrence);
    else series.set(root.id, [occurrence]);
  }
  for (const [id, occurrences] of series) {
    const event = index.get(id)!;
    const part = event.recurrence ? 'series' : 'occurrence';
    lines.push({ key: id, event, occurrence: occurrences[0]!, occurrences, part });
  }
  return lines;
}

function allLines(index: OccurrenceIndex, query: TableQuery, accepts: Accepts): TableLine[] {
  const lines: TableLine[] = [];
  const { zone } = query;
  for (const event of index.all()) {
    // A changed occurrence is a part of its series.
    if (rootOf(index, event) !== event || !accepts(event)) continue;
    const at = { start: instantOf(event.start, zone), end: instantOf(event.end, zone) };
    const occurrence = occurrenceOf(event, { ...at, key: event.id }, zone);
    const part = event.recurrence ? 'series' : 'single';
    lines.push({ key: event.id, event, occurrence, occurrences: [occurrence], part });
  }
  return lines;
}

/** Where an entry came from: a file is noted with it, all else follows from what it is. */
export function originOf(event: CalendarEvent, isFeed: boolean): EntryOrigin {
  if (isFeed) return { kind: 'feed' };
  if (event.importedFrom !== undefined) return { kind: 'imported', name: event.importedFrom };
  return { kind: event.organizer ? 'invitation' : 'typed' };
}

/** How long its hours are, in minutes; 0 for whole days. */
export const minutesOf = ({ allDay, start, end }: Occurrence): number =>
  allDay ? 0 : Math.round((end - start) / MINUTE);

export const bytesOf = (event: CalendarEvent): number =>
  (event.attachments ?? []).reduce((sum, { size }) => sum + size, 0);

/** A line as it is handed out. */
export function rowOfLine(line: TableLine, isFeed: boolean, isUnfolded: boolean, depth: 0 | 1): EntryRow {
  const { event, occurrence, part } = line;
  return {
    kind: 'entry',
    key: line.key,
    calendarId: event.calendarId,
    title: event.title,
    startWall: occurrence.startWall,
    endWall: occurrence.endWall,
    allDay: occurrence.allDay,
    minutes: minutesOf(occurrence),
    ...(event.recurrence ? { recurrence: event.recurrence } : {}),
    start: event.start,
    location: event.location,
    people: attendeesOf(event).map(({ name }) => name),
    availability: event.availability,
    classification: event.classification,
    status: event.status,
    categories: event.categories,
    ...(event.reminders ? { reminders: event.reminders } : {}),
    files: attachmentNamesOf(event).length,
    bytes: bytesOf(event),
    created: event.created,
    modified: event.modified,
    origin: originOf(event, isFeed),
    part,
    changed: occurrence.changed,
    count: line.occurrences.length,
    isUnfolded,
    depth,
  };
}
