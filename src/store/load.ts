import { COLLECTION_NAMES, COLLECTIONS, type CollectionName, type State } from '@/core/model/state';
import { ATTACHMENT_PREFIX } from './attachmentFiles';
import { ASIDE_LOG, ASIDE_PREFIX, parseJson, readRecord, salvage } from './aside';
import { collectionOfKey, writeChunks } from './chunks';
import { type CommitLog, type LogEntry, readCommits } from './commitLog';
import type { Database } from './database';
import { META_KEY, parseMeta } from './meta';
import { migrateFirst } from './migrateFirst';
import { type Timeline, timelineOf } from './timeline';

export interface Loaded {
  readonly timeline: Timeline;
  /** How many commits the records hold. */
  readonly count: number;
  /** The places of the commits that the records hold, of those that the log has. */
  readonly folded: ReadonlySet<string>;
  /** How many records and commits could not be read this time, and were put aside. */
  readonly setAside: number;
  /** The entries as texts for the engine, each a JSON list: those that were read, if all of them hold. */
  readonly entryChunks: readonly string[];
  /** Whether there was no data at all. */
  readonly isNew: boolean;
}

interface ReadChunk {
  readonly records: { id: string }[];
  /** What can't be read, as texts. */
  readonly bad: string[];
}

function readChunk(collection: CollectionName, text: string): ReadChunk {
  const list = parseJson(text);
  // One that is damaged somewhere is read as far as it can be.
  const { values, rest } = Array.isArray(list) ? { values: list as unknown[], rest: '' } : salvage(text);
  const records: { id: string }[] = [];
  const bad = rest === '' ? [] : [rest];
  for (const value of values) {
    const { record } = readRecord(collection, value);
    if (record) records.push(record);
    else bad.push(JSON.stringify(value));
  }
  return { records, bad };
}

/**
 * Reads everything: the records, and of the log what they do not hold yet. Records that can't be read are put aside under
 * keys of their own, and the rest opens.
 * @param onEntries hears of the entries' texts before they are read, so that the engine can read them meanwhile
 * @throws NewerDataError if a later version wrote the data
 */
export async function loadDatabase(
  database: Database,
  log: CommitLog,
  onEntries: (chunks: readonly string[]) => void = () => undefined,
): Promise<Loaded> {
  const [keys, logKeys] = await Promise.all([database.getAllKeys(), log.keys()]);
  const [texts, kept] = await Promise.all([
    database.getMany(
      keys.filter((key) => !key.startsWith(ASIDE_PREFIX) && !key.startsWith(ATTACHMENT_PREFIX)),
    ),
    readCommits(log, logKeys),
  ]);
  const meta = parseMeta(texts[META_KEY]);
  const unread = await keepUnread(database, log, logKeys, kept);
  const entryTexts = Object.entries(texts).flatMap(([key, text]) =>
    collectionOfKey(key) === 'entries' && text !== null ? [text] : [],
  );
  onEntries(entryTexts);
  const collections = Object.fromEntries(
    COLLECTION_NAMES.map((name) => [name, new Map<string, unknown>()]),
  ) as Record<CollectionName, Map<string, unknown>>;
  const bad = new Map<string, readonly string[]>();
  for (const [key, text] of Object.entries(texts)) {
    const collection = collectionOfKey(key);
    if (!collection || text === null) continue;
    const chunk = readChunk(collection, text);
    for (const record of chunk.records) collections[collection].set(record.id, record);
    if (chunk.bad.length > 0) bad.set(key, chunk.bad);
  }
  const records = collections as unknown as State;
  if (bad.size > 0) await keepAside(database, bad, records, keys);

  const first = await migrateFirst(database, log, texts, records);
  const folded = new Set(first ? first.log.map(({ order }) => order) : meta?.folded);
  const timeline = timelineOf(first?.state ?? records, first ? first.log : kept, folded);
  const isChanged =
    bad.size > 0 || COLLECTIONS.entries.migrations.length > 0 || timeline.state.entries !== records.entries;
  return {
    timeline,
    count: first?.count ?? meta?.count ?? 0,
    folded,
    setAside: [...bad.values()].reduce((count, texts) => count + texts.length, 0) + unread.length,
    entryChunks: isChanged ? [JSON.stringify([...timeline.state.entries.values()])] : entryTexts,
    isNew: !first && kept.length === 0 && keys.every((key) => key.startsWith(ATTACHMENT_PREFIX)),
  };
}

/** Puts commits aside that can't be read; their places. */
async function keepUnread(
  database: Database,
  log: CommitLog,
  keys: readonly string[],
  read: readonly LogEntry[],
): Promise<string[]> {
  const known = new Set(read.map(({ order }) => order));
  const unread = keys.filter((key) => !known.has(key));
  const texts = unread.length > 0 ? await log.read(unread) : new Map<string, string>();
  if (texts.size === 0) return [];
  await database.setMany(
    Object.fromEntries([...texts].map(([order, text]) => [`${ASIDE_LOG}${order}`, text])),
  );
  await log.remove([...texts.keys()]);
  return [...texts.keys()];
}

/** Puts what can't be read under keys of its own and takes it out of its chunk, in one transaction. */
async function keepAside(
  database: Database,
  bad: ReadonlyMap<string, readonly string[]>,
  state: State,
  keys: readonly string[],
): Promise<void> {
  // What was put aside from the same chunk before stays.
  const taken = new Set(keys);
  const aside: Record<string, string> = {};
  for (const [chunk, texts] of bad) {
    let number = 0;
    for (const text of texts) {
      let key: string;
      do key = `${ASIDE_PREFIX}${chunk}/${number++}`;
      while (taken.has(key));
      aside[key] = text;
    }
  }
  const emptied = Object.fromEntries([...bad.keys()].map((key) => [key, '[]']));
  const records = [...bad.keys()].flatMap((key) => {
    const collection = collectionOfKey(key)!;
    return [...state[collection].keys()].map((id) => ({ collection, id }));
  });
  const rest = Object.fromEntries(
    Object.entries(await writeChunks(state, records)).filter(([key]) => bad.has(key)),
  );
  await database.setMany({ ...aside, ...emptied, ...rest });
}
