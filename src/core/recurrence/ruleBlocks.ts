import { DAY } from '../time/civil';
import { expandRule, type WallRange } from './expandRule';
import type { RecurrenceRule } from './rule';

/**
 * Length of a block: weeks on both sides of a shown one mostly lie in the same. Blocks are counted from the start of the
 * series, so that no step from week to week meets the edges of all series at once.
 */
const BLOCK = 64 * DAY;
/** A window of more blocks than this is expanded at once, and not kept. */
const WIDE = 7;
/** Blocks that a rule keeps at the most. */
const KEPT = 48;

/** The dates of one rule, expanded block by block when they are first asked for, and kept. COUNT and UNTIL are left aside. */
export class RuleBlocks {
  private readonly blocks = new Map<number, readonly number[]>();
  private readonly endless: RecurrenceRule;

  constructor(
    rule: RecurrenceRule,
    private readonly start: number,
  ) {
    this.endless = { ...rule, count: undefined, until: undefined };
  }

  /**
   * The wall times within a window and up to `until`, inclusive, ascending.
   * @param most a number of dates after which it need not go on
   */
  between(window: WallRange, until: number, most = Infinity): number[] {
    const from = Math.max(window.start, this.start);
    const end = Math.min(window.end, until + 1);
    if (end <= from) return [];
    const first = Math.floor((from - this.start) / BLOCK);
    const last = Math.floor((end - 1 - this.start) / BLOCK);
    if (!(last - first <= WIDE))
      return expandRule(this.endless, this.start, { start: from, end }, Infinity, most);
    const walls: number[] = [];
    for (let number = first; number <= last && walls.length < most; number++)
      for (const wall of this.block(number)) if (wall >= from && wall < end) walls.push(wall);
    return walls;
  }

  private block(number: number): readonly number[] {
    const known = this.blocks.get(number);
    if (known) return known;
    const begin = this.start + number * BLOCK;
    const walls = expandRule(this.endless, this.start, { start: begin, end: begin + BLOCK });
    if (this.blocks.size >= KEPT) this.blocks.clear();
    this.blocks.set(number, walls);
    return walls;
  }
}
