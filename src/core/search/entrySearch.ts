import MiniSearch, { type SearchOptions, type SearchResult } from 'minisearch';
import { attachmentNamesOf, attendeesOf } from '../model/attendees';
import { type Entry, isDated, isTodo } from '../model/entry';
import { type OwnNote, ownNoteId } from '../model/ownNote';
import type { WorkingPattern } from '../model/settings';
import { foldText } from '../schedule/entryFilter';
import type { Occurrence } from '../schedule/occurrence';
import type { EntryIndex } from '../schedule/entryIndex';
import { dayWindow } from '../schedule/occurrenceIndex';
import { civilDate, DAY, dayNumber, MINUTE, parseDate } from '../time/civil';
import { instantToWall } from '../time/zones';
import { isSettled } from '../schedule/standing';
import { dueOf } from '../todos/todoSpan';
import { isWhat } from './isWhat';
import { isQueryEmpty, parseSearch, type PlainTimes, type SearchQuery } from './searchQuery';
import { anyRowOf, type EntryFieldName, SEARCHED_FIELDS, searchTexts } from '../fields/fieldsOf';

/** Where words are looked for: a field whose row says so. */
export type SearchField = EntryFieldName;

/** A search as it is asked. */
export interface SearchRequest {
  readonly text: string;
  /** Only what is found in this field. */
  readonly field?: SearchField;
  readonly zone: string;
  readonly now: number;
  readonly workingPattern: WorkingPattern;
  readonly calendars: readonly { readonly id: string; readonly name: string; readonly mark: string }[];
  readonly limit: number;
}

/** An entry that was found. */
export interface SearchHit {
  /** A `targetKey`. */
  readonly key: string;
  readonly kind: Entry['kind'];
  readonly calendarId: string;
  readonly title: string;
  readonly location: string;
  /** Of a series, its next date, or the last one; undefined for a to-do without a date. */
  readonly occurrence: Occurrence | undefined;
  /** Whether a to-do is done or called off, and whether it is due at the end of its occurrence. */
  readonly isOver: boolean;
  readonly isDue: boolean;
  readonly isRecurring: boolean;
  readonly fields: readonly SearchField[];
}

function hitOf({ entry, occurrence, fields }: Found): SearchHit {
  const { id, kind, calendarId, title, location } = entry;
  return {
    key: occurrence?.key ?? id,
    kind,
    calendarId,
    title: occurrence?.title ?? title,
    location: occurrence?.location ?? location,
    occurrence,
    isOver: isTodo(entry) && isSettled(entry),
    isDue: isTodo(entry) && dueOf(entry) !== undefined,
    isRecurring: entry.recurrence !== undefined || entry.seriesId !== undefined,
    fields,
  };
}

export interface SearchAnswer {
  readonly hits: readonly SearchHit[];
  /** How many entries were found in all, and in each field. */
  readonly total: number;
  readonly counts: Readonly<Partial<Record<SearchField, number>>>;
  readonly problems: readonly string[];
}

/** What a search line finds in all, and which days it names, half-open. */
export interface FoundIds {
  readonly ids?: ReadonlySet<string>;
  readonly days?: { readonly first: number; readonly end: number };
  readonly problems: readonly string[];
}

/** Where a line names one end of its days alone, so many days from there or from today are meant. */
const OPEN_DAYS = 5 * 366;

/** Fewer than so many hits: then words that are nearly right count too. */
const FEW = 3;
/** Documents that are indexed before others get their turn. */
const CHUNK = 500;

interface Found {
  readonly entry: Entry;
  readonly occurrence: Occurrence | undefined;
  readonly fields: readonly SearchField[];
  readonly score: number;
}

/** How much a hit in each field counts. */
const BOOSTS = Object.fromEntries(
  SEARCHED_FIELDS.map((name) => [name, anyRowOf(name).search?.boost ?? 1] as const),
);

/** A document of the index: the texts of an entry by their fields. */
type Texts = Readonly<Record<string, string>>;

