import { z } from 'zod';
import './withoutCodeMaking';
import { Attachment } from './attachment';
import { CalendarUser } from './calendarUser';
import { Colour } from './colour';
import { Geo } from './geo';
import { Preserved } from './preserved';
import { RelatedTo } from './relatedTo';
import { Reminder } from './reminder';

export const CLASSIFICATIONS = ['public', 'private', 'confidential'] as const;

export const Classification = z.enum(CLASSIFICATIONS);
export type Classification = z.infer<typeof Classification>;

/** What an invited person has answered themselves, or that they have not yet (PARTSTAT, RFC 5545 3.2.12). */
export const OWN_ANSWERS = ['needs-action', 'accepted', 'tentative', 'declined'] as const;
export type OwnAnswer = (typeof OWN_ANSWERS)[number];

/** A mail, by its Message-ID (RFC 5322 3.6.4), in which no space is, and its subject. */
export const AnsweredMail = z.object({
  id: z.string().regex(/^\S+$/).max(500),
  subject: z.string().max(1000),
});
export type AnsweredMail = z.infer<typeof AnsweredMail>;

/** What guests of an entry may do beside answering. */
export const GUESTS_MAY = ['change', 'invite', 'see-each-other', 'propose'] as const;
export type GuestsMay = (typeof GUESTS_MAY)[number];
/** What they may where nothing else is chosen. */
export const GUESTS_MAY_USUALLY: readonly GuestsMay[] = ['see-each-other', 'propose'];

/** The longest title of an entry, in UTF-16 units. */
export const LONGEST_TITLE = 1000;

/** What every entry holds, whatever it is: what the bin, calendars, categories, files and feeds are about. */
export const EntryBase = z.object({
  id: z.string().min(1),
  uid: z.string().min(1),
  calendarId: z.string().min(1),
  title: z.string().max(LONGEST_TITLE),
  classification: Classification,
  categories: z.array(z.string().min(1)),
  notes: z.string(),
  url: z.string(),
  location: z.string(),
  /** Where on earth its place is. */
  geo: Geo.optional(),
  /** Its own; without them it follows the usual ones of its calendar. */
  reminders: z.array(Reminder).optional(),
  sequence: z.number().int().min(0),
  /** Instants in milliseconds. */
  created: z.number(),
  modified: z.number(),
  /** Who invites, and who is invited (RFC 5545 3.8.4.3 and 3.8.4.1). */
  organizer: CalendarUser.optional(),
  attendees: z.array(CalendarUser).optional(),
  /** Of an invitation that came: what was answered to it. */
  ownAnswer: z.enum(OWN_ANSWERS).optional(),
  /** The entries that it is related to, by their UIDs: an event that is time for a to-do is a part of that. */
  relatedTo: z.array(RelatedTo).optional(),
  /** The mail that it was made from, to which its invitation is an answer: its Message-ID and subject. */
  answersMail: AnsweredMail.optional(),
  /** What its guests may; the usual without it. */
  guestsMay: z.array(z.enum(GUESTS_MAY)).optional(),
  /** How important it is (PRIORITY, RFC 5545 3.8.1.9): 1 the highest, 9 the lowest. */
  priority: z.number().int().min(1).max(9).optional(),
  /** One's own number for it: an order, a case, a file. */
  reference: z.string().max(LONGEST_TITLE).optional(),
  /** A colour of its own, in place of its category's or calendar's. */
  colour: Colour.optional(),
  attachments: z.array(Attachment).optional(),
  /** The name of the file that it was imported from. */
  importedFrom: z.string().max(255).optional(),
  /** What a file held beyond this model, written back on export. */
  preserved: Preserved.optional(),
});
export type EntryBase = z.infer<typeof EntryBase>;

/** The fields of an entry that a person sets: what it is, where it came from and which date of what stay as they are. */
export type SetOf<Kept extends EntryBase> = Omit<
  Kept,
  | 'kind'
  | 'id'
  | 'uid'
  | 'created'
  | 'modified'
  | 'sequence'
  | 'seriesId'
  | 'recurrenceId'
  | 'recurrenceRange'
  | 'importedFrom'
  | 'preserved'
>;
