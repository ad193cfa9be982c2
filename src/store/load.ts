import { emptyHistory, type History, recordCommit } from '@/core/change/history';
import { applyPatch } from '@/core/change/patch';
import { COLLECTIONS, type CollectionName, type State } from '@/core/model/state';
import { ATTACHMENT_PREFIX } from './attachmentFiles';
import { collectionOfKey, writeChunks } from './chunks';
import type { Database } from './database';
import {
  ASIDE_PREFIX,
  JOURNAL_KEY,
  type Kept,
  LOG_PREFIX,
  type LogEntry,
  logKey,
  Meta,
  META_KEY,
  parseLogEntry,
} from './journal';

/** A record, or a chunk of records, that could not be read: kept under a key of its own. */
export interface SetAside {
  readonly key: string;
  readonly reason: string;
}

export interface Loaded {
  readonly state: State;
  readonly history: History;
  readonly revision: number;
  /** The commits that are kept, oldest first. */
  readonly log: readonly Kept[];
  readonly setAside: readonly SetAside[];
  /** The entries as texts for the engine, each a JSON list: those that were read, if all of them hold. */
  readonly entryChunks: readonly string[];
  /** Whether there was no data at all. */
  readonly isNew: boolean;
}

/** The data was written by a later version of the application. */
export class NewerDataError extends Error {}

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

function readMeta(text: string | null | undefined): Meta | undefined {
  if (!text) return undefined;
  const value: unknown = JSON.parse(text);
  const parsed = Meta.safeParse(value);
  if (!parsed.success) throw new NewerDataError(`unknown data: ${text.slice(0, 100)}`);
  return parsed.data;
}

/**
 * Reads everything. A commit that was begun and not finished is completed from the journal; records that can't be
 * read are put aside under keys of their own, and the rest opens.
 * @param onEntries hears of the entries' texts before they are read, so that the engine can read them meanwhile
 * @throws NewerDataError if a later version wrote the data
 */
export async function loadDatabase(
  database: Database,
  onEntries: (chunks: readonly string[]) => void = () => undefined,
): Promise<Loaded> {
  const keys = await database.getAllKeys();
  const texts = await database.getMany(
    keys.filter((key) => !key.startsWith(ASIDE_PREFIX) && !key.startsWith(ATTACHMENT_PREFIX)),
  );
  const meta = readMeta(texts[META_KEY]);
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
  let state = collections as unknown as State;
  let replaced = bad.length > 0;
  if (replaced) await keepAside(database, bad, badKeys, state);

  let revision = meta?.revision ?? 0;
  const journal = parseLogEntry(texts[JOURNAL_KEY]);
  if (journal && journal.revision > revision) {
    state = applyPatch(state, journal.patch);
    revision = journal.revision;
    await database.setMany(commitTexts(state, journal));
    replaced = true;
    texts[logKey(revision)] = JSON.stringify(journal);
  }
  if (texts[JOURNAL_KEY]) await database.removeItem(JOURNAL_KEY);

  const log = Object.entries(texts)
    .filter(([key]) => key.startsWith(LOG_PREFIX))
    .flatMap(([, text]) => parseLogEntry(text) ?? [])
    .sort((a, b) => a.revision - b.revision);
  return {
    state,
    history: log.reduce((history, entry) => recordCommit(history, entry.role, entry.patch), emptyHistory),
    revision,
    log: log.map(({ revision: number, role }) => ({ revision: number, role })),
    setAside: bad.map(({ key, reason }) => ({ key, reason })),
    entryChunks: replaced ? [JSON.stringify([...state.entries.values()])] : entryTexts,
    isNew: !meta && !journal,
  };
}

/** The texts that make a commit whole: the chunks of its records, its log entry, and the new revision. */
export const commitTexts = (
  state: State,
  entry: LogEntry,
  text = JSON.stringify(entry),
): Record<string, string> => ({
  ...writeChunks(state, entry.patch.changes),
  [logKey(entry.revision)]: text,
  [META_KEY]: JSON.stringify({ schemaVersion: 1, revision: entry.revision } satisfies Meta),
});

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
    Object.entries(writeChunks(state, records)).filter(([key]) => badKeys.includes(key)),
  );
  await database.setMany({ ...aside, ...emptied, ...rest });
}