/** Full-text search over all entries. Its own index is made when it is first asked, and then follows. */
export class EntrySearch {
  private texts: MiniSearch<{ id: string } & Texts> | undefined;
  private making: Promise<void> | undefined;
  /** The next dates of series, as they were found, by id. */
  private readonly next = new Map<string, Occurrence>();

  /** The person's own notes, by the id that they have for an entry. */
  private readonly ownNotes = new Map<string, string>();

  constructor(private readonly index: EntryIndex) {}

  private textsOf(entry: Entry): Texts {
    const texts = searchTexts(entry);
    const ownNote = this.ownNotes.get(ownNoteId(entry.calendarId, entry.uid));
    return ownNote ? { ...texts, notes: `${texts.notes ?? ''}\n${ownNote}` } : texts;
  }

  /** Replaces all notes of the person's own. */
  loadNotes(notes: Iterable<Pick<OwnNote, 'id' | 'text'>>): void {
    this.ownNotes.clear();
    for (const { id, text } of notes) this.ownNotes.set(id, text);
    this.texts = undefined;
    this.making = undefined;
  }

  /** Follows a change of a note of the person's own; undefined where it is taken away. */
  putNote(id: string, text: string | undefined): void {
    if (text === undefined) this.ownNotes.delete(id);
    else this.ownNotes.set(id, text);
    for (const entry of this.index.all()) if (ownNoteId(entry.calendarId, entry.uid) === id) this.put(entry);
  }

  /** Forgets everything: the entries are others now. */
  reset(): void {
    this.texts = undefined;
    this.making = undefined;
    this.next.clear();
  }

  /** Follows a change of one entry. */
  put(entry: Entry): void {
    // A changed occurrence, or a day off, moves the next date of another record.
    this.next.clear();
    if (!this.texts) return;
    this.remove(entry.id);
    this.texts.add({ id: entry.id, ...this.textsOf(entry) });
  }

  remove(id: string): void {
    this.next.clear();
    if (this.texts?.has(id)) this.texts.discard(id);
  }

  /** Makes the index, with pauses in which other questions are answered. */
  async prepare(): Promise<void> {
    this.making ??= (async () => {
      const texts = new MiniSearch<{ id: string } & Texts>({
        fields: [...SEARCHED_FIELDS],
        processTerm: (term) => foldText(term) || null,
      });
      this.texts = texts;
      const ids = [...this.index.all()].map(({ id }) => id);
      for (let start = 0; start < ids.length; start += CHUNK) {
        for (const id of ids.slice(start, start + CHUNK)) {
          const entry = this.index.get(id);
          if (entry && !texts.has(id)) texts.add({ id, ...this.textsOf(entry) });
        }
        await new Promise((resolve) => setTimeout(resolve, 0));
        if (this.texts !== texts) return;
      }
    })();
    return this.making;
  }

  /** What a search line finds, the best first. */
  async find(request: SearchRequest): Promise<SearchAnswer> {
    const query = parseSearch(request.text);
    const counts: Partial<Record<SearchField, number>> = {};
    if (isQueryEmpty(query)) return { hits: [], total: 0, counts, problems: query.problems };
    await this.prepare();
    const found = new Map<string, Found>();
    const take = (asked: SearchQuery, further: number) => {
      const test = this.test(asked, request);
      for (const { id, fields, score } of this.candidates(asked)) {
        const entry = this.index.get(id);
        if (!entry || found.has(id) || !mayBeAt(entry, asked.times) || !test(entry)) continue;
        const occurrence = isDated(entry) ? this.occurrenceFor(entry, asked, request) : undefined;
        if (occurrence || isAnytime(entry, asked))
          found.set(id, { entry, occurrence, fields, score: score + further });
      }
    };
    take({ ...query, times: undefined }, query.times ? 1 : 0);
    // What plain words say of a time is found, too, after what holds the words.
    if (query.times) take({ ...query, words: query.times.words }, 0);
    // A series is found once: its changed occurrences stand back where it is found itself.
    for (const [id, { entry }] of found)
      if (entry.seriesId !== undefined && found.has(entry.seriesId)) found.delete(id);
    for (const { fields } of found.values())
      for (const field of fields) counts[field] = (counts[field] ?? 0) + 1;
    const { field } = request;
    const shown = [...found.values()].filter(({ fields }) => !field || fields.includes(field));
    const hits = shown
      .sort(
        (a, b) =>
          b.score - a.score ||
          difference(nearness(a.occurrence, request.now), nearness(b.occurrence, request.now)) ||
          (a.entry.id < b.entry.id ? -1 : 1),
      )
      .slice(0, request.limit)
      .map(hitOf);
    return { hits, total: shown.length, counts, problems: query.problems };
  }

