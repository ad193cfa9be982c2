/** How much a chip says: all, its mark and hours, or its mark alone. */
export type ChipLevel = 'full' | 'hours' | 'mark';

/** The width of a chip at each level, in pixels. */
export type ChipWidths = Readonly<Record<ChipLevel, number>>;

export interface FittedChips {
  readonly level: ChipLevel;
  /** How many are shown; the others stand in the list alone. */
  readonly shown: number;
  /** Whether the list of all is offered after them. */
  readonly hasList: boolean;
}

/**
 * What a row of chips has room for: all of them as large as can be, and where they are shrunk, the list of all after them.
 * @param room the width of the row, in pixels
 * @param gap between two chips
 * @param list the width of what opens the list
 */
export function fitChips(chips: readonly ChipWidths[], room: number, gap: number, list: number): FittedChips {
  const width = (level: ChipLevel, count = chips.length): number =>
    chips.slice(0, count).reduce((sum, chip) => sum + chip[level] + gap, 0);
  if (width('full') - gap <= room) return { level: 'full', shown: chips.length, hasList: false };
  if (width('hours') + list <= room) return { level: 'hours', shown: chips.length, hasList: true };
  let shown = chips.length;
  while (shown > 0 && width('mark', shown) + list > room) shown--;
  return { level: 'mark', shown, hasList: true };
}
