import type { State } from '../model/state';
import { type ChangeContext, inverseId, inversePatch, makePatch, type Patch } from './patch';
import { sameValue } from './seriesLike';

/** Why a patch was committed: by the person, to take back or bring back an earlier one, or quietly. */
export const COMMIT_ROLES = ['do', 'undo', 'redo', 'quiet'] as const;
export type CommitRole = (typeof COMMIT_ROLES)[number];

/** What can be taken back and brought back, latest last. Quiet commits are no part of it. */
export interface History {
  readonly done: readonly Patch[];
  readonly undone: readonly Patch[];
}

export const emptyHistory: History = { done: [], undone: [] };

/**
 * The history after a commit. Doing something new forgets what was undone. What is undone or done again is known by its
 * id: two pages that undo the same deed at once have undone one.
 */
export function recordCommit(history: History, role: CommitRole, patch: Patch): History {
  const { done, undone } = history;
  switch (role) {
    case 'do':
      return { done: [...done, patch], undone: [] };
    case 'undo': {
      const deed = done.findLast(({ id }) => inverseId(id) === patch.id);
      return deed ? { done: done.filter((other) => other !== deed), undone: [...undone, deed] } : history;
    }
    case 'redo': {
      const deed = undone.findLast(({ id }) => id === patch.id);
      return deed ? { done: [...done, deed], undone: undone.filter((other) => other !== deed) } : history;
    }
    case 'quiet':
      return history;
  }
}

/** The patch that undoes the latest deed, or undefined. */
export function undoPatch(history: History): Patch | undefined {
  const latest = history.done.at(-1);
  return latest && inversePatch(latest);
}

/** The patch that does again what was undone last, or undefined. */
export const redoPatch = (history: History): Patch | undefined => history.undone.at(-1);

/** Whether a deed can be taken back alone: all that it put is still as it put it, and what it removed has not come back. */
export const isUntouchedSince = (state: State, deed: Patch): boolean =>
  deed.changes.every(({ collection, id, after }) => {
    const now = (state[collection] as ReadonlyMap<string, unknown>).get(id) ?? null;
    return now === after || sameValue(now, after);
  });

/** The latest deed after another that touched one of its records, if one of those that are known did. */
export function touchedBy({ done }: History, deed: Patch): Patch | undefined {
  const touched = new Set(deed.changes.map(({ collection, id }) => `${collection} ${id}`));
  return done
    .slice(done.indexOf(deed) + 1)
    .findLast(({ changes }) => changes.some(({ collection, id }) => touched.has(`${collection} ${id}`)));
}

/** The patch that takes an older deed back alone, as a deed of its own; undefined where something has touched it since. */
export function takeBackAlone(state: State, deed: Patch, context: ChangeContext): Patch | undefined {
  if (!isUntouchedSince(state, deed)) return undefined;
  const { count, name } = deed.summary;
  const summary = { what: 'taken-back' as const, count, ...(name === undefined ? {} : { name }) };
  return makePatch(context, summary, inversePatch(deed).changes, deed.permission);
}
