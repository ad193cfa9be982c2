import { anyOf, asWord, type Candidate, type TimeSaid, uncaptured } from '../candidate';
import { ENGLISH } from '../language';
import type { LineContext } from '../lineContext';
import { DAY_PART, MONTH, NEAR, NUMBER, numberNamed, WEEKDAY } from '../vocabulary';
import { MINUTE } from '../../time/civil';

/** How a time is said: minutes since midnight, and how sure it is that it is one. */
export interface ReadTime extends TimeSaid {
  readonly score: number;
  readonly half?: 'am' | 'pm';
}

type TimePattern = {
  readonly source: string;
  readonly read: (groups: readonly (string | undefined)[]) => ReadTime | undefined;
};

const HALF = String.raw`(am|pm|a\.m\.?|p\.m\.?)`;
const CLOCK_WORDS = 'one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve';
const hourOf = (word: string): number => ENGLISH.numbers[asWord(word)] ?? Number(word);

const halfOf = (text: string | undefined): 'am' | 'pm' | undefined =>
  text === undefined ? undefined : /^p/i.test(text) ? 'pm' : 'am';

/** A time of a clock of twelve or 24 hours; undefined if there is none such. */
function clock(
  hour: number,
  minute: number,
  half: 'am' | 'pm' | undefined,
  score: number,
  isSure = false,
): ReadTime | undefined {
  if (minute > 59 || hour > 24 || (hour === 24 && minute > 0)) return undefined;
  if (half) {
    if (hour < 1 || hour > 23) return undefined;
    const within = hour > 12 ? hour : (hour % 12) + (half === 'pm' ? 12 : 0);
    return { minute: within * 60 + minute, isSure: true, score, half };
  }
  return { minute: hour * 60 + minute, isSure: isSure || hour > 12 || hour === 0, score };
}

/** The half of the day that words beside a time name: "in the morning", "at night". */
const partOfDay = (text: string): 'am' | 'pm' => (/morning/i.test(text) ? 'am' : 'pm');
const IN_PART = String.raw`(?:\s+(?:in\s+the|at|this|that)?\s*(morning|afternoon|evening|night)|\s+(tonight))`;

/** The ways to say a time, the surer ones first. */
const TIME_PATTERNS: readonly TimePattern[] = [
  {
    // "15:30", "3:30 pm", "06:00"
    source: String.raw`(\d{1,2}):(\d{2})(?!\d)(?::00)?(?:\s*${HALF}(?![\p{L}])|\s*(?:h|hrs|uhr|o'clock)(?![\p{L}\p{N}]))?`,
    read: ([hour, minute, half]) =>
      clock(Number(hour), Number(minute), halfOf(half), 10, hour!.length === 2 && hour!.startsWith('0')),
  },
  {
    // "8.30"
    source: String.raw`(\d{1,2})\.([0-5]\d)(?![\d.]|\.\d)(?:\s*${HALF}(?![\p{L}])|\s*(?:h|hrs|o'clock)(?![\p{L}\p{N}]))?(?!\s*(?:h|hrs?|hours?|kg|km|m|l|eur|euros?|%|x|€|£|\$|litres?|liters?|tons?|percent)(?![\p{L}]))`,
    read: ([hour, minute, half]) =>
      clock(
        Number(hour),
        Number(minute),
        halfOf(half),
        half ? 9 : 6,
        hour!.length === 2 && hour!.startsWith('0'),
      ),
  },
  {
    // "15h30", "15h"
    source: String.raw`(\d{1,2})h([0-5]\d)(?![\d\p{L}])`,
    read: ([hour, minute]) =>
      Number(hour) < 7 ? undefined : clock(Number(hour), Number(minute), undefined, 9),
  },
  {
    source: String.raw`(1[3-9]|2[0-3])\s?h(?![\d\p{L}])`,
    read: ([hour]) => clock(Number(hour), 0, undefined, 7),
  },
  {
    // "3pm", "three pm", "3 o'clock", "1530 h"
    source: String.raw`(\d{1,2}|${CLOCK_WORDS})\s*${HALF}(?![\p{L}])`,
    read: ([hour, half]) => clock(hourOf(hour!), 0, halfOf(half), 9),
  },
  {
    source: String.raw`(\d{1,2}|${CLOCK_WORDS})\s*o'?\s?clock`,
    read: ([hour]) => clock(hourOf(hour!), 0, undefined, 9),
  },
  {
    // "half past eight", "quarter to nine", "ten past 5"
    source: String.raw`(?:(?:a\s+)?(half|quarter)|(five|ten|twenty|twenty[ -]five|\d{1,2}(?=\s+min)|(?:5|10|20|25)(?=\s+past))(?:\s+min(?:ute)?s?)?)\s+(past|after|to|before)\s+(\d{1,2}|${CLOCK_WORDS}|noon|midnight)(?![:.]\d)(?:\s*${HALF}(?![\p{L}]))?`,
    read([part, minutes, which, hour, half]) {
      const amount = part
        ? /half/i.test(part)
          ? 30
          : 15
        : (ENGLISH.numbers[asWord(minutes!).replace('-', ' ')] ?? Number(minutes));
      const named = ENGLISH.moments[asWord(hour!)];
      const full = named === undefined ? hourOf(hour!) : (named / 60) % 24;
      if (full > 24 || amount > 59) return undefined;
      const isBefore = /to|before/i.test(which!);
      if (isBefore && part && /half/i.test(part)) return undefined;
      const read = clock(full, 0, named === undefined ? halfOf(half) : undefined, 9, named !== undefined);
      return read && { ...read, minute: (read.minute + (isBefore ? -amount : amount) + 1440) % 1440 };
    },
  },
  {
    source: String.raw`half\s+(${CLOCK_WORDS})`,
    read: ([hour]) => clock(hourOf(hour!), 30, undefined, 8),
  },
  {
    source: String.raw`(${anyOf(Object.keys(ENGLISH.moments))})`,
    read: ([name]) => ({ minute: ENGLISH.moments[asWord(name!)]!, isSure: true, score: 9 }),
  },
  {
    // "1530"
    source: String.raw`([01]\d|2[0-4])([0-5]\d)(?:\s?(?:h|hrs|hours))?(?!\d|[:.,/]\d)`,
    read: ([hour, minute]) => clock(Number(hour), Number(minute), undefined, 4, true),
  },
];

