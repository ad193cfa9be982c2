import { civilDate, dayNumber, daysInMonth, startOfWeek, weekdayOf } from '../../time/civil';
import { asWord, type Candidate, type Doubt, type LineProblem, uncaptured } from '../candidate';
import type { LineContext } from '../lineContext';
import {
  monthNamed,
  MONTH,
  NEAR,
  NTH_SUFFIX,
  NUMBER,
  numberNamed,
  ORDINAL,
  ordinalNamed,
  WEEKDAY,
  weekdayNamed,
} from '../vocabulary';
import { ENGLISH } from '../language';

/** A day that is said. */
export interface DaySaid {
  readonly day: number;
  /** The last day, where a stretch of days is said: a weekend. */
  readonly lastDay?: number;
  readonly doubt?: Doubt;
  readonly problem?: LineProblem;
  /** Whether it says a day of the calendar, rather than one counted from today. */
  readonly isDate?: boolean;
  /** A weekday alone: today counts too, unless its time is over. */
  readonly isWeekday?: boolean;
}

/** A date that is written and does not exist. */
export interface NoDay {
  readonly problem: LineProblem;
}

interface DayPattern {
  readonly source: string;
  readonly score: number;
  readonly read: (
    groups: readonly (string | undefined)[],
    context: LineContext,
    text: string,
  ) => DaySaid | NoDay | undefined;
}

const DATE = String.raw`(\d{1,2})(?:${NTH_SUFFIX})?`;
const YEAR = String.raw`(?:,?\s+(\d{4})(?![:.]\d))`;
/** What keeps a number from being the day of a month: it goes on as a time, a range or an amount. */
const NO_TIME = String.raw`(?!\d|[:.]\d|\s*(?:am|pm|h|hrs?|hours?|min|mins|minutes?|o'clock)\b)`;

const realDay = (year: number, month: number, day: number): number | undefined =>
  month >= 1 && month <= 12 && day >= 1 && day <= daysInMonth(year, month)
    ? dayNumber(year, month, day)
    : undefined;

const noSuchDate = (text: string): NoDay => ({ problem: { code: 'no-such-date', text: text.trim() } });

/** The next day of such a date, or the past one of this year where the person means that. */
function withoutYear(month: number, day: number, context: LineContext): DaySaid | undefined {
  const { year } = civilDate(context.today);
  const thisYear = realDay(year, month, day);
  if (thisYear !== undefined && thisYear >= context.today) return { day: thisYear, isDate: true };
  for (let later = year + 1; later <= year + 8; later++) {
    const next = realDay(later, month, day);
    if (next === undefined) continue;
    if (thisYear === undefined) return { day: next, isDate: true };
    return context.choose('past-date', { next, past: thisYear }, { isDate: true });
  }
  return undefined;
}

function dated(
  parts: { day: number; month: number; year?: string | undefined; weekday?: string | undefined },
  context: LineContext,
  text: string,
): DaySaid | NoDay | undefined {
  const { day, month, year, weekday } = parts;
  const said: DaySaid | undefined = year
    ? { day: realDay(Number(year) + (year.length === 2 ? 2000 : 0), month, day) ?? NaN, isDate: true }
    : withoutYear(month, day, context);
  if (!said || Number.isNaN(said.day)) return noSuchDate(text);
  const named = weekday ? weekdayNamed(weekday) : 0;
  if (!named || named === weekdayOf(said.day)) return said;
  // A weekday beside a date without a year tells which year is meant.
  if (!year)
    for (const later of [civilDate(context.today).year, civilDate(context.today).year + 1]) {
      const other = realDay(later, month, day);
      if (other !== undefined && weekdayOf(other) === named && other >= context.today - 200)
        return { day: other, isDate: true };
    }
  return { ...said, problem: { code: 'weekday-differs', text: text.trim(), weekday: named } };
}

function numeric(
  [one, other, years]: readonly [string, string, string | undefined],
  isDayFirst: boolean | undefined,
  context: LineContext,
  text: string,
): DaySaid | NoDay | undefined {
  const read = (dayFirst: boolean) => {
    const [day, month] = (dayFirst ? [one, other] : [other, one]).map(Number) as [number, number];
    return dated({ day, month, year: years }, context, text);
  };
  if (isDayFirst !== undefined) return read(isDayFirst);
  const usual = read(context.dayFirst);
  const unusual = read(!context.dayFirst);
  const isDay = (said: DaySaid | NoDay | undefined): said is DaySaid => said !== undefined && 'day' in said;
  if (!isDay(usual)) return isDay(unusual) ? unusual : usual;
  if (!isDay(unusual) || one === other) return usual;
  const first = context.dayFirst ? 'day-month' : 'month-day';
  const second = context.dayFirst ? 'month-day' : 'day-month';
  return context.choose('number-order', { [first]: usual.day, [second]: unusual.day }, { isDate: true });
}

