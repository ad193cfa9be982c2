import express, { type ErrorRequestHandler, type Response, type Router } from 'express';
import { z } from 'zod';
import { isRealDate, parseDate } from '@/core/time/civil';
import { today } from './pageSections';
import type { PageStore } from './pageStore';
import { DAYS_SHOWN, publishedPage } from './publishedPage';
import { plainPageHeaders } from '../plainPageHeaders';
import { Token } from '../secrets';
import { type HandInStore, handInOf } from './handInStore';
import { PublishedCopy, type PublishedStore, type StoreAnswer, TornCopyError } from './publishedStore';

const STATUS: Record<StoreAnswer, number> = {
  done: 204,
  'not-yours': 403,
  missing: 404,
  withdrawn: 410,
  'too-much': 507,
};

const Change = PublishedCopy.extend({ key: Token });
const Withdrawal = z.object({ key: Token });
const Fetching = z.object({ key: Token, taken: z.array(z.string().max(100)).max(500) });

const refuse = (response: Response, status: number, error: string) => response.status(status).json({ error });

/** What keeps what is published: the copies, their pages, and what their readers hand in. */
export interface Publishing {
  readonly store: PublishedStore;
  readonly pages: PageStore;
  readonly handIns: HandInStore;
  readonly now: () => number;
}

/**
 * How the browser keeps its published copies: `PUT` and `DELETE /api/published/TOKEN`, and fetches what was handed in there:
 * `POST /api/published/TOKEN/handed-in`, each with the copy's key.
 */
export function publishingRoutes({ store, pages, handIns, now }: Publishing): Router {
  const router = express.Router();
  router.use(express.json({ limit: '20mb' }));
  router.put('/:token', async (request, response) => {
    const token = Token.safeParse(request.params.token);
    const change = Change.safeParse(request.body);
    if (!token.success || !change.success) {
      refuse(response, 400, 'this is no calendar to publish');
      return;
    }
    const { key, ...copy } = change.data;
    const answer = await store.put(token.data, key, copy, now(), request.ip);
    if (answer === 'done' && copy.allows) await handIns.make(token.data, key, request.ip ?? '', now());
    response.status(STATUS[answer]).end();
    // Its page is made meanwhile: who asks for it waits for that.
    const kept = answer === 'done' ? await store.get(token.data) : undefined;
    if (kept) await pages.prepare(token.data, kept, now());
  });
  router.post('/:token/handed-in', async (request, response) => {
    const token = Token.safeParse(request.params.token);
    const fetching = Fetching.safeParse(request.body);
    if (!token.success || !fetching.success) {
      refuse(response, 400, 'this is no published calendar');
      return;
    }
    const { key, taken } = fetching.data;
    const items = await handIns.fetch(token.data, key, taken);
    if (items === 'not-yours') refuse(response, STATUS[items], items);
    else response.set('Cache-Control', 'no-store').json({ items });
  });
  router.delete('/:token', async (request, response) => {
    const token = Token.safeParse(request.params.token);
    const withdrawal = Withdrawal.safeParse(request.body);
    if (!token.success || !withdrawal.success) {
      refuse(response, 400, 'this is no published calendar');
      return;
    }
    // Whoever withdraws twice, or what is gone already, has what was wanted.
    const answer = await store.remove(token.data, withdrawal.data.key);
    if (answer !== 'not-yours') await pages.remove(token.data);
    response.status(answer === 'missing' ? STATUS.done : STATUS[answer]).end();
  });
  return router;
}

/** What is said on a page after a form came. */
const NOTES: Readonly<Record<string, string>> = {
  kept: 'Handed in. It is entered when the calendar is next open with its owner.',
  not: 'That could not be handed in: something is missing in it, or it may not be changed any more.',
  full: 'Too much waits here already. Try again when the calendar’s owner has looked at it.',
};

/** A page with forms stands in no other page. */
const formHeaders = plainPageHeaders("'self'", { hasForms: true });

/**
 * What others read at the secret address: `/p/TOKEN.ics` as a feed, and `/p/TOKEN` as a page that may stand in others. Where they
 * may add and change, the page has forms for it, which come back to its address.
 */
export function publishedPages({ store, pages, handIns, now }: Publishing): Router {
  const router = express.Router();
  router.use(plainPageHeaders('*'));
  const copyOf = async (token: string) => {
    const known = Token.safeParse(token);
    return known.success ? store.get(known.data) : undefined;
  };
  router.get('/:token.ics', async (request, response, next) => {
    const copy = await copyOf(request.params.token);
    if (!copy) {
      next();
      return;
    }
    response.set({ 'Cache-Control': 'no-cache', 'Last-Modified': new Date(copy.updated).toUTCString() });
    response.type('text/calendar; charset=utf-8').send(copy.text);
  });
  router.post(
    '/:token',
    express.urlencoded({ extended: false, limit: '16kb' }),
    async (request, response, next) => {
      const copy = await copyOf(request.params.token);
      if (!copy?.allows) {
        next();
        return;
      }
      const handIn = handInOf(request.body, copy.allows, now());
      const note = !handIn ? 'not' : (await handIns.add(request.params.token, handIn)) ? 'kept' : 'full';
      const from = handIn && handIn.kind !== 'remove' ? handIn.entry.date : request.query.from;
      const query = new URLSearchParams({ ...(typeof from === 'string' ? { from } : {}), note });
      response.redirect(303, `/p/${request.params.token}?${query.toString()}`);
    },
  );
  router.get('/:token', async (request, response, next) => {
    const copy = await copyOf(request.params.token);
    if (!copy) {
      next();
      return;
    }
    const from = typeof request.query.from === 'string' ? request.query.from : '';
    const day = /^\d{4}-\d\d-\d\d$/.test(from) && isRealDate(from) ? parseDate(from) : undefined;
    response.set({ 'Cache-Control': 'no-cache', 'X-Robots-Tag': 'noindex, nofollow' });
    const first = day ?? today(copy, now());
    const sections = await pages.sections(request.params.token, copy, first, first + DAYS_SHOWN, now());
    const send = () => {
      const note = typeof request.query.note === 'string' ? NOTES[request.query.note] : undefined;
      response.type('html').send(publishedPage(copy, sections, first, note));
    };
    if (copy.allows) formHeaders(request, response, send);
    else send();
  });
  router.use(((error, _request, response, next) => {
    if (!(error instanceof TornCopyError)) return next(error);
    response
      .status(503)
      .type('text')
      .send('This calendar can’t be read here. Whoever publishes it has to publish it anew.');
  }) satisfies ErrorRequestHandler);
  router.use((_request, response) => {
    response.status(404).type('text').send('There is no calendar at this address.');
  });
  return router;
}
