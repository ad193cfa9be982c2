import type { ChangeContext } from '@/core/change/patch';
import { makePatch, put } from '@/core/change/patch';
import { renewAddress, settleAddresses } from '@/core/change/sharing/shareChanges';
import type { State } from '@/core/model/state';
import { workspace } from '@/features/workspace';
import { newSecret, type Store, underLock } from '@/store';
import { exchangeWords } from '@/ui/words/exchange';
import { allowedIn, copiesOf, type Copy } from './copies';
import { pushCopy, withdraw } from './publishClient';

/** Changes gather for so long before they are sent. */
const GATHER_MS = 1500;
/** After a failure it is tried again. */
const AGAIN_MS = 60_000;

/** The calendars in which entries differ between two states. */
function calendarsTouched(before: State, after: State): ReadonlySet<string> {
  const touched = new Set<string>();
  if (before.entries === after.entries) return touched;
  for (const [id, entry] of after.entries) {
    const earlier = before.entries.get(id);
    if (earlier === entry) continue;
    touched.add(entry.calendarId);
    if (earlier) touched.add(earlier.calendarId);
  }
  for (const [id, entry] of before.entries) if (!after.entries.has(id)) touched.add(entry.calendarId);
  return touched;
}

/** What a copy says beside its entries, as a text that is equal for equal ones. */
const lookOf = (state: State, copy: Copy): string =>
  JSON.stringify([
    copy.name,
    copy.address.token,
    [...copy.seen.calendars],
    copy.seen.withPrivate,
    allowedIn({ ...state, entries: new Map() }, copy),
    [...copy.seen.calendars.keys()].map((id) => state.calendars.get(id)?.modified),
  ]);

/** Keeps what the server serves as it is here: published calendars, and what colleagues may see, each at an address. */
export class PublishedCopies {
  #before: State;
  /** Copies that are to be sent. */
  readonly #waiting: Set<string>;
  /** Addresses that were withdrawn. */
  readonly #gone = new Set<string>();
  #timer: ReturnType<typeof setTimeout> | undefined;
  readonly #stop: () => void;

  /** Sends what is to be served, and from then on what changes. */
  constructor(
    private readonly store: Store,
    private readonly clock: () => number,
  ) {
    this.#before = store.getSnapshot().state;
    this.#waiting = new Set(copiesOf(this.#before).map(({ id }) => id));
    if (this.#waiting.size > 0) this.#wake(GATHER_MS);
    this.#stop = store.subscribe(() => this.#follow());
    void this.#settle();
  }

  end(): void {
    this.#stop();
    clearTimeout(this.#timer);
  }

  #context(): ChangeContext {
    return { now: this.clock(), newId: () => crypto.randomUUID(), zone: 'UTC' };
  }

  #wake(after: number): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#send(), after);
  }

  /** Whoever may see something gets an address: one page of the browser at a time makes them, so that each has one. */
  async #settle(): Promise<void> {
    await underLock('orderly-week-shares', async () => {
      const patch = settleAddresses(this.store.getSnapshot().state, newSecret, this.#context());
      if (patch) await this.store.commit(patch, 'quiet');
    });
  }

  async #send(): Promise<void> {
    for (const id of [...this.#waiting]) {
      this.#waiting.delete(id);
      const { state } = this.store.getSnapshot();
      const copy = copiesOf(state).find((each) => each.id === id);
      if (!copy) continue;
      const pushed = await pushCopy(state, copy, this.clock());
      if (pushed === 'withdrawn') await this.#wasWithdrawn(copy);
      if (pushed === 'failed') {
        this.#waiting.add(id);
        this.#wake(AGAIN_MS);
        return;
      }
    }
  }

  /** Whoever withdraws says so here a moment later. Where it is published all the same, that was undone. */
  async #wasWithdrawn({ id, address: { token } }: Copy): Promise<void> {
    if (this.#gone.has(token)) return this.#renew(id, token);
    this.#gone.add(token);
    this.#waiting.add(id);
    this.#wake(GATHER_MS);
  }

  async #renew(id: string, token: string): Promise<void> {
    const { state } = this.store.getSnapshot();
    const [kind, ...rest] = id.split(':');
    const recordId = rest.join(':');
    const calendar = kind === 'calendar' ? state.calendars.get(recordId) : undefined;
    if (calendar?.publication?.token === token) {
      const publication = { ...calendar.publication, token: newSecret(), key: newSecret() };
      const change = put(state, 'calendars', { ...calendar, publication });
      const summary = { what: 'calendar-published', count: 1, name: calendar.name } as const;
      await this.store.commit(makePatch(this.#context(), summary, [change]), 'quiet');
      workspace.say({ text: exchangeWords.publish.renewed(calendar.name), tone: 'done', undo: false });
    }
    const person = kind === 'share' ? state.people.get(recordId) : undefined;
    if (person && state.shares.get(recordId)?.address?.token === token) {
      const patch = renewAddress(state, recordId, person.name, newSecret, this.#context());
      if (patch) await this.store.commit(patch, 'quiet');
      workspace.say({ text: exchangeWords.publish.renewed(person.name), tone: 'done', undo: false });
    }
  }

  #follow(): void {
    const { state } = this.store.getSnapshot();
    if (state === this.#before) return;
    const earlier = this.#before;
    this.#before = state;
    if (
      earlier.shares !== state.shares ||
      earlier.people !== state.people ||
      earlier.calendars !== state.calendars
    )
      void this.#settle();
    const copies = copiesOf(state);
    const before = new Map(copiesOf(earlier).map((copy) => [copy.id, copy]));
    const tokens = new Set(copies.map(({ address }) => address.token));
    for (const { address } of before.values())
      if (!tokens.has(address.token)) {
        this.#gone.add(address.token);
        void withdraw(address);
      }
    if (copies.length === 0) return;
    const calendars = calendarsTouched(earlier, state);
    const touched = copies.filter((copy) => {
      const known = before.get(copy.id);
      return (
        !known ||
        lookOf(earlier, known) !== lookOf(state, copy) ||
        [...copy.seen.calendars.keys()].some((id) => calendars.has(id))
      );
    });
    for (const { id } of touched) this.#waiting.add(id);
    if (touched.length > 0) this.#wake(GATHER_MS);
  }
}
