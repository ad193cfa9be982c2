import { distance } from 'fastest-levenshtein';

/** Words that are put before or after a title when it is passed on or copied, and say nothing of what it is. */
const PASSED_ON = /^(?:(?:re|fw|fwd|copy of)\b[:\s]*)+|\s*\((?:copy|\d)\)$|\s+[-–]\s+copy$/giu;

/** A title as it is compared: letters and figures alone, small, without accents, one blank between words. */
export const plainTitle = (title: string): string =>
  title
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLocaleLowerCase()
    .trim()
    .replace(PASSED_ON, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

const numbersIn = (text: string): string => (text.match(/\p{N}+/gu) ?? []).join(' ');
const sortedWords = (text: string): string => text.split(' ').sort().join(' ');

/** The part of a title that may be written otherwise: one letter in six. */
const TOLERANCE = 1 / 6;

/**
 * Whether two plain titles are so like that one is likely the other written otherwise: the same words in another order, or
 * few letters apart. Numbers tell titles apart: "Round 1" is not "Round 2".
 */
export function isLikeTitle(a: string, b: string): boolean {
  if (a === b) return a !== '';
  if (a === '' || b === '' || numbersIn(a) !== numbersIn(b)) return false;
  if (sortedWords(a) === sortedWords(b)) return true;
  const longest = Math.max(a.length, b.length);
  if (Math.abs(a.length - b.length) > longest * TOLERANCE) return false;
  return distance(a, b) <= Math.floor(longest * TOLERANCE);
}