/** The next such weekday, today counting. */
const comingWeekday = (weekday: number, today: number): number =>
  today + ((weekday - weekdayOf(today) + 7) % 7);

/** The nth of a weekday in a month, or undefined. */
function nthWeekday(year: number, month: number, weekday: number, ordinal: number): number | undefined {
  const first = dayNumber(year, month, 1);
  const end = first + daysInMonth(year, month);
  const firstOne = first + ((weekday - weekdayOf(first) + 7) % 7);
  const lastOne = firstOne + 7 * Math.floor((end - 1 - firstOne) / 7);
  const found = ordinal > 0 ? firstOne + 7 * (ordinal - 1) : lastOne + 7 * (ordinal + 1);
  return found >= first && found < end ? found : undefined;
}

const addMonths = (day: number, months: number): number => {
  const date = civilDate(day);
  const index = date.year * 12 + date.month - 1 + months;
  const [year, month] = [Math.floor(index / 12), (((index % 12) + 12) % 12) + 1];
  return dayNumber(year, month, Math.min(date.day, daysInMonth(year, month)));
};

const UNIT = '(days?|weeks?|fortnights?|months?|years?)';
function later(from: number, count: number, unit: string): number {
  const small = unit.toLowerCase();
  if (small.startsWith('d')) return from + count;
  if (small.startsWith('w')) return from + 7 * count;
  if (small.startsWith('f')) return from + 14 * count;
  return addMonths(from, small.startsWith('m') ? count : 12 * count);
}

/** The Monday of a week by its ISO number: that of 4 January is the first. */
const mondayOfWeek = (year: number, number: number): number =>
  startOfWeek(dayNumber(year, 1, 4), 1) + 7 * (number - 1);

/** A weekday in the week after this one. */
const inNextWeek = (weekday: number, today: number): number => startOfWeek(today, 1) + 7 + weekday - 1;

const NEXT_MONTH = String.raw`(next\s+month|this\s+month|the\s+month)`;
const nearDay = (word: string, today: number): number => today + (ENGLISH.near[asWord(word)] ?? 0);

