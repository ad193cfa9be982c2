import type { Calendar } from '@/core/model/calendar';
import type { CalendarEvent } from '@/core/model/entry';
import { makePatch, put } from '@/core/change/patch';
import type { State } from '@/core/model/state';
import { workspace } from '@/features/workspace';
import { newSecret, type Store } from '@/store';
import { exchangeWords } from '@/ui/words/exchange';
import { pushCalendar, withdraw } from './publishClient';

/** Changes gather for so long before they are sent. */
const GATHER_MS = 1500;
/** After a failure it is tried again. */
const AGAIN_MS = 60_000;

const published = (state: State): Calendar[] =>
  [...state.calendars.values()].filter(({ publication }) => publication);

function entriesDiffer(before: State, after: State, calendarId: string): boolean {
  if (before.entries === after.entries) return false;
  const isOurs = (entry: CalendarEvent | undefined) => entry?.calendarId === calendarId;
  for (const [id, entry] of after.entries) {
    const earlier = before.entries.get(id);
    if (earlier !== entry && (isOurs(entry) || isOurs(earlier))) return true;
  }
  for (const [id, entry] of before.entries) if (!after.entries.has(id) && isOurs(entry)) return true;
  return false;
}

/** Keeps the server's copies of published calendars as they are here. */
export class PublishedCalendars {
  #before: State;
  /** Calendars that are to be sent. */
  readonly #waiting: Set<string>;
  /** Addresses that were withdrawn. */
  readonly #gone = new Set<string>();
  #timer: ReturnType<typeof setTimeout> | undefined;
  readonly #stop: () => void;

  /** Sends what is published, and from then on what changes. */
  constructor(
    private readonly store: Store,
    private readonly clock: () => number,
  ) {
    this.#before = store.getSnapshot().state;
    this.#waiting = new Set(published(this.#before).map(({ id }) => id));
    if (this.#waiting.size > 0) this.#wake(GATHER_MS);
    this.#stop = store.subscribe(() => this.#follow());
  }

  end(): void {
    this.#stop();
    clearTimeout(this.#timer);
  }

  #wake(after: number): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#send(), after);
  }

  async #send(): Promise<void> {
    for (const id of [...this.#waiting]) {
      this.#waiting.delete(id);
      const { state } = this.store.getSnapshot();
      const calendar = state.calendars.get(id);
      if (!calendar?.publication) continue;
      const { token } = calendar.publication;
      const pushed = await pushCalendar(state, calendar, calendar.publication, this.clock());
      if (pushed === 'withdrawn') await this.#wasWithdrawn(id, token);
      if (pushed === 'failed') {
        this.#waiting.add(id);
        this.#wake(AGAIN_MS);
        return;
      }
    }
  }

  /** Whoever withdraws says so here a moment later. Where it is published all the same, that was undone. */
  async #wasWithdrawn(id: string, token: string): Promise<void> {
    if (this.#gone.has(token)) return this.#renew(id, token);
    this.#gone.add(token);
    this.#waiting.add(id);
    this.#wake(GATHER_MS);
  }

  async #renew(id: string, token: string): Promise<void> {
    const { state } = this.store.getSnapshot();
    const calendar = state.calendars.get(id);
    if (calendar?.publication?.token !== token) return;
    const publication = { ...calendar.publication, token: newSecret(), key: newSecret() };
    const change = put(state, 'calendars', { ...calendar, publication });
    const own = { now: this.clock(), newId: () => crypto.randomUUID(), zone: 'UTC' };
    const summary = { what: 'calendar-published', count: 1, name: calendar.name } as const;
    await this.store.commit(makePatch(own, summary, [change]), 'quiet');
    workspace.say({ text: exchangeWords.publish.renewed(calendar.name), tone: 'done', undo: false });
  }

  #follow(): void {
    const { state } = this.store.getSnapshot();
    if (state === this.#before) return;
    const earlier = this.#before;
    this.#before = state;
    for (const { id, publication } of published(earlier)) {
      if (!publication || state.calendars.get(id)?.publication?.token === publication.token) continue;
      this.#gone.add(publication.token);
      void withdraw(publication);
    }
    const touched = published(state).filter(
      (calendar) =>
        earlier.calendars.get(calendar.id) !== calendar || entriesDiffer(earlier, state, calendar.id),
    );
    for (const { id } of touched) this.#waiting.add(id);
    if (touched.length > 0) this.#wake(GATHER_MS);
  }
}
