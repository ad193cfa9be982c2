import { z } from 'zod';
import { Colour } from './colour';
import { Preserved } from './preserved';
import { UsualReminders } from './reminder';

/** How often a feed is read again, in minutes: from a quarter of an hour to a week. */
export const FEED_INTERVALS = [15, 60, 360, 1440, 10_080] as const;

/** Why a feed could not be read. */
export const FEED_PROBLEMS = [
  'vanished',
  'not-allowed',
  'too-large',
  'too-slow',
  'too-many-redirects',
  'unreachable',
  'refused-by-host',
  'unreadable',
  'server-away',
] as const;
export type FeedProblem = (typeof FEED_PROBLEMS)[number];

/** Where a calendar is read from, and how that went (REFRESH-INTERVAL and SOURCE, RFC 7986 5.7 and 5.8). */
export const FeedSource = z.object({
  address: z.string().min(1).max(2000),
  everyMinutes: z.union(FEED_INTERVALS.map((minutes) => z.literal(minutes))),
  withReminders: z.boolean(),
  withAttachments: z.boolean(),
  /** What the host said of the copy that is here (RFC 9110 8.8). */
  etag: z.string().optional(),
  lastModified: z.string().optional(),
  /** Instants in milliseconds: the latest try, and the latest that brought the calendar or said that it is unchanged. */
  tried: z.number().optional(),
  refreshed: z.number().optional(),
  problem: z.object({ code: z.enum(FEED_PROBLEMS), detail: z.string(), since: z.number() }).optional(),
});
export type FeedSource = z.infer<typeof FeedSource>;

/** How often a feed is read, and what of it is taken. */
export const FeedOptions = FeedSource.pick({
  everyMinutes: true,
  withReminders: true,
  withAttachments: true,
});
export type FeedOptions = z.infer<typeof FeedOptions>;

/** How much others see of a published calendar. */
export const PUBLISHED_LEVELS = ['busy', 'titles', 'everything'] as const;
export type PublishedLevel = (typeof PUBLISHED_LEVELS)[number];

/** A calendar that the server serves at a secret address. */
export const Publication = z.object({
  /** The secret part of the address. */
  token: z.string().regex(/^[A-Za-z0-9_-]{22,64}$/),
  /** What proves to the server that a change of it comes from its owner. */
  key: z.string().regex(/^[A-Za-z0-9_-]{22,64}$/),
  level: z.enum(PUBLISHED_LEVELS),
  since: z.number(),
});
export type Publication = z.infer<typeof Publication>;

/** A named, coloured collection of entries with its two-letter mark. */
export const Calendar = z.object({
  id: z.string().min(1),
  name: z.string().trim().min(1).max(120),
  description: z.string().max(2000).default(''),
  colour: Colour,
  mark: z.string().regex(/^[\p{Lu}\p{N}]{2}$/u),
  /** Place in the person's own order, ascending. */
  order: z.number(),
  created: z.number(),
  modified: z.number(),
  /** The zone of new entries, where it is not the home zone. */
  zone: z.string().min(1).optional(),
  /** How long a new entry is, where it is not as set for all. */
  defaultLengthMinutes: z.number().int().min(5).max(1440).optional(),
  /** What its entries remind by that have no reminders of their own. */
  usualReminders: UsualReminders.optional(),
  /** Entries that take no time of the person's: they count for no load, whatever they say themselves. */
  countsAsFree: z.literal(true).optional(),
  /** Taken off the chips, and kept. */
  unlisted: z.literal(true).optional(),
  /** Its entries can't be changed here. A feed is so by itself. */
  readOnly: z.literal(true).optional(),
  feed: FeedSource.optional(),
  publication: Publication.optional(),
  /** What its file held beyond events, written back on export. */
  preserved: Preserved.optional(),
});
export type Calendar = z.infer<typeof Calendar>;

/** Whether entries of a calendar can be made, changed and deleted. */
export const isReadOnly = (calendar: Pick<Calendar, 'readOnly' | 'feed'> | undefined): boolean =>
  !!calendar && (calendar.readOnly === true || calendar.feed !== undefined);

/** The groups that calendars are listed in. */
export const CALENDAR_GROUPS = ['kept', 'feeds', 'published'] as const;
export type CalendarGroup = (typeof CALENDAR_GROUPS)[number];

/** Which group a calendar stands in. */
export const groupOf = (calendar: Calendar): CalendarGroup =>
  calendar.feed ? 'feeds' : calendar.publication ? 'published' : 'kept';
