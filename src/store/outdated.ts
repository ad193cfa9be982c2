import { type CommitRole, emptyHistory, type History, recordCommit } from '@/core/change/history';
import { inverseId, undoneId } from '@/core/change/patch';
import type { LogEntry } from './commitLog';

/** Commits that are kept though the records hold them: how far undo reaches after a reload, and a page may lag behind. */
export const KEPT_COMMITS = 50;

/** So many deeds are kept that fifty can be undone after a reload, also where some are undone and others made since. */
const KEPT_DEEDS = 2 * KEPT_COMMITS;

/** The history that commits make, in order. */
const historyOf = (commits: readonly Pick<LogEntry, 'role' | 'patch'>[]): History =>
  commits.reduce((history, { role, patch }) => recordCommit(history, role, patch), emptyHistory);

/**
 * The commits that are kept no longer, of those that are there, in order. The latest are kept for other pages; and of what
 * the person did the latest that can be undone or done again, however often they went to and fro meanwhile. Quiet commits
 * (feeds, reminders) push none of that out.
 */
export function outdated<Entry extends Pick<LogEntry, 'role' | 'patch'>>(log: readonly Entry[]): Entry[] {
  const latest = log.slice(-KEPT_COMMITS);
  const earlier = log.slice(0, -KEPT_COMMITS);
  const wanted = new Set(
    Object.values(historyOf(log)).flatMap((list: readonly { id: string }[]) =>
      list.slice(-KEPT_DEEDS).map(({ id }) => id),
    ),
  );
  for (const { role, patch } of latest)
    if (role !== 'quiet') wanted.add(role === 'undo' ? undoneId(patch.id) : patch.id);
  // What came before the latest is told anew in short: done, or done and undone.
  const before = historyOf(earlier);
  const kept = new Set<Entry>();
  for (const { id } of [...before.done, ...before.undone])
    if (wanted.has(id)) keepLast(kept, earlier, 'do', id);
  for (const { id } of before.undone) if (wanted.has(id)) keepLast(kept, earlier, 'undo', inverseId(id));
  return earlier.filter((commit) => !kept.has(commit));
}

function keepLast<Entry extends Pick<LogEntry, 'role' | 'patch'>>(
  kept: Set<Entry>,
  commits: readonly Entry[],
  as: CommitRole,
  id: string,
): void {
  const found = commits.findLast(({ role, patch }) => role === as && patch.id === id);
  if (found) kept.add(found);
}
