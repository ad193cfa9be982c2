import type { CalendarEvent } from '../../model/entry';
import { type Occurrence, takenRange } from '../../schedule/occurrence';
import { takesTime } from '../../schedule/standing';
import { type OccurrenceFilter, OccurrenceIndex } from '../../schedule/occurrenceIndex';
import { DAY } from '../../time/civil';
import { type InstantRange, instantOf } from '../../time/eventTime';

/** Two entries that would take the same time, and did not before. */
export interface NewOverlap {
  readonly one: Pick<Occurrence, 'key' | 'title' | 'calendarId' | 'startWall' | 'endWall'>;
  readonly other: Pick<Occurrence, 'key' | 'title' | 'calendarId' | 'startWall' | 'endWall'>;
}

/** An event before and after a change; null where it was not, or is no more. */
export interface EventChange {
  readonly before: CalendarEvent | null;
  readonly after: CalendarEvent | null;
}

/** So far ahead of the first change it is looked: a series goes on for ever. */
const LOOKED_AT = 400 * DAY;

/** Where what is there after some changes lies, as far as it is looked at; undefined where nothing is. */
function windowOf(changes: readonly EventChange[], zone: string): InstantRange | undefined {
  let start = Infinity;
  let end = -Infinity;
  for (const { after } of changes) {
    if (!after) continue;
    start = Math.min(start, instantOf(after.start, zone));
    end = Math.max(end, after.recurrence ? Infinity : instantOf(after.end, zone));
  }
  return start === Infinity
    ? undefined
    : { start: start - 2 * DAY, end: Math.min(end, start + LOOKED_AT) + 2 * DAY };
}

const timed = (occurrence: Occurrence): boolean => !occurrence.allDay && takesTime(occurrence);

/** Calls back with each two that take the same time, one of them among those that changed. */
function eachOverlap(
  changed: readonly Occurrence[],
  others: readonly Occurrence[],
  found: (one: Occurrence, other: Occurrence) => void,
): void {
  const all = [
    ...changed.map((occurrence) => ({ occurrence, isChanged: true, ...takenRange(occurrence) })),
    ...others.map((occurrence) => ({ occurrence, isChanged: false, ...takenRange(occurrence) })),
  ].sort((a, b) => a.start - b.start || (a.occurrence.key < b.occurrence.key ? -1 : 1));
  let open: typeof all = [];
  for (const each of all) {
    open = open.filter(({ end }) => end > each.start);
    for (const before of open)
      if ((before.isChanged || each.isChanged) && before.occurrence.entryId !== each.occurrence.entryId)
        if (each.isChanged && !before.isChanged) found(each.occurrence, before.occurrence);
        else found(before.occurrence, each.occurrence);
    open.push(each);
  }
}

const pairOf = (one: Occurrence, other: Occurrence): string => [one.entryId, other.entryId].sort().join(' ');

const shortOf = ({ key, title, calendarId, startWall, endWall }: Occurrence): NewOverlap['one'] => ({
  key,
  title,
  calendarId,
  startWall,
  endWall,
});

/**
 * The busy time that would be taken twice after some changes and was not before, over the 400 days from the first of them.
 * @param index the entries as they are now
 */
export function newOverlaps(
  index: OccurrenceIndex,
  changes: readonly EventChange[],
  zone: string,
  filter: OccurrenceFilter,
): NewOverlap[] {
  const window = windowOf(changes, zone);
  if (!window) return [];
  const ids = new Set(changes.flatMap(({ before, after }) => [before?.id, after?.id]));
  const here = index.between(window, zone, filter).filter(timed);
  const others = here.filter(({ entryId }) => !ids.has(entryId));
  const later = new OccurrenceIndex();
  later.load(changes.flatMap(({ after }) => after ?? []));
  const counts = new Map<string, number>();
  eachOverlap(
    here.filter(({ entryId }) => ids.has(entryId)),
    others,
    (one, other) => counts.set(pairOf(one, other), (counts.get(pairOf(one, other)) ?? 0) + 1),
  );
  const found: NewOverlap[] = [];
  eachOverlap(later.between(window, zone, filter).filter(timed), others, (one, other) => {
    const known = counts.get(pairOf(one, other)) ?? 0;
    if (known > 0) counts.set(pairOf(one, other), known - 1);
    else found.push({ one: shortOf(one), other: shortOf(other) });
  });
  return found;
}
