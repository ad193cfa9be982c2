import express, { type Router } from 'express';
import { z } from 'zod';
import { fetchFeed, type FetchOptions } from './fetchFeed';

const FeedRequest = z.object({
  address: z.string().min(1).max(2000),
  etag: z.string().max(500).optional(),
  lastModified: z.string().max(500).optional(),
});

/** Asks for a feed: `POST /api/feed` with its address and what the host said of the copy that is here. */
export function feedRoute(options: FetchOptions): Router {
  const router = express.Router();
  router.post('/', express.json({ limit: '8kb' }), async (request, response) => {
    const asked = FeedRequest.safeParse(request.body);
    if (!asked.success) {
      response.status(400).json({ error: 'an address is missing' });
      return;
    }
    response.set('Cache-Control', 'no-store').json(await fetchFeed(asked.data, options));
  });
  return router;
}
