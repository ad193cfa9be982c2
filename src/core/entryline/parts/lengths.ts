import { DAY, HOUR, MINUTE } from '../../time/civil';
import { type Candidate, uncaptured } from '../candidate';
import { MONTH, NUMBER, numberNamed } from '../vocabulary';

interface LengthRead {
  readonly length: number;
  readonly hasWholeDays: boolean;
}

const H = '(?:h|hr|hrs|hours?)';
const M = '(?:m|min|mins|minutes?)';
const DIGITS = String.raw`\d+(?:[.,]\d+)?`;
const AMOUNT = String.raw`${DIGITS}|${NUMBER}`;

const LENGTHS: readonly {
  source: string;
  read: (groups: readonly (string | undefined)[]) => LengthRead | undefined;
  /** Only behind "for" or "lasting". */
  needsLead?: boolean;
  /** It says more than a shorter one that begins alike. */
  isLong?: boolean;
}[] = [
  {
    source: String.raw`(?:an?|one)\s+hour\s+and\s+a\s+half|(\d{1,2}|${NUMBER})\s+and\s+a\s+half\s+hours|(${NUMBER})\s+hours?\s+and\s+a\s+half`,
    read: ([count, other]) => hours(Number(numberNamed(count ?? other ?? '1')) + 0.5),
  },
  {
    source: String.raw`(?:half\s+an|(?:a\s+)?half|½\s*an?|1/2)[ -]?\s*hour`,
    read: () => hours(0.5),
  },
  { source: String.raw`(three\s+quarters|3/4)\s+of\s+an\s+hour`, read: () => hours(0.75) },
  { source: String.raw`(?:a\s+)?quarter\s+of\s+an\s+hour`, read: () => hours(0.25) },
  {
    source: String.raw`(\d{1,2})\s*h\s*([0-5]?\d)(?:\s*${M})?`,
    read: ([whole, minutes]) =>
      Number(whole) < 7 || Number(whole) > 24 ? hours(Number(whole) + Number(minutes) / 60) : undefined,
  },
  {
    // "2 h 30", but the number is no hour and no day of its own
    source: String.raw`(${AMOUNT})\s*${H}\s*(?:,|and)?\s*(${NUMBER})(?:\s*${M}|(?=\s*$|\s+[\p{L}\p{N}#@]|\s*[,;)])(?!\s*(?:am|pm|days?(?!\s+(?:after|before))|weeks?|${uncaptured(MONTH)}(?!\s+\d))(?![\p{L}])))`,
    read: ([amount, minutes]) => hours(amountOf(amount!) + numberNamed(minutes!) / 60),
    isLong: true,
  },
  { source: String.raw`(${DIGITS})\s*${H}`, read: ([amount]) => hours(amountOf(amount!)) },
  { source: String.raw`(${NUMBER})\s+(?:hrs?|hours?)`, read: ([amount]) => hours(amountOf(amount!)) },
  { source: String.raw`(\d{1,2}):([0-5]\d)\s*${H}`, read: ([h, m]) => hours(Number(h) + Number(m) / 60) },
  { source: String.raw`(${DIGITS})\s*-?\s*${M}`, read: ([amount]) => hours(amountOf(amount!) / 60) },
  {
    source: String.raw`(${NUMBER})[\s-]+(?:mins?|minutes?)`,
    read: ([amount]) => hours(amountOf(amount!) / 60),
  },
  {
    // "for 45": minutes
    source: String.raw`(?<=for\s+)([1-9][05]|1[0258]0|240|5)(?!\s*[-\p{L}\d%€£$])`,
    read: ([amount]) => hours(Number(amount) / 60),
  },
  {
    source: String.raw`(${NUMBER})\s*-?\s*(days?|weeks?|fortnights?|nights?)`,
    read([amount, unit]) {
      const each = /^w/i.test(unit!) ? 7 : /^f/i.test(unit!) ? 14 : 1;
      const days = amountOf(amount!) * each + (/^n/i.test(unit!) ? 1 : 0);
      return days >= 1 && days <= 1000 ? { length: days * DAY, hasWholeDays: true } : undefined;
    },
    needsLead: true,
  },
];

const amountOf = (text: string): number =>
  /^\d/.test(text) ? Number(text.replace(',', '.')) : numberNamed(text);
function hours(count: number): LengthRead | undefined {
  const length = Math.round((count * HOUR) / MINUTE) * MINUTE;
  return length > 0 && length <= 400 * 24 * HOUR ? { length, hasWholeDays: false } : undefined;
}

const expressions = LENGTHS.map((each) => ({
  ...each,
  expression: new RegExp(
    String.raw`(?<![\p{L}\p{N}_:.,/€£$-])(?<lead>(?:for(?:\s+about)?|lasting|lasts|takes|duration:?|length:?|~)\s*)?(?:${each.source})(?![\p{L}\p{N}_:])(?!\s*(?:ago|later|from\s+now|before|beforehand|earlier|ahead|after|of)(?![\p{L}]))`,
    'giu',
  ),
}));

/** "in 45 minutes" says when, not how long; "every 2 hours" how often. */
const OTHER_LEAD =
  /(?:^|[^\p{L}])(?:in|within|after|past|to|every|each|once|twice|before|last|next|first|over)\s+$/iu;

/** All lengths that a text may say. */
export function* lengthsIn(text: string): Generator<Candidate> {
  for (const { expression, read, needsLead, isLong } of expressions) {
    expression.lastIndex = 0;
    for (let match = expression.exec(text); match; match = expression.exec(text)) {
      const groups = match.slice(2);
      const lead = match.groups?.lead;
      const found = read(groups);
      if (!found || OTHER_LEAD.test(text.slice(Math.max(0, match.index - 12), match.index))) continue;
      const after = text.slice(match.index + match[0].length);
      // "3 day workshop" is one of three days; "2 days" alone, behind other words, lasts two.
      const isNamed = needsLead && !lead && /^\s+\p{L}{3,}/u.test(after);
      if (
        needsLead &&
        !lead &&
        /s$/i.test(match[0]) &&
        isNamed &&
        !/^\s+(?:from|starting|on|off|at|in)\b/iu.test(after)
      )
        continue;
      yield {
        from: match.index,
        to: match.index + match[0].length,
        score: 6 + (lead ? 2 : 0) - (needsLead && !lead ? 2 : 0) + (isLong ? 1.5 : 0),
        slots: ['length'],
        said: found,
      };
    }
  }
}

const ALL_DAY =
  /(?<![\p{L}\p{N}_])(?:all[ -]day(?:\s+long)?|(?:the\s+)?whole\s+day|the\s+entire\s+day)(?![\p{L}\p{N}_])/giu;

/** "all day": it takes whole days, and no time of day. */
export function* allDayIn(text: string): Generator<Candidate> {
  for (const match of text.matchAll(ALL_DAY))
    yield {
      from: match.index,
      to: match.index + match[0].length,
      score: 8,
      slots: ['time'],
      said: { isAllDay: true },
    };
}
