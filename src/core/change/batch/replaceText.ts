import { RE2JS } from 're2js';
import type { StepOf } from '../../model/batchStep';

type ReplaceStep = StepOf<'replace'>;

/** Replaces what was found in a text. */
export type Replacer = (text: string) => string;

/** Why an expression can't be used, in the words of its reader. */
export class ExpressionError extends Error {
  constructor(readonly reason: string) {
    super(reason);
    this.name = 'ExpressionError';
  }
}

/** Letters and digits: what a whole word is made of. */
const WORD = '[\\p{L}\\p{N}_]';

/**
 * What replaces by a step. An expression is matched in time that grows with the text alone, whatever it says: it knows
 * captures (`$1`, `$<name>`; `$$` is the sign itself) and no back references. Whole words are those between signs and spaces in any script.
 * @throws ExpressionError where an expression can't be read, or names a capture that it does not have
 */
export function replacerOf({ find, by, mode, matchCase }: Omit<ReplaceStep, 'kind' | 'fields'>): Replacer {
  const flags = matchCase ? 0 : RE2JS.CASE_INSENSITIVE;
  const literal = RE2JS.quote(find);
  let pattern: ReturnType<typeof RE2JS.compile>;
  try {
    pattern = RE2JS.compile(mode === 'expression' ? find : literal, flags | RE2JS.MULTILINE);
  } catch (error) {
    throw new ExpressionError(error instanceof Error ? error.message : String(error));
  }
  if (mode === 'words') return wholeWords(pattern, by);
  if (mode === 'plain') return (text) => pattern.matcher(text).replaceAll(RE2JS.quoteReplacement(by));
  // One that is not there would stay as it stands, and nobody would know why.
  checkCaptures(by, pattern.groupCount(), Object.keys(pattern.namedGroups()));
  return (text) => pattern.matcher(text).replaceAll(by);
}

function checkCaptures(by: string, count: number, names: readonly string[]): void {
  for (const [, digit, name] of by.replaceAll('$$', '').matchAll(/\$(?:(\d)|<([^>]*)>)/g)) {
    if (digit !== undefined && Number(digit) > count)
      throw new ExpressionError(`there is no capture $${digit}`);
    if (name !== undefined && !names.includes(name))
      throw new ExpressionError(`there is no capture named ${name}`);
  }
}

/** Without looking around, which the matcher does not do, each hit's neighbours are looked at. */
function wholeWords(pattern: ReturnType<typeof RE2JS.compile>, by: string): Replacer {
  const inWord = new RegExp(WORD, 'u');
  return (text) => {
    const matcher = pattern.matcher(text);
    let result = '';
    let from = 0;
    while (matcher.find()) {
      const [start, end] = [matcher.start(), matcher.end()];
      const before = lastSign(text.slice(0, start));
      const after = String.fromCodePoint(text.codePointAt(end) ?? 32);
      if (inWord.test(before) || inWord.test(after)) continue;
      result += text.slice(from, start) + by;
      from = end;
    }
    return result + text.slice(from);
  };
}

/** The last character of a text, one of two units as well. */
const lastSign = (text: string): string => [...text.slice(-2)].at(-1) ?? ' ';
