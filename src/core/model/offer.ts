import { z } from 'zod';
import { SecretAddress } from './share';

/** The most times of one offer. */
export const MOST_OFFERED = 40;

/** A time that is offered: half-open, instants in milliseconds. */
export const OfferedTime = z.object({
  start: z.number(),
  end: z.number(),
  /** The entry that holds it meanwhile, where one does. */
  entryId: z.string().optional(),
});
export type OfferedTime = z.infer<typeof OfferedTime>;

/** Who pressed which of the times. */
export const ChosenTime = z.object({
  start: z.number(),
  name: z.string().trim().min(1).max(200),
  /** Where the invitation goes. */
  address: z.string().trim().min(3).max(254),
  /** When, an instant in milliseconds. */
  at: z.number(),
});
export type ChosenTime = z.infer<typeof ChosenTime>;

/** Times that somebody may choose one of, at a secret address. */
export const Offer = z.object({
  id: z.string().min(1),
  title: z.string().trim().min(1).max(200),
  /** Where it is entered. */
  calendarId: z.string().min(1),
  times: z.array(OfferedTime).min(1).max(MOST_OFFERED),
  /** The zone whose clock the page shows. */
  zone: z.string().min(1).max(100),
  made: z.number(),
  /** Until when one may be chosen: an instant. */
  expires: z.number(),
  address: SecretAddress,
  /** Whether the server has it. */
  isSent: z.literal(true).optional(),
  chosen: ChosenTime.optional(),
});
export type Offer = z.infer<typeof Offer>;

/** Whether one of the times may still be chosen. */
export const isOpen = ({ chosen, expires }: Pick<Offer, 'chosen' | 'expires'>, now: number): boolean =>
  !chosen && now < expires;
