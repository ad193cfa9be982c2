import type { MonthDays, RepeatFrequency } from '../../recurrence/choices';
import { ENGLISH } from '../language';
import type { RepeatSaid } from '../repeatSaid';
import { asWord, type Candidate, wholeWords } from '../candidate';
import {
  AND,
  DAY_PART,
  DAYS_OF_MONTH,
  MONTH,
  monthNamed,
  MONTHS,
  monthsNamed,
  NTH_SUFFIX,
  NUMBER,
  numberNamed,
  ORDINAL,
  ordinalNamed,
  WEEKDAY,
  weekdayNamed,
  WEEKDAYS,
  weekdaysNamed,
} from '../vocabulary';
import { weekdaysOfRange } from './ranges';

const EVERY = String.raw`(?:every|each|ev\.?)`;
const STEP = String.raw`(?:(other|second|2nd|third|3rd|fourth|4th|alternate|${NUMBER})\s+)?`;
const NTH = String.raw`(${ORDINAL})\s+(${WEEKDAY}|working\s+day|work\s?day|weekday|day)`;
const ON_DAYS = String.raw`(?:\s+on\s+(?:the\s+)?(?:${NTH}|(${DAYS_OF_MONTH})))?`;
const DAY_RANGE = String.raw`${WEEKDAY}(?:\s*-\s*|\s+(?:to|through|thru)\s+)${WEEKDAY}`;
const PLURAL = String.raw`(?:mon|tues|wednes|thurs|fri|satur|sun)days`;

/** A word that can also belong to a title ("Monthly report"): a repeat behind other words, or before "on", "at" or a number. */
const adverb = (words: string): string =>
  String.raw`(?:(?<=\S\s+)(?:${words})|(?:${words})(?=\s+(?:on|at|from|until|for|\d)|\s*[,.]|\s*$))`;

const stepOf = (word: string | undefined): number => {
  if (word === undefined) return 1;
  const said = asWord(word);
  return said === 'other' || said === 'alternate' ? 2 : (ENGLISH.ordinals[said] ?? numberNamed(said));
};

const daysOfMonth = (text: string): MonthDays => ({
  kind: 'days',
  days: [...text.matchAll(/\d{1,2}/g)]
    .map(([number]) => Number(number))
    .filter((day) => day >= 1 && day <= 31),
});

/** "second Tuesday", "last working day", "last day" */
function nthOf(ordinal: string, what: string): MonthDays {
  const nth = ordinalNamed(ordinal);
  const said = asWord(what);
  if (/^work|^weekday/.test(said)) return { kind: 'nth', ordinal: nth, weekday: 'workday' };
  if (said === 'day') return { kind: 'days', days: [nth] };
  return { kind: 'nth', ordinal: nth, weekday: weekdayNamed(said) };
}

const found = (frequency: RepeatFrequency, more: Partial<RepeatSaid> = {}): RepeatSaid => ({
  frequency,
  interval: 1,
  weekdays: [],
  on: undefined,
  months: [],
  ...more,
});
type Groups = readonly (string | undefined)[];
const onOf = (ordinal: string | undefined, what: string | undefined, days: string | undefined) =>
  ordinal ? nthOf(ordinal, what!) : days ? daysOfMonth(days) : undefined;

