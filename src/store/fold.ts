import { COLLECTION_NAMES, type State } from '@/core/model/state';
import { writeChunks } from './chunks';
import type { LogEntry } from './commitLog';
import type { Database } from './database';
import { type Meta, META_KEY, metaText } from './meta';

/** Lets the page answer in between. No timer: those of pages out of sight may take a minute. */
const breathe = (): Promise<void> =>
  (globalThis as { scheduler?: { yield?: () => Promise<void> } }).scheduler?.yield?.() ?? Promise.resolve();

/**
 * Brings the records up to date with commits that the log holds, in one transaction: all of them or none.
 * @param state what the records and all those commits make
 * @param fresh the commits that the records do not hold yet
 * @param meta what the records say of themselves; undefined if they are gone, and all of them are written
 * @param kept the places of folded commits that the log has still
 */
export async function fold(
  database: Database,
  state: State,
  fresh: readonly LogEntry[],
  meta: Meta | undefined,
  kept: readonly string[],
): Promise<void> {
  const records = meta
    ? fresh.flatMap(({ patch }) => patch.changes)
    : COLLECTION_NAMES.flatMap((collection) =>
        [...state[collection].keys()].map((id) => ({ collection, id })),
      );
  const texts = await writeChunks(state, records, breathe);
  const folded = [...kept, ...fresh.map(({ order }) => order)];
  await database.setMany({
    ...texts,
    [META_KEY]: metaText({ count: (meta?.count ?? 0) + fresh.length, folded }),
  });
}
