/** How open tabs of the application hear of each other's commits, and take turns in writing. */
export interface Tabs {
  /** Says that a revision has been written. */
  announce(revision: number): void;
  /** Calls back when another tab has written. Returns how to stop. */
  listen(heard: (revision: number) => void): () => void;
  /** Runs a task while no other tab runs one. */
  exclusively<Result>(task: () => Promise<Result>): Promise<Result>;
}

/** The browser's own: a broadcast channel and a lock. */
export function browserTabs(name = 'orderly-week'): Tabs {
  const channel = new BroadcastChannel(name);
  return {
    announce: (revision) => channel.postMessage(revision),
    listen(heard) {
      const onMessage = (event: MessageEvent<unknown>) => {
        if (typeof event.data === 'number') heard(event.data);
      };
      channel.addEventListener('message', onMessage);
      return () => channel.removeEventListener('message', onMessage);
    },
    exclusively: (task) => navigator.locks.request(name, task) as ReturnType<typeof task>,
  };
}

/** Tabs that live in one process and share a database, for tests: make one hub, and a member for each tab. */
export function localTabs(): () => Tabs {
  const listeners = new Set<{ owner: object; heard: (revision: number) => void }>();
  let last: Promise<unknown> = Promise.resolve();
  return () => {
    const owner = {};
    return {
      announce: (revision) => {
        for (const listener of listeners) if (listener.owner !== owner) listener.heard(revision);
      },
      listen(heard) {
        const listener = { owner, heard };
        listeners.add(listener);
        return () => listeners.delete(listener);
      },
      exclusively(task) {
        const result = last.then(task, task);
        last = result.catch(() => undefined);
        return result;
      },
    };
  };
}
