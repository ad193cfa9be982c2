import { emptyHistory, type History, recordCommit } from '@/core/change/history';
import { applyPatch, type Change, type Patch } from '@/core/change/patch';
import type { CollectionName, State } from '@/core/model/state';
import { byOrder, type LogEntry } from './commitLog';

/**
 * What is kept, as far as a page knows: the commits in their order, and what they make. Whoever knows the same commits
 * has the same state and history, in whatever order they were heard of: of two that put the same record, the later in
 * order holds.
 */
export interface Timeline {
  readonly commits: readonly LogEntry[];
  readonly state: State;
  readonly history: History;
  /** The history as of commits that are known no longer. */
  readonly base: History;
}

/** A record by its collection and id. */
export const recordKey = ({ collection, id }: Pick<Change, 'collection' | 'id'>): string =>
  `${collection} ${id}`;

/** A record as a state has it, or null. */
export const recordIn = (state: State, collection: CollectionName, id: string): Change['after'] =>
  (state[collection] as ReadonlyMap<string, Change['after']>).get(id) ?? null;

/** What of a patch holds, where others come after it. */
function uncovered(patch: Patch, later: readonly LogEntry[]): Patch {
  if (later.length === 0) return patch;
  const covered = new Set(later.flatMap((commit) => commit.patch.changes.map(recordKey)));
  return { ...patch, changes: patch.changes.filter((change) => !covered.has(recordKey(change))) };
}

/** Commits as they follow each other: each names what it replaces among them, also where its page had not seen it yet. */
function historyAfter(base: History, commits: readonly LogEntry[]): History {
  const latest = new Map<string, Change['after']>();
  let history = base;
  for (const { role, patch } of commits) {
    const changes = patch.changes.map((change): Change => {
      const key = recordKey(change);
      const before = latest.has(key) ? latest.get(key) : change.before;
      latest.set(key, change.after);
      return before === change.before ? change : ({ ...change, before } as Change);
    });
    if (role !== 'quiet') history = recordCommit(history, role, { ...patch, changes });
  }
  return history;
}

/**
 * What records and the log hold together.
 * @param state the records
 * @param folded the places of the commits that the records hold already
 */
export function timelineOf(state: State, log: readonly LogEntry[], folded: ReadonlySet<string>): Timeline {
  const commits = [...log].sort(byOrder);
  let now = state;
  for (const [index, { order, patch }] of commits.entries())
    if (!folded.has(order)) now = applyPatch(now, uncovered(patch, commits.slice(index + 1)));
  return { commits, state: now, history: historyAfter(emptyHistory, commits), base: emptyHistory };
}

/** The timeline with one more commit; undefined if it is known. `isLate`: others that are known come after it. */
export function withCommit(
  timeline: Timeline,
  commit: LogEntry,
): { timeline: Timeline; isLate: boolean } | undefined {
  const { commits, base } = timeline;
  const index = commits.findLastIndex((known) => byOrder(known, commit) <= 0) + 1;
  if (commits[index - 1]?.order === commit.order) return undefined;
  const later = commits.slice(index);
  const all = [...commits.slice(0, index), commit, ...later];
  const isLate = later.length > 0;
  const state = applyPatch(timeline.state, uncovered(commit.patch, later));
  const settled = (change: Change): Change => {
    const before = recordIn(timeline.state, change.collection, change.id);
    return before === change.before ? change : ({ ...change, before } as Change);
  };
  const history = isLate
    ? historyAfter(base, all)
    : commit.role === 'quiet'
      ? timeline.history
      : recordCommit(timeline.history, commit.role, {
          ...commit.patch,
          changes: commit.patch.changes.map(settled),
        });
  return { timeline: { commits: all, state, history, base }, isLate };
}

/** The timeline without commits that are kept no longer. What they did can be undone while the page is open. */
export function withoutCommits(timeline: Timeline, outdated: ReadonlySet<string>): Timeline {
  if (outdated.size === 0) return timeline;
  const [gone, commits] = [true, false].map((isGone) =>
    timeline.commits.filter(({ order }) => outdated.has(order) === isGone),
  ) as [LogEntry[], LogEntry[]];
  return { ...timeline, commits, base: historyAfter(timeline.base, gone) };
}
