import { z } from 'zod';
import { bookChosen, endOffer, offerSent, renewOffer } from '@/core/change/offers/offerChanges';
import type { ChangeContext, Patch } from '@/core/change/patch';
import { noteWithdrawals } from '@/core/change/withdrawals';
import { ChosenTime, isOpen, type Offer } from '@/core/model/offer';
import type { State } from '@/core/model/state';
import { ownersName } from '@/features/publish';
import { summaryText, workspace } from '@/features/workspace';
import { askServer, followCollections, newSecret, type Store } from '@/store';
import { offerWords as said } from '@/ui/words/offers';
import { Regularly } from '@/ui/regularly';
import { wordingOf } from '../invitations/wording';
import { MINUTE } from '@/core/time/civil';

/** So often it is asked whether a time was chosen, in milliseconds. */
const EVERY_MS = MINUTE;
/** Changes gather for so long before they are sent. */
const GATHER_MS = 300;

/** What the server says of an offer. */
const Answer = z.object({ chosen: ChosenTime.nullable(), isWithdrawn: z.boolean() });

/** Hands offers over, takes in which time was chosen, and lets go of those that are over. One page of a browser does it. */
export class OfferPost {
  private before: State['offers'];
  private readonly regularly: Regularly;
  private readonly leave: () => void;

  constructor(
    private readonly store: Store,
    private readonly contextOf: () => ChangeContext,
  ) {
    this.before = this.state.offers;
    this.leave = followCollections(store, ['offers'], () => this.follow());
    this.regularly = new Regularly(() => this.look(), EVERY_MS);
  }

  end(): void {
    this.leave();
    this.regularly.end();
  }

  private get state(): State {
    return this.store.getSnapshot().state;
  }

  /** What was taken away by an undo is taken off the server like what was ended. */
  private follow(): void {
    const { offers } = this.state;
    const gone = [...this.before.values()].filter(({ id }) => !offers.has(id));
    this.before = offers;
    const noted = noteWithdrawals(
      this.state,
      gone.map(({ address }) => address),
      'offers',
      this.contextOf(),
    );
    if (noted) void this.store.commit(noted, 'quiet');
    if ([...offers.values()].some(({ isSent, chosen }) => !isSent && !chosen)) this.regularly.wake(GATHER_MS);
  }

  private async look(): Promise<void> {
    for (const offer of [...this.state.offers.values()]) if (!offer.chosen) await this.lookAt(offer);
  }

  private async lookAt(offer: Offer): Promise<void> {
    const { now } = this.contextOf();
    const { token, key } = offer.address;
    const path = `/api/offers/${token}`;
    const { said: answered } = offer.isSent
      ? await askServer('POST', path, { key })
      : await askServer('PUT', path, {
          key,
          ahead: Math.round(now - Date.now()),
          title: offer.title,
          name: ownersName(this.state),
          zone: offer.zone,
          times: offer.times.map(({ start, end }) => ({ start, end })),
          expires: offer.expires,
        });
    const answer = Answer.safeParse(answered).data;
    const { state } = this;
    if (!answer || state.offers.get(offer.id)?.address.token !== token) return;
    const context = this.contextOf();
    if (answer.chosen) {
      const patch = bookChosen(state, offer.id, answer.chosen, wordingOf, context);
      if (await this.keep(patch)) this.say(summaryText(patch!.summary));
    } else if (!isOpen(offer, now)) {
      // Whether one was chosen at the last moment is known now.
      if (await this.keep(endOffer(state, offer.id, context))) this.say(said.over(offer.title));
    } else if (answer.isWithdrawn) {
      // It was taken back, and that was undone: it has another address.
      await this.keep(renewOffer(state, offer.id, newSecret, context));
    } else await this.keep(offerSent(state, offer.id, context));
  }

  private async keep(patch: Patch | undefined): Promise<boolean> {
    return patch !== undefined && (await this.store.commit(patch, 'quiet'));
  }

  private say(text: string): void {
    workspace.say({ text, tone: 'done', undo: false });
  }
}
