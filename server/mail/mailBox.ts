import { z } from 'zod';
import { Invitation, ITIP_METHODS, LONGEST_LETTER } from '@/core/model/invitation';
import { Box } from '../boxes';
import { Token } from '../secrets';
import { isAddress } from '@/core/model/emailAddress';

/** The most letters of one handing over, and the most that one goes to. */
const MOST_LETTERS = 50;
const MOST_ADDRESSEES = 200;
/** So many that went are shown, and so many calendars entries of others are kept. */
export const MOST_SHOWN = 200;
export const MOST_KEPT = 2000;
/** The most letters that wait to be fetched. */
export const MOST_WAITING = 500;

/** An address as far as a browser can tell; that nobody is there is said afterwards. */
const Address = z.string().max(254).refine(isAddress);

/** A letter that a browser hands over. */
export const SentLetter = z.object({
  /** Its Message-ID: handed over twice, it goes once. */
  id: z.string().min(1).max(300),
  from: Address,
  /** Whatever stands in a calendar file as an address: what is none is said, and keeps nobody else's letter. */
  to: z.array(z.string().min(1).max(1000)).min(1).max(MOST_ADDRESSEES),
  subject: z.string().max(1000),
  text: z.string().max(20_000),
  method: z.enum(ITIP_METHODS).optional(),
  calendar: z.string().max(LONGEST_LETTER).optional(),
  /** The Message-ID of the mail that it answers (In-Reply-To, RFC 5322 3.6.4). */
  inReplyTo: z.string().max(500).optional(),
});
export type SentLetter = z.infer<typeof SentLetter>;

/** What a browser hands over, and from which letter on it wants to have those that came. */
export const Handing = z.object({
  key: Token,
  /** How far the browser's clock is ahead of this one, in milliseconds: that of the demo shows another year. */
  ahead: z.number().int().min(-1e13).max(1e13).default(0),
  zone: z.string().min(1).max(100),
  /** One's own address, to which letters come. */
  owner: Address,
  /** Whether made-up colleagues begin to invite. */
  isDemo: z.boolean().default(false),
  /** The last letter that was read. */
  after: z.number().int().min(0).default(0),
  letters: z.array(SentLetter).max(MOST_LETTERS),
});
export type Handing = z.infer<typeof Handing>;

/** A letter of a colleague that comes when it is time. */
export const ComingLetter = z.object({
  /** When it comes, an instant of this machine. */
  at: z.number(),
  from: z.string(),
  fromName: z.string(),
  uid: z.string(),
  subject: z.string(),
  text: z.string(),
  method: z.enum(ITIP_METHODS),
  calendar: z.string(),
});
export type ComingLetter = z.infer<typeof ComingLetter>;

/** How far a letter came with one of those whom it went to. */
export const LetterReceipt = z.object({
  uid: z.string(),
  address: z.string(),
  status: z.enum(['delivered', 'opened', 'refused']),
  /** When, an instant of this machine. */
  at: z.number(),
});
export type LetterReceipt = z.infer<typeof LetterReceipt>;

/** All mail of one browser, with what its made-up colleagues know. */
export const MailBox = Box.extend({
  ahead: z.number(),
  zone: z.string(),
  owner: z.string(),
  hasBegun: z.boolean(),
  /** What went, latest last, and the ids of all that did, with when. */
  sent: z.array(SentLetter.omit({ calendar: true }).extend({ at: z.number() })),
  sentIds: z.record(z.string(), z.number()),
  coming: z.array(ComingLetter),
  /** What came and was not fetched yet: whole mails (RFC 5322), by their numbers. */
  came: z.array(z.object({ number: z.number(), mail: z.string() })),
  last: z.number(),
  receipts: z.array(LetterReceipt),
  /** What each colleague knows of each entry, by address and UID. */
  kept: z.record(z.string(), Invitation),
});
export type MailBox = z.infer<typeof MailBox>;
