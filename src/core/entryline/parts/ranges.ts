import { civilDate, dayNumber, daysInMonth, weekdayOf } from '../../time/civil';
import { allMatches, type Candidate, type Said } from '../candidate';
import { ENGLISH } from '../language';
import type { LineContext } from '../lineContext';
import { monthNamed, MONTH, NTH_SUFFIX, WEEKDAY, weekdayNamed } from '../vocabulary';
import { DAY_SOURCE, readDay } from './days';
import type { DaySaid } from './saidDays';
import { readTime, TIME_OR_HOUR_SOURCE, type ReadTime } from './times';

const TO = String.raw`(?:\s*-\s*|\s+(?:to|till|til|until|through|thru)\s+)`;
const DAY_TO = String.raw`(?:\s*-\s*|\s+(?:to|till|til|until|through|thru|up\s+to)\s+)`;
const FROM = String.raw`(?:(?:from|between|starting)\s+)?`;

const expression = (source: string): RegExp =>
  new RegExp(String.raw`(?<![\p{L}\p{N}_.:/-])(?:${source})(?![\p{L}\p{N}_]|[:/]\d|\.\d)`, 'giu');

const isDay = (said: ReturnType<typeof readDay>): said is DaySaid => said !== undefined && 'day' in said;

/** A day range as a candidate; the second day follows the first, in the next week or year if need be. */
function ofDays(
  first: DaySaid,
  last: DaySaid,
  from: number,
  to: number,
  score: number,
): Candidate | undefined {
  let end = last.lastDay ?? last.day;
  if (end < first.day && last.isWeekday) end += 7 * Math.ceil((first.day - end) / 7);
  if (end < first.day) {
    // "28 December to 3 January"
    const date = civilDate(end);
    end = dayNumber(date.year + 1, date.month, Math.min(date.day, daysInMonth(date.year + 1, date.month)));
  }
  // One that goes over the turn of a year from a day that is past began before it.
  if (end - first.day > 300 && first.isDate && last.isDate) {
    const date = civilDate(end);
    const before = dayNumber(
      date.year - 1,
      date.month,
      Math.min(date.day, daysInMonth(date.year - 1, date.month)),
    );
    if (before >= first.day) end = before;
  }
  if (end < first.day || end - first.day > 400) return undefined;
  return {
    from,
    to,
    score,
    slots: ['day', 'lastDay'],
    said: { day: first.day, lastDay: end },
    ...(first.doubt && first.day !== end ? { doubt: first.doubt } : {}),
  };
}

const NUMBERS_MONTH = expression(
  String.raw`${FROM}(?:${WEEKDAY},?\s+)?(?:the\s+)?(\d{1,2})(?:${NTH_SUFFIX}|\.)?(?:${TO}|\s+(?:and|&)\s+)(?:${WEEKDAY},?\s+)?(?:the\s+)?(\d{1,2})(?:${NTH_SUFFIX}|\.)?\s*(?:of\s+)?(${MONTH})(?:\s+(\d{4}))?`,
);
const MONTH_NUMBERS = expression(
  String.raw`${FROM}(${MONTH})\s+(\d{1,2})(?:${NTH_SUFFIX})?${TO}(\d{1,2})(?:${NTH_SUFFIX})?(?:,?\s+(\d{4}))?(?!\s*(?:am|pm|h)(?![\p{L}]))`,
);
const DAYS = expression(String.raw`${FROM}(${DAY_SOURCE})${DAY_TO}(${DAY_SOURCE})`);
const WEEKDAY_AND_NEXT = expression(String.raw`(?:on\s+)?(${WEEKDAY})\s+(?:and|&)\s+(${WEEKDAY})`);
const NUMERIC_DAYS = expression(String.raw`${FROM}(\d{1,2})\.${TO}(\d{1,2}\.\d{1,2}\.(?:\d{4}|\d{2})?)`);
const UNTIL_DAY = expression(String.raw`(?:until|till|til|through|thru)\s+(${DAY_SOURCE})`);