  /**
   * All entries that a search line finds, whenever they are, and the days that its operators name.
   * @returns no ids where it asks for nothing but days
   */
  async idsOf(request: SearchRequest): Promise<FoundIds> {
    const { from, end, ...query } = parseSearch(request.text);
    const { problems } = query;
    const today = Math.floor(instantToWall(request.zone, request.now) / DAY);
    const days =
      from === undefined && end === undefined
        ? undefined
        : {
            first: from ?? Math.min(today, end!) - OPEN_DAYS,
            end: end ?? Math.max(today, from!) + OPEN_DAYS,
          };
    const named = days ? { days, problems } : { problems };
    if (isQueryEmpty(query)) return named;
    await this.prepare();
    const ids = new Set<string>();
    const take = (asked: SearchQuery) => {
      const test = this.test(asked, request);
      for (const { id } of this.candidates(asked)) {
        const entry = this.index.get(id);
        if (!entry || ids.has(id) || !mayBeAt(entry, asked.times) || !test(entry)) continue;
        if (!asked.times || (isDated(entry) && this.occurrenceFor(entry, asked, request))) ids.add(id);
      }
    };
    take({ ...query, times: undefined });
    if (query.times) take({ ...query, words: query.times.words });
    return { ids, ...named };
  }

  private *candidates(query: SearchQuery): Iterable<{ id: string; fields: SearchField[]; score: number }> {
    const text = [query.words, ...query.phrases].join(' ').trim();
    if (text === '') {
      for (const { id } of this.index.all()) yield { id, fields: [], score: 0 };
      return;
    }
    for (const result of this.search(text)) {
      const fields = SEARCHED_FIELDS.filter((field) =>
        Object.values(result.match).some((matched) => matched.includes(field)),
      );
      // Rounded, so that among equally good ones the nearest in time comes first.
      yield { id: String(result.id), fields, score: Math.round(result.score * 2) / 2 };
    }
  }

  private search(text: string): SearchResult[] {
    const options = { combineWith: 'AND', boost: BOOSTS, prefix: true } satisfies SearchOptions;
    const exact = this.texts!.search(text, options);
    if (exact.length >= FEW) return exact;
    const known = new Set(exact.map(({ id }) => String(id)));
    const fuzzy = this.texts!.search(text, { ...options, fuzzy: (term) => (term.length > 3 ? 0.25 : false) });
    return [...exact, ...fuzzy.filter(({ id }) => !known.has(String(id)))];
  }

  private test(query: SearchQuery, request: SearchRequest): (entry: Entry) => boolean {
    const phrases = query.phrases.map(foldText);
    const without = query.without.map(foldText);
    const wanted = query.calendars.map(foldText);
    const calendarIds = new Set(
      request.calendars
        .filter(({ name, mark }) =>
          wanted.some(
            (word) => foldText(mark) === word || foldText(name).replaceAll(' ', '').startsWith(word),
          ),
        )
        .map(({ id }) => id),
    );
    return (entry) => {
      if (wanted.length > 0 && !calendarIds.has(entry.calendarId)) return false;
      if (!query.is.every((word) => isWhat(word, entry, request))) return false;
      if (query.has.includes('attachment') && attachmentNamesOf(entry).length === 0) return false;
      if (query.has.includes('people') && attendeesOf(entry).length === 0) return false;
      if (phrases.length + without.length === 0) return true;
      const text = foldText(Object.values(this.textsOf(entry)).join('\n'));
      if (without.length > 0) {
        const words = text.split(/[^\p{L}\p{N}]+/u);
        if (without.some((left) => words.some((word) => word.startsWith(left)))) return false;
      }
      return phrases.every((phrase) => text.includes(phrase));
    };
  }

