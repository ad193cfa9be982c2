import type { TextSpan } from './lengths';

/** A zone under a name that a person may write. */
export interface NamedZone {
  readonly name: string;
  readonly zone: string;
}

/**
 * The zone that is named right behind a time ("14:00 Halifax", "14:00 Halifax time"), or anywhere before the word
 * "time"; the longest name counts.
 * @param after where the said times end
 */
export function findZone(
  text: string,
  after: readonly number[],
  zones: readonly NamedZone[],
): { zone: string; span: TextSpan } | undefined {
  const lower = text.toLowerCase();
  let best: { zone: string; span: TextSpan } | undefined;
  const isBoundary = (position: number) => !/[\p{L}\p{N}]/u.test(text[position] ?? ' ');
  for (const { name, zone } of zones) {
    const wanted = name.toLowerCase();
    for (let at = lower.indexOf(wanted); at !== -1; at = lower.indexOf(wanted, at + 1)) {
      const end = at + wanted.length;
      if (!isBoundary(end) || (at > 0 && !isBoundary(at - 1))) continue;
      const time = /^\s+time(?![\p{L}\p{N}])/iu.exec(text.slice(end))?.[0] ?? '';
      const follows = after.some((position) => position <= at && /^[\s(,]*$/.test(text.slice(position, at)));
      if (!follows && !time) continue;
      const closing = text[end] === ')' ? 1 : 0;
      const span = { from: follows ? at - openingBefore(text, at) : at, to: end + time.length + closing };
      if (!best || wanted.length > best.span.to - best.span.from) best = { zone, span };
    }
  }
  return best;
}

const openingBefore = (text: string, at: number): number => (text[at - 1] === '(' ? 1 : 0);
