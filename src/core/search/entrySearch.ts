import MiniSearch, { type SearchResult } from 'minisearch';
import { attachmentNamesOf, attendeesOf } from '../model/attendees';
import type { CalendarEvent } from '../model/entry';
import type { WorkingPattern } from '../model/settings';
import { foldText } from '../schedule/entryFilter';
import type { Occurrence } from '../schedule/occurrence';
import { dayWindow, type OccurrenceIndex } from '../schedule/occurrenceIndex';
import { isQueryEmpty, parseSearch, type SearchQuery } from './searchQuery';

/** Where words are looked for. */
export const SEARCH_FIELDS = ['title', 'place', 'notes', 'people', 'categories', 'attachments'] as const;
export type SearchField = (typeof SEARCH_FIELDS)[number];

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

/** An entry that was found: of a series, its next date, or the last one. */
export interface SearchHit {
  readonly occurrence: Occurrence;
  readonly fields: readonly SearchField[];
}

export interface SearchAnswer {
  readonly hits: readonly SearchHit[];
  /** How many entries were found in all, and in each field. */
  readonly total: number;
  readonly counts: Readonly<Record<SearchField, number>>;
  readonly problems: readonly string[];
}

/** Fewer than so many hits: then words that are nearly right count too. */
const FEW = 3;
/** Documents that are indexed before others get their turn. */
const CHUNK = 500;

const fieldsOf = (event: CalendarEvent): Record<SearchField, string> => ({
  title: event.title,
  place: event.location,
  notes: event.notes,
  people: attendeesOf(event)
    .map(({ name, address }) => `${name} ${address}`)
    .join('\n'),
  categories: event.categories.join('\n'),
  attachments: attachmentNamesOf(event).join('\n'),
});

/** Full-text search over the entries of an occurrence index. Its own index is made when it is first asked, and then follows. */
export class EntrySearch {
  private texts: MiniSearch<{ id: string } & Record<SearchField, string>> | undefined;
  private making: Promise<void> | undefined;
  /** The next dates of series, as they were found, by id. */
  private readonly next = new Map<string, Occurrence>();

  constructor(private readonly index: OccurrenceIndex) {}

  /** Forgets everything: the entries are others now. */
  reset(): void {
    this.texts = undefined;
    this.making = undefined;
    this.next.clear();
  }

  /** Follows a change of one event. */
  put(event: CalendarEvent): void {
    // A changed occurrence, or a day off, moves the next date of another record.
    this.next.clear();
    if (!this.texts) return;
    this.remove(event.id);
    this.texts.add({ id: event.id, ...fieldsOf(event) });
  }

  remove(id: string): void {
    this.next.clear();
    if (this.texts?.has(id)) this.texts.discard(id);
  }

