/** Where this browser counts the starts that have not come to anything yet. */
const KEY = 'orderly-week/starts';

/** After so many starts in a row that came to nothing, it is asked how to open. */
export const MOST_STARTS = 2;

/** Counts a start; how many before it came to nothing. Where the browser allows no such storage, none are known. */
export function countStart(): number {
  try {
    const before = Number(localStorage.getItem(KEY)) || 0;
    localStorage.setItem(KEY, String(before + 1));
    return before;
  } catch {
    return 0;
  }
}

/** Notes that the page is there and answers. */
export function startWorked(): void {
  try {
    localStorage.removeItem(KEY);
  } catch {
    // None was counted.
  }
}
