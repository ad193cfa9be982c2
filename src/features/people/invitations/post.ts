import { z } from 'zod';
import { changeSession } from '@/core/change/calendarChanges';
import { ownAddresses } from '@/core/change/invitations/ownUser';
import { receiveLetter, type ReceivedMail } from '@/core/change/invitations/receiveLetter';
import { type LetterReceipt, lettersWent } from '@/core/change/invitations/tellGuests';
import type { ChangeContext } from '@/core/change/patch';
import type { Letter } from '@/core/model/invitation';
import { calendarFiles, followCollections, newSecret, type Store } from '@/store';

/** Letters of a burst go together, in milliseconds. */
const GATHER_MS = 300;
/** After a failure it is tried again, each time later, in milliseconds. */
const AGAIN_MS = [5_000, 30_000, 120_000, 300_000] as const;
/** So long the relay may take to answer, in milliseconds, and so many letters go at once. */
const PATIENCE = 20_000;
const MOST = 50;
/** The longest words of a letter. */
const LONGEST_TEXT = 20_000;

/** What the relay answers. */
const Answer = z.object({
  letters: z.array(z.object({ number: z.number().int().min(0), mail: z.string() })),
  receipts: z.array(
    z.object({
      uid: z.string(),
      address: z.string(),
      status: z.enum(['delivered', 'opened', 'refused']),
      at: z.number(),
    }),
  ),
  /** So long until it is worth asking again, in milliseconds. */
  next: z.number(),
});

type Answered = z.infer<typeof Answer>;

