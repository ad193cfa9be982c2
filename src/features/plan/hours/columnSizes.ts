import type { ColumnRoom } from '@/core/layout/hours';

/** A card that is narrower says nothing but its mark: its tab and one short word. */
const LEAST_CARD = 50;
/** The number of those left out, where it stands beside the cards. */
export const CROWD_WIDTH = 28;
/** Beside the cards a column keeps so much free, to be pressed for a new entry. */
const MARGIN = 10;
const NARROW = 60;

/** The part of a column that its cards take: beside them some is left to press. */
export const cardsWidth = (width: number): number => width - (width < NARROW ? 4 : MARGIN);

/** Whether the number of those left out lies over the card rather than beside it. */
export const liesOver = (width: number): boolean => cardsWidth(width) < LEAST_CARD + CROWD_WIDTH;

/** How many cards of a column can say something beside each other. */
export function roomOf(width: number, stays: ReadonlySet<string>): ColumnRoom {
  const cards = cardsWidth(width);
  const most = Math.max(1, Math.floor(cards / LEAST_CARD));
  if (liesOver(width)) return { most, mostCrowded: most, reserve: 0, stays };
  const mostCrowded = Math.max(1, Math.floor((cards - CROWD_WIDTH) / LEAST_CARD));
  return { most, mostCrowded, reserve: CROWD_WIDTH / cards, stays };
}
