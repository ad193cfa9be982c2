import { useDrag } from '@use-gesture/react';
import type { RefObject } from 'react';
import type { ViewName } from '@/core/model/look';
import { useGhost } from './grid/ghost';

/** Views that scroll sideways themselves, or have no sides. */
const NOT_SWIPED = new Set<ViewName>(['lanes', 'agenda']);
/** How far a finger must go, in pixels, and how long it may take, in milliseconds. */
const FAR = 60;
const QUICK = 600;

/** A swipe over the view by touch steps on or back. A card that is held and dragged is no swipe. */
export function useSwipe(
  view: RefObject<HTMLElement | null>,
  name: ViewName,
  step: (direction: 1 | -1) => void,
): void {
  useDrag(
    ({ last, movement: [x, y], event, canceled, elapsedTime }) => {
      if (!last || canceled || !event.type.startsWith('touch') || useGhost.getState().ghost) return;
      if (Math.abs(x) < FAR || Math.abs(x) < 2 * Math.abs(y) || elapsedTime > QUICK) return;
      step(x < 0 ? 1 : -1);
    },
    {
      target: view as RefObject<EventTarget>,
      enabled: !NOT_SWIPED.has(name),
      // Pointers end where the browser scrolls; touches go on.
      pointer: { touch: true, keys: false },
      eventOptions: { passive: true },
    },
  );
}
