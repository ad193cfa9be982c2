import { type Candidate, wholeWords } from '../candidate';
import type { LineContext } from '../lineContext';
import { linksIn } from '../../model/link';

const plain = (text: string): string => text.toLowerCase().replaceAll(/[^\p{L}\p{N}]/gu, '');
const SIGN = /(?<=^|\s)#([\p{L}\p{N}_&-]+)/gu;
const IN_CALENDAR =
  /(?<![\p{L}\p{N}])(?:in|into|to|on)\s+(?:the\s+|my\s+)?([\p{L}\p{N} ]{2,40}?)\s+calendar(?![\p{L}\p{N}])|(?<![\p{L}\p{N}])calendar:?\s+([\p{L}\p{N}]+(?:\s+[\p{L}\p{N}]+)?)/giu;

/** Calendars and categories: "#ME", "#site", "in the Meetings calendar"; a calendar's mark, name or the beginning of it. */
export function* calendarsIn(text: string, context: LineContext): Generator<Candidate> {
  const { calendars, categories = [] } = context;
  const find = (word: string) =>
    calendars.find(({ mark }) => plain(mark) === word) ??
    calendars.find(({ name }) => plain(name) === word) ??
    calendars.find(({ name }) => plain(name).startsWith(word));
  for (const match of text.matchAll(SIGN)) {
    const word = plain(match[1]!);
    if (word === '') continue;
    const at = { from: match.index, to: match.index + match[0].length };
    const category =
      categories.find((name) => plain(name) === word) ??
      categories.find((name) => plain(name).startsWith(word));
    const calendar = find(word);
    if (calendar) yield { ...at, score: 12, slots: ['calendar'], said: { calendarId: calendar.id } };
    else if (category) yield { ...at, score: 12, slots: [], said: { category } };
  }
  for (const match of text.matchAll(IN_CALENDAR)) {
    const calendar = find(plain((match[1] ?? match[2])!));
    const at = { from: match.index, to: match.index + match[0].length };
    if (calendar) yield { ...at, score: 12, slots: ['calendar'], said: { calendarId: calendar.id } };
  }
}

/** Words that say a state stand apart: at the end of the line, beside another part, in brackets or behind a comma. */
const STATE = String.raw`(?:(?:marked|mark|show|shown|shows)\s+(?:me\s+)?(?:as\s+)?|as\s+)?`;
const AVAILABILITY = wholeWords(
  String.raw`(?<state>${STATE})(?<word>tentative|tentatively|to\s+be\s+confirmed|tbc|provisional|provisionally|busy|free|away|out\s+of\s+office|ooo)`,
);
const VISIBILITY = wholeWords(
  String.raw`(?<state>${STATE}|keep\s+(?:it\s+)?)(?<word>private|privately|confidential|confidentially)`,
);

function* statesIn(
  text: string,
  expression: RegExp,
  isEdge: (from: number, to: number) => boolean,
  read: (word: string) => Pick<Candidate, 'slots' | 'said'>,
): Generator<Candidate> {
  for (const match of text.matchAll(expression)) {
    let [from, to] = [match.index, match.index + match[0].length];
    const isBracketed = text[from - 1] === '(' && text[to] === ')';
    if (isBracketed) {
      from--;
      to++;
    }
    const isTold = isBracketed || (match.groups?.state ?? '') !== '';
    // A line that is nothing but the word has it for a title; so has one that begins with it.
    if (!isTold && (!isEdge(from, to) || text.slice(0, from).trim() === '')) continue;
    yield { from, to, score: isTold ? 8 : 4.5, ...read(match.groups!.word!.toLowerCase()) };
  }
}

/** Availability and visibility: "tentative", "as free", "(private)". */
export function* statesOfEntryIn(text: string, edges: ReadonlySet<number>): Generator<Candidate> {
  const isEdge = (from: number, to: number): boolean => {
    const before = text.slice(0, from);
    const after = text.slice(to);
    const startsApart = /[,;]\s*$/u.test(before) || edges.has(before.trimEnd().length);
    const endsApart =
      /^\s*(?:$|[,;.!)#])/u.test(after) || edges.has(to + (/^\s*/u.exec(after)?.[0].length ?? 0));
    return endsApart && (startsApart || /\S\s+$/u.test(before));
  };
  yield* statesIn(text, AVAILABILITY, isEdge, (word) => ({
    slots: ['availability'],
    said: {
      availability: /^(?:tent|prov|tbc|to)/.test(word)
        ? 'tentative'
        : /^(?:away|out|ooo)/.test(word)
          ? 'away'
          : word === 'free'
            ? 'free'
            : 'busy',
    },
  }));
  yield* statesIn(text, VISIBILITY, isEdge, (word) => ({
    slots: ['visibility'],
    said: { classification: word.startsWith('conf') ? 'confidential' : 'private' },
  }));
}

/** A link: the address of a page. */
export function* linkPartsIn(text: string): Generator<Candidate> {
  for (const { from, to, url } of linksIn(text))
    yield { from, to, score: 20, slots: ['link'], said: { url } };
}
