import type { ChangeContext, Patch } from '@/core/change/patch';
import type { CameReminder } from '@/core/model/cameReminder';
import type { State } from '@/core/model/state';
import { lookedUntilNow, nextSnooze } from '@/core/reminders/cameReminders';
import type { DueReminder } from '@/core/reminders/dueReminders';
import { MINUTE } from '@/core/time/civil';

/** What the keeper works with: what it looks at, and all that it does. */
export interface KeeperParts {
  readonly state: () => State;
  /** The instant at which the page was opened. */
  readonly opened: number;
  readonly context: () => ChangeContext;
  /** Keeps a patch; whether it was kept. */
  readonly commit: (patch: Patch) => Promise<boolean>;
  /** What falls due after one instant and up to another, by notice. */
  readonly due: (from: number, to: number) => Promise<readonly DueReminder[]>;
  /** When the next falls due after an instant, if one does. */
  readonly next: (after: number) => Promise<number | undefined>;
  /** Does something after some milliseconds; gives how to have it not done. */
  readonly wait: (milliseconds: number, then: () => void) => () => void;
  /** Hears of each reminder once, when it comes. */
  readonly onCame: (came: readonly CameReminder[]) => void;
}

/**
 * So long a timer is trusted, in milliseconds: one that stood still while the machine slept is late by then at the most, and a
 * clock that was set is seen. Nothing is asked at such a look but the time.
 */
const LONGEST_TIMER = 30_000;
/** So far back what was found is looked for again at the most, where a page ends without notice. */
const NOTED_EVERY = 10 * MINUTE;

/**
 * Finds reminders as they fall due, for all open pages: it asks once for the next one and sleeps until then. Only one page
 * keeps at a time. What fell due while none did is found first.
 */
export class ReminderKeeper {
  private isKeeping = false;
  private until = 0;
  private nextAt: number | undefined;
  private stopWaiting: (() => void) | undefined;
  private round: Promise<void> | undefined;
  private isAgain = false;

  constructor(private readonly parts: KeeperParts) {}

  /** Begins to keep. */
  start(): void {
    this.isKeeping = true;
    // At the first visit nothing waits yet.
    this.until = this.parts.state().sessions.get('session')?.remindedUntil ?? this.parts.opened;
    this.look();
  }

  /** Ends keeping, and notes until when all was found. */
  async stop(): Promise<void> {
    if (!this.isKeeping) return;
    this.isKeeping = false;
    this.stopWaiting?.();
    await this.round;
    await this.noteUntil();
  }

  /** Looks for what is due now, and when the next is: after a change, and when the page may have slept. */
  look(): void {
    if (!this.isKeeping) return;
    if (this.round) {
      this.isAgain = true;
      return;
    }
    this.round = this.lookNow().finally(() => {
      this.round = undefined;
      const isAgain = this.isAgain;
      this.isAgain = false;
      if (isAgain) this.look();
      else this.sleep();
    });
  }

  /** Notes until when all was found, so that the next page need not look so far back; nothing where another page keeps. */
  async note(): Promise<void> {
    if (this.isKeeping) await this.noteUntil();
  }

  private async noteUntil(): Promise<void> {
    const { state, context, commit } = this.parts;
    const known = state().sessions.get('session')?.remindedUntil;
    if (known === this.until) return;
    await commit(lookedUntilNow(state(), [], { ...context(), now: this.until }).patch);
  }

  private async lookNow(): Promise<void> {
    const { state, context, due, next, commit, onCame } = this.parts;
    const { now } = context();
    // Where the clock was set back, what comes again was answered, or is found anew.
    const from = Math.min(this.until, now);
    try {
      const found = now > from ? await due(from, now) : [];
      const { patch, isNews, came } = lookedUntilNow(state(), found, { ...context(), now });
      const noted = state().sessions.get('session')?.remindedUntil ?? -Infinity;
      const isKept = !isNews && Math.abs(now - noted) < NOTED_EVERY ? true : await commit(patch);
      if (isKept) {
        this.until = now;
        if (came.length > 0) onCame(came);
      }
      this.nextAt = await next(now);
    } catch {
      // An engine that is started anew answers at the next look.
      this.nextAt = now + LONGEST_TIMER;
    }
  }

  private sleep(): void {
    this.stopWaiting?.();
    if (!this.isKeeping) return;
    const { state, context, wait } = this.parts;
    const { now, zone } = context();
    const snooze = nextSnooze(state(), zone);
    const at = Math.min(this.nextAt ?? Infinity, snooze ?? Infinity);
    const left = at - now;
    this.stopWaiting = wait(Math.min(Math.max(left, 0), LONGEST_TIMER), () => {
      const { now: then } = this.parts.context();
      const isSetBack = then < this.until;
      if (then >= at || isSetBack || then - this.until > NOTED_EVERY) this.look();
      else this.sleep();
    });
  }
}