/** A number or a word alone, where something beside it tells that it is an hour. */
const BARE: TimePattern = {
  source: String.raw`(\d{1,2}|${CLOCK_WORDS})`,
  read: ([hour]) => clock(hourOf(hour!), 0, undefined, 5),
};

const sources = (patterns: readonly TimePattern[]): string =>
  patterns.map(({ source }) => uncaptured(source)).join('|');
/** A time, within another expression; then also one that only its neighbours make a time. */
const TIME_SOURCE = `(?:(?:${sources(TIME_PATTERNS)})(?:${uncaptured(IN_PART)})?)`;
export const TIME_OR_HOUR_SOURCE = `(?:(?:${sources([...TIME_PATTERNS, BARE])})(?:${uncaptured(IN_PART)})?)`;

const whole = [...TIME_PATTERNS, BARE].map(({ source, read }) => ({
  expression: new RegExp(`^(?:${source})(?:${IN_PART})?$`, 'iu'),
  read,
}));

/** The time that a text says from its beginning to its end. */
export function readTime(text: string): ReadTime | undefined {
  const trimmed = text.trim();
  for (const { expression, read } of whole) {
    const match = expression.exec(trimmed);
    if (!match) continue;
    const groups = match.slice(1);
    const part = groups.at(-1) ?? groups.at(-2);
    const time = read(groups.slice(0, -2));
    if (!time) continue;
    if (!part || time.minute >= 13 * 60) return time;
    const half = partOfDay(part);
    const hour = Math.floor(time.minute / 60) % 12;
    // Two at night is in the small hours, ten at night is not.
    const isSmall = /night/i.test(part) && hour < 6 && hour > 0;
    const moved = hour * 60 + (time.minute % 60) + (half === 'pm' && !isSmall ? 720 : 0);
    return { ...time, minute: moved, isSure: true, half, score: Math.max(time.score, 9) };
  }
  return undefined;
}

const LEAD = String.raw`(?<lead>(?:starting\s+at|starts?\s+at|from|around|about|approx\.?|at|@|by|ca\.?|kl\.?)\s*)?`;
const TIMES = new RegExp(
  String.raw`(?<![\p{L}\p{N}_.:,/€£$#+-])${LEAD}(?<time>${TIME_SOURCE})(?![\p{L}\p{N}_]|[:.]\d)`,
  'giu',
);
const HOURS = new RegExp(
  String.raw`(?<![\p{L}\p{N}_])(?<lead>at\s+about|at|@|from|around)\s*(?<time>(?:\d{1,2}|${CLOCK_WORDS})(?:${uncaptured(IN_PART)})?)(?![\p{L}\p{N}_%€£$]|[:./-]\d|\s*(?:h|hrs?|hours?|min|mins|minutes?|days?|weeks?|months?|years?|[x×%€£$])(?![\p{L}]))`,
  'giu',
);

/** An hour right behind a day, at the end or before a length or place: "Fri 9". */
const HOUR_BEHIND_DAY = new RegExp(
  String.raw`(?<=(?<![\p{L}])(?:${NEAR}|${WEEKDAY}|tonight|morning|afternoon|evening),?\s+)(?<lead>)?(?<time>\d{1,2})(?=\s*$|\s+(?:for|in|with|at|remind|private|#)|\s*[,@#])`,
  'giu',
);

const BEFORE_NUMBER = new RegExp(String.raw`(?<![\p{L}])(?:${anyOf(ENGLISH.beforeNumber)})\s*$`, 'iu');
const ARTICLE = /\b(?:the|a|an|my|our|your|his|her|their|\d+)\s*$/iu;

