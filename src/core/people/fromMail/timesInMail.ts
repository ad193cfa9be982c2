import type { EntryLineContext, EntryLineDraft } from '../../entryline/parseEntryLine';
import type { EventTime } from '../../model/eventTime';
import { instantOf } from '../../time/eventTime';
import { linksIn } from '../../model/link';

/** A time that a mail names, with the words that it stands in. */
export interface FoundTime {
  readonly words: string;
  readonly start: EventTime;
  readonly end: EventTime;
  /** Where it is to be, if these words say so. */
  readonly location: string;
}

/** So many pieces of a mail are looked at, and none that is longer: times stand in sentences. */
const MOST_PIECES = 400;
const LONGEST_PIECE = 300;
/** So many times are offered. */
const MOST_TIMES = 12;

/** What is quoted, and what a mail ends in. */
const QUOTED = /^\s*>/;
const SIGNATURE = /^-- ?$/;

/** The pieces of a text that may each name a time: sentences, and what is offered as an alternative. */
function piecesOf(text: string): string[] {
  const lines = text.split(/\r?\n/);
  const end = lines.findIndex((line) => SIGNATURE.test(line));
  return lines
    .slice(0, end < 0 ? undefined : end)
    .filter((line) => !QUOTED.test(line))
    .flatMap((line) => line.split(/[;?!]|\.\s|\s+or\s+|\s+oder\s+|\s+ou\s+/i))
    .map((piece) => piece.trim().replace(/^(?:[-*•]|\d{1,2}[.)])\s+/u, ''))
    .filter((piece) => piece !== '' && piece.length <= LONGEST_PIECE)
    .slice(0, MOST_PIECES);
}

const dateOf = (time: EventTime): string => (time.kind === 'date' ? time.date : time.local.slice(0, 10));

/**
 * All times that a mail names, each once, in the order in which they stand: read as the entry line reads them, on the writer's clock
 * and from the day on which it was written. A piece counts that names a day and an hour; an hour alone belongs to the day before it.
 * @param context with the writer's zone and the moment of writing
 */
export function timesInMail(
  text: string,
  parse: (line: string, context: EntryLineContext) => EntryLineDraft,
  context: EntryLineContext,
): FoundTime[] {
  const found = new Map<number, FoundTime>();
  let day = '';
  for (const piece of piecesOf(text)) {
    const first = parse(piece, context);
    const hasTime = first.said.includes('time');
    if (first.said.includes('day')) day = dateOf(first.start);
    // "Thursday at 10 or at 14:00"
    const read =
      hasTime && !first.said.includes('day') && day !== '' ? parse(`${day} ${piece}`, context) : first;
    if (!hasTime || !read.said.includes('day') || read.start.kind === 'date') continue;
    const at = instantOf(read.start, context.zone);
    if (!found.has(at))
      found.set(at, { words: piece, start: read.start, end: read.end, location: read.location });
    if (found.size >= MOST_TIMES) break;
  }
  return [...found.values()];
}

/** The first link of a text that looks like one; '' without one. */
export const linkInMail = (text: string): string => linksIn(text).next().value?.url ?? '';

/** The subject without what answers and forwards put before it. */
export const titleOfSubject = (subject: string): string =>
  subject.replace(/^(?:\s*(?:re|fwd?|aw|wg|tr|rv)\s*:)+/i, '').trim();