/** How the mail of this browser stands. */
export interface PostState {
  readonly isBusy: boolean;
  readonly isAway: boolean;
}
let latest: PostState = { isBusy: false, isAway: false };
const listeners = new Set<() => void>();
export const postState = {
  get: (): PostState => latest,
  subscribe: (listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};
function note(state: PostState): void {
  latest = state;
  for (const listener of listeners) listener();
}

/** Asks every page of this browser to look for mail: one of them holds the post. */
const CHANNEL = 'orderly-week-post';
/** Whether it was asked for before this page carried mail. */
let isLookedFor = false;
export function lookForMail(): void {
  isLookedFor = true;
  const channel = new BroadcastChannel(CHANNEL);
  channel.postMessage('look');
  channel.close();
}

/** Carries letters to the relay and fetches those that came. One page of a browser does it. */
export class Post {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly leave: () => void;
  private readonly channel = new BroadcastChannel(CHANNEL);
  private failures = 0;
  private isCarrying = false;
  private isAgain = false;
  private isEnded = false;
  /** Whether it was asked for by hand: who has no mail yet begins so. */
  private isAsked = false;

  constructor(
    private readonly store: Store,
    private readonly contextOf: () => ChangeContext,
    private readonly onMail: (received: readonly ReceivedMail[]) => void,
  ) {
    this.leave = followCollections(store, ['letters'], () => {
      if (this.waiting().length > 0) this.wake(GATHER_MS);
    });
    this.channel.onmessage = () => this.wake(0, true);
    this.wake(GATHER_MS, isLookedFor);
    isLookedFor = false;
  }

  end(): void {
    this.isEnded = true;
    this.leave();
    this.channel.close();
    clearTimeout(this.timer);
  }

  wake(after: number, isAsked = after === 0): void {
    this.isAsked ||= isAsked;
    clearTimeout(this.timer);
    if (!this.isEnded) this.timer = setTimeout(() => void this.carry(), after);
  }

  private waiting() {
    return [...this.store.getSnapshot().state.letters.values()]
      .filter(({ direction }) => direction === 'out')
      .sort((a, b) => a.at - b.at);
  }

  /** One exchange at a time is on its way. */
  private async carry(): Promise<void> {
    if (this.isCarrying) {
      this.isAgain = true;
      return;
    }
    const { state } = this.store.getSnapshot();
    const hasMail = state.sessions.get('session')?.lettersRead !== undefined;
    const [owner] = ownAddresses(state);
    const isWanted = hasMail || this.isAsked || this.waiting().length > 0;
    if (!isWanted || owner === undefined) return;
    this.isCarrying = true;
    this.isAsked = false;
    note({ ...latest, isBusy: true });
    let next: number | undefined;
    try {
      next = await this.exchange(owner);
      this.failures = 0;
    } catch {
      this.failures++;
    }
    note({ isBusy: false, isAway: this.failures > 0 });
    this.isCarrying = false;
    if (this.isEnded) return;
    const again = AGAIN_MS[Math.min(this.failures, AGAIN_MS.length) - 1];
    this.wake(this.isAgain ? 0 : (again ?? next ?? AGAIN_MS.at(-1)!), false);
    this.isAgain = false;
  }

  /** The box of this browser, made when it is first needed. */
  private async box(): Promise<{ token: string; key: string }> {
    const { state } = this.store.getSnapshot();
    const known = state.sessions.get('session')?.messageBox;
    if (known) return known;
    const messageBox = { token: newSecret(), key: newSecret() };
    await this.store.commit(changeSession(state, { messageBox }, this.contextOf()), 'quiet');
    return this.store.getSnapshot().state.sessions.get('session')?.messageBox ?? messageBox;
  }

  /** Hands letters over and takes in those that came; gives how long it is until the next comes. */
  private async exchange(owner: string): Promise<number> {
    const answer = await this.handOver(owner, this.waiting().slice(0, MOST));
    await this.take(answer.letters);
    return this.waiting().length > 0 ? GATHER_MS : Math.max(answer.next, GATHER_MS);
  }

  /**
   * Hands letters over. Of several that are not taken each goes by itself, so that one that is wrong holds up no other; it is said of
   * that one.
   */
  private async handOver(owner: string, letters: readonly Letter[]): Promise<Answered> {
    const response = await this.post(owner, letters);
    const ids = letters.map(({ id }) => id);
    if (response.ok) {
      const answer = Answer.parse(await response.json());
      await this.went(ids, answer.receipts);
      return answer;
    }
    const isRefused = response.status === 400 || response.status === 413;
    if (!isRefused || letters.length === 0) throw new Error(String(response.status));
    if (letters.length === 1) {
      const [{ uid, to }] = letters as [Letter];
      const { now } = this.contextOf();
      await this.went(
        ids,
        to.map((address) => ({ uid, address, status: 'refused' as const, at: now })),
      );
    } else for (const letter of letters) await this.handOver(owner, [letter]);
    return this.handOver(owner, []);
  }

  private async went(ids: readonly string[], receipts: readonly LetterReceipt[]): Promise<void> {
    const patch = lettersWent(this.store.getSnapshot().state, ids, receipts, this.contextOf());
    if (patch) await this.store.commit(patch, 'quiet');
  }

  private async post(owner: string, letters: readonly Letter[]): Promise<Response> {
    const { token, key } = await this.box();
    const { state } = this.store.getSnapshot();
    const { now, zone } = this.contextOf();
    return fetch(`/api/mail/${token}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      signal: AbortSignal.timeout(PATIENCE),
      body: JSON.stringify({
        key,
        ahead: Math.round(now - Date.now()),
        zone,
        owner,
        isDemo: state.settings.get('settings')?.demoNow !== undefined,
        after: state.sessions.get('session')?.lettersRead ?? 0,
        letters: letters.map(({ id, from, to, subject, text, method, calendar, inReplyTo }) => ({
          id,
          from: from || owner,
          to,
          subject,
          text: text.slice(0, LONGEST_TEXT),
          ...(method ? { method, calendar } : {}),
          ...(inReplyTo ? { inReplyTo } : {}),
        })),
      }),
    });
  }

  private async take(letters: Answered['letters']): Promise<void> {
    const all: ReceivedMail[] = [];
    for (const { number, mail } of letters) {
      if (number <= (this.store.getSnapshot().state.sessions.get('session')?.lettersRead ?? -1)) continue;
      const read = await calendarFiles().mail(new TextEncoder().encode(mail));
      const { id, from, subject, text, calendars } =
        'mail' in read
          ? read.mail
          : { id: '', from: { address: '' }, subject: '', text: '', calendars: [] as string[] };
      const received = receiveLetter(
        this.store.getSnapshot().state,
        { id: id || `${number}`, from: from.address, subject, text, calendar: calendars[0] ?? '' },
        this.contextOf(),
        number,
      );
      if (received.patch) await this.store.commit(received.patch, 'quiet');
      all.push(received);
    }
    // That nothing has come is known, too: mail is used from now on.
    const { state } = this.store.getSnapshot();
    if (state.sessions.get('session')?.lettersRead === undefined)
      await this.store.commit(changeSession(state, { lettersRead: 0 }, this.contextOf()), 'quiet');
    if (all.length > 0) this.onMail(all);
  }
}
