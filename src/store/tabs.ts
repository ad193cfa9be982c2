/** How open pages of the application take turns at what only one may do at a time. */
export interface Tabs {
  /** Runs a task while no other page runs one. */
  exclusively<Result>(task: () => Promise<Result>): Promise<Result>;
}

/** The browser's own lock. */
export const browserTabs = (name = 'orderly-week'): Tabs => ({
  exclusively: (task) => navigator.locks.request(name, task) as ReturnType<typeof task>,
});

/** Pages that live in one process and share a database, for tests. */
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
