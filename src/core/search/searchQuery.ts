import { dayNumber, isRealDate, parseDate } from '../time/civil';
import { MONTH_NAMES } from '../time/monthNames';

/** What an entry can be asked to be after `is:`. What is open or done is a to-do. */
const IS_WORDS = ['series', 'single', 'event', 'todo', 'open', 'done', 'overdue'] as const;
export type IsWord = (typeof IS_WORDS)[number];

/** What a search asks for: words, and what operators say. */
export interface SearchQuery {
  /** Words to be found, in any field, the last of them perhaps unfinished. */
  readonly words: string;
  /** Texts between quotation marks, to be found as they stand. */
  readonly phrases: readonly string[];
  /** Marks or names of calendars after `#`. */
  readonly calendars: readonly string[];
  /** Day numbers, half-open. */
  readonly from?: number;
  readonly end?: number;
  /** All of these must hold. */
  readonly is: readonly IsWord[];
  readonly has: readonly ('attachment' | 'people')[];
  /** Words after `-`: what holds one of them is left out. */
  readonly without: readonly string[];
  /** What of the words says a time: then they are that, or found as words. */
  readonly times?: PlainTimes | undefined;
  /** Operators that could not be understood. */
  readonly problems: readonly string[];
}

/** Days, a month or a time of the day that was typed plainly, and the words beside them. */
export interface PlainTimes {
  readonly words: string;
  /** Day numbers, half-open. */
  readonly days?: { readonly first: number; readonly end: number };
  /** A month of any year, January 1. */
  readonly month?: number;
  /** Minutes of the day. */
  readonly minute?: number;
}

/** The month that a name, or its beginning of three letters, stands for. */
const monthOf = (word: string): number => {
  const said = word.toLowerCase().replace(/\.$/, '');
  return said.length < 3
    ? 0
    : MONTH_NAMES.findIndex((name) => name === said || name.slice(0, 3) === said) + 1;
};

/** The minute of the day that `14:00`, `9.30` or `2pm` stands for. */
function minuteOf(word: string): number | undefined {
  const match = /^(\d{1,2})(?:[:.](\d{2}))?\s*(am|pm)?$/i.exec(word);
  if (!match || (match[2] === undefined && match[3] === undefined)) return undefined;
  const [, hours, minutes = '0', half] = match;
  const hour = half ? (Number(hours) % 12) + (half.toLowerCase() === 'pm' ? 12 : 0) : Number(hours);
  return hour < 24 && Number(minutes) < 60 ? hour * 60 + Number(minutes) : undefined;
}

/** What plain words say of a time: `2027-03-09`, `2027-03`, `March`, `March 2027`, `14:00`. */
function plainTimes(words: readonly string[]): PlainTimes | undefined {
  let days: PlainTimes['days'];
  let month: number | undefined;
  let minute: number | undefined;
  const rest: string[] = [];
  for (const [index, word] of words.entries()) {
    const named = monthOf(word);
    const dated = /^\d{4}-/.test(word) ? daysOfDate(word) : undefined;
    const clock = minuteOf(word);
    const isYear = /^\d{4}$/.test(word) && index > 0 && monthOf(words[index - 1]!) > 0;
    if (dated) days = dated;
    else if (named) month = named;
    else if (isYear) days = daysOfDate(`${word}-${monthOf(words[index - 1]!)}`);
    else if (clock !== undefined) minute = clock;
    else rest.push(word);
  }
  if (!days && month === undefined && minute === undefined) return undefined;
  return {
    words: rest.join(' '),
    ...(days ? { days } : month === undefined ? {} : { month }),
    ...(minute === undefined ? {} : { minute }),
  };
}

/** The days that `2027`, `2027-03` or `2027-03-09` stands for, half-open; undefined for anything else. */
function daysOfDate(text: string): { first: number; end: number } | undefined {
  const match = /^(\d{4})(?:-(\d{1,2})(?:-(\d{1,2}))?)?$/.exec(text);
  if (!match) return undefined;
  const [, year, month, day] = match;
  if (!month) return { first: dayNumber(Number(year), 1, 1), end: dayNumber(Number(year) + 1, 1, 1) };
  const number = Number(month);
  if (number < 1 || number > 12) return undefined;
  if (!day)
    return {
      first: dayNumber(Number(year), number, 1),
      end: dayNumber(Number(year) + (number === 12 ? 1 : 0), (number % 12) + 1, 1),
    };
  const date = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`;
  return isRealDate(date) ? { first: parseDate(date), end: parseDate(date) + 1 } : undefined;
}

/**
 * Reads a search line: `#ME`, `since:2027-01`, `until:2027-03-31`, `is:series`, `is:todo`,
 * `has:attachment`, `"exact words"`,
 * `-without`, and words, of which some may say a time. `from:` and `to:` are older names of `since:` and `until:`.
 */
export function parseSearch(text: string): SearchQuery {
  const phrases: string[] = [];
  const calendars: string[] = [];
  const has: ('attachment' | 'people')[] = [];
  const problems: string[] = [];
  const words: string[] = [];
  const without: string[] = [];
  let from: number | undefined;
  let end: number | undefined;
  const is: IsWord[] = [];
  const withoutPhrases = text.replaceAll(/"([^"]*)"?/g, (_, phrase: string) => {
    if (phrase.trim() !== '') phrases.push(phrase.trim());
    return ' ';
  });
  for (const part of withoutPhrases.split(/\s+/)) {
    if (part === '') continue;
    const operator = /^(since|until|from|to|is|has):(.*)$/i.exec(part);
    if (part.startsWith('#') && part.length > 1) calendars.push(part.slice(1));
    else if (/^-./.test(part)) without.push(part.slice(1));
    else if (!operator) words.push(part);
    else {
      const name = OLDER[operator[1]!.toLowerCase()] ?? operator[1]!.toLowerCase();
      const value = operator[2]!.toLowerCase();
      const days = name === 'since' || name === 'until' ? daysOfDate(value) : undefined;
      if (name === 'since' && days) from = days.first;
      else if (name === 'until' && days) end = days.end;
      else if (name === 'is' && isWord(value)) is.push(value);
      else if (name === 'has' && (value === 'attachment' || value === 'people')) has.push(value);
      // Still being typed: not wrong yet.
      else if (value !== '') problems.push(part);
    }
  }
  const times = plainTimes(words);
  return {
    words: words.join(' '),
    phrases,
    calendars,
    is,
    has,
    without,
    problems,
    ...(times ? { times } : {}),
    ...(from === undefined ? {} : { from }),
    ...(end === undefined ? {} : { end }),
  };
}

const isWord = (value: string): value is IsWord => IS_WORDS.some((word) => word === value);

const OLDER: Readonly<Record<string, string>> = { from: 'since', to: 'until' };

/** Whether a query asks for nothing yet. */
export const isQueryEmpty = (query: SearchQuery): boolean =>
  query.words === '' &&
  query.phrases.length + query.calendars.length + query.has.length + query.without.length === 0 &&
  query.from === undefined &&
  query.end === undefined &&
  query.is.length === 0;
