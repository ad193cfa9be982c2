import { rangesOverlap } from '../time/eventTime';
/** Something with an extent down a column; half-open, in any unit. */
export interface Extent {
  readonly key: string;
  readonly start: number;
  readonly end: number;
}

/** Where something lies across its column, as shares of the width from 0 to 1. */
export interface Placement {
  readonly left: number;
  readonly width: number;
}

/** Beyond this many in one group the widths are simply equal: nobody reads hundreds side by side. */
const LARGEST_EVEN_GROUP = 120;

/** Extents in the order in which they take columns: by start, longer first, then by key. */
const inOrder = (extents: readonly Extent[]): Extent[] =>
  [...extents].sort((a, b) => a.start - b.start || b.end - a.end || (a.key < b.key ? -1 : 1));

/** Groups of extents that overlap one another, directly or through others. */
function groups(ordered: readonly Extent[]): Extent[][] {
  const result: Extent[][] = [];
  let end = -Infinity;
  for (const extent of ordered) {
    if (extent.start >= end) result.push([]);
    result.at(-1)!.push(extent);
    end = Math.max(end, extent.end);
  }
  return result;
}

/** The first column free for each extent of a group. */
function takeColumns(group: readonly Extent[]): number[] {
  const ends: number[] = [];
  return group.map((extent) => {
    const free = ends.findIndex((end) => end <= extent.start);
    const column = free === -1 ? ends.length : free;
    ends[column] = extent.end;
    return column;
  });
}

/**
 * Widths as even as possible: again and again, the chain of neighbours that has the least room for each is
 * given that room in equal parts, until all are placed (max-min fairness).
 */
function evenWidths(group: readonly Extent[], columns: readonly number[]): Placement[] {
  const count = group.length;
  const byColumn = Array.from({ length: count }, (_, item) => item).sort(
    (a, b) => columns[a]! - columns[b]! || a - b,
  );
  const rightOf = group.map((extent, item) =>
    byColumn.filter((other) => columns[other]! > columns[item]! && rangesOverlap(extent, group[other]!)),
  );
  const low = new Array<number>(count).fill(0);
  const high = new Array<number>(count).fill(1);
  const placed = new Array<Placement | undefined>(count).fill(undefined);
  const place = (item: number, left: number, width: number) => {
    placed[item] = { left, width };
    for (let other = 0; other < count; other++) {
      if (placed[other] || !rangesOverlap(group[item]!, group[other]!)) continue;
      if (columns[other]! > columns[item]!) low[other] = Math.max(low[other]!, left + width);
      else high[other] = Math.min(high[other]!, left);
    }
  };
  for (let left = count; left > 0;) {
    const chain = tightestChain(byColumn, rightOf, low, high, placed);
    chain.items.forEach((item, position) => place(item, chain.from + position * chain.width, chain.width));
    left -= chain.items.length;
  }
  return placed.map((placement) => placement ?? { left: 0, width: 1 });
}

function tightestChain(
  byColumn: readonly number[],
  rightOf: readonly (readonly number[])[],
  low: readonly number[],
  high: readonly number[],
  placed: readonly (Placement | undefined)[],
): { items: number[]; from: number; width: number } {
  const open = byColumn.filter((item) => !placed[item]);
  let best = { items: [] as number[], from: 0, width: Infinity };
  for (const from of new Set(open.map((item) => low[item]!))) {
    // The longest chain that begins at `from` and ends at each item.
    const lengths = new Map<number, number>(
      open.filter((item) => low[item] === from).map((item) => [item, 1]),
    );
    const before = new Map<number, number>();
    for (const item of open) {
      const length = lengths.get(item);
      if (length === undefined) continue;
      for (const next of rightOf[item]!)
        if (!placed[next] && (lengths.get(next) ?? 0) < length + 1) {
          lengths.set(next, length + 1);
          before.set(next, item);
        }
    }
    for (const [last, length] of lengths) {
      const width = (high[last]! - from) / length;
      if (width >= best.width) continue;
      const items = [last];
      for (let item = before.get(last); item !== undefined; item = before.get(item)) items.unshift(item);
      best = { items, from, width };
    }
  }
  return best;
}

/**
 * Places overlapping extents side by side: each group of overlapping ones shares the width, as evenly as
 * possible, and nothing lies over anything else. The same extents give the same placements in any order.
 */
export function layoutColumns(extents: readonly Extent[]): Map<string, Placement> {
  const result = new Map<string, Placement>();
  for (const group of groups(inOrder(extents))) {
    const columns = takeColumns(group);
    const width = 1 / (Math.max(...columns) + 1);
    const placements =
      group.length > LARGEST_EVEN_GROUP
        ? columns.map((column) => ({ left: column * width, width }))
        : evenWidths(group, columns);
    group.forEach((extent, item) => result.set(extent.key, placements[item]!));
  }
  return result;
}

/** Of extents that overlap, those that have room beside each other, and the groups of those that have none. */
export interface FittedColumns<Item extends Extent> {
  readonly shown: readonly Item[];
  /** What lies over the same place, with all that overlaps there, shown or not. */
  readonly crowds: readonly {
    readonly start: number;
    readonly left: readonly Item[];
    readonly all: readonly Item[];
  }[];
  /** The keys of those that share their place with a crowd. */
  readonly crowded: ReadonlySet<string>;
}

/** How many extents have room beside each other: if that is all of them, and beside the number of those left out. */
export interface Room {
  readonly most: number;
  readonly mostCrowded: number;
}

/**
 * Shows as many of overlapping extents beside each other as have room; what has none is left out, and counted where it
 * would lie. What is to stay is never left out for another.
 */
export function fitColumns<Item extends Extent>(
  extents: readonly Item[],
  { most, mostCrowded }: Room,
  stays: (item: Item) => boolean,
): FittedColumns<Item> {
  const ordered = inOrder(extents) as Item[];
  const shown = new Set<Item>();
  const left: Item[] = [];
  for (const group of groups(ordered) as Item[][]) {
    if (Math.max(...takeColumns(group)) < most) {
      for (const extent of group) shown.add(extent);
      continue;
    }
    for (const extent of group) {
      const beside = group.filter((other) => shown.has(other) && other.end > extent.start);
      const isFree = beside.length < mostCrowded;
      const gives = !isFree && stays(extent) ? beside.findLast((other) => !stays(other)) : undefined;
      if (gives) shown.delete(gives);
      if (isFree || gives) shown.add(extent);
      if (!isFree) left.push(gives ?? extent);
    }
  }
  const crowds = (groups(inOrder(left)) as Item[][]).map((group) => {
    const start = group[0]!.start;
    const end = Math.max(...group.map((item) => item.end));
    return { start, left: group, all: ordered.filter((item) => rangesOverlap(item, { start, end })) };
  });
  const crowded = new Set(crowds.flatMap(({ all }) => all.map(({ key }) => key)));
  return { shown: ordered.filter((item) => shown.has(item)), crowds, crowded };
}
