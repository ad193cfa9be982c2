import express, { type Router } from 'express';
import { BOX_LIMITS, type BoxLimits, Boxes } from '../boxes';
import { Token } from '../secrets';
import { inDirectory } from '../../demo/busyTimes';
import { handOver } from './handOver';
import { Handing, MailBox } from './mailBox';
import { DAY, MINUTE } from '@/core/time/civil';

/** A box that nothing was handed over to for so long is thrown away, in milliseconds. */
const FORGOTTEN = 180 * DAY;
/** So long it is until it is asked again where nothing is about to come, in milliseconds. */
const NEXT = 5 * MINUTE;

/**
 * The stand-in for a mail relay: takes letters of invitations, and gives those that came. What is handed over and what came of it are
 * one write, and what came is given until it is said to have been read: none is lost and none goes twice, wherever either side is
 * stopped.
 */
export class MailRelay {
  private readonly boxes: Boxes<MailBox>;

  constructor(
    folder: string,
    private readonly now: () => number,
    limits: BoxLimits = BOX_LIMITS,
  ) {
    this.boxes = new Boxes({
      folder,
      schema: MailBox,
      limits,
      isForgotten: ({ changed }) => changed < this.now() - FORGOTTEN,
    });
  }

  get(token: string): Promise<MailBox | undefined> {
    return this.boxes.get(token);
  }

  handOver(token: string, handing: Handing, from = ''): Promise<MailBox | 'not-yours' | 'too-much'> {
    return this.boxes.put(token, handing.key, from, (before, own) =>
      handOver(before ?? emptyBox(own, handing), handing, [...inDirectory.values()], this.now()),
    );
  }
}

const emptyBox = (
  own: { readonly keyHash: string; readonly sender: string },
  { ahead, zone, owner }: Handing,
): MailBox => ({
  ...own,
  changed: 0,
  ahead,
  zone,
  owner,
  hasBegun: false,
  sent: [],
  sentIds: {},
  coming: [],
  came: [],
  last: 0,
  receipts: [],
  kept: {},
});

/** How a browser hands letters over and fetches those that came: `POST /api/mail/TOKEN`, with the box's key. */
export function mailRoutes(relay: MailRelay, now: () => number): Router {
  const router = express.Router();
  router.use(express.json({ limit: '8mb' }));
  router.post('/:token', async (request, response) => {
    const token = Token.safeParse(request.params.token);
    const handing = Handing.safeParse(request.body);
    if (!token.success || !handing.success) {
      const where = handing.error?.issues[0]?.path.join('.') ?? 'address';
      response.status(400).json({ error: 'these are no letters', where });
      return;
    }
    const box = await relay.handOver(token.data, handing.data, request.ip);
    if (typeof box === 'string') {
      response.status(box === 'not-yours' ? 403 : 507).json({ error: box });
      return;
    }
    const at = now();
    const ahead = [...box.coming, ...box.receipts.filter((receipt) => receipt.at > at)];
    const next = Math.min(...ahead.map((each) => each.at - at), NEXT);
    response.set('Cache-Control', 'no-store').json({
      letters: box.came,
      receipts: box.receipts
        .filter((receipt) => receipt.at <= at)
        .map((receipt) => ({ ...receipt, at: receipt.at + box.ahead })),
      next: Math.max(next, 0),
    });
  });
  return router;
}
