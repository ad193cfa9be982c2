import { z } from 'zod';
import { ChosenTime, MOST_OFFERED } from '@/core/model/offer';
import { Box } from '../boxes';
import { Token } from '../secrets';

/** What a browser says of the times that it offers: instants of its own clock. */
export const PushedOffer = z.object({
  key: Token,
  /** How far the browser's clock is ahead of this one, in milliseconds: that of the demo shows another year. */
  ahead: z.number().int().min(-1e13).max(1e13),
  title: z.string().trim().min(1).max(200),
  /** Who offers. */
  name: z.string().max(200),
  zone: z.string().min(1).max(100),
  times: z
    .array(z.object({ start: z.number(), end: z.number() }))
    .min(1)
    .max(MOST_OFFERED),
  expires: z.number(),
});
export type PushedOffer = z.infer<typeof PushedOffer>;

/** An offer as it is kept, with what was chosen. */
export const OfferBox = PushedOffer.omit({ key: true }).extend({
  ...Box.shape,
  isWithdrawn: z.boolean(),
  chosen: ChosenTime.optional(),
});
export type OfferBox = z.infer<typeof OfferBox>;

/** Whether one of its times may be chosen now, an instant of this machine. */
export const mayChoose = ({ chosen, isWithdrawn, expires, ahead }: OfferBox, now: number): boolean =>
  !chosen && !isWithdrawn && now + ahead < expires;
