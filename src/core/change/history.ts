import { inverseId, inversePatch, type Patch } from './patch';

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