  /** The occurrence to show of an entry: within the days asked for, of a series the next from now on, or the last. */
  private occurrenceFor(
    entry: Entry,
    { from, end, times }: SearchQuery,
    { zone, now, workingPattern }: SearchRequest,
  ): Occurrence | undefined {
    const first = Math.max(from ?? -Infinity, times?.days?.first ?? -Infinity);
    const last = Math.min(end ?? Infinity, times?.days?.end ?? Infinity);
    const isBounded = Number.isFinite(first) || Number.isFinite(last);
    const window = isBounded
      ? dayWindow(Math.max(first, -700_000), Math.min(last, 2_900_000), zone)
      : undefined;
    const near = (within: typeof window) =>
      this.index.representative(entry.id, now, zone, { workingPattern }, within);
    const fits = (occurrence: Occurrence | undefined): occurrence is Occurrence =>
      occurrence !== undefined &&
      (times?.minute === undefined ||
        (!occurrence.allDay && minuteOfDay(occurrence.startWall) === times.minute)) &&
      (times?.month === undefined || monthOfDay(occurrence.startWall) === times.month);
    if (times?.month !== undefined && entry.recurrence) {
      // Of a series the next such month, else the last one.
      for (const year of [0, 1, -1]) {
        const { year: present } = civilDate(Math.floor(instantToWall(zone, now) / DAY));
        const month = monthDays(present + year, times.month);
        const within = dayWindow(Math.max(month.first, first), Math.min(month.end, last), zone);
        const found = within.start < within.end ? near(within) : undefined;
        if (fits(found)) return found;
      }
      return undefined;
    }
    if (entry.recurrence && !window && times?.minute === undefined)
      return this.nextOf(entry, zone, now, workingPattern);
    const found = near(window);
    return fits(found) ? found : undefined;
  }

  /** The next date of a series, or the last one; found once. */
  private nextOf(
    entry: Entry,
    zone: string,
    now: number,
    workingPattern: WorkingPattern,
  ): Occurrence | undefined {
    const known = this.next.get(`${zone} ${entry.id}`);
    if (known && known.end >= now) return known;
    const found = this.index.representative(entry.id, now, zone, { workingPattern });
    if (found) this.next.set(`${zone} ${entry.id}`, found);
    return found;
  }
}

/** Whether an entry that is on no day is asked for: no days are named. */
const isAnytime = (entry: Entry, { from, end, times }: SearchQuery): boolean =>
  !isDated(entry) && from === undefined && end === undefined && times === undefined;

/** Whether a single entry can be at the times asked for, as its own date says: a zone moves it by a day at the most. */
function mayBeAt(entry: Entry, times: PlainTimes | undefined): boolean {
  if (!times || entry.recurrence) return true;
  if (!entry.start) return false;
  const day = parseDate(entry.start.kind === 'date' ? entry.start.date : entry.start.local);
  if (times.days) return day >= times.days.first - 400 && day <= times.days.end;
  return times.month === undefined || [-1, 0, 1].some((by) => civilDate(day + by).month === times.month);
}

const difference = (a: number, b: number): number => (a === b ? 0 : a - b);
const minuteOfDay = (wall: number): number => Math.floor((wall - Math.floor(wall / DAY) * DAY) / MINUTE);
const monthOfDay = (wall: number): number => civilDate(Math.floor(wall / DAY)).month;
const monthDays = (year: number, month: number): { first: number; end: number } => ({
  first: dayNumber(year, month, 1),
  end: dayNumber(month === 12 ? year + 1 : year, month === 12 ? 1 : month + 1, 1),
});

const nearness = (occurrence: Occurrence | undefined, now: number): number =>
  // What is past counts as twice as far; what is on no day comes last.
  !occurrence
    ? Infinity
    : occurrence.end >= now
      ? Math.max(0, occurrence.start - now)
      : 2 * (now - occurrence.end);
