import type { Availability, Classification, Recurrence } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import type { Reminder } from '../model/reminder';
import type { Candidate, Doubt, GuestSaid, LineProblem, Slot } from './candidate';
import { likeliestReading, saidBy } from './choose';
import { type EntryLineContext, type LineContext, lineContext } from './lineContext';
import { lineText } from './lineText';
import { timesOf } from './meaning';
import { allDayIn, lengthsIn } from './parts/lengths';
import { daysIn } from './parts/days';
import { dayRangesIn, momentsIn, spansIn, timeRangesIn } from './parts/ranges';
import { exceptionsIn, repeatEndsIn } from './parts/repeatEnds';
import { repeatsIn } from './parts/repeats';
import { guestsIn } from './parts/guests';
import { placesIn } from './parts/places';
import { remindersIn } from './parts/reminders';
import { calendarsIn, linkPartsIn, statesOfEntryIn } from './parts/signs';
import { partsOfDayIn, timesFromNowIn, timesIn } from './parts/times';
import { zonesIn } from './parts/zones';

export type { EntryLineContext } from './lineContext';
export type { LineProblem } from './candidate';

/** A part of the line that was understood, in the order of the chips. */
const UNDERSTOOD_PARTS = [
  'day',
  'time',
  'length',
  'repeat',
  'zone',
  'place',
  'people',
  'calendar',
  'category',
  'availability',
  'visibility',
  'reminder',
  'link',
] as const;
export type UnderstoodPart = (typeof UNDERSTOOD_PARTS)[number];

/** Where in the written line a part is said, half-open, and what it says. */
export interface SaidPart {
  readonly from: number;
  readonly to: number;
  readonly parts: readonly UnderstoodPart[];
}

/** What a line of words means. */
export interface EntryLineDraft {
  readonly title: string;
  readonly start: EventTime;
  readonly end: EventTime;
  readonly location: string;
  /** How it repeats, if the line says so. */
  readonly recurrence?: Recurrence;
  /** The calendar that is named, if one is. */
  readonly calendarId?: string;
  readonly categories: readonly string[];
  readonly availability?: Availability;
  readonly classification?: Classification;
  /** None at all where the line says that there is none. */
  readonly reminders?: readonly Reminder[];
  readonly url?: string;
  /** Who is invited, each once. */
  readonly guests: readonly GuestSaid[];
  /** What was said, rather than filled in. */
  readonly said: readonly UnderstoodPart[];
  /** Where it was said. */
  readonly spans: readonly SaidPart[];
  readonly problems: readonly LineProblem[];
  /** What could be meant otherwise: the first choice of each is taken. */
  readonly doubts: readonly (Doubt & { readonly part: UnderstoodPart })[];
}

const PART_OF_SLOT: Readonly<Record<Slot, UnderstoodPart>> = {
  day: 'day',
  time: 'time',
  length: 'length',
  lastDay: 'length',
  dayPart: 'time',
  repeat: 'repeat',
  repeatEnd: 'repeat',
  except: 'repeat',
  zone: 'zone',
  place: 'place',
  calendar: 'calendar',
  availability: 'availability',
  visibility: 'visibility',
  link: 'link',
};

/** Words between two parts that belong to neither and to no title. */
const GLUE =
  /^(?:[\s,;:.()+&-]|(?<![\p{L}])(?:and|on|at|from|for|starting|the|of|in|by|to|with|then)(?![\p{L}]))*$/iu;

/** All parts that a line may say. */
function candidatesIn(text: string, context: LineContext): Candidate[] {
  const links = [...linkPartsIn(text)];
  const times = [...timesIn(text), ...timeRangesIn(text), ...allDayIn(text)];
  const spans = [...spansIn(text, context), ...momentsIn(text, context)];
  const found = [
    ...links,
    ...times,
    ...spans,
    ...daysIn(text, context),
    ...dayRangesIn(text, context),
    ...partsOfDayIn(text, context),
    ...timesFromNowIn(text, context),
    ...lengthsIn(text),
    ...repeatsIn(text),
    ...repeatEndsIn(text, context),
    ...exceptionsIn(text, context),
    ...calendarsIn(text, context),
    ...remindersIn(text),
    ...guestsIn(text, context),
  ];
  const timeEnds = [...times, ...spans].filter(({ slots }) => slots.includes('time')).map(({ to }) => to);
  found.push(...zonesIn(text, timeEnds, context));
  const strong = found.filter(({ score, to, from }) => score >= 4 && to > from);
  found.push(
    ...placesIn(
      text,
      strong.map(({ from }) => from),
    ),
  );
  // A state stands apart where a part ends before it or begins behind it.
  const edges = new Set(strong.flatMap(({ from, to }) => [from, to]));
  for (const { from, to } of [...statesOfEntryIn(text, edges)]) edges.add(from).add(to);
  found.push(...statesOfEntryIn(text, edges));
  const inLink = ({ from, to }: Candidate) => links.some((link) => from < link.to && to > link.from);
  return found.filter((candidate) => candidate.slots.includes('link') || !inLink(candidate));
}

