import { z } from 'zod';
import type { CalendarFields } from '@/core/change/calendarChanges';
import { type Calendar, FeedOptions } from '@/core/model/calendar';
import { Colour } from '@/core/model/colour';
import { UsualReminders } from '@/core/model/reminder';
import { words } from '@/ui/words';

/** The value of a choice that is made for all calendars elsewhere. */
export const AS_EVERYWHERE = '';

const KINDS = ['busy', 'listed', 'readOnly'] as const;

const own = (value: string): string | undefined => (value === AS_EVERYWHERE ? undefined : value);

/** The form of a calendar, and what it says of it. */
export const CalendarForm = z
  .object({
    name: z.string().trim().min(1, words.calendars.nameMissing),
    description: z.string().trim(),
    colour: Colour,
    mark: z.string().regex(/^[\p{Lu}\p{N}]{2}$/u, words.calendars.markWrong),
    zone: z.string(),
    /** Minutes, as a text. */
    length: z.string(),
    usual: UsualReminders,
    /** What it is beside its name: set, or not. */
    kinds: z.array(z.enum(KINDS)),
    /** How it is read, for a calendar that is a feed. */
    feed: FeedOptions.optional(),
  })
  .transform(
    ({ zone, length, kinds, feed, usual, ...plain }): { fields: CalendarFields; feed?: FeedOptions } => ({
      fields: {
        ...plain,
        zone: own(zone),
        defaultLengthMinutes: length === AS_EVERYWHERE ? undefined : Number(length),
        usualReminders: usual.timed.length + usual.wholeDays.length > 0 ? usual : undefined,
        countsAsFree: kinds.includes('busy') ? undefined : true,
        unlisted: kinds.includes('listed') ? undefined : true,
        readOnly: kinds.includes('readOnly') ? true : undefined,
      },
      ...(feed ? { feed } : {}),
    }),
  );
export type CalendarForm = z.input<typeof CalendarForm>;

/** The form of a calendar as it is; of a new one, with what is proposed for it. */
export const formOfCalendar = (
  calendar: Calendar | undefined,
  proposed: Pick<Calendar, 'colour' | 'mark'>,
): CalendarForm => ({
  name: calendar?.name ?? '',
  description: calendar?.description ?? '',
  colour: calendar?.colour ?? proposed.colour,
  mark: calendar?.mark ?? proposed.mark,
  zone: calendar?.zone ?? AS_EVERYWHERE,
  length:
    calendar?.defaultLengthMinutes === undefined ? AS_EVERYWHERE : String(calendar.defaultLengthMinutes),
  usual: calendar?.usualReminders ?? { timed: [], wholeDays: [] },
  kinds: [
    ...(calendar?.countsAsFree ? [] : (['busy'] as const)),
    ...(calendar?.unlisted ? [] : (['listed'] as const)),
    ...(calendar?.readOnly ? (['readOnly'] as const) : []),
  ],
  ...(calendar?.feed ? { feed: FeedOptions.parse(calendar.feed) } : {}),
});
