import { type ChangeContext, makePatch, put } from '@/core/change/patch';
import { renewAddress, settleAddresses } from '@/core/change/sharing/shareChanges';
import { noteWithdrawals } from '@/core/change/withdrawals';
import type { State } from '@/core/model/state';
import { workspace } from '@/features/workspace';
import { newSecret, type Store, underLock } from '@/store';
import { exchangeWords } from '@/ui/words/exchange';
import { copiesOf, type Copy } from './copies';
import { pushCopy } from './publishClient';
import { MINUTE } from '@/core/time/civil';

/** Changes gather for so long before they are sent. */
const GATHER_MS = 1500;
/** After a failure it is tried again. */
const AGAIN_MS = MINUTE;

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
    [...copy.seen.calendars.keys()].map((id) => state.calendars.get(id)?.name),
  ]);

/** What decides what is served. */
const SERVED = ['calendars', 'entries', 'people', 'shares', 'settings'] as const;

const keyOf = ({ of }: Copy): string => `${of.collection} ${of.id}`;

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
    this.#waiting = new Set(copiesOf(this.#before).map(keyOf));
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
    for (const key of [...this.#waiting]) {
      this.#waiting.delete(key);
      const { state } = this.store.getSnapshot();
      const copy = copiesOf(state).find((each) => keyOf(each) === key);
      if (!copy) continue;
      const pushed = await pushCopy(state, copy, this.clock());
      if (pushed === 'withdrawn') await this.#wasWithdrawn(copy);
      if (pushed === 'failed') {
        this.#waiting.add(key);
        this.#wake(AGAIN_MS);
        return;
      }
    }
  }

  /** Whoever withdraws says so here a moment later. Where it is to be served all the same, that was undone. */
  async #wasWithdrawn(copy: Copy): Promise<void> {
    const { token } = copy.address;
    if (this.#gone.has(token)) return this.#renew(copy);
    this.#gone.add(token);
    this.#waiting.add(keyOf(copy));
    this.#wake(GATHER_MS);
  }

  async #renew({ of: { collection, id }, address: { token } }: Copy): Promise<void> {
    const { state } = this.store.getSnapshot();
    const calendar = collection === 'calendars' ? state.calendars.get(id) : undefined;
    const named = calendar ?? state.people.get(id);
    const now = copiesOf(state).find(({ of }) => of.collection === collection && of.id === id);
    if (!named || now?.address.token !== token) return;
    const patch = calendar?.publication
      ? makePatch(this.#context(), { what: 'calendar-published', count: 1, name: calendar.name }, [
          put(state, 'calendars', {
            ...calendar,
            publication: { ...calendar.publication, token: newSecret(), key: newSecret() },
          }),
        ])
      : renewAddress(state, id, named.name, newSecret, this.#context());
    if (patch) await this.store.commit(patch, 'quiet');
    workspace.say({ text: exchangeWords.publish.renewed(named.name), tone: 'done', undo: false });
  }

  #follow(): void {
    const { state } = this.store.getSnapshot();
    const earlier = this.#before;
    if (SERVED.every((name) => state[name] === earlier[name])) return;
    this.#before = state;
    if (
      earlier.shares !== state.shares ||
      earlier.people !== state.people ||
      earlier.calendars !== state.calendars
    )
      void this.#settle();
    const copies = copiesOf(state);
    const before = new Map(copiesOf(earlier).map((copy) => [keyOf(copy), copy]));
    const tokens = new Set(copies.map(({ address }) => address.token));
    const gone = [...before.values()].map(({ address }) => address).filter(({ token }) => !tokens.has(token));
    for (const { token } of gone) this.#gone.add(token);
    const noted = noteWithdrawals(state, gone, 'published', this.#context());
    if (noted) void this.store.commit(noted, 'quiet');
    if (copies.length === 0) return;
    const calendars = calendarsTouched(earlier, state);
    const touched = copies.filter((copy) => {
      const known = before.get(keyOf(copy));
      return (
        !known ||
        lookOf(earlier, known) !== lookOf(state, copy) ||
        [...copy.seen.calendars.keys()].some((id) => calendars.has(id))
      );
    });
    for (const copy of touched) this.#waiting.add(keyOf(copy));
    if (touched.length > 0) this.#wake(GATHER_MS);
  }
}
