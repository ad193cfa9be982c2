/** Sizes of paper in millimetres, upright. */
const PAPERS = {
  A4: { width: 210, height: 297 },
  Letter: { width: 215.9, height: 279.4 },
} as const;
export const PAPER_NAMES = ['A4', 'Letter'] as const;
export type PaperName = (typeof PAPER_NAMES)[number];

/** Pixels of the page in a millimetre: 96 to the inch. */
const PIXELS = 96 / 25.4;
/** The margin of a printed page, in millimetres. */
const MARGIN = 12;

/** A sheet and the room for print on it, in pixels. */
export interface SheetSize {
  readonly width: number;
  readonly height: number;
  readonly margin: number;
}

/** A sheet of paper, upright or across. */
export function sheetSize(paper: PaperName, isAcross: boolean): SheetSize {
  const { width, height } = PAPERS[paper];
  const [w, h] = isAcross ? [height, width] : [width, height];
  // Whole pixels, rounded down: a sheet that is longer than its page by a hair would need another one.
  return {
    width: Math.floor(w * PIXELS),
    height: Math.floor(h * PIXELS),
    margin: Math.round(MARGIN * PIXELS),
  };
}

/** Something that is printed in one piece. */
export interface PrintBlock {
  readonly height: number;
  /** A heading: it stands on the same page as the block after it. */
  readonly keepsWithNext?: boolean;
}

/**
 * The blocks of each page, as half-open ranges of their places in the list. No block is cut, and no heading stands last; a
 * block that is higher than a page has one to itself.
 */
export function paginate(
  blocks: readonly PrintBlock[],
  pageHeight: number,
): { readonly from: number; readonly to: number }[] {
  const pages: { from: number; to: number }[] = [];
  let from = 0;
  while (from < blocks.length) {
    let to = from;
    let height = 0;
    while (to < blocks.length && (to === from || height + blocks[to]!.height <= pageHeight))
      height += blocks[to++]!.height;
    if (to < blocks.length) {
      let end = to;
      while (end > from + 1 && blocks[end - 1]!.keepsWithNext) end--;
      if (!blocks[end - 1]!.keepsWithNext) to = end;
    }
    pages.push({ from, to });
    from = to;
  }
  return pages;
}

/**
 * Heights for rows that share a page: each what it needs, and an equal part of what is left. Where there is too little,
 * those that need little have it, and the others share the rest alike.
 */
export function fairHeights(needs: readonly number[], total: number): number[] {
  const heights = needs.map(() => 0);
  const ascending = needs.map((_, row) => row).sort((a, b) => needs[a]! - needs[b]!);
  let left = total;
  for (const [index, row] of ascending.entries()) {
    heights[row] = Math.min(needs[row]!, left / (needs.length - index));
    left -= heights[row];
  }
  return heights.map((height) => height + left / needs.length);
}