/** Leaves out what overlaps a piece of the line that is to stay in the title. */
function withoutKept(text: string, candidates: readonly Candidate[], kept: readonly string[]): Candidate[] {
  const small = text.toLowerCase();
  const spans = kept.flatMap((piece) => {
    const at: [number, number][] = [];
    const wanted = piece.trim().toLowerCase();
    for (let from = wanted ? small.indexOf(wanted) : -1; from !== -1; from = small.indexOf(wanted, from + 1))
      at.push([from, from + wanted.length]);
    return at;
  });
  return candidates.filter(({ from, to }) => !spans.some(([first, end]) => from < end && to > first));
}

const partsOfCandidate = ({ slots, said }: Candidate): UnderstoodPart[] => {
  const parts = slots.map((slot) => PART_OF_SLOT[slot]);
  if (said.category !== undefined) return ['category'];
  if (said.guests) return ['people'];
  return said.reminder || said.hasNoReminder ? ['reminder'] : [...new Set(parts)];
};

/**
 * Reads one line of ordinary words as an entry: "Crane survey review Thu 15:30 45 min at Lamp room #ME". All that it may
 * say is found, and the likeliest reading of the whole is taken. A day without a time makes an all-day entry; nothing is
 * refused, what was not said is filled in, and every letter is in the title or in a part.
 */
export function parseEntryLine(line: string, given: EntryLineContext): EntryLineDraft {
  const context = lineContext(given);
  const { text, written } = lineText(line);
  const all = withoutKept(text, candidatesIn(text, context), context.kept ?? []);
  const problemsApart = all
    .filter(({ problem, from, to }) => problem && from === to)
    .map(({ problem }) => problem!);
  const reading = likeliestReading(
    text,
    all.filter(({ from, to }) => to > from),
  );
  const parts = reading.filter(({ isTitle }) => !isTitle);
  const said = saidBy(parts);
  const spans = spansOf(text, parts, written);
  const title = titleOf(line, spans);
  const times = timesOf(said, title, context);
  const reminders = parts.flatMap(({ said: { reminder } }) => reminder ?? []);
  const categories = parts.flatMap(({ said: { category } }) => (category === undefined ? [] : [category]));
  const guests = new Map(
    parts.flatMap(({ said: { guests: named = [] } }) =>
      named.map((guest) => [guest.personId, guest] as const),
    ),
  );
  const problems = [...reading.flatMap(({ problem }) => (problem ? [problem] : [])), ...problemsApart];
  const order = (part: UnderstoodPart) => UNDERSTOOD_PARTS.indexOf(part);
  return {
    title,
    start: times.start,
    end: times.end,
    location: said.placeAt ? line.slice(written(said.placeAt[0]), written(said.placeAt[1])).trimEnd() : '',
    ...(times.recurrence ? { recurrence: times.recurrence } : {}),
    ...(said.calendarId === undefined ? {} : { calendarId: said.calendarId }),
    categories,
    ...(said.availability ? { availability: said.availability } : {}),
    ...(said.classification ? { classification: said.classification } : {}),
    ...(reminders.length > 0 || said.hasNoReminder ? { reminders } : {}),
    ...(said.url === undefined ? {} : { url: said.url }),
    guests: [...guests.values()],
    said: [...new Set(spans.flatMap((span) => span.parts))].sort((a, b) => order(a) - order(b)),
    spans,
    problems,
    doubts: [
      ...parts.flatMap(({ doubt }) => (doubt ? [{ ...doubt, part: 'day' as const }] : [])),
      ...(times.doubt ? [{ ...times.doubt, part: 'time' as const }] : []),
    ],
  };
}

/** Another meaning of a draft's part, and the habit that takes it from now on. */
export interface OtherReading {
  readonly part: UnderstoodPart;
  readonly pattern: string;
  readonly choice: string;
  readonly draft: EntryLineDraft;
}

/** The other readings of a line that are about as likely as its draft. */
export const otherReadings = (
  line: string,
  { doubts }: EntryLineDraft,
  given: EntryLineContext,
): OtherReading[] =>
  doubts.flatMap(({ part, pattern, choices }) =>
    choices.slice(1).map((choice) => ({
      part,
      pattern,
      choice,
      draft: parseEntryLine(line, { ...given, habits: { ...given.habits, [pattern]: choice } }),
    })),
  );

/** Where the parts stand in the written line, each with the little words that lead to it from the one before. */
function spansOf(text: string, parts: readonly Candidate[], written: (index: number) => number): SaidPart[] {
  let end = 0;
  return parts.map((part, index) => {
    const between = text.slice(end, part.from);
    const isLed = index > 0 && /[\p{L}]/u.test(between) && GLUE.test(between);
    const from = isLed ? end : part.from;
    end = part.to;
    return { from: written(from), to: written(part.to), parts: partsOfCandidate(part) };
  });
}

/** What remains of the line beside its parts. */
function titleOf(line: string, spans: readonly SaidPart[]): string {
  let title = '';
  let end = 0;
  for (const span of spans) {
    title += `${line.slice(end, span.from)}\u0001`;
    end = span.to;
  }
  title += line.slice(end);
  return title
    .replaceAll(/[([](?:\s*\u0001)+\s*[)\]]/gu, ' ')
    .replaceAll(/\s*[,;]\s*(?=\u0001)|(?<=\u0001)\s*[,;.!?]+(?=\s|$|\u0001)/gu, ' ')
    .replaceAll(/[\u0001\s]+/gu, ' ')
    .replaceAll(/^[\s,;:-]+|[\s,;:-]+$/gu, '');
}
