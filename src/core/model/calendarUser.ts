import { z } from 'zod';
import './withoutCodeMaking';

/** Parameters of a property by their names in small letters (RFC 5545 3.2). */
export const Parameters = z.record(z.string(), z.union([z.string(), z.array(z.string())]));

/** Somebody who invites or is invited (CAL-ADDRESS, RFC 5545 3.3.3), with all that is said of them. */
export const CalendarUser = z.object({
  /** A URI: `mailto:` and an address, as a rule. */
  address: z.string(),
  parameters: Parameters,
});
export type CalendarUser = z.infer<typeof CalendarUser>;

/** A way to take part from afar (CONFERENCE, RFC 7986 5.11). */
export const Conference = z.object({ uri: z.string(), parameters: Parameters });
export type Conference = z.infer<typeof Conference>;
