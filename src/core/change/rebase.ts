import type { CollectionName, State } from '../model/state';
import type { Change, Patch } from './patch';

const recordIn = (state: State, collection: CollectionName, id: string): { id: string } | undefined =>
  (state[collection] as ReadonlyMap<string, { id: string }>).get(id);

/** What a record can't be without: an entry its calendar, a changed occurrence its series. */
function needs(change: Change): { collection: CollectionName; id: string }[] {
  if (change.collection !== 'entries' || !change.after) return [];
  const { calendarId, seriesId } = change.after;
  return [
    { collection: 'calendars', id: calendarId },
    ...(seriesId === undefined ? [] : [{ collection: 'entries' as const, id: seriesId }]),
  ];
}

/**
 * A patch for a state that lacks a change which the patch was made after: it puts what it put, and names what that
 * replaces now. Undefined where it can't be without the missing change: it puts an entry whose calendar or series is not
 * there, or changes or takes away only what was never there.
 */
export function rebasePatch(state: State, patch: Patch): Patch | undefined {
  const put = new Set(
    patch.changes.flatMap(({ collection, id, after }) => (after ? [`${collection} ${id}`] : [])),
  );
  const isThere = ({ collection, id }: { collection: CollectionName; id: string }): boolean =>
    put.has(`${collection} ${id}`) || recordIn(state, collection, id) !== undefined;
  const changes: Change[] = [];
  for (const change of patch.changes) {
    const before = recordIn(state, change.collection, change.id) ?? null;
    if (!needs(change).every(isThere)) return undefined;
    // What the missing change made can be neither changed nor taken away.
    if (change.before && !before) {
      if (change.after) return undefined;
      continue;
    }
    changes.push({ ...change, before } as Change);
  }
  return changes.length === 0 ? undefined : { ...patch, changes };
}
