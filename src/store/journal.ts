import { z } from 'zod';
import { COMMIT_ROLES } from '@/core/change/history';
import { Patch } from '@/core/change/patch';

/** One commit as it is written: before the records as the journal, and kept for a while as the log. */
export const LogEntry = z.object({
  revision: z.number().int().positive(),
  role: z.enum(COMMIT_ROLES),
  patch: Patch,
});
export interface LogEntry extends Omit<z.infer<typeof LogEntry>, 'patch'> {
  readonly patch: Patch;
}

/** A change with why it was made. */
export type Commit = Pick<LogEntry, 'role' | 'patch'>;

/** What the database says of itself. */
export const Meta = z.object({ schemaVersion: z.literal(1), revision: z.number().int().min(0) });
export type Meta = z.infer<typeof Meta>;

export const META_KEY = 'meta';
export const JOURNAL_KEY = 'journal';
export const LOG_PREFIX = 'log/';
export const ASIDE_PREFIX = 'aside/';

/** Commits that are kept: how far undo reaches after a reload, and how far another tab may lag behind. */
export const KEPT_COMMITS = 50;

/** A commit by its number, and why it was made: what tells how long it is kept. */
export type Kept = Pick<LogEntry, 'revision' | 'role'>;

/**
 * The commits that are kept no longer, of those that are there, oldest first. The latest are kept for other tabs, and of
 * what the person did the latest for undo: quiet commits (feeds, reminders) push none of that out.
 */
export function outdated(log: readonly Kept[]): Kept[] {
  const deeds = log.filter(({ role }) => role !== 'quiet').slice(-KEPT_COMMITS);
  const kept = new Set([...deeds, ...log.slice(-KEPT_COMMITS)]);
  return log.filter((commit) => !kept.has(commit));
}

export const logKey = (revision: number): string => `${LOG_PREFIX}${revision}`;

/** Reads a log entry, or undefined if the text is none. */
export function parseLogEntry(text: string | null | undefined): LogEntry | undefined {
  if (!text) return undefined;
  try {
    return LogEntry.parse(JSON.parse(text)) as LogEntry;
  } catch {
    return undefined;
  }
}
