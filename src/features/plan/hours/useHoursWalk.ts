import { type RefObject, useCallback, useEffect, useRef, useState } from 'react';
import { drawnMinutes, type HoursScale, wallMinute } from '@/core/layout/hours';
import type { HoursColumn, HoursGridLayout } from '@/core/layout/hoursGrid';
import { walk, type WalkDirection, type WalkedCard, type WalkStop } from '@/core/layout/slotWalk';
import { DAY, MINUTE } from '@/core/time/civil';
import type { GridActions } from '../grid/useGridDrag';

/** A slot of empty time that the keys have reached: its column, and its minute on the scale. */
export interface Slot {
  readonly column: number;
  readonly minute: number;
}

const DIRECTIONS: Record<string, WalkDirection> = {
  ArrowUp: 'up',
  ArrowDown: 'down',
  ArrowLeft: 'left',
  ArrowRight: 'right',
};

interface Walked {
  readonly columns: readonly HoursColumn[];
  readonly layout: HoursGridLayout;
  readonly scale: HoursScale;
  readonly gridStep: number;
  readonly actions: GridActions;
}

/** The cards of each column in the order in which they are walked. */
const cardsOf = (layout: HoursGridLayout): WalkedCard[][] =>
  layout.columns.map((column) =>
    [...column.cards]
      .sort((a, b) => a.top - b.top || a.across.left - b.across.left)
      .map(({ occurrence, from, to }) => ({ key: occurrence.key, from, to })),
  );

/**
 * Arrow keys over the hours: from card to card, over empty time from slot to slot, and to the heads of the days. Answers
 * whether a key was for it; others are the cards' own.
 */
export function useHoursWalk(
  frame: RefObject<HTMLElement | null>,
  { columns, layout, scale, gridStep, actions }: Walked,
): { slot: Slot | undefined; onKey: (event: KeyboardEvent) => boolean; draftAt: (slot: Slot) => void } {
  const [slot, setSlot] = useState<Slot | undefined>(undefined);
  const wantsFocus = useRef(false);
  useEffect(() => {
    if (!wantsFocus.current || !slot) return;
    wantsFocus.current = false;
    const cursor = frame.current?.querySelector<HTMLElement>('[data-slot]');
    cursor?.focus({ preventScroll: true });
    cursor?.scrollIntoView({ block: 'nearest' });
  }, [slot, frame]);

  const focusOn = (selector: string): HTMLElement | null => {
    const element = frame.current?.querySelector<HTMLElement>(selector) ?? null;
    element?.focus({ preventScroll: true });
    element?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    return element;
  };
  const ribbonsOf = (column: number): string[] =>
    layout.ribbons.filter(({ from }) => from === column).map(({ occurrence }) => occurrence.key);
  const goToKey = (key: string) => {
    if (focusOn(`[data-key="${CSS.escape(key)}"]`)) actions.walkTo(key);
  };
  const goTo = (stop: WalkStop) => {
    if (stop.kind === 'card') goToKey(stop.key);
    else if (stop.kind === 'head') focusOn(`[data-head="${stop.column}"]`);
    else {
      wantsFocus.current = true;
      setSlot({ column: stop.column, minute: stop.minute });
    }
  };

  const draftAt = useCallback(
    ({ column, minute }: Slot) => {
      const at = columns[column];
      if (at) actions.pressEmpty(at.day * DAY + wallMinute(scale, minute) * MINUTE, false, at.calendarId);
    },
    [columns, scale, actions],
  );

  const onKey = (event: KeyboardEvent): boolean => {
    if (event.altKey || event.ctrlKey || event.metaKey || event.shiftKey) return false;
    const target = event.target as HTMLElement;
    const direction = DIRECTIONS[event.key];
    if (!direction) return false;
    const cards = cardsOf(layout);
    const { key, head } = target.dataset;
    const column =
      head !== undefined
        ? Number(head)
        : key !== undefined
          ? cards.findIndex((list) => list.some((card) => card.key === key))
          : slot && 'slot' in target.dataset
            ? slot.column
            : -1;
    const drawn = drawnMinutes(scale);
    const step = Math.max(30, gridStep);
    const hours = { from: Math.ceil(drawn.from / step) * step, to: drawn.to, step };
    const ribbon = key === undefined ? undefined : layout.ribbons.find((each) => each.occurrence.key === key);
    if (ribbon) {
      if (direction === 'left' || direction === 'right') return false;
      const row = ribbonsOf(ribbon.from);
      const next = row[row.indexOf(key!) + (direction === 'down' ? 1 : -1)];
      if (next !== undefined) goToKey(next);
      else if (direction === 'up') goTo({ column: ribbon.from, kind: 'head' });
      else goTo(walk(cards, { column: ribbon.from, kind: 'head' }, 'down', hours)!);
      event.preventDefault();
      return true;
    }
    if (column < 0) return false;
    const stop: WalkStop =
      head !== undefined
        ? { column, kind: 'head' }
        : key !== undefined
          ? { column, kind: 'card', key }
          : { column, kind: 'slot', minute: slot!.minute };
    event.preventDefault();
    const ribbons = ribbonsOf(column);
    if (stop.kind === 'head' && direction === 'down' && ribbons[0] !== undefined) goToKey(ribbons[0]);
    else {
      const next = walk(cards, stop, direction, hours);
      const last = ribbons.at(-1);
      if (next?.kind === 'head' && stop.kind !== 'head' && last !== undefined) goToKey(last);
      else if (next) goTo(next);
    }
    return true;
  };
  return { slot, onKey, draftAt };
}
