/** How the cards of a view follow one another for the arrow keys. */
export interface CardOrder {
  /** The keys of the shown cards, a list for each day, column or lane. */
  readonly lists: readonly (readonly string[])[];
  /** The arrows that lead along a list; the others lead to the next list. */
  readonly along: 'down' | 'across';
  /** Whether the end of a list leads on to the list that lies so many further, and its beginning back. */
  readonly runsOn?: number;
}

/** The card that the Tab key leads to: the latest selected one that is shown, else the first. */
export function tabbableKeyOf({ lists }: CardOrder, selectedKeys: readonly string[]): string | undefined {
  const shown = new Set(lists.flat());
  const isCard = (key: string) => !/^(gap|empty) /.test(key);
  return selectedKeys.findLast((key) => shown.has(key)) ?? lists.flat().find(isCard);
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
