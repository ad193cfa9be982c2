import { type Dated, type Entry, isDated } from '../model/entry';
import type { State } from '../model/state';
import { RecordLayer } from './recordLayer';

type Entries = State['entries'];
type BySeries = ReadonlyMap<string, readonly Dated[]>;

const made = new WeakMap<Entries, BySeries>();

/** The changed occurrences of every series, read once for each state of the entries. */
function bySeries(entries: Entries): BySeries {
  const known = made.get(entries);
  if (known) return known;
  const found = new Map<string, Dated[]>();
  for (const entry of entries.values()) {
    if (entry.seriesId === undefined || !isDated(entry)) continue;
    const others = found.get(entry.seriesId);
    if (others) others.push(entry);
    else found.set(entry.seriesId, [entry]);
  }
  made.set(entries, found);
  return found;
}

/** The changed occurrences of a series. Costs by their number, once a state's entries have been read. */
export function overridesOf({ entries }: Pick<State, 'entries'>, seriesId: string): Dated[] {
  if (!(entries instanceof RecordLayer)) return [...(bySeries(entries).get(seriesId) ?? [])];
  const layer = entries as RecordLayer<Entry>;
  const below = overridesOf({ entries: layer.below }, seriesId).filter(({ id }) => !layer.touches(id));
  return [...below, ...layer.putWith('seriesId', seriesId).filter(isDated)];
}
