import { ENGLISH } from './language';

/** A line as it is read: names of days and months spelt right, dashes and blanks plain; and where each letter was written. */
export interface LineText {
  readonly text: string;
  /** The place in the written line of a place in the read one. */
  readonly written: (index: number) => number;
}

/** Names that are long enough to be known when they are misspelt. */
const LONG_NAMES = [...ENGLISH.weekdays, ...ENGLISH.months]
  .map(([name]) => name!)
  .filter((name) => name.length >= 6)
  .concat('tomorrow', 'yesterday');
const KNOWN = new Set([
  ...ENGLISH.weekdays.flat(),
  ...ENGLISH.months.flat(),
  ...Object.keys(ENGLISH.near),
  ...ENGLISH.spelt,
]);

/** How many letters two words differ by, a swap of two counting once; more than two counts as three. */
function lettersApart(one: string, other: string): number {
  if (Math.abs(one.length - other.length) > 2) return 3;
  let before: number[] = [];
  let row = Array.from({ length: other.length + 1 }, (_, index) => index);
  for (let i = 1; i <= one.length; i++) {
    const next = [i];
    for (let j = 1; j <= other.length; j++) {
      const same = one[i - 1] === other[j - 1] ? 0 : 1;
      let least = Math.min(row[j]! + 1, next[j - 1]! + 1, row[j - 1]! + same);
      if (i > 1 && j > 1 && one[i - 1] === other[j - 2] && one[i - 2] === other[j - 1])
        least = Math.min(least, before[j - 2]! + 1);
      next.push(least);
    }
    before = row;
    row = next;
  }
  return Math.min(3, row[other.length]!);
}

/** The name that a misspelt word means; none where it may be a word of its own. */
function meantName(word: string): string | undefined {
  const small = word.toLowerCase();
  if (Object.hasOwn(ENGLISH.misspelt, small)) return ENGLISH.misspelt[small];
  if (small.length < 5 || KNOWN.has(small)) return undefined;
  const [plural] = /s$/.exec(small) ?? [''];
  if (plural && KNOWN.has(small.slice(0, -1))) return undefined;
  for (const name of LONG_NAMES) {
    // The first letter is seldom wrong; a long name may lack more.
    if (small[0] !== name[0]) continue;
    const apart = lettersApart(small, name);
    if (apart > 0 && apart <= (name.length >= 8 ? 2 : 1)) return name;
  }
  return undefined;
}

const PLAIN = new Map(
  Object.entries({
    '–': '-',
    '—': '-',
    '‒': '-',
    '−': '-',
    '’': "'",
  }),
);

/** Reads a line: what is written otherwise than it is meant becomes plain. */
export function lineText(line: string): LineText {
  const places: number[] = [];
  let text = '';
  const add = (piece: string, from: number, length: number) => {
    for (let index = 0; index < piece.length; index++) places.push(from + Math.min(index, length - 1));
    text += piece;
  };
  for (const match of line.matchAll(/\p{L}+|\s+|[^\p{L}\s]/gu)) {
    const [piece] = match;
    const name = piece.length >= 4 ? meantName(piece) : undefined;
    add(name ?? (/^\s/.test(piece) ? ' ' : (PLAIN.get(piece) ?? piece)), match.index, piece.length);
  }
  return { text, written: (index) => places[index] ?? line.length };
}
