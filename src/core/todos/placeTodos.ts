import { MINUTE } from '../time/civil';
import type { InstantRange } from '../time/eventTime';

/** What is to be given time: of what is called the same, so many minutes, in some span. */
export interface Work {
  readonly key: string;
  readonly minutes: number;
  /** Not before it, an instant. */
  readonly from: number;
  /** Until when it is to be done, an instant; Infinity for never. */
  readonly due: number;
  /** What comes first among those that are due at the same time: the lower. */
  readonly rank: number;
}

/** A time that is proposed for a work: half-open instants. */
export interface Piece extends InstantRange {
  readonly key: string;
  /** Whether it ends after the work is due. */
  readonly isLate: boolean;
}

/** Why a work finds no time for all of its minutes: there is no gap at all, or none before it is due. */
type LeftReason = 'no-room' | 'only-late';

export interface Placing {
  /** By their starts. */
  readonly pieces: readonly Piece[];
  /** What found no time, in the order of the works. */
  readonly left: readonly { readonly key: string; readonly minutes: number; readonly why: LeftReason }[];
}

export interface PlacingOptions {
  /** What is free, as half-open instants by their starts, none over another. */
  readonly free: readonly InstantRange[];
  /** The shortest piece of a work that is parted, in minutes. */
  readonly shortest: number;
  /** Whether what has no room before it is due may come after it. */
  readonly withLate: boolean;
}

/**
 * Puts works into free times: what is due first comes first, then what ranks first. Each stands in one piece where one gap
 * before its due time holds it; if that leaves anything over, parts of it go wherever there is room. Nothing lies over
 * what is not free, before a work can begin, or, unless it is said, after it is due.
 */
export function placeTodos(works: readonly Work[], options: PlacingOptions): Placing {
  const ordered = [...works].sort((a, b) => a.due - b.due || a.rank - b.rank);
  const whole = place(ordered, options, true);
  if (whole.left.length === 0) return whole;
  const parted = place(ordered, options, false);
  return minutesLeft(parted) < minutesLeft(whole) ? parted : whole;
}

const minutesLeft = ({ left }: Placing): number => left.reduce((sum, { minutes }) => sum + minutes, 0);

function place(works: readonly Work[], options: PlacingOptions, wholeFirst: boolean): Placing {
  let free = options.free;
  const pieces: Piece[] = [];
  const left: Placing['left'][number][] = [];
  const shortest = options.shortest * MINUTE;
  for (const { key, minutes, from, due } of works) {
    let needed = minutes * MINUTE;
    /** Takes time between two instants, in one piece if so asked. */
    const take = (after: number, before: number, inOne: boolean, isLate: boolean): void => {
      for (const range of free) {
        if (needed <= 0) return;
        const start = Math.max(range.start, after);
        const room = Math.min(range.end, before) - start;
        const length = inOne ? needed : partOf(needed, room, shortest);
        if (length <= 0 || room < length) continue;
        pieces.push({ key, start, end: start + length, isLate });
        free = without(free, { start, end: start + length });
        needed -= length;
        if (inOne) return;
      }
    };
    if (wholeFirst) take(from, due, true, false);
    take(from, due, false, false);
    const late = Math.max(from, due);
    if (options.withLate && needed > 0) {
      take(late, Infinity, true, true);
      take(late, Infinity, false, true);
    }
    if (needed > 0) {
      const hasLate = free.some(
        (range) => range.end - Math.max(range.start, late) >= Math.min(needed, shortest),
      );
      left.push({
        key,
        minutes: needed / MINUTE,
        why: hasLate && !options.withLate ? 'only-late' : 'no-room',
      });
    }
  }
  return { pieces: pieces.sort((a, b) => a.start - b.start), left };
}

/** How much of what is needed goes into some room: all of it, or a part that leaves none shorter than the shortest. */
function partOf(needed: number, room: number, shortest: number): number {
  if (needed <= room) return needed;
  const part = needed - room < shortest ? needed - shortest : room;
  return part >= shortest ? part : 0;
}

/** Free times without what is taken within one of them. */
const without = (free: readonly InstantRange[], taken: InstantRange): InstantRange[] =>
  free.flatMap((range) =>
    taken.start >= range.end || taken.end <= range.start
      ? [range]
      : [
          { start: range.start, end: taken.start },
          { start: taken.end, end: range.end },
        ].filter(({ start, end }) => end > start),
  );
