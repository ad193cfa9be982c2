import { changeSession } from '@/core/change/calendarChanges';
import type { ChangeContext } from '@/core/change/patch';
import { followCollections, newSecret, remindersQuery, type Store } from '@/store';
import { type MessagePlan, messagePlan } from './messagePlan';
import { HOUR, MINUTE } from '@/core/time/civil';

/** Changes gather for so long before messages are handed over anew, in milliseconds. */
const GATHER_MS = 2_000;
/** After a failure it is tried again, each time later, in milliseconds. */
const AGAIN_MS = [15_000, MINUTE, 300_000] as const;
/** A plan reaches fourteen days: it is renewed so often, in milliseconds. */
const RENEWED_MS = 6 * HOUR;

/** What came of handing messages over. */
export interface Handover {
  readonly outcome: 'none' | 'done' | 'failed' | 'refused';
  readonly plan: MessagePlan | undefined;
  /** When the server took them, by the application's clock. */
  readonly at: number;
}

let latest: Handover = { outcome: 'none', plan: undefined, at: 0 };
const listeners = new Set<() => void>();
/** What came of it last, in this page. */
export const latestHandover = {
  get: (): Handover => latest,
  subscribe: (listener: () => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};
function note(handover: Handover): void {
  latest = handover;
  for (const listener of listeners) listener();
}

/** What messages hang on. */
const ABOUT = ['entries', 'calendars', 'settings', 'reminded', 'bin'] as const;

/** Hands the messages of the next fourteen days to the server, all of them whenever they change. */
export class MessageHandover {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly leave: () => void;
  /** What the server has, as text; undefined where that is not known. */
  private known: string | undefined;
  private failures = 0;
  private isHanding = false;
  private isAgain = false;
  private isEnded = false;

  constructor(
    private readonly store: Store,
    private readonly clock: () => number,
  ) {
    this.leave = followCollections(store, ABOUT, () => this.wake(GATHER_MS));
    this.wake(GATHER_MS);
  }

  end(): void {
    this.isEnded = true;
    this.leave();
    clearTimeout(this.timer);
  }

  private wake(after: number): void {
    clearTimeout(this.timer);
    if (!this.isEnded) this.timer = setTimeout(() => void this.handOver(), after);
  }

  /** One plan at a time is on its way, so that an older one never arrives last. */
  private async handOver(): Promise<void> {
    if (this.isHanding) {
      this.isAgain = true;
      return;
    }
    this.isHanding = true;
    await this.hand();
    this.isHanding = false;
    if (this.isAgain) {
      this.isAgain = false;
      this.wake(0);
    }
  }

  /** The box of this browser, made when it is first needed. */
  private async box(): Promise<{ token: string; key: string }> {
    const { state } = this.store.getSnapshot();
    const known = state.sessions.get('session')?.messageBox;
    if (known) return known;
    const messageBox = { token: newSecret(), key: newSecret() };
    await this.store.commit(changeSession(state, { messageBox }, this.context()), 'quiet');
    return this.store.getSnapshot().state.sessions.get('session')?.messageBox ?? messageBox;
  }

  private context(): ChangeContext {
    const { zone } = remindersQuery(this.store.getSnapshot().state, []);
    return { now: this.clock(), newId: () => crypto.randomUUID(), zone };
  }

  private async hand(): Promise<void> {
    const { state } = this.store.getSnapshot();
    const now = this.clock();
    try {
      const plan = await messagePlan(this.store, now);
      const hasBox = state.sessions.get('session')?.messageBox !== undefined;
      // Who has never sent anything asks nothing of the server.
      if (plan.messages.length === 0 && !hasBox) {
        note({ outcome: 'none', plan, at: now });
        return;
      }
      const text = JSON.stringify(plan.messages);
      const outcome = text === this.known ? 'done' : await this.send(plan);
      this.failures = outcome === 'failed' ? this.failures + 1 : 0;
      this.known = outcome === 'done' ? text : undefined;
      note({ outcome, plan, at: now });
    } catch {
      // An engine that is started anew answers later.
      this.failures++;
    }
    this.wake(this.failures > 0 ? (AGAIN_MS[this.failures - 1] ?? AGAIN_MS.at(-1)!) : RENEWED_MS);
  }

  private async send({ messages }: MessagePlan): Promise<'done' | 'failed' | 'refused'> {
    const { token, key } = await this.box();
    // The demo's clock shows another year than the server's.
    const ahead = Math.round(this.clock() - Date.now());
    const { zone } = this.context();
    try {
      const response = await fetch(`/api/messages/${token}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          key,
          ahead,
          zone,
          messages: messages.map((message) => ({ ...message, at: Math.round(message.at - ahead) })),
        }),
      });
      if (response.ok) return 'done';
      return response.status === 400 || response.status === 403 ? 'refused' : 'failed';
    } catch {
      return 'failed';
    }
  }
}
