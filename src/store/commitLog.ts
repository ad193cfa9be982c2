import { z } from 'zod';
import { COMMIT_ROLES } from '@/core/change/history';
import { Patch, stampedPatch } from '@/core/change/patch';

/** A change with why it was made, as the log keeps it. */
export const Commit = z.object({ role: z.enum(COMMIT_ROLES), patch: Patch });
export interface Commit extends Omit<z.infer<typeof Commit>, 'patch'> {
  readonly patch: Patch;
}

/**
 * A commit with its place among all others. The place is its key in the log: a count that is higher than those its page
 * knew, and the page's own name, so that two pages that count alike differ. As texts, places are in order.
 */
export interface LogEntry extends Commit {
  readonly order: string;
}

/** Why a commit could not be kept. It has been taken back. */
export type CommitFailure = 'storage-full' | 'storage-failed';

/** Where commits are kept, each by one small write that waits for nothing else: once it is there, it is made. */
export interface CommitLog {
  /** The places of all commits that are kept. */
  keys(): Promise<string[]>;
  /** The texts at some places; those that hold none are left out. */
  read(keys: readonly string[]): Promise<ReadonlyMap<string, string>>;
  /** Keeps commits, all of them or none, and tells the other pages; why not, if it could not. */
  append(texts: Readonly<Record<string, string>>): Promise<CommitFailure | undefined>;
  /** Forgets commits that the records hold. */
  remove(keys: readonly string[]): Promise<void>;
  /** Calls back with the places of commits that were kept, by any page. */
  listen(heard: (keys: readonly string[]) => void): void;
}

const DIGITS = 12;

/** The place of a commit by its count and its page. */
export const orderOf = (count: number, page: string): string =>
  `${String(count).padStart(DIGITS, '0')}-${page}`;

/** The count that a place begins with; 0 if it is none. */
export const countOf = (order: string): number => Number.parseInt(order, 10) || 0;

export const byOrder = (one: LogEntry, other: LogEntry): number =>
  one.order < other.order ? -1 : one.order > other.order ? 1 : 0;

/** The text that the log keeps of a commit. */
export const commitText = ({ role, patch }: Commit): string =>
  JSON.stringify({ role, patch: stampedPatch(patch) } satisfies Commit);

/** Reads a commit at its place, or undefined if the text is none. */
export function parseLogEntry(order: string, text: string): LogEntry | undefined {
  try {
    return { ...(Commit.parse(JSON.parse(text)) as Commit), order };
  } catch {
    return undefined;
  }
}

/** The commits of the log at some places, in order. What can't be read is no commit. */
export const readCommits = async (log: CommitLog, keys: readonly string[]): Promise<LogEntry[]> =>
  keys.length === 0
    ? []
    : [...(await log.read(keys))].flatMap(([order, text]) => parseLogEntry(order, text) ?? []).sort(byOrder);
