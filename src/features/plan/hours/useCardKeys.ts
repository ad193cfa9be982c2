import { type RefObject, useEffect, useRef } from 'react';
import type { DayCard } from '@/core/layout/hours';
import type { Ribbon } from '@/core/layout/ribbons';
import { useWorkspace } from '@/features/workspace';
import type { GridActions } from './useGridDrag';

interface GridLayout {
  readonly ribbons: readonly Ribbon[];
  readonly columns: readonly { readonly day: number; readonly cards: readonly DayCard[] }[];
}

/** The keys of the shown cards, a list a day: its ribbons, then its cards by time. */
function cardsByDay({ ribbons, columns }: GridLayout): string[][] {
  return columns.map((column, index) => [
    ...ribbons.filter((ribbon) => ribbon.from === index).map((ribbon) => ribbon.occurrence.key),
    ...[...column.cards]
      .sort((a, b) => a.top - b.top || a.across.left - b.across.left)
      .map((card) => card.occurrence.key),
  ]);
}

/** The card that an arrow key leads to: along the day, or to the nearest place in the next day that has one. */
function neighbour(days: readonly (readonly string[])[], key: string, arrow: string): string | undefined {
  const day = days.findIndex((cards) => cards.includes(key));
  const position = days[day]?.indexOf(key) ?? 0;
  if (arrow === 'ArrowUp') return days[day]?.[position - 1];
  if (arrow === 'ArrowDown') return days[day]?.[position + 1];
  const step = arrow === 'ArrowRight' ? 1 : -1;
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
  layout: GridLayout,
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
    const next = neighbour(cardsByDay(layout), key, event.key);
    event.preventDefault();
    if (next === undefined) return;
    cardOf(frame.current, next)?.focus();
    if (!useWorkspace.getState().collecting) actions.press(next, { add: false });
  };
}
