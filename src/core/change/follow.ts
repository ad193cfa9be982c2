import { type Entry, seriesOf } from '../model/entry';
import type { State } from '../model/state';
import { Series } from '../recurrence/series';
import type { Patch } from './patch';
import { targetKey } from './target';

/** The key of the occurrence that a changed one stands for, by its series as a state has it. */
function keyInSeries(state: State, event: Entry): string | undefined {
  const series = event.seriesId === undefined ? undefined : seriesOf(state.entries.get(event.seriesId));
  if (!series || !event.recurrenceId) return undefined;
  const compiled = new Series(series);
  const wall = compiled.wallOfRecurrenceId(event.recurrenceId, 'UTC');
  return targetKey({ entryId: series.id, recurrenceKey: compiled.keyOf(wall) });
}

/**
 * Where entries are found after a patch, of those known by their keys: an occurrence that got a record of its own is found
 * under that; one whose record went is found in its series again; what is gone is left out.
 * @param before the state that the patch was made for
 * @param after the state with it
 */
export function followKeys(
  keys: readonly string[],
  patch: Pick<Patch, 'changes'>,
  before: State,
  after: State,
): string[] {
  if (keys.length === 0) return [];
  const renamed = new Map<string, string | undefined>();
  for (const change of patch.changes) {
    if (change.collection !== 'entries') continue;
    if (change.after && !change.before) {
      const key = keyInSeries(before, change.after) ?? keyInSeries(after, change.after);
      if (key !== undefined) renamed.set(key, change.id);
    }
    if (change.before && !change.after) renamed.set(change.id, keyInSeries(after, change.before));
  }
  const followed = keys.flatMap((key) => (renamed.has(key) ? (renamed.get(key) ?? []) : key));
  return [...new Set(followed)].filter((key) => after.entries.has(key.split('|')[0]!));
}
