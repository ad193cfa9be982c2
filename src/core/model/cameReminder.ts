import { z } from 'zod';
import { ReminderTrigger } from './reminder';

/** The ways by which a reminder comes to the page; others are handed to the server. */
export const PAGE_WAYS = ['notice', 'sound'] as const;

/** A reminder that came in this browser, and what became of it: never part of undo. Instants in milliseconds. */
export const CameReminder = z.object({
  /** The due reminder's key. */
  id: z.string().min(1),
  /** What it reminds of, as a `targetKey`. */
  occurrenceKey: z.string(),
  /** When that starts: it waits for as long as that is so. */
  start: z.number(),
  by: z.enum(PAGE_WAYS),
  description: z.string().optional(),
  /** When it came. */
  due: z.number(),
  /**
   * Waiting for an answer; put off, until its trigger comes; or answered: then it is known for a while, so that it does not
   * come again where a clock is set back.
   */
  answer: z.enum(['waiting', 'snoozed', 'answered']),
  trigger: ReminderTrigger.optional(),
});
export type CameReminder = z.infer<typeof CameReminder>;
