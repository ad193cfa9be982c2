import { civilDate, dayNumber, daysInMonth } from '../../time/civil';
import { asWord, type Candidate, wholeWords } from '../candidate';
import type { LineContext } from '../lineContext';
import {
  MONTH,
  monthNamed,
  MONTHS,
  monthsNamed,
  NUMBER,
  numberNamed,
  WEEKDAYS,
  weekdaysNamed,
} from '../vocabulary';
import { DAY_SOURCE, readDay } from './days';

const COUNT = wholeWords(
  String.raw`,?\s*(?:for\s+)?(?:(\d{1,4}|${NUMBER})\s*(?:times|x|occurrences|sessions)|x\s?(\d{1,4}))`,
);
const GOES_ON = wholeWords(
  String.raw`(?:for|over)\s+(?:the\s+next\s+)?(${NUMBER})\s+(days?|weeks?|fortnights?|months?|years?)`,
);
const UNTIL = wholeWords(
  String.raw`,?\s*(?:until|till|til|through|up\s+to|ending|ends)\s+(?:the\s+)?(?:(end\s+of\s+)?(?:the\s+)?(${MONTH})(?:\s+(\d{4}))?(?!\s+\d{1,2}(?!\d|[:.]))|(?:end\s+of\s+)?(\d{4})(?![\d:/.-])|(${DAY_SOURCE}))`,
);

const lastOfMonth = (month: number, year: string | undefined, today: number): number => {
  const now = civilDate(today);
  const of = year ? Number(year) : month < now.month ? now.year + 1 : now.year;
  return dayNumber(of, month, daysInMonth(of, month));
};

/** All ends of a repeat that a text may say: "until June", "4 times", "for 6 weeks". */
export function* repeatEndsIn(text: string, context: LineContext): Generator<Candidate> {
  const slots = ['repeatEnd'] as const;
  for (const match of text.matchAll(COUNT)) {
    const count = numberNamed((match[1] ?? match[2])!);
    const from = match.index + match[0].length - match[0].replace(/^,?\s*/, '').length;
    // One "x" behind a number may be a size; several times are a repeat's.
    if (count >= 1) yield { from, to: match.index + match[0].length, score: 5, slots, said: { count } };
  }
  for (const match of text.matchAll(GOES_ON)) {
    const count = numberNamed(match[1]!);
    const unit = asWord(match[2]!);
    const goesOn = unit.startsWith('m')
      ? { months: count }
      : unit.startsWith('y')
        ? { months: 12 * count }
        : { days: count * (unit.startsWith('w') ? 7 : unit.startsWith('f') ? 14 : 1) };
    yield { from: match.index, to: match.index + match[0].length, score: 8.5, slots, said: { goesOn } };
  }
  for (const match of text.matchAll(UNTIL)) {
    const [, , month, year, onlyYear, day] = match;
    const read = day ? readDay(day, context) : undefined;
    const until = month
      ? lastOfMonth(monthNamed(month), year, context.today)
      : onlyYear
        ? dayNumber(Number(onlyYear), 12, 31)
        : read && 'day' in read
          ? read.day
          : undefined;
    if (until === undefined) continue;
    const from = match.index + match[0].length - match[0].replace(/^,?\s*/, '').length;
    yield { from, to: match.index + match[0].length, score: 9, slots, said: { until } };
  }
}

const BUT = String.raw`,?\s*(?:except(?:\s+for)?|but\s+not|excluding|excl\.?|without|apart\s+from|not|but)\s+(?:on\s+|in\s+|every\s+|the\s+)?`;
const BUT_WEEKDAYS = wholeWords(`${BUT}(${WEEKDAYS})`);
const BUT_MONTHS = wholeWords(String.raw`${BUT}(${MONTHS})(?!\s+\d{1,2}(?![:.\d]))`);
const BUT_DAYS = wholeWords(String.raw`${BUT}(${DAY_SOURCE}(?:(?:\s*,\s*|\s+and\s+)${DAY_SOURCE})*)`);

/** All exceptions of a repeat that a text may say: "except Fridays", "but January", "not on 6 April". */
export function* exceptionsIn(text: string, context: LineContext): Generator<Candidate> {
  const slots = ['except'] as const;
  const at = (match: RegExpExecArray) => ({
    from: match.index + match[0].length - match[0].replace(/^,?\s*/, '').length,
    to: match.index + match[0].length,
  });
  for (const match of text.matchAll(BUT_WEEKDAYS))
    yield { ...at(match), score: 9, slots, said: { exceptWeekdays: weekdaysNamed(match[1]!) } };
  for (const match of text.matchAll(BUT_MONTHS))
    yield { ...at(match), score: 9, slots, said: { exceptMonths: monthsNamed(match[1]!) } };
  for (const match of text.matchAll(BUT_DAYS)) {
    const days = match[1]!.split(/\s*,\s*|\s+and\s+/).map((part) => readDay(part, context));
    const said = days.flatMap((day) => (day && 'day' in day && !day.isWeekday ? [day.day] : []));
    if (said.length === days.length && said.length > 0)
      yield { ...at(match), score: 12, slots, said: { exceptDays: said } };
  }
}
