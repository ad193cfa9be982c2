import { useDrag } from '@use-gesture/react';
import { type RefObject, useRef, useState } from 'react';

/** A row that is being dragged, and how far. */
export interface Dragged {
  readonly id: string;
  readonly offset: number;
  /** The place in its list, from 0, that it would have if it were let go now. */
  readonly place: number;
}

const HANDLE = '[data-reorder]';
const ROW = '[data-reorder-row]';

/**
 * Puts the rows of a list in another order by dragging their handles (`data-reorder` in a `data-reorder-row`, each with its
 * id). `onPlace` is told the id and its new place among the rows, from 0.
 */
export function useReorder(
  list: RefObject<HTMLElement | null>,
  onPlace: (id: string, place: number) => void,
): Dragged | null {
  const [dragged, setDragged] = useState<Dragged | null>(null);
  const held = useRef<{ id: string; middles: number[]; from: number } | null>(null);
  useDrag(
    ({ first, last, movement: [, offset], event, cancel, canceled }) => {
      if (first) {
        const handle = (event.target as Element).closest(HANDLE);
        const row = handle?.closest<HTMLElement>(ROW);
        const id = row?.dataset.reorderRow;
        if (!row || id === undefined) {
          cancel();
          return;
        }
        const rows = [...(list.current?.querySelectorAll<HTMLElement>(ROW) ?? [])];
        held.current = {
          id,
          from: rows.indexOf(row),
          middles: rows.map((each) => {
            const box = each.getBoundingClientRect();
            return box.top + box.height / 2;
          }),
        };
      }
      const { current } = held;
      if (!current) return;
      const at = current.middles[current.from]! + offset;
      const place = current.middles.filter((middle, index) => index !== current.from && middle < at).length;
      if (last) {
        held.current = null;
        setDragged(null);
        if (!canceled && place !== current.from) onPlace(current.id, place);
        return;
      }
      setDragged({ id: current.id, offset, place });
    },
    // Handles take no touch scrolling, so that pointer events alone do, whatever points.
    { target: list, axis: 'y' },
  );
  return dragged;
}
