import express, { type Router } from 'express';
import { z } from 'zod';
import { ChosenTime } from '@/core/model/offer';
import { isAddress } from '@/core/people/guests';
import { BOX_LIMITS, type BoxLimits, type BoxRefusal, Boxes } from '../boxes';
import { plainPageHeaders } from '../plainPageHeaders';
import { Token } from '../secrets';
import { mayChoose, OfferBox, PushedOffer } from './offerBox';
import { OFFER_NOTES, type OfferNote, offerPage } from './offerPage';

/** An offer that was over for so long is thrown away, in milliseconds. */
const FORGOTTEN = 30 * 24 * 3_600_000;

const Asking = z.object({ key: Token });
const Form = z.object({ start: z.coerce.number(), name: z.string(), address: z.string() });

/** Times that are offered, each at a secret address, of which one can be chosen: whoever is first has it, in one write. */
export class OfferStore {
  private readonly boxes: Boxes<OfferBox>;
  private opened: Promise<void> | undefined;

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

  private open(): Promise<void> {
    return (this.opened ??= this.boxes.open());
  }

  async get(token: string): Promise<OfferBox | undefined> {
    await this.open();
    return this.boxes.get(token);
  }

  /** Keeps an offer; one of which a time was chosen, or that was withdrawn, stays as it is. */
  async put(token: string, { key, ...offer }: PushedOffer, from: string): Promise<OfferBox | BoxRefusal> {
    await this.open();
    return this.boxes.put(token, key, from, (before, own) =>
      before?.chosen || before?.isWithdrawn
        ? before
        : { ...offer, ...own, changed: this.now(), isWithdrawn: false },
    );
  }

  /** Nothing can be chosen any more. What was never there is withdrawn already. */
  async withdraw(token: string, key: string, from: string): Promise<OfferBox | BoxRefusal | undefined> {
    if (!(await this.get(token))) return undefined;
    return this.boxes.put(token, key, from, (before) => ({ ...before!, isWithdrawn: true }));
  }

  /** What became of an offer, for whoever has its key. */
  async state(token: string, key: string, from: string): Promise<OfferBox | BoxRefusal | undefined> {
    if (!(await this.get(token))) return undefined;
    return this.boxes.put(token, key, from, (before) => before!);
  }

  /** Chooses a time; whether it was had. */
  async choose(token: string, chosen: ChosenTime): Promise<boolean> {
    await this.open();
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

/** How a browser keeps its offers: `PUT` and `DELETE /api/offers/TOKEN`, and asks after one: `POST /api/offers/TOKEN`. */
export function offerRoutes(store: OfferStore): Router {
  const router = express.Router();
  router.use(express.json({ limit: '100kb' }));
  const answer = (response: express.Response, box: OfferBox | BoxRefusal | undefined): void => {
    if (box === 'not-yours' || box === 'too-much')
      response.status(box === 'not-yours' ? 403 : 507).json({ error: box });
    else response.set('Cache-Control', 'no-store').json({ chosen: box?.chosen ?? null });
  };
  const refuse = (response: express.Response) => response.status(400).json({ error: 'this is no offer' });
  router.put('/:token', async (request, response) => {
    const token = Token.safeParse(request.params.token);
    const pushed = PushedOffer.safeParse(request.body);
    if (!token.success || !pushed.success) refuse(response);
    else answer(response, await store.put(token.data, pushed.data, request.ip ?? ''));
  });
  router.post('/:token', async (request, response) => {
    const token = Token.safeParse(request.params.token);
    const asking = Asking.safeParse(request.body);
    if (!token.success || !asking.success) refuse(response);
    else answer(response, await store.state(token.data, asking.data.key, request.ip ?? ''));
  });
  router.delete('/:token', async (request, response) => {
    const token = Token.safeParse(request.params.token);
    const asking = Asking.safeParse(request.body);
    if (!token.success || !asking.success) refuse(response);
    else answer(response, await store.withdraw(token.data, asking.data.key, request.ip ?? ''));
  });
  return router;
}

/** The pages on which a time is chosen: `/o/TOKEN`, whose form comes back to its address. */
export function offerPages(store: OfferStore, now: () => number): Router {
  const router = express.Router();
  router.use(plainPageHeaders("'self'", { hasForms: true }));
  const boxOf = async (token: string) => {
    const known = Token.safeParse(token);
    return known.success ? store.get(known.data) : undefined;
  };
  router.get('/:token', async (request, response, next) => {
    const box = await boxOf(request.params.token);
    if (!box) return next();
    const note = Object.keys(OFFER_NOTES).find((each) => each === request.query.note) as
      OfferNote | undefined;
    response.set({ 'Cache-Control': 'no-store', 'X-Robots-Tag': 'noindex, nofollow' });
    response.type('html').send(offerPage(box, now(), note));
  });
  router.post(
    '/:token',
    express.urlencoded({ extended: false, limit: '4kb' }),
    async (request, response, next) => {
      const { token } = request.params;
      if (!(await boxOf(token))) return next();
      const form = Form.safeParse(request.body);
      const chosen = form.success ? ChosenTime.safeParse({ ...form.data, at: now() }) : form;
      const isGood = chosen.success && isAddress(chosen.data.address);
      const note = !isGood ? 'not' : (await store.choose(token, chosen.data)) ? 'kept' : 'taken';
      response.redirect(303, `/o/${token}?note=${note}`);
    },
  );
  router.use((_request, response) => {
    response.status(404).type('text').send('There is no offer at this address.');
  });
  return router;
}
