import { z } from 'zod';
import { applyPatch } from '@/core/change/patch';
import type { State } from '@/core/model/state';
import { writeChunks } from './chunks';
import { Commit, type CommitLog, commitText, type LogEntry, orderOf } from './commitLog';
import type { Database } from './database';
import { META_KEY, metaText } from './meta';

/** How the first version kept commits: among the records, numbered, and the one that was being written apart. */
const FirstCommit = Commit.extend({ revision: z.number().int().positive() });
const FirstMeta = z.object({ schemaVersion: z.literal(1), revision: z.number().int().min(0) });
const JOURNAL_KEY = 'journal';
const LOG_PREFIX = 'log/';

const isFirst = (key: string): boolean => key === JOURNAL_KEY || key.startsWith(LOG_PREFIX);

function read<Value>(schema: z.ZodType<Value>, text: string | null | undefined): Value | undefined {
  try {
    return schema.safeParse(JSON.parse(text ?? '')).data;
  } catch {
    return undefined;
  }
}

/**
 * Brings what the first version wrote to the present form: its commits go to the log, and one that it had not finished
 * is completed. Whatever happens half-way, it is done anew at the next start.
 * @returns the state, and the commits that it holds; undefined if the first version wrote nothing
 */
export async function migrateFirst(
  database: Database,
  log: CommitLog,
  texts: Readonly<Record<string, string | null>>,
  records: State,
): Promise<{ state: State; log: LogEntry[]; count: number } | undefined> {
  const meta = read(FirstMeta, texts[META_KEY]);
  const journal = read(FirstCommit, texts[JOURNAL_KEY]);
  const first = Object.keys(texts).filter(isFirst);
  if (!meta && !journal) {
    // Brought over already, but for what was to be cleared.
    if (first.length > 0) await database.removeMany(first);
    return undefined;
  }
  const unfinished = journal && journal.revision > (meta?.revision ?? 0) ? journal : undefined;
  const commits = first.flatMap((key) => (key === JOURNAL_KEY ? [] : (read(FirstCommit, texts[key]) ?? [])));
  const entries = [...commits, ...(unfinished ? [unfinished] : [])].map(
    ({ revision, role, patch }) => ({ order: orderOf(revision, 'first'), role, patch }) as LogEntry,
  );
  const state = unfinished ? applyPatch(records, unfinished.patch as LogEntry['patch']) : records;
  const count = unfinished?.revision ?? meta?.revision ?? 0;
  const failure = await log.append(
    Object.fromEntries(entries.map((entry) => [entry.order, commitText(entry)])),
  );
  if (failure) throw new Error(failure);
  await database.setMany({
    ...(await writeChunks(
      state,
      (unfinished?.patch.changes as LogEntry['patch']['changes'] | undefined) ?? [],
    )),
    [META_KEY]: metaText({ count, folded: entries.map(({ order }) => order) }),
  });
  if (first.length > 0) await database.removeMany(first);
  return { state, log: entries, count };
}
