import { attendeesOf } from '../../model/attendees';
import { type Entry, isEvent } from '../../model/entry';
import { foldText } from '../../schedule/entryFilter';
import type { EntryIndex } from '../../schedule/entryIndex';
import { DAY, MINUTE } from '../../time/civil';
import { instantOf, wallOf } from '../../time/eventTime';
import { targetOfKey } from '../../change/target';
import type { Likeness, SelectionSums } from './tableQuery';

const rootIdOf = ({ id, seriesId }: Entry): string => seriesId ?? id;

/** What entries that are alike have in common, as a text; undefined for one that has nothing of the kind. */
const LIKE: Readonly<Record<Likeness, (entry: Entry) => string | undefined>> = {
  title: ({ title }) => foldText(title.trim()),
  series: (entry) => rootIdOf(entry),
  place: ({ location }) => foldText(location.trim()) || undefined,
  people: (entry) =>
    attendeesOf(entry)
      .map(({ address }) => address.toLowerCase())
      .sort()
      .join() || undefined,
};

/** The keys of all entries that share something with one, itself first. A series stands for its changed occurrences. */
export function keysLike(index: EntryIndex, key: string, likeness: Likeness): string[] {
  const { entryId } = targetOfKey(key);
  const one = index.get(entryId);
  const wanted = one && LIKE[likeness](one);
  if (!one || wanted === undefined) return [key];
  const found = new Set<string>([key]);
  for (const entry of index.all()) {
    if (LIKE[likeness](entry) !== wanted) continue;
    const root = rootIdOf(entry);
    if (root !== rootIdOf(one)) found.add(index.get(root) ? root : entry.id);
  }
  // Of its own series the whole, in place of the one occurrence.
  if (likeness === 'series' && index.get(rootIdOf(one))) return [rootIdOf(one)];
  return [...found];
}

/** What entries come to: to-dos by what they are said to take. A series that is selected whole counts with the length of one occurrence. */
export function selectionSums(
  index: EntryIndex,
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
    const entry = index.get(entryId);
    if (!entry) continue;
    entries++;
    if (entry.recurrence || entry.seriesId !== undefined) series.add(rootIdOf(entry));
    if (shown && !shown.has(key) && !shown.has(entryId) && !shown.has(rootIdOf(entry))) outOfSight++;
    if (!isEvent(entry)) minutes += entry.estimate ?? 0;
    else if (entry.start.kind === 'date')
      wholeDays += Math.round((wallOf(entry.end) - wallOf(entry.start)) / DAY);
    else minutes += Math.round((instantOf(entry.end, zone) - instantOf(entry.start, zone)) / MINUTE);
  }
  return { entries, series: series.size, minutes, wholeDays, outOfSight };
}