/** All ranges of days that a text may say: "3-7 May", "from 3 May to 7 May", "Mon to Wed". */
export function* dayRangesIn(text: string, context: LineContext): Generator<Candidate> {
  const monthly = function* (
    pattern: RegExp,
    order: readonly [number, number, number, number],
    score: number,
  ): Generator<Candidate> {
    for (const match of allMatches(pattern, text)) {
      const [one, two, month, year] = order.map((index) => match[index]);
      const first = readDay(`${one} ${month}${year ? ` ${year}` : ''}`, context);
      const last = readDay(`${two} ${month}${year ? ` ${year}` : ''}`, context);
      if (!isDay(first) || !isDay(last) || !monthNamed(month!)) continue;
      const found = ofDays(first, last, match.index, match.index + match[0].length, score);
      // "14 and 16 May" are two days, not three.
      const isApart = /\s(?:and|&)\s/iu.test(match[0]) && !/^between/iu.test(match[0]);
      if (found && Number(one) < Number(two) && !(isApart && Number(two) - Number(one) > 1)) yield found;
    }
  };
  yield* monthly(NUMBERS_MONTH, [1, 2, 3, 4], 16);
  yield* monthly(MONTH_NUMBERS, [2, 3, 1, 4], 15);
  for (const match of allMatches(NUMERIC_DAYS, text)) {
    const last = readDay(match[2]!, context);
    const { year, month } = isDay(last) ? civilDate(last.day) : { year: 0, month: 0 };
    const first = Number(match[1]);
    if (!isDay(last) || first < 1 || first > civilDate(last.day).day) continue;
    yield* one(
      ofDays(
        { day: dayNumber(year, month, first), isDate: true },
        last,
        match.index,
        match.index + match[0].length,
        15,
      ),
    );
  }
  for (const match of allMatches(DAYS, text)) {
    const [, one_, two] = match as unknown as [string, string, string];
    const first = readDay(one_, context);
    const last = readDay(two, context);
    if (!isDay(first) || !isDay(last)) continue;
    yield* one(ofDays(first, last, match.index, match.index + match[0].length, 14));
  }
  // "Thursday and Friday" are two days in a row; two that are apart are said of every week.
  for (const match of allMatches(WEEKDAY_AND_NEXT, text)) {
    const [first, last] = [readDay(match[1]!, context), readDay(match[2]!, context)];
    if (!isDay(first) || !isDay(last) || weekdayOf(first.day + 1) !== weekdayOf(last.day)) continue;
    const to = match.index + match[0].length;
    yield* one(ofDays(first, { ...last, day: first.day + 1 }, match.index, to, 13));
  }
  for (const match of allMatches(UNTIL_DAY, text)) {
    const last = readDay(match[1]!, context);
    if (!isDay(last)) continue;
    const to = match.index + match[0].length;
    // Until a day, from whichever day is said besides; that of a repeat counts before it.
    yield {
      from: match.index,
      to,
      score: 11.5,
      slots: ['lastDay'],
      said: { lastDay: last.lastDay ?? last.day, isThrough: true },
    };
  }
}

function* one(candidate: Candidate | undefined): Generator<Candidate> {
  if (candidate) yield candidate;
}

const TIME_RANGE = new RegExp(
  String.raw`(?<![\p{L}\p{N}_.:/€£$#+-])(?<lead>(?:from|between|at|@)\s+)?(?<start>${TIME_OR_HOUR_SOURCE})(?<to>\s*-\s*|\s+(?:to|till|til|until|and)\s+)(?<end>${TIME_OR_HOUR_SOURCE})(?:\s*h(?:rs)?(?![\p{L}\p{N}]))?(?![\p{L}\p{N}_€£$%]|[:/.]\d|-\d)`,
  'giu',
);
const NAME_BEFORE =
  /(?:room|rooms|flight|gate|order|invoice|no\.?|nr\.?|number|page|pages|chapter|line|bus|section|items?|floor|lot|q)\s*$/iu;

/**
 * The times that are meant by a start and an end, in minutes: what is said without its half of the day goes by the other
 * one, and where neither has any, by office hours.
 */
function settled(start: ReadTime, end: ReadTime): { start: number; end: number; isSure: boolean } {
  let { minute: from } = start;
  let { minute: to } = end;
  if (start.isSure || from === 720) {
    // "10am-2", "12 to 1"
    if (!end.isSure && to < 720 && to <= from && to + 720 > from) to += 720;
    return { start: from, end: to, isSure: true };
  }
  if (end.half) {
    // "3-5pm" and "10-11pm" lie in one half of the day, "11-1pm" in both.
    const isPm = (end.half === 'pm') === from % 720 < to % 720;
    return { start: (from % 720) + (isPm ? 720 : 0), end: to, isSure: true };
  }
  if (end.isSure) {
    if (from >= 60 && from < 420 && from + 720 < to) from += 720;
    return { start: from, end: to, isSure: true };
  }
  if (from >= 60 && from < 420) from += 720;
  if (to < 720 && to <= from) to += 720;
  return { start: from, end: to, isSure: false };
}

