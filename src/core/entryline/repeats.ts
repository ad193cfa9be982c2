import { parse as parseWords } from 'chrono-node/en';
import type { MonthDays, RepeatFrequency } from '../recurrence/choices';
import { civilDate, dateString, dayNumber, daysInMonth } from '../time/civil';
import type { TextSpan } from './lengths';
import { SHORT_MONTH_NAMES } from '../time/monthNames';

/** How often an entry repeats, as a line of words says it. What it leaves out follows from the start. */
export interface RepeatSaid {
  readonly frequency: RepeatFrequency;
  readonly interval: number;
  /** ISO weekdays. */
  readonly weekdays: readonly number[];
  readonly on: MonthDays | undefined;
  readonly months: readonly number[];
  readonly count: number | undefined;
  /** `YYYY-MM-DD`, inclusive. */
  readonly until: string | undefined;
  readonly spans: readonly TextSpan[];
}

const WEEKDAY = String.raw`(?:mon|tue|tues|wed|thu|thur|thurs|fri|sat|sun|monday|tuesday|wednesday|thursday|friday|saturday|sunday)`;
const WEEKDAYS = String.raw`${WEEKDAY}s?(?:(?:\s*,\s*|\s+and\s+|\s*&\s*|\s*\+\s*)${WEEKDAY}s?)*`;
const ORDINAL = String.raw`(?:first|second|third|fourth|fifth|last|second\s+to\s+last|1st|2nd|3rd|4th|5th)`;
const MONTH = String.raw`(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sep(?:t(?:ember)?)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)`;
const EVERY = String.raw`(?:every|each)`;
const INTERVAL = String.raw`(?:(other|second|2nd|third|3rd|fourth|4th|\d{1,3})\s+)?`;
const DAYS_OF_MONTH = String.raw`(?:\d{1,2}(?:st|nd|rd|th)(?:(?:\s*,\s*|\s+and\s+|\s*&\s*)(?:the\s+)?\d{1,2}(?:st|nd|rd|th))*|last\s+day)`;

/** A word that can also belong to a title ("Monthly report"): a repeat behind other words, or before "on", "at" or a number. */
const adverb = (words: string): string =>
  String.raw`(?:(?<=\S\s+)(?:${words})|(?:${words})(?=\s+(?:on|at|\d)))`;

const expression = (source: string): RegExp =>
  new RegExp(String.raw`(?<![\p{L}\p{N}])${source}(?![\p{L}\p{N}])`, 'iu');

const SHORT_WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];
const weekdayOfWord = (word: string): number => SHORT_WEEKDAYS.indexOf(word.toLowerCase().slice(0, 3)) + 1;
const weekdaysOf = (text: string): number[] =>
  [
    ...new Set(
      [...text.matchAll(new RegExp(String.raw`\b${WEEKDAY}s?\b`, 'giu'))].map(([word]) =>
        weekdayOfWord(word),
      ),
    ),
  ].sort((a, b) => a - b);
const monthOfWord = (word: string): number => SHORT_MONTH_NAMES.indexOf(word.toLowerCase().slice(0, 3)) + 1;

function ordinalOfWord(text: string): number {
  const word = text.toLowerCase().replaceAll(/\s+/g, ' ');
  if (word === 'last') return -1;
  if (word === 'second to last') return -2;
  const names = ['first', 'second', 'third', 'fourth', 'fifth'];
  return names.includes(word) ? names.indexOf(word) + 1 : Number.parseInt(word, 10);
}

const intervalOfWord = (word: string | undefined): number =>
  word === undefined
    ? 1
    : ({ other: 2, second: 2, '2nd': 2, third: 3, '3rd': 3, fourth: 4, '4th': 4 }[word.toLowerCase()] ??
      Number(word));

/** "the 1st and 15th", "the last day" */
function daysOfMonth(text: string): MonthDays {
  if (/last\s+day/i.test(text)) return { kind: 'days', days: [-1] };
  return {
    kind: 'days',
    days: [...text.matchAll(/\d{1,2}/g)]
      .map(([number]) => Number(number))
      .filter((day) => day >= 1 && day <= 31),
  };
}