const BEHIND_DAY = new RegExp(
  String.raw`(?<![\p{L}])(?:${NEAR}|${WEEKDAY}|${MONTH}|\d(?:st|nd|rd|th)?),?\s*$`,
  'iu',
);
/** A number before other words of a sentence is an amount: "1530 bolts". */
const COUNTED = new RegExp(
  String.raw`^\s*(?:[€£$%]|(?!(?:${NEAR}|${WEEKDAY}|for|at|in|on|until|till|to|with|every|each|daily|weekly|from)(?![\p{L}]))\p{L}{2,})`,
  'iu',
);

/** What is said in the place of a time and can be none: "25:00". */
const NO_TIME = /(?<![\d:./-])(\d{1,2}):(\d{2})(?![\d:]|\.\d)/gu;

/** All times of day that a text may say. */
export function* timesIn(text: string): Generator<Candidate> {
  for (const expression of [TIMES, HOURS, HOUR_BEHIND_DAY]) {
    expression.lastIndex = 0;
    for (let match = expression.exec(text); match; match = expression.exec(text)) {
      const { lead, time } = match.groups as { lead?: string; time: string };
      expression.lastIndex = match.index + Math.max(1, match[0].length - 3);
      const read = readTime(time);
      if (!read) continue;
      const before = text.slice(Math.max(0, match.index - 24), match.index);
      const isFour = /^\d{4}/.test(time);
      if (
        !lead &&
        isFour &&
        (BEFORE_NUMBER.test(before) || /^(?:19|20)\d\d$/.test(time) || ARTICLE.test(before))
      )
        continue;
      const after = text.slice(match.index + match[0].length);
      if (isFour && !lead && !BEHIND_DAY.test(before) && COUNTED.test(after)) continue;
      const strength = lead && !/about|around|by|ca|approx/i.test(lead) ? 1.5 : 0;
      yield {
        from: match.index,
        to: match.index + match[0].length,
        score: read.score + strength,
        slots: ['time'],
        said: { time: { minute: read.minute, isSure: read.isSure } },
      };
    }
  }
  for (const match of text.matchAll(NO_TIME)) {
    if (Number(match[1]) <= 24 && Number(match[2]) <= 59) continue;
    yield {
      from: match.index,
      to: match.index,
      score: 0,
      slots: [],
      said: {},
      problem: { code: 'no-such-time', text: match[0] },
    };
  }
}

const PARTS = new RegExp(
  String.raw`(?<![\p{L}\p{N}_])(?:in\s+the\s+|at\s+|this\s+)?(${DAY_PART})(?![\p{L}\p{N}_])`,
  'giu',
);

const FROM_NOW = new RegExp(
  String.raw`(?<![\p{L}\p{N}_])in\s+(?:(half\s+an)\s+hour|(\d{1,3}|${NUMBER})\s*(min|mins|minutes?|h|hrs?|hours?))(?:'\s?time)?(?![\p{L}\p{N}_])`,
  'giu',
);

/** Times counted from now: "in 20 minutes". */
export function* timesFromNowIn(text: string, { nowWall }: LineContext): Generator<Candidate> {
  for (const match of text.matchAll(FROM_NOW)) {
    const [whole, half, count, unit] = match;
    const minutes = half ? 30 : numberNamed(count!) * (/^h/i.test(unit!) ? 60 : 1);
    const at = Math.floor(nowWall / MINUTE) + minutes;
    yield {
      from: match.index,
      to: match.index + whole.length,
      score: 12,
      slots: ['day', 'time'],
      said: { day: Math.floor(at / 1440), time: { minute: at % 1440, isSure: true } },
    };
  }
}

const BEFORE_PART = new RegExp(String.raw`(?<![\p{L}])(?:${NEAR}|${WEEKDAY}|\p{L}*day|every|each)\s+$`, 'iu');

/** Parts of the day beside a day or a repeat: "tomorrow morning", "every evening". */
export function* partsOfDayIn(text: string, { today }: LineContext): Generator<Candidate> {
  for (const match of text.matchAll(PARTS)) {
    const part = ENGLISH.dayParts[asWord(match[1]!)]!;
    const isTonight = /^tonight|^this\s/i.test(match[0]);
    const hasLead = /^(?:in\s+the|at|this)\s/i.test(match[0]);
    const before = text.slice(Math.max(0, match.index - 24), match.index);
    // Only behind a day, or with words of its own; a "morning report" is a title.
    const isBehindDay = BEFORE_PART.test(before);
    if (!isTonight && !hasLead && !isBehindDay) continue;
    yield {
      from: match.index,
      to: match.index + match[0].length,
      score: isTonight ? 3 : hasLead ? 5 : 4,
      slots: isTonight ? ['dayPart', 'day'] : ['dayPart'],
      said: { half: part.half, partFrom: part.from * 60, ...(isTonight ? { day: today } : {}) },
    };
  }
}
