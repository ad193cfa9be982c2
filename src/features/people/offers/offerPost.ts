import { z } from 'zod';
import { bookChosen, endOffer, offerSent } from '@/core/change/offers/offerChanges';
import type { ChangeContext } from '@/core/change/patch';
import { ChosenTime, isOpen, type Offer } from '@/core/model/offer';
import type { State } from '@/core/model/state';
import { ownersName } from '@/features/publish';
import { summaryText, workspace } from '@/features/workspace';
import { followCollections, type Store } from '@/store';
import { offerWords as said } from '@/ui/words/offers';
import { wordingOf } from '../invitations/wording';

/** So often it is asked whether a time was chosen, in milliseconds, and so long the server may take. */
const EVERY_MS = 60_000;
const PATIENCE = 20_000;
const GATHER_MS = 300;

const Answer = z.object({ chosen: ChosenTime.nullable() });

/** What the server says of an offer; undefined where it is out of reach or refuses. */
async function ask(
  method: 'PUT' | 'POST' | 'DELETE',
  { token }: Offer['address'],
  body: object,
): Promise<z.infer<typeof Answer> | undefined> {
  try {
    const response = await fetch(`/api/offers/${token}`, {
      method,
      headers: { 'content-type': 'application/json' },
      signal: AbortSignal.timeout(PATIENCE),
      body: JSON.stringify(body),
    });
    return response.ok ? Answer.parse(await response.json()) : undefined;
  } catch {
    return undefined;
  }
}

/** Hands offers over, takes in which time was chosen, and lets go of those that are over. One page of a browser does it. */
export class OfferPost {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private isBusy = false;
  private isEnded = false;
  private before: State['offers'];
  private readonly leave: () => void;
  private readonly onSeen = () => {
    if (document.visibilityState === 'visible') this.wake(0);
  };

  constructor(
    private readonly store: Store,
    private readonly contextOf: () => ChangeContext,
  ) {
    this.before = store.getSnapshot().state.offers;
    this.leave = followCollections(store, ['offers'], () => this.follow());
    document.addEventListener('visibilitychange', this.onSeen);
    this.wake(GATHER_MS);
  }

  end(): void {
    this.isEnded = true;
    this.leave();
    document.removeEventListener('visibilitychange', this.onSeen);
    clearTimeout(this.timer);
  }

  private wake(after: number): void {
    clearTimeout(this.timer);
    if (!this.isEnded) this.timer = setTimeout(() => void this.look(), after);
  }

  private follow(): void {
    const { offers } = this.store.getSnapshot().state;
    for (const [id, offer] of this.before)
      if (!offers.has(id)) void ask('DELETE', offer.address, { key: offer.address.key });
    this.before = offers;
    if ([...offers.values()].some(({ isSent, chosen }) => !isSent && !chosen)) this.wake(GATHER_MS);
  }

  private async look(): Promise<void> {
    if (this.isBusy) return;
    this.isBusy = true;
    for (const offer of [...this.store.getSnapshot().state.offers.values()]) {
      if (this.isEnded) break;
      if (!offer.chosen) await this.lookAt(offer);
    }
    this.isBusy = false;
    if (this.store.getSnapshot().state.offers.size > 0) this.wake(EVERY_MS);
  }

  private async lookAt(offer: Offer): Promise<void> {
    const { now } = this.contextOf();
    const { key } = offer.address;
    const answer = offer.isSent
      ? await ask('POST', offer.address, { key })
      : await ask('PUT', offer.address, {
          key,
          ahead: Math.round(now - Date.now()),
          title: offer.title,
          name: ownersName(this.store.getSnapshot().state),
          zone: offer.zone,
          times: offer.times.map(({ start, end }) => ({ start, end })),
          expires: offer.expires,
        });
    const { state } = this.store.getSnapshot();
    if (!state.offers.has(offer.id)) return;
    if (answer?.chosen) {
      const patch = bookChosen(state, offer.id, answer.chosen, wordingOf, this.contextOf());
      if (patch && (await this.store.commit(patch, 'quiet')))
        workspace.say({ text: summaryText(patch.summary), tone: 'done', undo: false });
    } else if (answer && !isOpen(offer, now)) {
      // Whether one was chosen at the last moment is known now.
      const patch = endOffer(state, offer.id, this.contextOf());
      if (patch && (await this.store.commit(patch, 'quiet')))
        workspace.say({ text: said.over(offer.title), tone: 'done', undo: false });
    } else if (answer) {
      const patch = offerSent(state, offer.id, this.contextOf());
      if (patch) await this.store.commit(patch, 'quiet');
    }
  }
}
