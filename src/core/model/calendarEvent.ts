import { z } from 'zod';
import './withoutCodeMaking';
import { Conference } from './calendarUser';
import { EntryBase, type SetOf } from './entryBase';
import { EventTime } from './eventTime';
import { recurrenceFields } from './recurrenceFields';

export const AVAILABILITIES = ['busy', 'tentative', 'free', 'away'] as const;
export const STATUSES = ['confirmed', 'tentative', 'cancelled'] as const;

export const Availability = z.enum(AVAILABILITIES);
export type Availability = z.infer<typeof Availability>;
export const Status = z.enum(STATUSES);
export type Status = z.infer<typeof Status>;

/** The longest way there or back, in minutes: a week. */
export const LONGEST_TRAVEL = 10_080;
const TravelMinutes = z.number().int().min(0).max(LONGEST_TRAVEL);

/** The way to an event and back, in minutes: time that is taken before its start and after its end. */
export const Travel = z.object({ there: TravelMinutes, back: TravelMinutes });
export type Travel = z.infer<typeof Travel>;

/** An event: single, a series (with `recurrence`), or one changed occurrence of a series (with `seriesId`). */
export const CalendarEvent = EntryBase.extend({
  kind: z.literal('event'),
  start: EventTime,
  /** Exclusive, of the same kind as the start. */
  end: EventTime,
  ...recurrenceFields,
  status: Status,
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
export type EventFields = SetOf<CalendarEvent>;
