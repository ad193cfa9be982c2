import { dayNumber, isRealDate, parseDate } from '../time/civil';

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
  readonly is?: 'series' | 'single';
  readonly has: readonly ('attachment' | 'people')[];
  /** Operators that could not be understood. */
  readonly problems: readonly string[];
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

/** Reads a search line: `#ME`, `from:2027-01`, `to:2027-03-31`, `is:series`, `has:attachment`, `"exact words"`, and words. */
export function parseSearch(text: string): SearchQuery {
  const phrases: string[] = [];
  const calendars: string[] = [];
  const has: ('attachment' | 'people')[] = [];
  const problems: string[] = [];
  const words: string[] = [];
  let from: number | undefined;
  let end: number | undefined;
  let is: SearchQuery['is'];
  const withoutPhrases = text.replaceAll(/"([^"]*)"?/g, (_, phrase: string) => {
    if (phrase.trim() !== '') phrases.push(phrase.trim());
    return ' ';
  });
  for (const part of withoutPhrases.split(/\s+/)) {
    if (part === '') continue;
    const operator = /^(from|to|is|has):(.*)$/i.exec(part);
    if (part.startsWith('#') && part.length > 1) calendars.push(part.slice(1));
    else if (!operator) words.push(part);
    else {
      const name = operator[1]!.toLowerCase();
      const value = operator[2]!.toLowerCase();
      const days = name === 'from' || name === 'to' ? daysOfDate(value) : undefined;
      if (name === 'from' && days) from = days.first;
      else if (name === 'to' && days) end = days.end;
      else if (name === 'is' && (value === 'series' || value === 'single')) is = value;
      else if (name === 'has' && (value === 'attachment' || value === 'people')) has.push(value);
      // Still being typed: not wrong yet.
      else if (value !== '') problems.push(part);
    }
  }
  return {
    words: words.join(' '),
    phrases,
    calendars,
    has,
    problems,
    ...(from === undefined ? {} : { from }),
    ...(end === undefined ? {} : { end }),
    ...(is ? { is } : {}),
  };
}

/** Whether a query asks for nothing yet. */
export const isQueryEmpty = (query: SearchQuery): boolean =>
  query.words === '' &&
  query.phrases.length + query.calendars.length + query.has.length === 0 &&
  query.from === undefined &&
  query.end === undefined &&
  query.is === undefined;
