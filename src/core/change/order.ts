/** Things that a person puts in an order of their own. */
export interface Ordered {
  readonly id: string;
  readonly name: string;
  /** Ascending. */
  readonly order: number;
}

/** In the person's order; by name where they stand at one place. */
export const inOrder = <Item extends Ordered>(items: Iterable<Item>): Item[] =>
  [...items].sort((a, b) => a.order - b.order || a.name.localeCompare(b.name));

/** The place after all others. */
export const nextOrder = (items: Iterable<Ordered>): number =>
  Math.max(0, ...[...items].map(({ order }) => order)) + 1;

/**
 * Puts one of the things at a place of the list, from 0.
 * @returns those whose order changes, with their new one; none where it stands there already
 */
export function placedAt<Item extends Ordered>(items: readonly Item[], id: string, place: number): Item[] {
  const moved = items.find((item) => item.id === id);
  if (!moved) return [];
  const rest = items.filter((item) => item !== moved);
  const at = Math.max(0, Math.min(place, rest.length));
  const order = [...rest.slice(0, at), moved, ...rest.slice(at)];
  if (order.every((item, index) => item === items[index])) return [];
  return order.flatMap((item, index) => (item.order === index + 1 ? [] : [{ ...item, order: index + 1 }]));
}
