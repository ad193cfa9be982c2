import { type Candidate, uncaptured } from '../candidate';
import { ENGLISH } from '../language';
import type { LineContext } from '../lineContext';
import { MONTH, WEEKDAY } from '../vocabulary';
import { DAY_PATTERNS } from './dayPatterns';
import type { DaySaid, NoDay } from './saidDays';

/** Any day, within another expression. */
export const DAY_SOURCE = `(?:${DAY_PATTERNS.map(({ source }) => uncaptured(source).replaceAll(String.raw`\2`, '[/.-]')).join('|')})`;

const whole = DAY_PATTERNS.map((pattern) => ({
  ...pattern,
  expression: new RegExp(String.raw`^(?:on\s+)?(?:${pattern.source})$`, 'iu'),
}));

/** The day that a text says from its beginning to its end; undefined if it says none. */
export function readDay(text: string, context: LineContext): DaySaid | NoDay | undefined {
  const trimmed = text.trim();
  for (const { expression, read } of whole) {
    const match = expression.exec(trimmed);
    const said = match && read(match.slice(1), context, trimmed);
    if (said) return said;
  }
  return undefined;
}

const LEAD = String.raw`(?:(?<lead>on|by|from|starting\s+on|starting\s+from|starting|beginning|as\s+of|for)\s+(?:(?:this|the)\s+(?=\d))?)?`;
const expressions = DAY_PATTERNS.map((pattern) => ({
  ...pattern,
  expression: new RegExp(
    String.raw`(?<![\p{L}\p{N}_.:/€£$#-])${LEAD}(?:${pattern.source.replaceAll(String.raw`\2`, String.raw`\3`)})(?![\p{L}\p{N}_]|[:]\d|/\d|-\d)`,
    'giu',
  ),
}));
const BEFORE_NUMBER = new RegExp(String.raw`(?<![\p{L}])(?:${ENGLISH.beforeNumber.join('|')})\s*$`, 'iu');

const HOW_OFTEN = /(?:every|each|once|twice)\s+$/iu;
/** A word that belongs to no part. */
const NEXT_WORD = new RegExp(
  String.raw`^\s+(?!(?:${WEEKDAY}|${MONTH}|at|on|in|for|from|to|until|till|noon|midday|every|with|and|of)(?![\p{L}]))\p{L}{3,}`,
  'iu',
);

/** All days that a text may say, and dates that do not exist. */
export function* daysIn(text: string, context: LineContext): Generator<Candidate> {
  for (const { expression, score, read } of expressions) {
    expression.lastIndex = 0;
    for (let match = expression.exec(text); match; match = expression.exec(text)) {
      const lead = match.groups?.lead;
      const whole = match[0];
      // Without its lead the day stands a few letters later.
      expression.lastIndex = match.index + (lead ? lead.length : 1);
      const said = read(match.slice(2), context, lead ? whole.slice(lead.length) : whole);
      if (!said) continue;
      const at = { from: match.index, to: match.index + whole.length };
      if (
        !lead &&
        /^\d+\p{L}+$/u.test(whole) &&
        BEFORE_NUMBER.test(text.slice(Math.max(0, at.from - 16), at.from))
      )
        continue;
      // "every 2 weeks on Tuesday" says how often.
      if (HOW_OFTEN.test(text.slice(Math.max(0, at.from - 8), at.from))) continue;
      const after = text.slice(at.to, at.to + 24);
      const isBeforeWord = !lead && NEXT_WORD.test(after);
      // "5th anniversary", "1st draft"
      if (isBeforeWord && /^\d+\p{L}+$/u.test(whole)) continue;
      if (!('day' in said)) {
        yield {
          ...at,
          from: at.from + (lead ? lead.length + 1 : 0),
          score: 6,
          slots: [],
          said: {},
          problem: said.problem,
          isTitle: true,
        };
        continue;
      }
      const { doubt, problem } = said;
      yield {
        ...at,
        // "Monday meeting notes" may be a title.
        score:
          score + (lead ? (/^for$/i.test(lead) ? 0 : 1.5) : 0) - (said.isWeekday && isBeforeWord ? 1 : 0),
        slots: said.lastDay === undefined ? ['day'] : ['day', 'lastDay'],
        said: {
          day: said.day,
          ...(said.lastDay === undefined ? {} : { lastDay: said.lastDay }),
          ...(said.isWeekday ? { isWeekday: true } : {}),
        },
        ...(doubt ? { doubt } : {}),
        ...(problem ? { problem } : {}),
      };
    }
  }
}
