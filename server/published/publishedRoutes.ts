import express, { type ErrorRequestHandler, type Response, type Router } from 'express';
import { z } from 'zod';
import { isRealDate, parseDate } from '@/core/time/civil';
import { today } from './pageSections';
import type { PageStore } from './pageStore';
import { DAYS_SHOWN, publishedPage } from './publishedPage';
import { plainPageHeaders } from '../plainPageHeaders';
import { Token } from '../secrets';
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

const refuse = (response: Response, status: number, error: string) => response.status(status).json({ error });

/** How the browser keeps its published copies: `PUT` and `DELETE /api/published/TOKEN`, each with the copy's key. */
export function publishingRoutes(store: PublishedStore, pages: PageStore, now: () => number): Router {
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
    response.status(STATUS[answer]).end();
    // Its page is made meanwhile: who asks for it waits for that.
    const kept = answer === 'done' ? await store.get(token.data) : undefined;
    if (kept) await pages.prepare(token.data, kept, now());
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

/** What others read at the secret address: `/p/TOKEN.ics` as a feed, and `/p/TOKEN` as a page that may stand in others. */
export function publishedPages(store: PublishedStore, pages: PageStore, now: () => number): Router {
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
    response.type('html').send(publishedPage(copy, sections, first));
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
