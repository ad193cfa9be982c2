import { type PointerEvent, type RefObject, useRef } from 'react';
import type { EntryRow } from '@/core/tidy/table/tableQuery';
import type { Selecting } from './useSelecting';

/** A press on a tick that goes on over further rows takes them all. */
export function useDrawnTicks(scroller: RefObject<HTMLDivElement | null>, selecting: Selecting) {
  const drawn = useRef<{ index: number; last: number } | null>(null);
  const wasDrawn = useRef(false);
  return {
    /** Whether the press that ends now went over more than its row. */
    isDrawn: () => wasDrawn.current,
    begin: (index: number, row: EntryRow, event: PointerEvent) => {
      wasDrawn.current = false;
      if (event.button !== 0 || event.pointerType === 'touch' || event.shiftKey) return;
      drawn.current = { index, last: index };
      const move = ({ clientX, clientY }: globalThis.PointerEvent) => {
        const at = document.elementFromPoint(clientX, clientY)?.closest<HTMLElement>('[data-row]');
        const to = Number(at?.dataset.row);
        const now = drawn.current;
        if (!now || !at || !scroller.current?.contains(at) || !Number.isInteger(to) || to === now.last)
          return;
        if (!wasDrawn.current && !selecting.selected.has(row.key)) selecting.toggle(index, row.key);
        wasDrawn.current = true;
        now.last = to;
        void selecting.upTo(to);
      };
      const end = () => {
        drawn.current = null;
        removeEventListener('pointermove', move);
        removeEventListener('pointerup', end);
        removeEventListener('pointercancel', end);
      };
      addEventListener('pointermove', move);
      addEventListener('pointerup', end);
      addEventListener('pointercancel', end);
    },
  };
}
