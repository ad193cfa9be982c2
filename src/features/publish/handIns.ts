import { z } from 'zod';
import { type HandInRefusal, takeHandIn } from '@/core/change/sharing/takeHandIn';
import type { ChangeContext, Summary } from '@/core/change/patch';
import { HandIn } from '@/core/model/handIn';
import { underLock, type Store } from '@/store';
import { allowedIn, copiesOf } from './copies';

/** So often it is asked for what was handed in, in milliseconds. */
const EVERY_MS = 60_000;
/** So long the server may take to answer, in milliseconds. */
const PATIENCE = 20_000;

/** What the server holds that was handed in; what it can't be read of is let be. */
const Answer = z.object({ items: z.array(z.unknown()) });

/** What came, as it is said. */
export interface CameIn {
  readonly summary: Summary;
  readonly refused?: HandInRefusal;
}

/** Asks for what was handed in at an address, and says what of it was taken; undefined where the server is out of reach. */
async function ask(
  { token, key }: { readonly token: string; readonly key: string },
  taken: readonly string[],
): Promise<HandIn[] | undefined> {
  try {
    const response = await fetch(`/api/published/${token}/handed-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      signal: AbortSignal.timeout(PATIENCE),
      body: JSON.stringify({ key, taken }),
    });
    if (!response.ok) return undefined;
    return Answer.parse(await response.json()).items.flatMap((item) => HandIn.safeParse(item).data ?? []);
  } catch {
    return undefined;
  }
}

/** Takes in what colleagues add and change who may. One page of a browser at a time does it. */
export class HandIns {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private isEnded = false;
  private readonly onSeen = () => {
    if (document.visibilityState === 'visible') void this.look();
  };

  constructor(
    private readonly store: Store,
    private readonly contextOf: () => ChangeContext,
    private readonly onCame: (came: readonly CameIn[]) => void,
  ) {
    document.addEventListener('visibilitychange', this.onSeen);
    void this.look();
  }

  end(): void {
    this.isEnded = true;
    document.removeEventListener('visibilitychange', this.onSeen);
    clearTimeout(this.timer);
  }

  private async look(): Promise<void> {
    clearTimeout(this.timer);
    await underLock('orderly-week-hand-ins', () => this.takeAll());
    if (!this.isEnded) this.timer = setTimeout(() => void this.look(), EVERY_MS);
  }

  private async takeAll(): Promise<void> {
    const came: CameIn[] = [];
    const { state } = this.store.getSnapshot();
    for (const copy of copiesOf(state)) {
      const person = state.people.get(copy.id.slice('share:'.length));
      if (this.isEnded || !person || !copy.id.startsWith('share:') || !allowedIn(state, copy)) continue;
      const items = await ask(copy.address, []);
      for (const item of items ?? []) {
        const taken = takeHandIn(this.store.getSnapshot().state, person, item, this.contextOf());
        if (!taken) continue;
        const isRefused = 'refused' in taken;
        if (!(await this.store.commit(taken.patch, isRefused ? 'quiet' : 'do'))) return;
        came.push({ summary: taken.patch.summary, ...(isRefused ? { refused: taken.refused } : {}) });
      }
      // Said once it is kept here: what is asked for again meanwhile is known.
      if (items && items.length > 0)
        await ask(
          copy.address,
          items.map(({ id }) => id),
        );
    }
    if (came.length > 0) this.onCame(came);
  }
}
