import { z } from 'zod';
import { type Commit, LogEntry } from './journal';

/** Commits of a page that was left before they were written, and the revision that the page had seen. */
export const Left = z.object({
  since: z.number().int().min(0),
  commits: z.array(LogEntry.omit({ revision: true })),
});
export interface Left {
  readonly since: number;
  readonly commits: readonly Commit[];
}

/** Where a page that is left puts what it has not written yet, and another finds it. */
export interface Handover {
  /** Puts down what is not written yet. */
  leave(left: Left): void;
  /** What pages have left, oldest first, by keys to clear it with. */
  find(): ReadonlyMap<string, Left>;
  clear(keys: Iterable<string>): void;
  /** Clears what this page has left: it came back and wrote it. */
  clearOwn(): void;
  /** Calls back when this page is being left. */
  onLeaving(leaving: () => void): void;
  /** Calls back when another page has left something. */
  onLeft(left: () => void): void;
}

const PREFIX = 'orderly-week/left/';

/**
 * The browser's own: the one storage that still takes something while the page goes away. What does not fit there is
 * not handed over.
 */
export function browserHandover(storage: Storage = localStorage): Handover {
  const own = `${PREFIX}${Date.now()}-${crypto.randomUUID()}`;
  const clear = (keys: Iterable<string>) => {
    for (const key of keys) storage.removeItem(key);
  };
  return {
    leave(left) {
      try {
        storage.setItem(own, JSON.stringify(left));
      } catch {
        // Too large, or storage is off.
      }
    },
    find() {
      const keys = Array.from({ length: storage.length }, (_, index) => storage.key(index) ?? '')
        .filter((key) => key.startsWith(PREFIX) && key !== own)
        .sort();
      return new Map(keys.map((key) => [key, parseLeft(storage.getItem(key))]));
    },
    clear,
    clearOwn: () => clear([own]),
    onLeaving: (leaving) => window.addEventListener('pagehide', leaving),
    onLeft: (left) =>
      window.addEventListener('storage', ({ key, newValue }) => {
        if (key?.startsWith(PREFIX) && newValue) left();
      }),
  };
}

/** Reads what was left; what can't be read holds no commits. */
function parseLeft(text: string | null): Left {
  try {
    return Left.parse(JSON.parse(text ?? '')) as Left;
  } catch {
    return { since: 0, commits: [] };
  }
}