/** The ways to say a day, the surer ones first. */
export const DAY_PATTERNS: readonly DayPattern[] = [
  {
    source: String.raw`(?:(${WEEKDAY}),?\s+)?(\d{4})-(\d{1,2})-(\d{1,2})`,
    score: 13,
    read: ([weekday, year, month, day], context, text) =>
      dated({ day: Number(day), month: Number(month), year, weekday }, context, text),
  },
  {
    source: String.raw`(?:${WEEKDAY},?\s+)?(\d{1,2})([/.-])(\d{1,2})\2(\d{4}|\d{2})`,
    score: 12,
    read: ([one, separator, other, year], context, text) =>
      numeric([one!, other!, year], separator === '.' ? true : undefined, context, text),
  },
  {
    source: String.raw`(?:${WEEKDAY},?\s+)?(\d{1,2})/(\d{1,2})(?![/\d])`,
    score: 8,
    read: ([one, other], context, text) => numeric([one!, other!, undefined], undefined, context, text),
  },
  {
    source: String.raw`(?:${WEEKDAY},?\s+)?(\d{1,2})\.(\d{1,2})\.(?!\d)`,
    score: 9,
    read: ([day, month], context, text) => numeric([day!, month!, undefined], true, context, text),
  },
  {
    source: String.raw`(?:(${WEEKDAY}),?\s+(?:the\s+)?)?(?:the\s+)?${DATE}\.?\s*(?:of\s+)?(${MONTH})(?:${YEAR}|\s+'(\d{2}))?`,
    score: 10,
    read: ([weekday, day, month, year, short], context, text) =>
      dated({ day: Number(day), month: monthNamed(month!), year: year ?? short, weekday }, context, text),
  },
  {
    source: String.raw`(?:(${WEEKDAY}),?\s+)?(${MONTH})\s+(?:the\s+)?${DATE}${NO_TIME}${YEAR}?`,
    score: 10,
    read: ([weekday, month, day, year], context, text) =>
      dated({ day: Number(day), month: monthNamed(month!), year, weekday }, context, text),
  },
  {
    source: String.raw`(${WEEKDAY}),?\s+(?:the\s+)?(\d{1,2})${NTH_SUFFIX}`,
    score: 9,
    read([weekday, day], context) {
      const { year, month } = civilDate(context.today);
      for (let ahead = 0; ahead < 84; ahead++) {
        const index = year * 12 + month - 1 + ahead;
        const found = realDay(Math.floor(index / 12), (index % 12) + 1, Number(day));
        if (found !== undefined && found >= context.today && weekdayOf(found) === weekdayNamed(weekday!))
          return { day: found, isDate: true };
      }
      return undefined;
    },
  },
  {
    source: String.raw`(?:the\s+)?(${ORDINAL})\s+(${WEEKDAY})\s+(?:of|in)\s+(?:(${MONTH})${YEAR}?|${NEXT_MONTH})`,
    score: 11,
    read([nth, weekday, month, year, near], context) {
      const [ordinal, named] = [ordinalNamed(nth!), weekdayNamed(weekday!)];
      const now = civilDate(context.today);
      if (near) {
        const date = civilDate(addMonths(context.today, /next/i.test(near) ? 1 : 0));
        const found = nthWeekday(date.year, date.month, named, ordinal);
        return found === undefined ? undefined : { day: found, isDate: true };
      }
      for (const each of year ? [Number(year)] : [now.year, now.year + 1]) {
        const found = nthWeekday(each, monthNamed(month!), named, ordinal);
        if (found !== undefined && (year || found >= context.today)) return { day: found, isDate: true };
      }
      return undefined;
    },
  },
  {
    source: String.raw`(?:(${WEEKDAY})\s+(?:of\s+|in\s+)?)?(?:week|wk|w)\s*(\d{1,2})(?:[\s,/-]+(\d{4}))?(?![:.\d])`,
    score: 8,
    read([weekday, number, year], context) {
      if (Number(number) < 1 || Number(number) > 53) return undefined;
      const monday = mondayOfWeek(year ? Number(year) : civilDate(context.today).year, Number(number));
      return { day: monday + (weekday ? weekdayNamed(weekday) - 1 : 0), isDate: true };
    },
  },
  {
    source: String.raw`(?:the\s+)?(end|start|beginning|middle)\s+of\s+(?:the\s+)?(next\s+month|this\s+month|month|next\s+week|this\s+week|week|next\s+year|year|${MONTH})(?:\s+(\d{4}))?`,
    score: 9,
    read([edge, what, year], context) {
      const said = asWord(what!);
      const first = /end/i.test(edge!) ? false : true;
      const isMiddle = /mid/i.test(edge!);
      const { year: now, month: thisMonth } = civilDate(context.today);
      if (said.endsWith('week')) {
        const monday = startOfWeek(context.today, 1) + (said.startsWith('next') ? 7 : 0);
        return { day: monday + (isMiddle ? 2 : first ? 0 : 4) };
      }
      if (said.endsWith('year')) {
        const of = now + (said.startsWith('next') ? 1 : 0);
        return { day: isMiddle ? dayNumber(of, 7, 1) : first ? dayNumber(of, 1, 1) : dayNumber(of, 12, 31) };
      }
      const named = monthNamed(said);
      const month = named || ((thisMonth - 1 + (said.startsWith('next') ? 1 : 0)) % 12) + 1;
      const of = year ? Number(year) : month < thisMonth ? now + 1 : now;
      return { day: dayNumber(of, month, isMiddle ? 15 : first ? 1 : daysInMonth(of, month)), isDate: true };
    },
  },
  {
    // "Thursday week", "a week on Thursday", "in two weeks on Thursday", "Thursday in two weeks"
    source: String.raw`(${WEEKDAY})\s+(week|fortnight)(?!\s*\d{1,2}(?![:.\d]))`,
    score: 9,
    read: ([weekday, unit], { today }) => ({
      day: comingWeekday(weekdayNamed(weekday!), today + 1) + (/week/i.test(unit!) ? 7 : 14),
    }),
  },
  {
    source: String.raw`(?:in\s+)?(${NUMBER})\s+(weeks?|fortnights?)(?:'s?)?\s+(?:on|from)\s+(${WEEKDAY})|(${WEEKDAY})\s+in\s+(${NUMBER})\s+(weeks?|fortnights?)`,
    score: 13,
    read([count, unit, weekday, weekdayFirst, countAfter, unitAfter], { today }) {
      const weeks = numberNamed((count ?? countAfter)!) * (/^f/i.test((unit ?? unitAfter)!) ? 2 : 1);
      const named = weekdayNamed((weekday ?? weekdayFirst)!);
      const isInWeeks = weekdayFirst !== undefined || (count !== undefined && weeks > 1);
      // "In two weeks on Thursday" is in the week after the next; "a week on Thursday" a week after the next Thursday.
      const day = isInWeeks
        ? startOfWeek(today, 1) + 7 * weeks + named - 1
        : comingWeekday(named, today + 1) + 7 * weeks;
      return { day };
    },
  },
  {
    source: String.raw`(${NEAR})\s+(week|fortnight)(?!\s*\d{1,2}(?![:.\d]))`,
    score: 10,
    read: ([word, unit], { today }) => ({ day: nearDay(word!, today) + (/week/i.test(unit!) ? 7 : 14) }),
  },
  {
    source: String.raw`(?:in\s+)?(${NUMBER})\s+${UNIT}\s+(?:from|after)\s+(now|today|tomorrow)|in\s+(${NUMBER})\s+${UNIT}(?:'\s?time)?|in\s+(?:a\s+)?(fortnight)|(${NUMBER})\s+${UNIT}\s+(ago)`,
    score: 13,
    read([count, unit, from, inCount, inUnit, fortnight, agoCount, agoUnit], { today }) {
      if (fortnight) return { day: today + 14 };
      if (agoCount) return { day: later(today, -numberNamed(agoCount), agoUnit!) };
      // "15 day after tomorrow" is a number and a day.
      if (from && numberNamed(count!) > 1 && !/s$/i.test(unit!)) return undefined;
      const start = from && /tomorrow/i.test(from) ? today + 1 : today;
      return { day: later(start, numberNamed((count ?? inCount)!), (unit ?? inUnit)!) };
    },
  },
  {
    source: String.raw`(?:a\s+)?(week|fortnight)\s+(today|tomorrow)`,
    score: 13,
    read: ([unit, word], { today }) => ({ day: nearDay(word!, today) + (/week/i.test(unit!) ? 7 : 14) }),
  },
  {
    source: String.raw`(${WEEKDAY})\s+(?:of\s+)?next\s+week|next\s+week\s+(?:on\s+)?(${WEEKDAY})`,
    score: 10,
    read: ([weekday, other], { today }) => ({ day: inNextWeek(weekdayNamed((weekday ?? other)!), today) }),
  },
  {
    source: String.raw`(${WEEKDAY})\s+(?:of\s+)?this\s+week|this\s+week\s+(?:on\s+)?(${WEEKDAY})`,
    score: 10,
    read: ([weekday, other], { today }) => ({
      day: startOfWeek(today, 1) + weekdayNamed((weekday ?? other)!) - 1,
    }),
  },
  {
    source: String.raw`(?:the\s+)?(this|next|coming|last|past)\s+weekend|(?:at\s+)?the\s+(weekend)`,
    score: 8,
    read([which], { today }) {
      const saturday = startOfWeek(today, 1) + 5;
      const shift = /next/i.test(which ?? '') ? 7 : /last|past/i.test(which ?? '') ? -7 : 0;
      return { day: saturday + shift, lastDay: saturday + shift + 1 };
    },
  },
  {
    source: String.raw`(this\s+coming|this|next|coming|last|past)\s+(${WEEKDAY})`,
    score: 8,
    read([which, weekday], context) {
      const { today } = context;
      const named = weekdayNamed(weekday!);
      const small = asWord(which!);
      if (small === 'last' || small === 'past')
        return { day: today - ((weekdayOf(today) - named + 6) % 7) - 1 };
      const coming = comingWeekday(named, today + (small === 'this' ? 0 : 1));
      if (small !== 'next') return { day: coming };
      const following = inNextWeek(named, today);
      return following === coming ? { day: coming } : context.choose('next-weekday', { following, coming });
    },
  },
  { source: String.raw`(${NEAR})`, score: 8, read: ([word], { today }) => ({ day: nearDay(word!, today) }) },
  {
    source: String.raw`(next)\s+(week|month|year)`,
    score: 4,
    read([, unit], { today }) {
      if (/week/i.test(unit!)) return { day: startOfWeek(today, 1) + 7 };
      const { year, month } = civilDate(today);
      if (/year/i.test(unit!)) return { day: dayNumber(year + 1, 1, 1) };
      return { day: month === 12 ? dayNumber(year + 1, 1, 1) : dayNumber(year, month + 1, 1) };
    },
  },
  {
    source: String.raw`(the\s+)?(\d{1,2})${NTH_SUFFIX}`,
    score: 5,
    read([the, said], { today }) {
      const day = Number(said);
      if (day < 1 || day > 31) return undefined;
      const { year, month } = civilDate(today);
      for (let ahead = 0; ahead < 12; ahead++) {
        const index = year * 12 + month - 1 + ahead;
        const found = realDay(Math.floor(index / 12), (index % 12) + 1, day);
        if (found !== undefined && found >= today) return { day: found, isDate: the !== undefined };
      }
      return undefined;
    },
  },
  {
    source: String.raw`(${WEEKDAY})(?!s)`,
    score: 5,
    read: ([weekday], { today }) => ({
      day: comingWeekday(weekdayNamed(weekday!), today),
      isWeekday: true,
    }),
  },
];

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

/** The day number that a text says; undefined if it says none that exists. */
export function dayOf(text: string, context: LineContext): number | undefined {
  const said = readDay(text, context);
  return said && 'day' in said ? said.day : undefined;
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