  /** Makes the index, with pauses in which other questions are answered. */
  async prepare(): Promise<void> {
    this.making ??= (async () => {
      const texts = new MiniSearch<{ id: string } & Record<SearchField, string>>({
        fields: [...SEARCH_FIELDS],
        processTerm: (term) => foldText(term) || null,
      });
      this.texts = texts;
      const ids = [...this.index.all()].map(({ id }) => id);
      for (let start = 0; start < ids.length; start += CHUNK) {
        for (const id of ids.slice(start, start + CHUNK)) {
          const event = this.index.get(id);
          if (event && !texts.has(id)) texts.add({ id, ...fieldsOf(event) });
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
    const counts = Object.fromEntries(SEARCH_FIELDS.map((field) => [field, 0])) as Record<
      SearchField,
      number
    >;
    if (isQueryEmpty(query)) return { hits: [], total: 0, counts, problems: query.problems };
    await this.prepare();
    const test = this.test(query, request);
    const found = new Map<string, { event: CalendarEvent; fields: SearchField[]; score: number }>();
    for (const { id, fields, score } of this.candidates(query)) {
      const event = this.index.get(id);
      if (event && test(event)) found.set(id, { event, fields, score });
    }
    // A series is found once: its changed occurrences stand back where it is found itself.
    for (const [id, { event }] of found)
      if (event.seriesId !== undefined && found.has(event.seriesId)) found.delete(id);
    for (const { fields } of found.values()) for (const field of fields) counts[field]++;
    const { field } = request;
    const shown = [...found.values()].filter(({ fields }) => !field || fields.includes(field));
    const hits = shown
      .map(({ event, fields, score }) => ({
        occurrence: this.occurrenceFor(event, query, request),
        fields,
        score,
      }))
      .filter((hit): hit is typeof hit & { occurrence: Occurrence } => hit.occurrence !== undefined)
      .sort(
        (a, b) =>
          b.score - a.score ||
          nearness(a.occurrence, request.now) - nearness(b.occurrence, request.now) ||
          (a.occurrence.key < b.occurrence.key ? -1 : 1),
      )
      .slice(0, request.limit)
      .map(({ occurrence, fields }) => ({ occurrence, fields }));
    return { hits, total: shown.length, counts, problems: query.problems };
  }

  private *candidates(query: SearchQuery): Iterable<{ id: string; fields: SearchField[]; score: number }> {
    const text = [query.words, ...query.phrases].join(' ').trim();
    if (text === '') {
      for (const { id } of this.index.all()) yield { id, fields: [], score: 0 };
      return;
    }
    for (const result of this.search(text)) {
      const fields = SEARCH_FIELDS.filter((field) =>
        Object.values(result.match).some((matched) => matched.includes(field)),
      );
      // Rounded, so that among equally good ones the nearest in time comes first.
      yield { id: String(result.id), fields, score: Math.round(result.score * 2) / 2 };
    }
  }

  private search(text: string): SearchResult[] {
    const options = { combineWith: 'AND', boost: { title: 3, people: 2 }, prefix: true } as const;
    const exact = this.texts!.search(text, options);
    if (exact.length >= FEW) return exact;
    const known = new Set(exact.map(({ id }) => String(id)));
    const fuzzy = this.texts!.search(text, { ...options, fuzzy: (term) => (term.length > 3 ? 0.25 : false) });
    return [...exact, ...fuzzy.filter(({ id }) => !known.has(String(id)))];
  }

  private test(query: SearchQuery, request: SearchRequest): (event: CalendarEvent) => boolean {
    const phrases = query.phrases.map(foldText);
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
    return (event) => {
      if (wanted.length > 0 && !calendarIds.has(event.calendarId)) return false;
      const isSeries = !!event.recurrence || event.seriesId !== undefined;
      if (query.is && (query.is === 'series') !== isSeries) return false;
      if (query.has.includes('attachment') && attachmentNamesOf(event).length === 0) return false;
      if (query.has.includes('people') && attendeesOf(event).length === 0) return false;
      if (phrases.length === 0) return true;
      const text = foldText(Object.values(fieldsOf(event)).join('\n'));
      return phrases.every((phrase) => text.includes(phrase));
    };
  }

  /** The occurrence to show of an event: within the days asked for, of a series the next from now on, or the last. */
  private occurrenceFor(
    event: CalendarEvent,
    { from, end }: SearchQuery,
    { zone, now, workingPattern }: SearchRequest,
  ): Occurrence | undefined {
    const window =
      from === undefined && end === undefined
        ? undefined
        : dayWindow(from ?? -700_000, end ?? 2_900_000, zone);
    if (!event.recurrence || window)
      return this.index.representative(event.id, now, zone, { workingPattern }, window);
    const known = this.next.get(`${zone} ${event.id}`);
    if (known && known.end >= now) return known;
    const found = this.index.representative(event.id, now, zone, { workingPattern });
    if (found) this.next.set(`${zone} ${event.id}`, found);
    return found;
  }
}

const nearness = (occurrence: Occurrence, now: number): number =>
  // What is past counts as twice as far.
  occurrence.end >= now ? Math.max(0, occurrence.start - now) : 2 * (now - occurrence.end);
