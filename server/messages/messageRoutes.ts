import express, { type Router } from 'express';
import { plainPageHeaders } from '../plainPageHeaders';
import { Token } from '../secrets';
import type { MailRelay } from '../mail/mailRoutes';
import { FARTHEST, MessagePlan } from './message';
import type { MessageStore, PlanAnswer } from './messageStore';
import { outboxPage } from './outboxPage';

const STATUS: Record<PlanAnswer, number> = { done: 204, 'not-yours': 403, 'too-much': 507 };

/** How the browser hands over what is to go out: `PUT /api/messages/TOKEN`, all of it each time, with the box's key. */
export function messageRoutes(store: MessageStore, now: () => number): Router {
  const router = express.Router();
  router.use(express.json({ limit: '5mb' }));
  router.put('/:token', async (request, response) => {
    const token = Token.safeParse(request.params.token);
    const plan = MessagePlan.safeParse(request.body);
    if (!token.success || !plan.success) {
      const where = plan.error?.issues[0]?.path.join('.') ?? 'address';
      response.status(400).json({ error: 'these are no messages to send', where });
      return;
    }
    if (plan.data.messages.some(({ at }) => at > now() + FARTHEST)) {
      response.status(400).json({ error: 'messages are taken for fourteen days', where: 'messages' });
      return;
    }
    response.status(STATUS[await store.plan(token.data, plan.data, request.ip)]).end();
  });
  return router;
}

/** What a browser's messages came to: `/outbox/TOKEN`, for who has its address. */
export function outboxPages(store: MessageStore, relay: MailRelay): Router {
  const router = express.Router();
  router.use(plainPageHeaders("'self'"));
  router.get('/:token', async (request, response) => {
    const token = Token.safeParse(request.params.token);
    if (!token.success) {
      response.status(404).type('text').send('There is no outbox at this address.');
      return;
    }
    await store.send();
    response.set({ 'Cache-Control': 'no-store', 'X-Robots-Tag': 'noindex, nofollow' });
    const [box, mail] = await Promise.all([store.get(token.data), relay.get(token.data)]);
    response.type('html').send(outboxPage(box, mail));
  });
  return router;
}
