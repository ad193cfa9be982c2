import { z } from 'zod';
import './withoutCodeMaking';
import { EventTime } from './eventTime';

/** What becomes of an occurrence on a day off: left out, or moved to the next or previous working day. */
export const DAY_OFF_HANDLINGS = ['omit', 'next', 'previous'] as const;
export type DayOffHandling = (typeof DAY_OFF_HANDLINGS)[number];

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

/** What makes an entry a series (with `recurrence`), or one changed occurrence of a series (with `seriesId`). */
export const recurrenceFields = {
  recurrence: Recurrence.optional(),
  /** The series that this entry overrides one occurrence of, and which (its original start). */
  seriesId: z.string().optional(),
  recurrenceId: EventTime.optional(),
  /** Whether the change holds for the later occurrences too (RANGE, RFC 5545 3.2.13). */
  recurrenceRange: z.literal('this-and-future').optional(),
};
