import { useSyncExternalStore } from 'react';
import { useColorScheme } from 'react-native';

export type Scheme = 'light' | 'dark';

/** Where the choice is kept for the moment before the data is open, so that no page begins in the other colours. */
const KEY = 'orderly-week/scheme';

const listeners = new Set<() => void>();
const isScheme = (value: unknown): value is Scheme => value === 'light' || value === 'dark';

function remembered(): Scheme | undefined {
  try {
    const value = localStorage.getItem(KEY);
    return isScheme(value) ? value : undefined;
  } catch {
    // Storage is off: the system's colours it is, until the data is open.
    return undefined;
  }
}

let chosen: Scheme | undefined | null = null;
const current = (): Scheme | undefined => (chosen === null ? (chosen = remembered()) : chosen);

function mark(page: Document): void {
  const scheme = current();
  if (scheme) page.documentElement.dataset.scheme = scheme;
  else delete page.documentElement.dataset.scheme;
}

/** Shows a page in the scheme that was chosen at an earlier visit. */
export const beginScheme = mark;

/** Shows everything in a scheme, or in the system's. */
export function chooseScheme(scheme: Scheme | undefined, page: Document): void {
  if (scheme === current()) return;
  chosen = scheme;
  mark(page);
  try {
    if (scheme) localStorage.setItem(KEY, scheme);
    else localStorage.removeItem(KEY);
  } catch {
    // Storage is off: the next page begins in the system's colours.
  }
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** The scheme in force: the chosen one, else the system's. */
export function useScheme(): Scheme {
  const system = useColorScheme();
  const own = useSyncExternalStore(subscribe, current);
  return own ?? (system === 'dark' ? 'dark' : 'light');
}