/** All ranges of times that a text may say: "9-10", "10am to noon", "12 to 1". */
export function* timeRangesIn(text: string): Generator<Candidate> {
  for (const match of allMatches(TIME_RANGE, text)) {
    const {
      lead,
      start: first,
      to: separator,
      end: last,
    } = match.groups as Record<'start' | 'to' | 'end', string> & {
      lead?: string;
    };
    const start = readTime(first);
    const end = readTime(last);
    if (!start || !end) continue;
    if (/and/i.test(separator) && !/between/i.test(lead ?? '')) continue;
    const to = match.index + match[0].length;
    const areBare = /^\d{1,2}$/.test(first) && /^\d{1,2}$/.test(last);
    const areWords = [first, last].every(
      (text) => /^\p{L}+$/u.test(text) && !Object.hasOwn(ENGLISH.moments, text.toLowerCase()),
    );
    const isDash = /-/.test(separator);
    const before = text.slice(Math.max(0, match.index - 20), match.index);
    const after = text.slice(to);
    if (!lead && areBare && NAME_BEFORE.test(before)) continue;
    const isFour = /^\d{4}$/.test(first) && /^\d{4}$/.test(last);
    if (isFour && Number(first) >= 1900 && Number(last) <= 2100 && !lead) continue;
    if (areBare && isAmountWord(after)) continue;
    const times = settled(start, end);
    const score = areBare ? (isDash ? 6 : lead ? 8 : 6) : areWords && !lead ? 8 : 13;
    yield {
      from: match.index,
      to,
      score: score + (lead ? 1.5 : 0),
      slots: ['time', 'length'],
      said: {
        time: { minute: times.start, isSure: times.isSure },
        endTime: { minute: times.end, isSure: true },
      },
    };
  }
}

/** Whether what stands behind a range of numbers is counted by it: "2-3 people". */
const isAmountWord = (after: string): boolean =>
  /^\s*(?:people|persons|days|weeks|months|years|hours|hrs|min|mins|minutes|items|boxes|lamps|pages|metres|meters|km|kg|litres|times|points|keepers|euros?|eur|percent|guests|pieces|copies|bolts|buoys|lenses|boats|tins|bags|sheets|rounds|sets)(?![\p{L}])/iu.test(
    after,
  );

const SPAN_DAY_FIRST = expression(
  String.raw`${FROM}(?<day>${DAY_SOURCE}),?\s+(?:at\s+)?(?<start>${TIME_OR_HOUR_SOURCE})${DAY_TO}(?<lastDay>${DAY_SOURCE}),?\s+(?:at\s+)?(?<end>${TIME_OR_HOUR_SOURCE})`,
);
const SPAN_TIME_FIRST = expression(
  String.raw`${FROM}(?<start>${TIME_OR_HOUR_SOURCE})\s+(?:on\s+)?(?<day>${DAY_SOURCE})${DAY_TO}(?<end>${TIME_OR_HOUR_SOURCE})\s+(?:on\s+)?(?<lastDay>${DAY_SOURCE})`,
);

const BARE_HOUR = /^\d{1,2}$/;

/** All stretches from a time of one day to a time of another: "Thu 23:00 to Fri 02:00". */
export function* spansIn(text: string, context: LineContext): Generator<Candidate> {
  for (const pattern of [SPAN_DAY_FIRST, SPAN_TIME_FIRST])
    for (const match of allMatches(pattern, text)) {
      const { day, lastDay, start, end } = match.groups as Record<
        'day' | 'lastDay' | 'start' | 'end',
        string
      >;
      const [first, last] = [readDay(day, context), readDay(lastDay, context)];
      const [from, to] = [readTime(start), readTime(end)];
      if (!isDay(first) || !isDay(last) || !from || !to) continue;
      const days = ofDays(first, last, 0, 1, 0);
      if (!days) continue;
      const said: Said = {
        ...days.said,
        isThrough: true,
        time: { minute: from.minute, isSure: from.isSure },
        endTime: { minute: to.minute, isSure: to.isSure },
      };
      yield {
        from: match.index,
        to: match.index + match[0].length,
        score: BARE_HOUR.test(start) && BARE_HOUR.test(end) ? 12 : 34,
        slots: ['day', 'time', 'length', 'lastDay'],
        said,
      };
    }
}

const ISO = expression(String.raw`(\d{4}-\d{2}-\d{2})T(\d{2}:\d{2})(?::\d{2})?`);

/** A day and a time in one, as computers write them: "2027-04-12T09:00". */
export function* momentsIn(text: string, context: LineContext): Generator<Candidate> {
  for (const match of allMatches(ISO, text)) {
    const [day, time] = [readDay(match[1]!, context), readTime(match[2]!)];
    if (!isDay(day) || !time) continue;
    yield {
      from: match.index,
      to: match.index + match[0].length,
      score: 25,
      slots: ['day', 'time'],
      said: { day: day.day, time: { minute: time.minute, isSure: true } },
    };
  }
}

/** A range of weekdays beside a time is each of them, every week: "Mon-Fri 9:15". */
export function weekdaysOfRange(text: string): number[] | undefined {
  const match = new RegExp(String.raw`^(${WEEKDAY})${DAY_TO}(${WEEKDAY})$`, 'iu').exec(text.trim());
  if (!match) return undefined;
  const [first, last] = [weekdayNamed(match[1]!), weekdayNamed(match[2]!)];
  const count = ((last - first + 7) % 7) + 1;
  return Array.from({ length: count }, (_, index) => ((first - 1 + index) % 7) + 1).sort((a, b) => a - b);
}
