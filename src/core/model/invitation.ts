import { z } from 'zod';
import './withoutCodeMaking';
import { CalendarUser } from './calendarUser';
import { CalendarEvent } from './entry';
import { EventTime } from './eventTime';

/** What messages between the one who invites and guests are about (METHOD, RFC 5546 1.4). */
export const ITIP_METHODS = [
  'REQUEST',
  'REPLY',
  'CANCEL',
  'COUNTER',
  'DECLINECOUNTER',
  'REFRESH',
  'ADD',
] as const;
export type ItipMethod = (typeof ITIP_METHODS)[number];

/** What a guest answers (PARTSTAT, RFC 5545 3.2.12). */
export const ANSWERS = ['accepted', 'tentative', 'declined'] as const;
export const Answer = z.enum(ANSWERS);
export type Answer = z.infer<typeof Answer>;

/** The longest words that go along with an answer or an invitation. */
export const LONGEST_WORDS = 4000;

/** An answer of a guest, for all dates or for one. */
export const GuestAnswer = z.object({
  /** As `plainAddress` has it. */
  address: z.string(),
  /** The date that it is for; all of them without one. */
  recurrenceId: EventTime.optional(),
  /** Of a guest who handed it on to somebody else: `delegated`. */
  answer: z.enum([...ANSWERS, 'delegated']),
  /** When they answered (DTSTAMP), an instant. */
  at: z.number(),
  /** The version that they answered. */
  sequence: z.number().int().min(0),
  comment: z.string().max(LONGEST_WORDS),
  /** Whether the time has changed since. */
  isOutdated: z.literal(true).optional(),
});
export type GuestAnswer = z.infer<typeof GuestAnswer>;

/** How far a message came with one guest, as the mail relay says it. */
export const Receipt = z.object({
  status: z.enum(['delivered', 'opened', 'refused']),
  at: z.number(),
});
export type Receipt = z.infer<typeof Receipt>;

/** What passed between the one who invites and guests about all entries of one UID (RFC 5546). */
export const Invitation = z.object({
  /** The UID. */
  id: z.string().min(1),
  /** Which of both I am. */
  role: z.enum(['organizer', 'guest']),
  organizer: CalendarUser,
  /** The version that was told last, or that was believed last (SEQUENCE), and when (DTSTAMP). */
  sequence: z.number().int().min(0),
  stamp: z.number(),
  /** The versions in which the time changed last, of all dates ('') and of single ones by their keys. */
  timeSequences: z.record(z.string(), z.number()),
  /** Of who invites: the version that each guest was told last, by addresses. */
  toldTo: z.record(z.string(), z.number()),
  /** When each was told last, an instant. */
  toldAt: z.record(z.string(), z.number()).optional(),
  /** The entry and its changed dates as they were told, or as they came. */
  events: z.array(CalendarEvent),
  /** Of a guest: the entry as it was when it was answered. */
  answeredEvents: z.array(CalendarEvent).optional(),
  answers: z.array(GuestAnswer),
  /** The words that came with the last message of who invites. */
  comment: z.string().max(LONGEST_WORDS).optional(),
  /** Of a guest: the time that they proposed last. */
  proposal: z
    .object({
      recurrenceId: EventTime.optional(),
      start: EventTime,
      end: EventTime,
      at: z.number(),
      isDeclined: z.literal(true).optional(),
      /** What the one who invites said to it. */
      comment: z.string().max(LONGEST_WORDS),
    })
    .optional(),
  /** Of a guest: whether a message in between did not come, so that it has to be asked how it stands. */
  isBehind: z.literal(true).optional(),
  /** Whether it was called off. */
  isCancelled: z.literal(true).optional(),
  /** A version that nobody is to be told of, as `fingerprint` makes it. */
  settled: z.string().optional(),
  /** How far the last message came, by addresses. */
  receipts: z.record(z.string(), Receipt).optional(),
});
export type Invitation = z.infer<typeof Invitation>;

/** Why a message that came waits for a decision. */
const WAITS_FOR = [
  /** Somebody answers who was not invited. */
  'stranger',
  /** It comes from another address than it says. */
  'forged',
  /** A guest proposes another time. */
  'proposal',
  /** A guest asks how it stands. */
  'refresh',
  /** It is about an entry that is not here. */
  'unknown-entry',
] as const;
export type WaitsFor = (typeof WAITS_FOR)[number];

/** The longest calendar text of a letter. */
export const LONGEST_LETTER = 1_000_000;

/** A mail, most often about an invitation (RFC 6047): one that waits to go out, or one that came and waits for a decision. */
export const Letter = z.object({
  /** Its Message-ID. */
  id: z.string().min(1).max(300),
  direction: z.enum(['out', 'in']),
  /** None for words alone. */
  method: z.enum(ITIP_METHODS).optional(),
  uid: z.string(),
  from: z.string(),
  to: z.array(z.string()),
  subject: z.string().max(1000),
  /** Its words. */
  text: z.string(),
  /** Its calendar text, with the method in it. */
  calendar: z.string().max(LONGEST_LETTER),
  at: z.number(),
  waitsFor: z.enum(WAITS_FOR).optional(),
  /** The Message-ID of the mail that it answers. */
  inReplyTo: z.string().max(500).optional(),
});
export type Letter = z.infer<typeof Letter>;
