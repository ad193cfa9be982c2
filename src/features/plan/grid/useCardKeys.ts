import { type RefObject, useEffect, useRef } from 'react';
import { useWorkspace } from '@/features/workspace';
import type { GridActions } from './useGridDrag';

/** How the cards of a view follow one another for the arrow keys. */
export interface CardOrder {
  /** The keys of the shown cards, a list for each day, column or lane. */
  readonly lists: readonly (readonly string[])[];
  /** The arrows that lead along a list; the others lead to the next list. */
  readonly along: 'down' | 'across';
  /** Whether the end of a list leads on to the list that lies so many further, and its beginning back. */
  readonly runsOn?: number;
}

/** The card that an arrow key leads to: along its list, or to the nearest place in the next list that has one. */
export function neighbour(order: CardOrder, key: string, arrow: string): string | undefined {
  const { lists: days, along, runsOn } = order;
  const day = days.findIndex((cards) => cards.includes(key));
  const position = days[day]?.indexOf(key) ?? 0;
  const isForward = arrow === 'ArrowDown' || arrow === 'ArrowRight';
  const isAlong = (arrow === 'ArrowUp' || arrow === 'ArrowDown') === (along === 'down');
  if (isAlong) {
    const next = days[day]?.[position + (isForward ? 1 : -1)];
    if (next !== undefined || runsOn === undefined) return next;
    const step = isForward ? runsOn : -runsOn;
    for (let other = day + step; other >= 0 && other < days.length; other += step)
      if (days[other]!.length > 0) return days[other]!.at(isForward ? 0 : -1);
    return undefined;
  }
  const step = isForward ? 1 : -1;
  for (let other = day + step; other >= 0 && other < days.length; other += step) {
    const cards = days[other]!;
    if (cards.length > 0) return cards[Math.min(position, cards.length - 1)];
  }
  return undefined;
}

const cardOf = (frame: HTMLElement | null, key: string): HTMLElement | null =>
  frame?.querySelector<HTMLElement>(`[data-key="${CSS.escape(key)}"]`) ?? null;

/**
 * Keys on the cards: arrows go from one to the next and select it; the focus stays on an entry that a change puts
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
    const key = (event.target as HTMLElement).dataset.key;
    if (key === undefined || event.altKey || event.ctrlKey || event.metaKey) return;
    if (event.key === ' ' && event.shiftKey) return;
    if (!event.key.startsWith('Arrow')) return;
    const next = neighbour(order, key, event.key);
    event.preventDefault();
    if (next === undefined) return;
    const card = cardOf(frame.current, next);
    card?.focus({ preventScroll: true });
    card?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    if (!useWorkspace.getState().collecting) actions.press(next, { add: false });
  };
}
