import { z } from 'zod';
import type { WatchedEngine } from '@/engine/watchedEngine';
import { besideIn } from '@/engine/beside';
import type { Store } from './store';

/** Where this browser remembers the entries over which the engine fell silent, so that it does not do so at each start. */
const KEY = 'orderly-week/silenced';

const Ids = z.array(z.string());

/** Those that are remembered; none where the browser allows no such storage. */
export function silencedEntries(): readonly string[] {
  try {
    return Ids.parse(JSON.parse(localStorage.getItem(KEY) ?? '[]'));
  } catch {
    return [];
  }
}

function remember(ids: readonly string[]): void {
  try {
    if (ids.length > 0) localStorage.setItem(KEY, JSON.stringify(ids));
    else localStorage.removeItem(KEY);
  } catch {
    // It is found out anew then.
  }
}

/** Gives an engine that starts anew its entries, and remembers those that it does without until they are changed. */
export function followSilenced(store: Store, engine: WatchedEngine): void {
  engine.recoverFrom(() => {
    const { state } = store.getSnapshot();
    return { chunks: [JSON.stringify([...state.entries.values()])], beside: besideIn(state) };
  });
  engine.onSilenced((ids) => {
    remember(ids);
    store.askAnew();
  });
  store.onPatch(({ changes }) => {
    const changed = new Set(changes.map(({ id }) => id));
    const before = silencedEntries();
    const after = before.filter((id) => !changed.has(id));
    if (after.length < before.length) remember(after);
  });
}
