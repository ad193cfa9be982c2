import { type ComponentType, createElement, lazy, useState } from 'react';

/**
 * A component whose script comes later: when it is first shown, or when it is fetched ahead. One that was fetched ahead is
 * there at once; React's own `lazy` alone would show nothing first, and the component a third of a second later.
 */
export function later<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
): { readonly Later: ComponentType<Props>; readonly fetchAhead: () => Promise<void> } {
  let ready: ComponentType<Props> | undefined;
  const fetchAhead = async (): Promise<void> => {
    ready = await load();
  };
  const Lazy = lazy(async () => {
    ready = await load();
    return { default: ready };
  });
  function Later(props: Props) {
    const [shown] = useState((): ComponentType<Props> => ready ?? (Lazy as ComponentType<Props>));
    return createElement(shown, props);
  }
  return { Later, fetchAhead };
}

/** Fetches parts ahead that another one will show. Where that fails, they are fetched when they are shown. */
export const fetchQuietly = (...parts: { readonly fetchAhead: () => Promise<void> }[]): void => {
  Promise.all(parts.map(({ fetchAhead }) => fetchAhead())).catch(() => undefined);
};
