import { z } from 'zod';

/** Where this browser notes the starts that have not come to anything yet: the instants of them, in milliseconds. */
const KEY = 'orderly-week/starts';
const Starts = z.array(z.number());

/** After so many starts that came to nothing, it is asked how to open. */
export const MOST_STARTS = 2;
/** A start is given so long, in milliseconds: other pages may be opening at the same time. */
const PATIENCE = 5_000;
const KEPT = 5;

function read(): number[] {
  try {
    return Starts.parse(JSON.parse(localStorage.getItem(KEY) ?? '[]'));
  } catch {
    return [];
  }
}

/**
 * Notes a start; how many before it came to nothing. Where the browser allows no such storage, none are known.
 * @param now an instant in milliseconds
 */
export function countStart(now: number): number {
  const before = read();
  try {
    localStorage.setItem(KEY, JSON.stringify([...before, now].slice(-KEPT)));
  } catch {
    return 0;
  }
  return before.filter((at) => now - at > PATIENCE).length;
}

/** Notes that a page is there and answers. */
export function startWorked(): void {
  try {
    localStorage.removeItem(KEY);
  } catch {
    // None was noted.
  }
}