/** The ways to say a repeat, with how sure each is. */
const PATTERNS: readonly {
  source: string;
  score: number;
  read: (groups: Groups) => RepeatSaid | undefined;
}[] = [
  {
    // "last Friday of the month", "on the first Monday of every third month"
    source: String.raw`(?:${EVERY}\s+|on\s+)?(?:the\s+)?${NTH}\s+(?:of|in)\s+(?:(?:the|each|every|a)\s+)?${STEP}(month|quarter)`,
    score: 22,
    read: ([ordinal, what, step, unit]) =>
      found('MONTHLY', { on: nthOf(ordinal!, what!), interval: stepOf(step) * (/q/i.test(unit!) ? 3 : 1) }),
  },
  {
    // "on the 1st of every month", "the 1st and 15th of each month"
    source: String.raw`(?:${EVERY}\s+|on\s+)?(?:the\s+)?(${DAYS_OF_MONTH})\s+(?:day\s+)?(?:of|in)\s+(?:each|every|the|a)\s+${STEP}(month|quarter)`,
    score: 22,
    read: ([days, step, unit]) =>
      found('MONTHLY', { on: daysOfMonth(days!), interval: stepOf(step) * (/q/i.test(unit!) ? 3 : 1) }),
  },
  {
    // "last Sunday of March every year", "every first Monday in May"
    source: String.raw`${EVERY}\s+${NTH}\s+(?:of|in)\s+(${MONTHS})`,
    score: 22,
    read: ([ordinal, what, months]) =>
      found('YEARLY', { on: nthOf(ordinal!, what!), months: monthsNamed(months!) }),
  },
  {
    // "every first Monday", "every second Tuesday" is every other one
    source: String.raw`${EVERY}\s+(first|1st|last|fifth|5th)\s+(${WEEKDAY}|working\s+day|work\s?day)(?!\s+(?:of|in))`,
    score: 12,
    read: ([ordinal, what]) => found('MONTHLY', { on: nthOf(ordinal!, what!) }),
  },
  {
    // "every 3 months on the 1st", "monthly on the second Tuesday", "every quarter on the first Monday"
    source: String.raw`(?:${EVERY}\s+${STEP}(months?|quarters?)|(${adverb('monthly|quarterly')})|once\s+a\s+(month|quarter))${ON_DAYS}`,
    score: 12,
    read: ([step, unit, word, once, ordinal, what, days]) =>
      found('MONTHLY', {
        interval: stepOf(step) * (/^q/i.test((unit ?? word ?? once)!) ? 3 : 1),
        on: onOf(ordinal, what, days),
      }),
  },
  {
    // "the first Monday every month", "1st and 15th monthly"
    source: String.raw`(?:on\s+)?(?:the\s+)?(?:${NTH}|(${DAYS_OF_MONTH})),?\s+(?:${EVERY}\s+${STEP}(month|quarter)|(monthly|quarterly))`,
    score: 22,
    read: ([ordinal, what, days, step, unit, word]) =>
      found('MONTHLY', {
        interval: stepOf(step) * (/^q/i.test((unit ?? word)!) ? 3 : 1),
        on: onOf(ordinal, what, days),
      }),
  },
  {
    // "1st and 15th": every month
    source: String.raw`(?:on\s+)?(?:the\s+)?(\d{1,2}${NTH_SUFFIX}(?:${AND}(?:the\s+)?\d{1,2}${NTH_SUFFIX}){1,9})(?!\s*(?:of\s+)?${MONTH}(?![\p{L}]))`,
    score: 10,
    read: ([days]) => found('MONTHLY', { on: daysOfMonth(days!) }),
  },
  {
    // "every 9 March", "every March 9", "every year on 9 March"
    source: String.raw`(?:${EVERY}\s+(?:year\s+)?(?:on\s+)?(?:the\s+)?|${adverb('yearly|annually')}\s+(?:on\s+)?(?:the\s+)?)(?:(\d{1,2})${NTH_SUFFIX}?\s+(?:of\s+)?(${MONTH})|(${MONTH})\s+(?:the\s+)?(\d{1,2})${NTH_SUFFIX}?)(?![:.]\d)`,
    score: 17,
    read([day, month, otherMonth, otherDay]) {
      const number = Number(day ?? otherDay);
      if (number < 1 || number > 31) return undefined;
      return found('YEARLY', {
        on: { kind: 'days', days: [number] },
        months: [monthNamed((month ?? otherMonth)!)],
      });
    },
  },
  {
    // "every January and July", "every year in May"
    source: String.raw`(?:${EVERY}\s+(?:year\s+in\s+)?|in\s+(?=${MONTH}${AND}))(${MONTHS})(?!\s+\d)(?:\s+on\s+(?:the\s+)?(?:${NTH}|(${DAYS_OF_MONTH})))?`,
    score: 11,
    read: ([months, ordinal, what, days]) =>
      found('YEARLY', { months: monthsNamed(months!), on: onOf(ordinal, what, days) }),
  },
  {
    // "January and July"
    source: String.raw`(${MONTH}${AND}${MONTH}(?:${AND}${MONTH}){0,10})(?!\s+\d)`,
    score: 4,
    read: ([months]) => found('YEARLY', { months: monthsNamed(months!) }),
  },
  {
    // "on 1 January and 1 July"
    source: String.raw`(?:on\s+)?(\d{1,2})${NTH_SUFFIX}?\s+(${MONTH})\s+and\s+\1${NTH_SUFFIX}?\s+(${MONTH})(?:\s+${EVERY}\s+year|\s+yearly)?`,
    score: 22,
    read: ([day, one, other]) =>
      found('YEARLY', {
        on: { kind: 'days', days: [Number(day)] },
        months: monthsNamed(`${one} ${other}`),
      }),
  },
  {
    // "every other week on Tuesday", "every 2 weeks", "weekly on Mon and Thu", "once a week"
    source: String.raw`(?:${EVERY}\s+${STEP}(weeks?|fortnights?)|${adverb('weekly')}|(${adverb('fortnightly|biweekly|bi-weekly')})|once\s+a\s+week)(?:\s+on\s+(${DAY_RANGE}|${WEEKDAYS}))?`,
    score: 11,
    read: ([step, unit, fortnightly, days]) =>
      found('WEEKLY', {
        interval: fortnightly ? 2 : stepOf(step) * (/^f/i.test(unit ?? '') ? 2 : 1),
        weekdays: days ? (weekdaysOfRange(days) ?? weekdaysNamed(days)) : [],
      }),
  },
  {
    // "Tuesday every other week", "Mondays every 2 weeks", "Thursday fortnightly"
    source: String.raw`(?:on\s+)?(${WEEKDAYS}),?\s+(?:${EVERY}\s+${STEP}(weeks?|fortnights?)|(weekly)|(fortnightly|biweekly|bi-weekly))`,
    score: 15,
    read: ([days, step, unit, weekly, fortnightly]) =>
      found('WEEKLY', {
        interval: fortnightly ? 2 : weekly ? 1 : stepOf(step) * (/^f/i.test(unit!) ? 2 : 1),
        weekdays: weekdaysNamed(days!),
      }),
  },
  {
    source: String.raw`(?:${EVERY}\s+(?:weekday|work(?:ing)?\s?day)|on\s+(?:weekdays|work(?:ing)?\s?days)|${adverb('weekdays|work(?:ing)?\\s?days')})`,
    score: 11,
    read: () => found('WEEKLY', { weekdays: [1, 2, 3, 4, 5] }),
  },
  {
    source: String.raw`(?:${EVERY}\s+weekend|(?:on\s+|at\s+)?weekends)`,
    score: 9,
    read: () => found('WEEKLY', { weekdays: [6, 7] }),
  },
  {
    // "every Mon-Fri"
    source: String.raw`${EVERY}\s+(${DAY_RANGE})`,
    score: 19,
    read: ([days]) => found('WEEKLY', { weekdays: weekdaysOfRange(days!) ?? [] }),
  },
  {
    // "every Tuesday and Thursday", "every other Tuesday", "alternate Fridays"
    source: String.raw`(?:${EVERY}\s+${STEP}|(alternate)\s+)(${WEEKDAYS})`,
    score: 11,
    read: ([step, alternate, days]) =>
      found('WEEKLY', { interval: alternate ? 2 : stepOf(step), weekdays: weekdaysNamed(days!) }),
  },
  {
    // "Tuesdays", "on Mondays and Fridays"
    source: String.raw`(?:on\s+)?(${PLURAL}(?:${AND}${PLURAL}){0,6})`,
    score: 9,
    read: ([days]) => found('WEEKLY', { weekdays: weekdaysNamed(days!) }),
  },
  {
    // "Mon, Wed and Fri 9:00": several days are every week
    source: String.raw`(?:on\s+)?(${WEEKDAY}(?:${AND}${WEEKDAY}){1,6})`,
    score: 8,
    read: ([days]) => found('WEEKLY', { weekdays: weekdaysNamed(days!) }),
  },
  {
    source: String.raw`(?:${EVERY}\s+${STEP}days?|${adverb('daily')}|once\s+a\s+day)`,
    score: 10,
    read: ([step]) => found('DAILY', { interval: stepOf(step) }),
  },
  {
    // "every morning": the part of the day is said beside it
    source: String.raw`${EVERY}(?=\s+${DAY_PART}(?![\p{L}]))`,
    score: 7,
    read: () => found('DAILY'),
  },
  {
    // "every Monday morning" leaves its part of the day to another
    source: String.raw`(?:${EVERY}\s+${STEP}years?|${adverb('yearly|annually')}|once\s+a\s+year)`,
    score: 10,
    read: ([step]) => found('YEARLY', { interval: stepOf(step) }),
  },
];

