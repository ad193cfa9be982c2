import { useEffect, useLayoutEffect, useRef } from 'react';

/**
 * The browser's back button closes what lies over the page before it leads anywhere. What opens leaves a copy of the
 * present history entry behind and marks the new one as held: going back from that changes no address, and closes the
 * topmost.
 */
const open: { close: () => void }[] = [];

/** The address of the held entry, while it is the present one or has others after it. */
let heldAt: string | undefined;

const isHeld = (): boolean => (window.history.state as { held?: unknown } | null)?.held === true;

const pushCopy = (held: boolean): void =>
  window.history.pushState({ id: crypto.randomUUID(), ...(held ? { held } : {}) }, '', window.location.href);

function hold(): void {
  if (!isHeld()) pushCopy(true);
  heldAt = window.location.href;
}

/**
 * Before the router puts another address in place of the present history entry: leaves a copy of it behind, to which the
 * back button returns. A held entry has its copy already. `quietly`: none is wanted.
 */
export function keepPlaceInHistory(quietly: boolean): void {
  if (isHeld()) heldAt = undefined;
  else if (!quietly) pushCopy(false);
}

function onPopState(event: PopStateEvent): void {
  const leftHeld = heldAt !== undefined && !isHeld() && window.location.href === heldAt;
  heldAt = isHeld() ? window.location.href : undefined;
  const top = open.at(-1);
  // The router has nothing to do: the address is the same.
  if (leftHeld) event.stopImmediatePropagation();
  if (top) {
    // What asks before it closes, or lay under what closed, is there still: the next press finds it held, however soon it
    // comes. Where nothing is, that press leads on from there.
    if (leftHeld) hold();
    top.close();
    if (!leftHeld)
      setTimeout(() => {
        if (open.length > 0) hold();
      });
  } else if (leftHeld) window.history.back();
}

/** Lets the back button close something for as long as it is there. `close` may ask first, and leave it open. */
export function useBackCloses(close: () => void, when = true): void {
  const latest = useRef(close);
  useEffect(() => {
    latest.current = close;
  });
  // Before it is painted: who sees it may go back at once.
  useLayoutEffect(() => {
    const own = { close: () => latest.current() };
    if (!when) return;
    window.addEventListener('popstate', onPopState, true);
    open.push(own);
    hold();
    return () => {
      open.splice(open.indexOf(own), 1);
    };
  }, [when]);
}
