import { z } from 'zod';

/** What the server serves at secret addresses. */
const SERVED_KINDS = ['published', 'offers'] as const;
export type ServedKind = (typeof SERVED_KINDS)[number];

/** An address that is to be taken off the server, until it is known that it was. */
export const Withdrawal = z.object({
  /** The secret part of the address. */
  id: z.string().min(1),
  key: z.string().min(1),
  kind: z.enum(SERVED_KINDS),
});
export type Withdrawal = z.infer<typeof Withdrawal>;
