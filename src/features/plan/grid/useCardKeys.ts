import { type RefObject, useEffect, useRef } from 'react';
import { useWorkspace } from '@/features/workspace';
import { type CardOrder, neighbour } from './cardOrder';
import type { GridActions } from './useGridDrag';

const cardOf = (frame: HTMLElement | null, key: string): HTMLElement | null =>
  frame?.querySelector<HTMLElement>(`[data-key="${CSS.escape(key)}"], [data-slot="${CSS.escape(key)}"]`) ??
  null;

/**
 * Keys on the cards, and on what stands between them (`data-slot`): arrows go from one to the next and select it; the focus stays on an entry that a change puts
 * elsewhere or under another key.
 */
export function useCardKeys(
  frame: RefObject<HTMLElement | null>,
  order: CardOrder,
  actions: GridActions,
  answer: unknown,
): (event: KeyboardEvent) => void {
  const hadFocus = useRef(false);

  useEffect(() => {
    const onFocus = () => {
      const focused = document.activeElement;
      if (focused && focused !== document.body) hadFocus.current = !!focused.closest('[data-key]');
    };
    document.addEventListener('focusin', onFocus);
    return () => document.removeEventListener('focusin', onFocus);
  }, []);

  useEffect(() => {
    const key = useWorkspace.getState().selected.at(-1);
    if (!hadFocus.current || key === undefined || document.activeElement !== document.body) return;
    cardOf(frame.current, key)?.focus({ preventScroll: true });
  }, [answer, frame]);

  return (event) => {
    const { key = (event.target as HTMLElement).dataset.slot } = (event.target as HTMLElement).dataset;
    if (key === undefined || event.altKey || event.metaKey) return;
    if (event.key === ' ' && event.shiftKey) return;
    if (!event.key.startsWith('Arrow')) return;
    const next = neighbour(order, key, event.key);
    event.preventDefault();
    if (next === undefined) return;
    const card = cardOf(frame.current, next);
    card?.focus({ preventScroll: true });
    card?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    if (card?.dataset.key !== undefined) actions.walkTo(next);
  };
}
