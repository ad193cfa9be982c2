import { type RefObject, useEffect } from 'react';

/** What would change something; what only scrolls or moves the focus goes on. */
const KEPT_OUT = ['pointerdown', 'contextmenu', 'dblclick'] as const;
const LET_IN = new Set(['Tab', 'ArrowUp', 'ArrowDown', 'PageUp', 'PageDown', 'Home', 'End', 'Escape']);

/** Keeps presses and keys from a view that is only looked at: it scrolls, and is read out. */
export function useShield(box: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const keepOut = (event: Event) => event.stopPropagation();
    const keepKey = (event: KeyboardEvent) => {
      if (!LET_IN.has(event.key)) event.stopPropagation();
    };
    for (const kind of KEPT_OUT) element.addEventListener(kind, keepOut, { capture: true });
    element.addEventListener('keydown', keepKey, { capture: true });
    return () => {
      for (const kind of KEPT_OUT) element.removeEventListener(kind, keepOut, { capture: true });
      element.removeEventListener('keydown', keepKey, { capture: true });
    };
  }, [box]);
}