const expressions = PATTERNS.map((pattern) => ({
  ...pattern,
  expression: new RegExp(String.raw`(?<![\p{L}\p{N}_])(?:${pattern.source})(?![\p{L}\p{N}_]|[:.]\d)`, 'giu'),
}));

/** All repeats that a text may say. */
export function* repeatsIn(text: string): Generator<Candidate> {
  for (const { expression, score, read } of expressions) {
    expression.lastIndex = 0;
    for (let match = expression.exec(text); match; match = expression.exec(text)) {
      expression.lastIndex = match.index + 1;
      const repeat = read(match.slice(1));
      if (!repeat || !(repeat.interval >= 1 && repeat.interval <= 366)) continue;
      const days = repeat.on?.kind === 'days' ? repeat.on.days : undefined;
      if (days?.length === 0) continue;
      yield {
        from: match.index,
        to: match.index + match[0].length,
        // Each further day makes it surer that days are listed.
        score: score + 4 * Math.max(0, repeat.weekdays.length - 1, (days?.length ?? 0) - 1),
        slots: ['repeat'],
        said: { repeat },
      };
    }
  }
  yield* weekdayRangesWithTime(text);
}

const RANGE = wholeWords(String.raw`(?:from\s+)?(${DAY_RANGE})`);

/** "Mon-Fri": each of them every week, if a time of day stands in the line; else a range of days fits better. */
function* weekdayRangesWithTime(text: string): Generator<Candidate> {
  RANGE.lastIndex = 0;
  for (const match of text.matchAll(RANGE)) {
    const weekdays = weekdaysOfRange(match[1]!);
    if (!weekdays || weekdays.length < 3) continue;
    const hasTime = /\d[:.]\d\d|\d\s?(?:am|pm)\b|\bat\s+\d|\d\s?-\s?\d|\bnoon\b/iu.test(text);
    yield {
      from: match.index,
      to: match.index + match[0].length,
      score: hasTime ? 17 : 3,
      slots: ['repeat'],
      said: { repeat: found('WEEKLY', { weekdays }) },
    };
  }
}
