import { stamped } from '@/core/model/readRecord';
import { COLLECTION_NAMES, COLLECTIONS, type CollectionName, type State } from '@/core/model/state';

/**
 * Records are kept many to a key, by a number that follows from their id alone: every tab writes the same record to the
 * same key, and a change of one record rewrites a few hundred at the most.
 */
function chunkNumber(collection: CollectionName, id: string): number {
  let hash = 0;
  for (let index = 0; index < id.length; index++) hash = (hash * 31 + id.charCodeAt(index)) >>> 0;
  return hash % COLLECTIONS[collection].chunks;
}

/** The key that a record is kept under. */
export const chunkKey = (collection: CollectionName, id: string): string =>
  `${collection}/${chunkNumber(collection, id)}`;

/** The collection of a chunk's key, or undefined for keys of another kind. */
export function collectionOfKey(key: string): CollectionName | undefined {
  const [name, number] = key.split('/');
  return number === undefined ? undefined : COLLECTION_NAMES.find((collection) => collection === name);
}

/**
 * The texts of the chunks that hold the given records, as the state has them.
 * @param between is waited for between one chunk and the next
 */
export async function writeChunks(
  state: State,
  records: Iterable<{ collection: CollectionName; id: string }>,
  between: () => Promise<void> = () => Promise.resolve(),
): Promise<Record<string, string>> {
  const keys = new Map<string, CollectionName>();
  for (const { collection, id } of records) keys.set(chunkKey(collection, id), collection);
  const contents = new Map<string, unknown[]>([...keys.keys()].map((key) => [key, []]));
  for (const collection of new Set(keys.values()))
    for (const [id, record] of state[collection])
      contents.get(chunkKey(collection, id))?.push(stamped(collection, record));
  const texts: Record<string, string> = {};
  for (const [key, list] of contents) {
    texts[key] = JSON.stringify(list);
    await between();
  }
  return texts;
}
