/**
 * Holds a lock of the browser for as long as this page does something that only one page may do; when that page is gone, the
 * next one has it. Over plain http from another machine there is none: every page has it then.
 * @param onHeld called when this page has the lock
 * @param onLetGo awaited before the next page has it
 * @returns lets the lock go, held or not
 */
export function holdLock(
  name: string,
  onHeld: () => void,
  onLetGo: () => Promise<void> | void = () => undefined,
): () => void {
  if (typeof navigator.locks === 'undefined') {
    onHeld();
    return () => void onLetGo();
  }
  const abort = new AbortController();
  let letGo: (() => void) | undefined;
  navigator.locks
    .request(name, { signal: abort.signal }, async () => {
      onHeld();
      await new Promise<void>((resolve) => (letGo = resolve));
      await onLetGo();
    })
    // Let go before it was held.
    .catch(() => undefined);
  return () => (letGo ? letGo() : abort.abort());
}

/** Does something under a lock of the browser: of several pages one at a time. Over plain http from another machine there is none. */
export const underLock = async (name: string, task: () => Promise<void>): Promise<void> =>
  typeof navigator.locks === 'undefined' ? task() : navigator.locks.request(name, task);
