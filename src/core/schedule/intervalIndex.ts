/** An interval with an id; half-open, in milliseconds. */
export interface Interval {
  readonly id: string;
  readonly start: number;
  readonly end: number;
}

const BLOCK = 128;

/**
 * Intervals sorted by start, with the latest end of each block of them: a query looks only into blocks that
 * reach its window. Adding and removing shift an array, which stays below a millisecond at 20,000.
 */
export class IntervalIndex {
  private intervals: Interval[] = [];
  private latestEnds: number[] | undefined = [];

  /** Replaces all intervals. */
  load(intervals: Iterable<Interval>): void {
    this.intervals = [...intervals].sort(compare);
    this.latestEnds = undefined;
  }

  add(interval: Interval): void {
    this.intervals.splice(this.positionOf(interval), 0, interval);
    this.latestEnds = undefined;
  }

  /** Removes an interval equal to the given one; nothing happens if there is none. */
  remove(interval: Interval): void {
    const position = this.positionOf(interval);
    if (this.intervals[position]?.id !== interval.id) return;
    this.intervals.splice(position, 1);
    this.latestEnds = undefined;
  }

  /** The ids of the intervals that touch [start, end), by start. */
  touching(start: number, end: number): string[] {
    this.latestEnds ??= this.findLatestEnds();
    const ids: string[] = [];
    for (let block = 0; block < this.latestEnds.length; block++) {
      const first = block * BLOCK;
      if (this.intervals[first]!.start >= end) break;
      if (this.latestEnds[block]! < start) continue;
      for (const interval of this.intervals.slice(first, first + BLOCK))
        if (interval.start < end && interval.end >= start) ids.push(interval.id);
    }
    return ids;
  }

  private positionOf(interval: Interval): number {
    let low = 0;
    let high = this.intervals.length;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (compare(this.intervals[middle]!, interval) < 0) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  private findLatestEnds(): number[] {
    const ends: number[] = [];
    this.intervals.forEach((interval, position) => {
      const block = Math.floor(position / BLOCK);
      ends[block] = Math.max(ends[block] ?? -Infinity, interval.end);
    });
    return ends;
  }
}

const compare = (a: Interval, b: Interval): number =>
  a.start - b.start || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
