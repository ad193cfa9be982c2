/** How open pages of the application take turns at what only one may do at a time. */
export interface Tabs {
  /** Runs a task while no other page runs one. */
  exclusively<Result>(task: () => Promise<Result>): Promise<Result>;
}

/**
 * The browser's own lock. Over plain http from another machine it gives none: pages take turns within themselves then, and two
 * that fold at once write the same twice.
 */
export const browserTabs = (name = 'orderly-week'): Tabs =>
  typeof navigator.locks === 'undefined'
    ? localTabs()
    : { exclusively: (task) => navigator.locks.request(name, task) as ReturnType<typeof task> };

/** A lock among those who share it: pages that live in one process, in tests. */
export function localTabs(): Tabs {
  let last: Promise<unknown> = Promise.resolve();
  return {
    exclusively(task) {
      const result = last.then(task, task);
      last = result.catch(() => undefined);
      return result;
    },
  };
}
