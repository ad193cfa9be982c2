import { z } from 'zod';
import './withoutCodeMaking';
import { Attachment } from './attachment';
import { CalendarUser, Conference } from './calendarUser';
import { Colour } from './colour';
import { EventTime } from './eventTime';
import { Preserved } from './preserved';
import { Reminder } from './reminder';

export const AVAILABILITIES = ['busy', 'tentative', 'free', 'away'] as const;
export const CLASSIFICATIONS = ['public', 'private', 'confidential'] as const;
export const STATUSES = ['confirmed', 'tentative', 'cancelled'] as const;

export const Availability = z.enum(AVAILABILITIES);
export type Availability = z.infer<typeof Availability>;
export const Classification = z.enum(CLASSIFICATIONS);
export type Classification = z.infer<typeof Classification>;
export const Status = z.enum(STATUSES);
export type Status = z.infer<typeof Status>;

/** What becomes of an occurrence on a day off: left out, or moved to the next or previous working day. */
export const DAY_OFF_HANDLINGS = ['omit', 'next', 'previous'] as const;
export type DayOffHandling = (typeof DAY_OFF_HANDLINGS)[number];

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

/** A series that skips days off: the calendar whose all-day entries are days off, and what happens on them. */
export const SkipDaysOff = z.object({
  calendarId: z.string().min(1),
  handling: z.enum(DAY_OFF_HANDLINGS),
});
export type SkipDaysOff = z.infer<typeof SkipDaysOff>;

/** Repeats of an event (RFC 5545 3.8.5): RRULE values as text, further dates and dates left out. */
export const Recurrence = z.object({
  rules: z.array(z.string().min(1)),
  dates: z.array(EventTime),
  exceptionDates: z.array(EventTime),
  /** Further dates that have ends of their own (RDATE with PERIOD, RFC 5545 3.8.5.2). */
  periods: z.array(z.object({ start: EventTime, end: EventTime })).optional(),
  skipDaysOff: SkipDaysOff.optional(),
});
export type Recurrence = z.infer<typeof Recurrence>;

/** The longest title of an entry, in UTF-16 units. */
export const LONGEST_TITLE = 1000;

/** The longest way there or back, in minutes: a week. */
export const LONGEST_TRAVEL = 10_080;
const TravelMinutes = z.number().int().min(0).max(LONGEST_TRAVEL);

/** The way to an event and back, in minutes: time that is taken before its start and after its end. */
export const Travel = z.object({ there: TravelMinutes, back: TravelMinutes });
export type Travel = z.infer<typeof Travel>;

/** What every entry holds, whatever it is: what the bin, calendars, categories, files and feeds are about. */
export const EntryBase = z.object({
  id: z.string().min(1),
  uid: z.string().min(1),
  calendarId: z.string().min(1),
  title: z.string().max(LONGEST_TITLE),
  classification: Classification,
  status: Status,
  categories: z.array(z.string().min(1)),
  notes: z.string(),
  url: z.string(),
  location: z.string(),
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
  /** The mail that it was made from, to which its invitation is an answer: its Message-ID and subject. */
  answersMail: AnsweredMail.optional(),
  /** What its guests may; the usual without it. */
  guestsMay: z.array(z.enum(GUESTS_MAY)).optional(),
  /** How important it is (PRIORITY, RFC 5545 3.8.1.9): 1 the highest, 9 the lowest. */
  priority: z.number().int().min(1).max(9).optional(),
  /** A colour of its own, in place of its category's or calendar's. */
  colour: Colour.optional(),
  attachments: z.array(Attachment).optional(),
  /** The name of the file that it was imported from. */
  importedFrom: z.string().max(255).optional(),
  /** What a file held beyond this model, written back on export. */
  preserved: Preserved.optional(),
});
export type EntryBase = z.infer<typeof EntryBase>;

/** An event: single, a series (with `recurrence`), or one changed occurrence of a series (with `seriesId`). */
export const CalendarEvent = EntryBase.extend({
  kind: z.literal('event'),
  start: EventTime,
  /** Exclusive, of the same kind as the start. */
  end: EventTime,
  recurrence: Recurrence.optional(),
  /** The series that this event overrides one occurrence of, and which (its original start). */
  seriesId: z.string().optional(),
  recurrenceId: EventTime.optional(),
  /** Whether the change holds for the later occurrences too (RANGE, RFC 5545 3.2.13). */
  recurrenceRange: z.literal('this-and-future').optional(),
  availability: Availability,
  /** Not there where there is no way. */
  travel: Travel.optional(),
  /** Where it is held from afar (RFC 7986 5.11). */
  conferences: z.array(Conference).optional(),
  /** Of whole days that were hours before: how long it was, and will be again. */
  timedMinutes: z
    .number()
    .int()
    .min(1)
    .max(1440 * 366)
    .optional(),
});
export type CalendarEvent = z.infer<typeof CalendarEvent>;

/** The fields of an event that a person sets. */
export type EventFields = Omit<
  CalendarEvent,
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

/** Anything kept: a union that is told by `kind`. To-dos join it when they are built. */
export const Entry = CalendarEvent;
export type Entry = z.infer<typeof Entry>;
