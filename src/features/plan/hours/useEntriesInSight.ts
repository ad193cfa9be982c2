import { type RefObject, useEffect, useRef } from 'react';

interface Hours {
  /** What tells these days from others. */
  readonly days: string;
  readonly viewportHeight: number;
  /** The cards of all columns, in pixels from the top of the hours; none yet while they are worked out. */
  readonly cards: readonly { readonly top: number; readonly height: number }[] | undefined;
  /** Where the present hour is, and whether today is among the days. */
  readonly nowTop: number;
  readonly showsToday: boolean;
  /** Whether the hours begin with the night. */
  readonly isWholeDay: boolean;
}

/** So much of a card is in sight at the least, and so far below the edge one is brought, in pixels. */
const LEAST_SEEN = 20;
/** Hours that begin with the night open so far above the present hour, in parts of what is seen. */
const BEFORE_NOW = 0.25;

/** Where to scroll for days that are opened; undefined where an entry is in sight already, or there is none. */
function goalOf({ cards = [], nowTop, showsToday, viewportHeight }: Hours, top: number): number | undefined {
  const isSeen = cards.some(
    (card) => card.top + card.height >= top + LEAST_SEEN && card.top + LEAST_SEEN <= top + viewportHeight,
  );
  if (isSeen || cards.length === 0) return undefined;
  const toCome = showsToday ? cards.filter((card) => card.top + card.height > nowTop) : [];
  return Math.min(...(toCome.length > 0 ? toCome : cards).map((card) => card.top)) - LEAST_SEEN;
}

/** Opens days where their entries are: what comes next today, else the first, unless one is in sight already. */
export function useEntriesInSight(scroller: RefObject<HTMLElement | null>, hours: Hours): void {
  const { days, viewportHeight, cards, isWholeDay } = hours;
  const seen = useRef({ days: '', isWholeDay: false });
  const latest = useRef(hours);
  useEffect(() => {
    latest.current = hours;
  });
  const isKnown = cards !== undefined && viewportHeight > 0;
  useEffect(() => {
    const box = scroller.current;
    if (!isKnown || !box) return;
    const before = seen.current;
    seen.current = { days, isWholeDay };
    if (before.days === days && before.isWholeDay === isWholeDay) return;
    const now = latest.current.nowTop - BEFORE_NOW * viewportHeight;
    const top = isWholeDay && !before.isWholeDay ? Math.max(0, now) : box.scrollTop;
    const goal = goalOf(latest.current, top) ?? top;
    // The element's own: the list's scrollTo takes other words.
    if (goal !== box.scrollTop) box.scroll({ top: Math.max(0, goal) });
  }, [isKnown, days, isWholeDay, viewportHeight, scroller]);
}
