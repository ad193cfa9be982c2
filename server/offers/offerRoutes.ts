import express, { type RequestHandler, type Response, type Router } from 'express';
import { z } from 'zod';
import { ChosenTime } from '@/core/model/offer';
import type { BoxRefusal } from '../boxes';
import { plainPageHeaders } from '../plainPageHeaders';
import { Token } from '../secrets';
import { type OfferBox, PushedOffer } from './offerBox';
import { OFFER_NOTES, type OfferNote, offerPage } from './offerPage';
import type { OfferStore } from './offerStore';
import { isAddress } from '@/core/model/emailAddress';

const Asking = z.object({ key: Token });
const Form = z.object({ start: z.coerce.number(), name: z.string(), address: z.string() });

/** How a browser keeps its offers: `PUT` and `DELETE /api/offers/TOKEN`, and asks after one: `POST /api/offers/TOKEN`. */
export function offerRoutes(store: OfferStore): Router {
  const router = express.Router();
  router.use(express.json({ limit: '100kb' }));
  const answer = (response: Response, box: OfferBox | BoxRefusal | undefined): void => {
    if (box === 'not-yours' || box === 'too-much')
      response.status(box === 'not-yours' ? 403 : 507).json({ error: box });
    else
      response.set('Cache-Control', 'no-store').json({
        chosen: box?.chosen ?? null,
        isWithdrawn: box?.isWithdrawn ?? false,
      });
  };
  const refuse = (response: Response) => response.status(400).json({ error: 'this is no offer' });
  router.put('/:token', async (request, response) => {
    const token = Token.safeParse(request.params.token);
    const pushed = PushedOffer.safeParse(request.body);
    if (!token.success || !pushed.success) refuse(response);
    else answer(response, await store.put(token.data, pushed.data, request.ip ?? ''));
  });
  const withKey =
    (ask: 'state' | 'withdraw'): RequestHandler<{ token: string }> =>
    async (request, response) => {
      const token = Token.safeParse(request.params.token);
      const asking = Asking.safeParse(request.body);
      if (!token.success || !asking.success) refuse(response);
      else answer(response, await store[ask](token.data, asking.data.key));
    };
  router.post('/:token', withKey('state'));
  router.delete('/:token', withKey('withdraw'));
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