/** "second Tuesday", "last working day", "last day" */
function nthOf(ordinal: string, what: string): MonthDays {
  const nth = ordinalOfWord(ordinal);
  if (/work/i.test(what)) return { kind: 'nth', ordinal: nth, weekday: 'workday' };
  if (/day$/i.test(what) && weekdayOfWord(what) === 0) return { kind: 'days', days: [nth] };
  return { kind: 'nth', ordinal: nth, weekday: weekdayOfWord(what) };
}

type Found = Pick<RepeatSaid, 'frequency' | 'interval' | 'weekdays' | 'on' | 'months'>;
const found = (frequency: RepeatFrequency, more: Partial<Found> = {}): Found => ({
  frequency,
  interval: 1,
  weekdays: [],
  on: undefined,
  months: [],
  ...more,
});

const NTH = String.raw`(${ORDINAL})\s+(${WEEKDAY}|working\s+day|workday|weekday|day)`;

/** The ways to say a repeat; earlier ones count before later ones. */
const PATTERNS: readonly { expression: RegExp; read: (match: RegExpExecArray) => Found | undefined }[] = [
  {
    // "last Friday of the month", "on the first Monday of every third month"
    expression: expression(
      String.raw`(?:${EVERY}\s+|on\s+)?(?:the\s+)?${NTH}\s+of\s+(?:the|each|every|a)\s+${INTERVAL}month`,
    ),
    read: ([, ordinal, what, interval]) =>
      found('MONTHLY', { on: nthOf(ordinal!, what!), interval: intervalOfWord(interval) }),
  },
  {
    // "last Sunday of March": every year
    expression: expression(String.raw`${EVERY}\s+${NTH}\s+(?:of|in)\s+(${MONTH})`),
    read: ([, ordinal, what, month]) =>
      found('YEARLY', { on: nthOf(ordinal!, what!), months: [monthOfWord(month!)] }),
  },
  {
    // "every 3 months on the 1st", "monthly on the second Tuesday"
    expression: expression(
      String.raw`(?:${EVERY}\s+${INTERVAL}months?|${adverb('monthly')})(?:\s+on\s+(?:the\s+)?(?:${NTH}|(${DAYS_OF_MONTH})))?`,
    ),
    read: ([, interval, ordinal, what, days]) =>
      found('MONTHLY', {
        interval: intervalOfWord(interval),
        on: ordinal ? nthOf(ordinal, what!) : days ? daysOfMonth(days) : undefined,
      }),
  },
  {
    // "every 9 March", "every March 9"
    expression: expression(
      String.raw`${EVERY}\s+(?:(\d{1,2})(?:st|nd|rd|th)?\s+(?:of\s+)?(${MONTH})|(${MONTH})\s+(\d{1,2})(?:st|nd|rd|th)?)`,
    ),
    read([, day, month, otherMonth, otherDay]) {
      const number = Number(day ?? otherDay);
      if (number < 1 || number > 31) return undefined;
      return found('YEARLY', {
        on: { kind: 'days', days: [number] },
        months: [monthOfWord(month ?? otherMonth!)],
      });
    },
  },
  {
    // "every other week on Tuesday", "every 2 weeks", "weekly on Mon and Thu"
    expression: expression(
      String.raw`(?:${EVERY}\s+${INTERVAL}weeks?|(${adverb('weekly')})|(${adverb('fortnightly|biweekly')}))(?:\s+on\s+(${WEEKDAYS}))?`,
    ),
    read: ([, interval, , fortnightly, days]) =>
      found('WEEKLY', {
        interval: fortnightly ? 2 : intervalOfWord(interval),
        weekdays: days ? weekdaysOf(days) : [],
      }),
  },
  {
    expression: expression(
      String.raw`(?:${EVERY}\s+(?:weekday|work(?:ing\s+)?day)|on\s+(?:weekdays|work(?:ing\s+)?days)|${adverb('weekdays|work(?:ing\\s+)?days')})`,
    ),
    read: () => found('WEEKLY', { weekdays: [1, 2, 3, 4, 5] }),
  },
  {
    // "every Tuesday and Thursday", "every other Tuesday"
    expression: expression(String.raw`${EVERY}\s+${INTERVAL}(${WEEKDAYS})`),
    read: ([, interval, days]) =>
      found('WEEKLY', { interval: intervalOfWord(interval), weekdays: weekdaysOf(days!) }),
  },
  {
    // "Tuesdays", "on Mondays and Fridays"
    expression: expression(
      String.raw`(?:on\s+)?((?:mon|tues|wednes|thurs|fri|satur|sun)days(?:(?:\s*,\s*|\s+and\s+|\s*&\s*)(?:mon|tues|wednes|thurs|fri|satur|sun)days)*)`,
    ),
    read: ([, days]) => found('WEEKLY', { weekdays: weekdaysOf(days!) }),
  },
  {
    expression: expression(String.raw`(?:${EVERY}\s+${INTERVAL}days?|${adverb('daily')})`),
    read: ([, interval]) => found('DAILY', { interval: intervalOfWord(interval) }),
  },
  {
    expression: expression(String.raw`(?:${EVERY}\s+${INTERVAL}years?|${adverb('yearly|annually')})`),
    read: ([, interval]) => found('YEARLY', { interval: intervalOfWord(interval) }),
  },
];

