import { COLLECTIONS, type CollectionName, type State } from '@/core/model/state';
import { ATTACHMENT_PREFIX } from './attachmentFiles';
import { collectionOfKey, writeChunks } from './chunks';
import { type CommitLog, readCommits } from './commitLog';
import type { Database } from './database';
import { ASIDE_PREFIX, META_KEY, parseMeta } from './meta';
import { migrateFirst } from './migrateFirst';
import { type Timeline, timelineOf } from './timeline';

/** A record, or a chunk of records, that could not be read: kept under a key of its own. */
export interface SetAside {
  readonly key: string;
  readonly reason: string;
}

export interface Loaded {
  readonly timeline: Timeline;
  /** How many commits the records hold. */
  readonly count: number;
  /** The places of the commits that the records hold, of those that the log has. */
  readonly folded: ReadonlySet<string>;
  readonly setAside: readonly SetAside[];
  /** The entries as texts for the engine, each a JSON list: those that were read, if all of them hold. */
  readonly entryChunks: readonly string[];
  /** Whether there was no data at all. */
  readonly isNew: boolean;
}

interface ReadChunk {
  readonly records: { id: string }[];
  readonly bad: { key: string; text: string; reason: string }[];
}

function readChunk(key: string, collection: CollectionName, text: string): ReadChunk {
  let list: unknown;
  try {
    list = JSON.parse(text);
  } catch {
    list = undefined;
  }
  if (!Array.isArray(list))
    return { records: [], bad: [{ key: `${ASIDE_PREFIX}${key}`, text, reason: 'not a list' }] };
  const records: { id: string }[] = [];
  const bad: ReadChunk['bad'] = [];
  for (const [position, item] of list.entries()) {
    const parsed = COLLECTIONS[collection].safeParse(item);
    if (parsed.success) records.push(parsed.data);
    else
      bad.push({
        key: `${ASIDE_PREFIX}${key}/${(item as { id?: string } | null)?.id ?? position}`,
        text: JSON.stringify(item),
        reason: parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`).join('; '),
      });
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
  const entryTexts = Object.entries(texts).flatMap(([key, text]) =>
    collectionOfKey(key) === 'entries' && text !== null ? [text] : [],
  );
  onEntries(entryTexts);
  const collections = Object.fromEntries(
    Object.keys(COLLECTIONS).map((name) => [name, new Map<string, unknown>()]),
  ) as Record<CollectionName, Map<string, unknown>>;
  const bad: ReadChunk['bad'] = [];
  const badKeys: string[] = [];
  for (const [key, text] of Object.entries(texts)) {
    const collection = collectionOfKey(key);
    if (!collection || text === null) continue;
    const chunk = readChunk(key, collection, text);
    for (const record of chunk.records) collections[collection].set(record.id, record);
    bad.push(...chunk.bad);
    if (chunk.bad.length > 0) badKeys.push(key);
  }
  const records = collections as unknown as State;
  if (bad.length > 0) await keepAside(database, bad, badKeys, records);

  const first = await migrateFirst(database, log, texts, records);
  const folded = new Set(first ? first.log.map(({ order }) => order) : meta?.folded);
  const timeline = timelineOf(first?.state ?? records, first ? first.log : kept, folded);
  const isChanged = bad.length > 0 || timeline.state.entries !== records.entries;
  return {
    timeline,
    count: first?.count ?? meta?.count ?? 0,
    folded,
    setAside: bad.map(({ key, reason }) => ({ key, reason })),
    entryChunks: isChanged ? [JSON.stringify([...timeline.state.entries.values()])] : entryTexts,
    isNew: !first && kept.length === 0 && keys.every((key) => key.startsWith(ATTACHMENT_PREFIX)),
  };
}

/** Writes what can't be read under keys of its own and takes it out of its chunk, in one transaction. */
async function keepAside(
  database: Database,
  bad: ReadChunk['bad'],
  badKeys: readonly string[],
  state: State,
): Promise<void> {
  const aside = Object.fromEntries(bad.map(({ key, text }) => [key, text]));
  const emptied = Object.fromEntries(badKeys.map((key) => [key, '[]']));
  const records = badKeys.flatMap((key) => {
    const collection = collectionOfKey(key)!;
    return [...state[collection].keys()].map((id) => ({ collection, id }));
  });
  const rest = Object.fromEntries(
    Object.entries(await writeChunks(state, records)).filter(([key]) => badKeys.includes(key)),
  );
  await database.setMany({ ...aside, ...emptied, ...rest });
}
