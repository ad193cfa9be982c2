import { z } from 'zod';
import { Commit, type LogEntry } from './commitLog';

/** Commits of a page that was left before they were kept, at their places; the first version had none. */
export const Left = z.object({ commits: z.array(Commit.extend({ order: z.string().optional() })) });
export interface Left {
  readonly commits: readonly (Commit & Partial<LogEntry>)[];
}

/** Where a page that is left puts what is not kept yet, and another finds it. */
export interface Handover {
  /** Puts down what is not kept yet. */
  leave(left: Left): void;
  /** What pages have left, oldest first, by keys to clear it with. */
  find(): ReadonlyMap<string, Left>;
  clear(keys: Iterable<string>): void;
  /** Clears what this page has left: it came back and kept it. */
  clearOwn(): void;
  /** Calls back when this page is being left. */
  onLeaving(leaving: () => void): void;
  /** Asks the person to stay where this says that something large is being kept, which can't be handed over. */
  asksToStay(isBusy: () => boolean): void;
  /** Calls back when another page has left something. */
  onLeft(left: () => void): void;
}

const PREFIX = 'orderly-week/left/';

/**
 * The browser's own: the one storage that still takes something while the page goes away. What does not fit there is
 * not handed over; undefined where the browser allows no such storage.
 */
export function browserHandover(): Handover | undefined {
  let storage: Storage;
  try {
    storage = localStorage;
  } catch {
    return undefined;
  }
  const own = `${PREFIX}${Date.now()}-${crypto.randomUUID()}`;
  let hasLeft = false;
  const clear = (keys: Iterable<string>) => {
    for (const key of keys) storage.removeItem(key);
  };
  return {
    leave(left) {
      try {
        storage.setItem(own, JSON.stringify(left));
        hasLeft = true;
      } catch {
        // Too large: it was asked to stay.
      }
    },
    find() {
      const keys = Array.from({ length: storage.length }, (_, index) => storage.key(index) ?? '')
        .filter((key) => key.startsWith(PREFIX) && key !== own)
        .sort();
      return new Map(keys.map((key) => [key, parseLeft(storage.getItem(key))]));
    },
    clear,
    clearOwn: () => {
      if (hasLeft) clear([own]);
      hasLeft = false;
    },
    onLeaving: (leaving) => window.addEventListener('pagehide', leaving),
    asksToStay: (isBusy) =>
      window.addEventListener('beforeunload', (event) => {
        if (isBusy()) event.preventDefault();
      }),
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
    return { commits: [] };
  }
}
