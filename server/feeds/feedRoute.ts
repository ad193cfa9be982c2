import express, { type Router } from 'express';
import { z } from 'zod';
import { Slots } from '../queues';
import { fetchFeed, type FetchOptions } from './fetchFeed';

const FeedRequest = z.object({
  address: z.string().min(1).max(2000),
  etag: z.string().max(500).optional(),
  lastModified: z.string().max(500).optional(),
});

/** Feeds that are held in memory at once, and that wait for that. */
const AT_ONCE = 4;
const WAITING = 60;

/** Asks for a feed: `POST /api/feed` with its address and what the host said of the copy that is here. */
export function feedRoute(options: FetchOptions): Router {
  const router = express.Router();
  const slots = new Slots(AT_ONCE, WAITING);
  router.post('/', express.json({ limit: '8kb' }), async (request, response) => {
    const asked = FeedRequest.safeParse(request.body);
    if (!asked.success) {
      response.status(400).json({ error: 'an address is missing' });
      return;
    }
    const fetched = await slots.run(() => fetchFeed(asked.data, options));
    if (!fetched) {
      response.status(503).json({ error: 'too many feeds are asked for at once' });
      return;
    }
    response.set('Cache-Control', 'no-store').json(fetched.result);
  });
  return router;
}