const COUNT = /,?\s*(?<![\p{L}\p{N}])(\d{1,4})\s*(?:times|x)(?![\p{L}\p{N}])/iu;
const UNTIL = /,?\s*(?<![\p{L}\p{N}])(?:until|till|til|through)\s+(?:the\s+)?(end\s+of\s+)?/giu;

/** The last day that "until ..." says: a date, the end of a month or year that stands alone, or a weekday. */
function untilAt(
  text: string,
  from: number,
  end: boolean,
  nowWall: number,
): { until: string; to: number } | undefined {
  const rest = text.slice(from);
  const year = /^(\d{4})(?![\d:])/.exec(rest);
  if (year) return { until: `${year[1]}-12-31`, to: from + year[0].length };
  const [result] = parseWords(rest, { instant: new Date(nowWall), timezone: 0 }, { forwardDate: true });
  if (!result || result.index > 0 || result.end) return undefined;
  const { start } = result;
  const hasDate = (['day', 'weekday', 'month'] as const).some((part) => start.isCertain(part));
  if (!hasDate || start.isCertain('hour')) return undefined;
  const day = dayNumber(start.get('year')!, start.get('month')!, start.get('day')!);
  const { year: inYear, month } = civilDate(day);
  const isMonth = end || (start.isCertain('month') && !start.isCertain('day') && !start.isCertain('weekday'));
  const last = isMonth ? dayNumber(inYear, month, daysInMonth(inYear, month)) : day;
  return { until: dateString(last), to: from + result.text.length };
}

/**
 * Reads how an entry repeats: "every other Tuesday until June", "last Friday of the month", "every 3 months on the 1st,
 * 4 times". Undefined if the line says no repeat.
 * @param nowWall the wall time that "until Friday" is counted from
 */
export function findRepeat(text: string, nowWall: number): RepeatSaid | undefined {
  for (const pattern of PATTERNS) {
    const match = pattern.expression.exec(text);
    const repeat = match && pattern.read(match);
    if (!match || !repeat || repeat.interval < 1) continue;
    const spans: TextSpan[] = [{ from: match.index, to: match.index + match[0].length }];
    const count = COUNT.exec(text);
    if (count) spans.push({ from: count.index, to: count.index + count[0].length });
    let until: string | undefined;
    for (const said of text.matchAll(UNTIL)) {
      const last = untilAt(text, said.index + said[0].length, said[1] !== undefined, nowWall);
      if (!last) continue;
      until = last.until;
      spans.push({ from: said.index, to: last.to });
      break;
    }
    return { ...repeat, count: count && !until ? Number(count[1]) : undefined, until, spans };
  }
  return undefined;
}
