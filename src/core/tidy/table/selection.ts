import { attendeesOf } from '../../model/attendees';
import type { CalendarEvent } from '../../model/entry';
import { foldText } from '../../schedule/entryFilter';
import type { OccurrenceIndex } from '../../schedule/occurrenceIndex';
import { DAY, MINUTE } from '../../time/civil';
import { instantOf, wallOf } from '../../time/eventTime';
import { targetOfKey } from '../../change/target';
import type { Likeness, SelectionSums } from './tableQuery';

const rootIdOf = ({ id, seriesId }: CalendarEvent): string => seriesId ?? id;

/** What entries that are alike have in common, as a text; undefined for one that has nothing of the kind. */
const LIKE: Readonly<Record<Likeness, (event: CalendarEvent) => string | undefined>> = {
  title: ({ title }) => foldText(title.trim()),
  series: (event) => rootIdOf(event),
  place: ({ location }) => foldText(location.trim()) || undefined,
  people: (event) =>
    attendeesOf(event)
      .map(({ address }) => address.toLowerCase())
      .sort()
      .join() || undefined,
};

/** The keys of all entries that share something with one, itself first. A series stands for its changed occurrences. */
export function keysLike(index: OccurrenceIndex, key: string, likeness: Likeness): string[] {
  const { entryId } = targetOfKey(key);
  const one = index.get(entryId);
  const wanted = one && LIKE[likeness](one);
  if (!one || wanted === undefined) return [key];
  const found = new Set<string>([key]);
  for (const event of index.all()) {
    if (LIKE[likeness](event) !== wanted) continue;
    const root = rootIdOf(event);
    if (root !== rootIdOf(one)) found.add(index.get(root) ? root : event.id);
  }
  // Of its own series the whole, in place of the one occurrence.
  if (likeness === 'series' && index.get(rootIdOf(one))) return [rootIdOf(one)];
  return [...found];
}

/** What entries come to. A series that is selected whole counts with the length of one occurrence. */
export function selectionSums(
  index: OccurrenceIndex,
  keys: readonly string[],
  zone: string,
  shown: ReadonlySet<string> | undefined,
): SelectionSums {
  let entries = 0;
  let minutes = 0;
  let wholeDays = 0;
  let outOfSight = 0;
  const series = new Set<string>();
  for (const key of keys) {
    const { entryId } = targetOfKey(key);
    const event = index.get(entryId);
    if (!event) continue;
    entries++;
    if (event.recurrence || event.seriesId !== undefined) series.add(rootIdOf(event));
    if (event.start.kind === 'date') wholeDays += Math.round((wallOf(event.end) - wallOf(event.start)) / DAY);
    else minutes += Math.round((instantOf(event.end, zone) - instantOf(event.start, zone)) / MINUTE);
    if (shown && !shown.has(key) && !shown.has(entryId) && !shown.has(rootIdOf(event))) outOfSight++;
  }
  return { entries, series: series.size, minutes, wholeDays, outOfSight };
}
