import type { CollectionName } from '@/core/model/state';
import type { Store } from './store';

/** Calls back after each change of some collections; gives how to hear no more. */
export function followCollections(
  store: Store,
  names: readonly CollectionName[],
  onChange: () => void,
): () => void {
  let seen = store.getSnapshot().state;
  return store.subscribe(() => {
    const before = seen;
    seen = store.getSnapshot().state;
    if (names.some((name) => before[name] !== seen[name])) onChange();
  });
}
