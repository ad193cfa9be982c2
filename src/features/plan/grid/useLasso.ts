import { type RefObject, useEffect } from 'react';
import { create } from 'zustand';
import { useWorkspace, workspace } from '@/features/workspace';
import { CONTROLS } from './useGridDrag';

/** Where a lasso lies in the window, in pixels. */
interface LassoBox {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

export const useLassoBox = create<{ box: LassoBox | null }>()(() => ({ box: null }));

/** No text is selected meanwhile. */
const hold = (event: Event): void => event.preventDefault();

/** A press that moves less is none. */
const LEAST = 4;

const touches = (a: LassoBox, b: LassoBox): boolean =>
  a.left < b.right && a.right > b.left && a.top < b.bottom && a.bottom > b.top;

/** Reaches from where it began, which scrolls with the view, to the hand, within what it may cover. */
function boxBetween(a: { x: number; y: number }, b: { x: number; y: number }, within: LassoBox): LassoBox {
  const inside = (value: number, from: number, to: number) => Math.max(from, Math.min(to, value));
  return {
    left: inside(Math.min(a.x, b.x), within.left, within.right),
    right: inside(Math.max(a.x, b.x), within.left, within.right),
    top: inside(Math.min(a.y, b.y), within.top, within.bottom),
    bottom: inside(Math.max(a.y, b.y), within.top, within.bottom),
  };
}

/** A drag over empty time with Shift or Ctrl held selects what it goes over, beside what is selected; Escape lets it be. */
export function useLasso(
  frame: RefObject<HTMLElement | null>,
  scroller: RefObject<HTMLElement | null>,
): void {
  useEffect(() => {
    const element = frame.current;
    if (!element) return;
    let wasDrawn = false;
    let end: () => void = () => undefined;
    const forget = () => (wasDrawn = false);
    const begin = (down: PointerEvent) => {
      const isMeant = down.shiftKey || down.ctrlKey || down.metaKey;
      const target = down.target instanceof Element ? down.target : null;
      if (!isMeant || down.button !== 0 || down.pointerType === 'touch') return;
      if (!target || target.closest(`[data-key], ${CONTROLS}`)) return;
      down.stopPropagation();
      const scrolledAtFirst = scroller.current?.scrollTop ?? 0;
      const { selected: before, collecting } = useWorkspace.getState();
      const draw = ({ clientX, clientY }: PointerEvent) => {
        const scrolled = (scroller.current?.scrollTop ?? 0) - scrolledAtFirst;
        const from = { x: down.clientX, y: down.clientY - scrolled };
        if (!wasDrawn && Math.hypot(clientX - from.x, clientY - from.y) < LEAST) return;
        if (!wasDrawn) workspace.setDesk(true);
        wasDrawn = true;
        const box = boxBetween(from, { x: clientX, y: clientY }, element.getBoundingClientRect());
        const under = [...element.querySelectorAll<HTMLElement>('[data-key]')].flatMap((card) =>
          touches(box, card.getBoundingClientRect()) && card.dataset.key !== undefined
            ? [card.dataset.key]
            : [],
        );
        const selected = [...new Set([...before, ...under])];
        useLassoBox.setState({ box });
        if (selected.join() !== useWorkspace.getState().selected.join()) workspace.selectAll(selected);
      };
      const onKey = (event: KeyboardEvent) => {
        if (event.key !== 'Escape' || !wasDrawn) return;
        event.stopPropagation();
        if (before.length === 0) workspace.clearSelection();
        else if (collecting) workspace.selectAll(before);
        else workspace.select(before[0]!);
        end();
      };
      end();
      end = () => {
        useLassoBox.setState({ box: null });
        window.removeEventListener('pointermove', draw);
        window.removeEventListener('pointerup', end);
        window.removeEventListener('pointercancel', end);
        window.removeEventListener('keydown', onKey, true);
        document.removeEventListener('selectstart', hold);
      };
      document.addEventListener('selectstart', hold);
      window.addEventListener('pointermove', draw);
      window.addEventListener('pointerup', end);
      window.addEventListener('pointercancel', end);
      window.addEventListener('keydown', onKey, true);
    };
    // The click that ends it is not meant.
    const onClick = (event: MouseEvent) => {
      if (wasDrawn) event.stopPropagation();
      wasDrawn = false;
    };
    window.addEventListener('pointerdown', forget, true);
    element.addEventListener('pointerdown', begin, true);
    window.addEventListener('click', onClick, true);
    return () => {
      end();
      window.removeEventListener('pointerdown', forget, true);
      element.removeEventListener('pointerdown', begin, true);
      window.removeEventListener('click', onClick, true);
    };
  }, [frame, scroller]);
}
