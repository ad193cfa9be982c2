/** The width of a text in pixels. */
export type Measure = (text: string) => number;

/** Letters of a word that are worth showing when the whole word does not fit. */
const FEWEST_LETTERS = 3;

/** The beginning of a word that fits, with a sign that it goes on; empty where too little of it would show. */
function cutWord(word: string, width: number, measure: Measure): string {
  for (let length = word.length - 1; length >= FEWEST_LETTERS; length--) {
    const cut = `${word.slice(0, length)}…`;
    if (measure(cut) <= width) return cut;
  }
  return '';
}

/**
 * Sets a text in lines of given widths, in whole words. What does not fit is left out at a word; only a word that is
 * wider than every line by itself is cut. A first line that is too narrow for the first word stays empty.
 * @param cutting `cut-next`: the word after the last that fits is shortened, where some letters of it fit
 */
export function fitWords(
  text: string,
  widths: readonly number[],
  measure: Measure,
  cutting: 'cut-first' | 'cut-next' | 'whole-only' = 'cut-first',
): string[] {
  const words = text.split(/[ \t\n]+/).filter(Boolean);
  const lines: string[] = [];
  let next = 0;
  for (const width of widths) {
    let line: string = '';
    while (next < words.length) {
      const longer = line ? `${line} ${words[next]}` : words[next]!;
      if (measure(longer) > width) break;
      line = longer;
      next++;
    }
    lines.push(line);
    if (next === words.length) return lines;
  }
  const [first] = words;
  if (cutting !== 'whole-only' && first !== undefined && lines.every((line) => line.length === 0)) {
    const widest = widths.reduce((best, width, index) => (width > widths[best]! ? index : best), 0);
    lines[widest] = cutWord(first, widths[widest] ?? 0, measure);
    return lines.slice(0, widest + 1);
  }
  const last = lines.length - 1;
  if (cutting === 'cut-next') {
    const begun = lines[last] ? `${lines[last]} ` : '';
    const cut = cutWord(words[next]!, (widths[last] ?? 0) - measure(begun), measure);
    if (cut) {
      lines[last] = begun + cut;
      return lines;
    }
  }
  lines[last] = lines[last]!.replace(/[\s,;:·–-]+$/, '');
  return lines;
}
