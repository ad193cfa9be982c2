import type { ChosenTime } from '@/core/model/offer';
import { BOX_LIMITS, type BoxLimits, type BoxRefusal, Boxes } from '../boxes';
import { mayChoose, OfferBox, type PushedOffer } from './offerBox';
import { DAY } from '@/core/time/civil';

/** An offer that was over for so long is thrown away, in milliseconds. */
const FORGOTTEN = 30 * DAY;

/** Times that are offered, each at a secret address, of which one can be chosen: whoever is first has it, in one write. */
export class OfferStore {
  private readonly boxes: Boxes<OfferBox>;

  constructor(
    folder: string,
    private readonly now: () => number,
    limits: BoxLimits = BOX_LIMITS,
  ) {
    this.boxes = new Boxes({
      folder,
      schema: OfferBox,
      limits,
      isForgotten: ({ expires, ahead }) => expires - ahead < this.now() - FORGOTTEN,
    });
  }

  get(token: string): Promise<OfferBox | undefined> {
    return this.boxes.get(token);
  }

  /** Keeps an offer; one of which a time was chosen, or that was withdrawn, stays as it is. */
  put(token: string, { key, ...offer }: PushedOffer, from: string): Promise<OfferBox | BoxRefusal> {
    return this.boxes.put(token, key, from, (before, own) =>
      before?.chosen || before?.isWithdrawn
        ? before
        : { ...offer, ...own, changed: this.now(), isWithdrawn: false },
    );
  }

  /** Nothing can be chosen any more. What was never there can't be either. */
  withdraw(token: string, key: string): Promise<OfferBox | 'not-yours' | undefined> {
    return this.boxes.update(token, (box) => ({ ...box, isWithdrawn: true }), key);
  }

  /** What became of an offer, for whoever has its key. */
  state(token: string, key: string): Promise<OfferBox | 'not-yours' | undefined> {
    return this.boxes.update(token, (box) => box, key);
  }

  /** Chooses a time; whether it was had. */
  async choose(token: string, chosen: ChosenTime): Promise<boolean> {
    let isHad = false;
    await this.boxes.update(token, (box) => {
      const isOffered = box.times.some(
        ({ start }) => start === chosen.start && start > this.now() + box.ahead,
      );
      isHad = isOffered && mayChoose(box, this.now());
      return isHad ? { ...box, chosen: { ...chosen, at: chosen.at + box.ahead } } : box;
    });
    return isHad;
  }
}
