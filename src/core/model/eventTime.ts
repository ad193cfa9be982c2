import { z } from 'zod';

const DATE = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;
const LOCAL = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])T([01]\d|2[0-3]):[0-5]\d:[0-5]\d$/;

/** A calendar date, `YYYY-MM-DD`. */
export const DateString = z.string().regex(DATE);
/** A wall-clock date and time without a zone, `YYYY-MM-DDTHH:MM:SS`. */
const LocalDateTime = z.string().regex(LOCAL);

/**
 * When an event starts or ends, as the standard writes it (RFC 5545 3.3.4, 3.3.5): a date, a floating
 * wall time, or a wall time in a zone named as in the IANA database. Instants are computed, never stored.
 */
export const EventTime = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('date'), date: DateString }),
  z.object({ kind: z.literal('floating'), local: LocalDateTime }),
  z.object({ kind: z.literal('zoned'), local: LocalDateTime, zone: z.string().min(1) }),
]);
export type EventTime = z.infer<typeof EventTime>;
