import { addMonths } from '../../layout/views';
import { civilDate, dayNumber, daysInMonth, startOfWeek, weekdayOf } from '../../time/civil';
import { asWord } from '../candidate';
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
import {
  comingWeekday,
  dated,
  type DaySaid,
  inNextWeek,
  later,
  mondayOfWeek,
  nearDay,
  type NoDay,
  nthWeekday,
  numeric,
  realDay,
} from './saidDays';

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
const UNIT = '(days?|weeks?|fortnights?|months?|years?)';
const NEXT_MONTH = String.raw`(next\s+month|this\s+month|the\s+month)`;

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
