import { z } from 'zod';
import { Box } from '../boxes';
import { Token } from '../secrets';
import { DAY } from '@/core/time/civil';

/** How far ahead messages are taken, in milliseconds: fourteen days, and one for clocks that differ. */
export const FARTHEST = 15 * DAY;
/** The most messages of one browser. */
const MOST_MESSAGES = 500;

/** A message that is to go out: by mail or as a text message. Limits keep one browser from filling the server. */
export const Message = z.discriminatedUnion('way', [
  z.object({
    id: z.string().min(1).max(300),
    way: z.literal('email'),
    to: z.email().max(254),
    /** When it goes out: an instant in milliseconds. */
    at: z.number().int(),
    subject: z.string().max(300),
    body: z.string().max(8000),
  }),
  z.object({
    id: z.string().min(1).max(300),
    way: z.literal('text'),
    to: z.string().regex(/^\+?[0-9][0-9 ()/.-]{4,30}$/),
    at: z.number().int(),
    subject: z.literal(''),
    body: z.string().max(480),
  }),
]);
export type Message = z.infer<typeof Message>;

/** All that a browser wants to have sent, in place of what it wanted before. */
export const MessagePlan = z.object({
  key: Token,
  /** How far the browser's clock is ahead of this one, in milliseconds: that of the demo shows another year. */
  ahead: z.number().int().min(-1e13).max(1e13).default(0),
  zone: z.string().min(1).max(100),
  messages: z.array(Message).max(MOST_MESSAGES),
});
export type MessagePlan = z.infer<typeof MessagePlan>;

/** What became of a message. */
const Outcome = z.enum(['sent', 'late', 'missed']);
export const DoneMessage = z.object({ message: Message, outcome: Outcome, done: z.number() });
export type DoneMessage = z.infer<typeof DoneMessage>;

/** All of one browser's: what is to go out, and what went. */
export const MessageBox = Box.extend({
  ahead: z.number(),
  zone: z.string(),
  planned: z.array(Message),
  done: z.array(DoneMessage),
  /** When each was done that may be asked for again, by its id. */
  doneIds: z.record(z.string(), z.number()),
});
export type MessageBox = z.infer<typeof MessageBox>;
