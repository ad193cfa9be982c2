/**
 * Whether the browser gives the page the small storage that drafts are kept in, and changes of a page that is left. Where it
 * does not, everything else is kept all the same.
 */
export function hasPageStorage(): boolean {
  try {
    return localStorage.length >= 0;
  } catch {
    return false;
  }
}
