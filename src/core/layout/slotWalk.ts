/** A card as a walk over the hours meets it; minutes of the scale, half-open. */
export interface WalkedCard {
  readonly key: string;
  readonly from: number;
  readonly to: number;
}

/** Where a walk stands: on the head of a column, on a card, or on a slot of empty time. */
export type WalkStop =
  | { readonly column: number; readonly kind: 'head' }
  | { readonly column: number; readonly kind: 'card'; readonly key: string }
  | { readonly column: number; readonly kind: 'slot'; readonly minute: number };

export type WalkDirection = 'up' | 'down' | 'left' | 'right';

/** The hours that are walked over: the open ones, in slots of so many minutes. */
export interface WalkedHours {
  readonly from: number;
  readonly to: number;
  readonly step: number;
}

type Column = readonly WalkedCard[];

/** The card that lies over a slot, the first of them. */
const over = (cards: Column, minute: number, step: number): WalkedCard | undefined =>
  cards.find(({ from, to }) => from < minute + step && Math.max(to, from + 1) > minute);

const cardAt = (column: number, { key }: WalkedCard): WalkStop => ({ column, kind: 'card', key });
const slotAt = (column: number, minute: number): WalkStop => ({ column, kind: 'slot', minute });

/** What stands at a slot: a card, or the empty slot itself. */
function at(columns: readonly Column[], column: number, minute: number, hours: WalkedHours): WalkStop {
  const card = over(columns[column] ?? [], minute, hours.step);
  return card ? cardAt(column, card) : slotAt(column, minute);
}

/** All stops of a column from above: its head, and cards and empty slots in the order of their times. */
function stopsOf(column: number, cards: Column, { from, to, step }: WalkedHours): WalkStop[] {
  const timed: { minute: number; stop: WalkStop }[] = cards.map((card) => ({
    minute: card.from,
    stop: cardAt(column, card),
  }));
  for (let minute = from; minute + step <= to; minute += step)
    if (!over(cards, minute, step)) timed.push({ minute, stop: slotAt(column, minute) });
  // The sort is stable: cards that begin at one time keep their order.
  timed.sort((a, b) => a.minute - b.minute);
  return [{ column, kind: 'head' }, ...timed.map(({ stop }) => stop)];
}

const isSame = (a: WalkStop, b: WalkStop): boolean => JSON.stringify(a) === JSON.stringify(b);

function upOrDown(cards: Column, stop: WalkStop, by: 1 | -1, hours: WalkedHours): WalkStop | undefined {
  const stops = stopsOf(stop.column, cards, hours);
  // A slot that something lies over by now is that card.
  const here = stop.kind === 'slot' ? at([cards], 0, stop.minute, hours) : stop;
  const index = stops.findIndex((other) => isSame(other, { ...here, column: stop.column }));
  return index === -1 ? stops[1] : stops[index + by];
}

/**
 * Where an arrow key leads over the hours of several columns: from card to card, over empty time from slot to slot, and
 * from the first of a column to its head. Undefined where there is nothing further.
 *
 * @param columns the cards of each column, in the order in which they are walked: by start
 */
export function walk(
  columns: readonly Column[],
  stop: WalkStop,
  direction: WalkDirection,
  hours: WalkedHours,
): WalkStop | undefined {
  if (direction === 'up' || direction === 'down')
    return upOrDown(columns[stop.column] ?? [], stop, direction === 'down' ? 1 : -1, hours);
  const column = stop.column + (direction === 'right' ? 1 : -1);
  const cards = columns[column];
  if (!cards) return undefined;
  if (stop.kind === 'head') return { column, kind: 'head' };
  if (stop.kind === 'slot') return at(columns, column, stop.minute, hours);
  const own = columns[stop.column] ?? [];
  const card = own.find(({ key }) => key === stop.key);
  const minute = Math.floor((card?.from ?? hours.from) / hours.step) * hours.step;
  const within = Math.min(Math.max(minute, hours.from), hours.to - hours.step);
  return at(columns, column, within, hours);
}
