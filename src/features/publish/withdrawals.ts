import { wasWithdrawn } from '@/core/change/withdrawals';
import type { ChangeContext } from '@/core/change/patch';
import { askServer, followCollections, type Store, underLock } from '@/store';
import { Regularly } from '@/ui/regularly';
import { withdraw } from './publishClient';
import { MINUTE } from '@/core/time/civil';

/** So often it is tried again while the server is out of reach, in milliseconds. */
const AGAIN_MS = MINUTE;

/** Takes addresses off the server that are to be served no more, until they are gone: over reloads, and when the server is back. */
export class Withdrawals {
  private readonly regularly: Regularly;
  private readonly leave: () => void;

  constructor(
    private readonly store: Store,
    private readonly contextOf: () => ChangeContext,
  ) {
    this.regularly = new Regularly(() => underLock('orderly-week-withdrawals', () => this.all()), AGAIN_MS);
    this.leave = followCollections(store, ['withdrawals'], () => {
      if (store.getSnapshot().state.withdrawals.size > 0) this.regularly.wake();
    });
  }

  end(): void {
    this.leave();
    this.regularly.end();
  }

  private async all(): Promise<void> {
    for (const { id: token, key, kind } of [...this.store.getSnapshot().state.withdrawals.values()]) {
      const isGone =
        kind === 'published'
          ? await withdraw({ token, key })
          : (await askServer('DELETE', `/api/offers/${token}`, { key })).status === 200;
      const patch = isGone && wasWithdrawn(this.store.getSnapshot().state, token, this.contextOf());
      if (patch) await this.store.commit(patch, 'quiet');
    }
  }
}
