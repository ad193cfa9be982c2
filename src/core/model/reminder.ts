import { z } from 'zod';
import './withoutCodeMaking';
import { Preserved } from './preserved';

/** What the time of a reminder is counted from: `leaving` is the start less the way there. */
const REMINDER_ANCHORS = ['start', 'end', 'leaving'] as const;
export type ReminderAnchor = (typeof REMINDER_ANCHORS)[number];

/** By what a reminder comes: a notice without or with a sound, an e-mail, or a text message. */
export const REMINDER_WAYS = ['notice', 'sound', 'email', 'text'] as const;
export type ReminderWay = (typeof REMINDER_WAYS)[number];

/** The farthest that a reminder lies from what it reminds of: ten years, in days. */
export const FARTHEST_DAYS = 3660;
const FARTHEST_MINUTES = FARTHEST_DAYS * 1440;

/** The latest instant that a clock shows with a year of four digits, in milliseconds. */
const LATEST_INSTANT = Date.UTC(9999, 11, 31, 23, 59);

/** When a reminder comes (TRIGGER, RFC 5545 3.8.6.3). */
export const ReminderTrigger = z.discriminatedUnion('kind', [
  /** So long after an anchor, before it where negative: days of the calendar first, then exact minutes. */
  z.object({
    kind: z.literal('offset'),
    from: z.enum(REMINDER_ANCHORS),
    days: z.number().int().min(-FARTHEST_DAYS).max(FARTHEST_DAYS),
    minutes: z.number().int().min(-FARTHEST_MINUTES).max(FARTHEST_MINUTES),
  }),
  /** At a time of day, in minutes of the clock where the person is, so many days before the day of the start. */
  z.object({
    kind: z.literal('time-of-day'),
    daysBefore: z.number().int().min(0).max(FARTHEST_DAYS),
    minute: z.number().int().min(0).max(1439),
  }),
  /** At an instant in milliseconds, whenever the entry is. */
  z.object({ kind: z.literal('fixed'), at: z.number().min(-LATEST_INSTANT).max(LATEST_INSTANT) }),
]);
export type ReminderTrigger = z.infer<typeof ReminderTrigger>;

/** The most times that a reminder comes again. */
const MOST_REPEATS = 50;

/** A reminder of an entry (VALARM, RFC 5545 3.6.6). */
export const Reminder = z.object({
  trigger: ReminderTrigger,
  by: z.enum(REMINDER_WAYS),
  /** What it says, where that is not the entry's title. */
  description: z.string().optional(),
  /** How often it comes again, and after how many minutes each (REPEAT and DURATION). */
  repeat: z
    .object({
      times: z.number().int().min(1).max(MOST_REPEATS),
      everyMinutes: z.number().int().min(1).max(10_080),
    })
    .optional(),
  /** The latest instant at which it was answered elsewhere (ACKNOWLEDGED, RFC 9074 6.1): up to it, it does not come. */
  acknowledged: z.number().optional(),
  /** What its file said beyond this, written back on export. */
  preserved: Preserved.optional(),
});
export type Reminder = z.infer<typeof Reminder>;

/** What entries of a calendar remind by where they say nothing themselves. */
export const UsualReminders = z.object({ timed: z.array(Reminder), wholeDays: z.array(Reminder) });
export type UsualReminders = z.infer<typeof UsualReminders>;

/** The most reminders that an entry is read or given with. */
export const MOST_REMINDERS = 100;

/** A trigger so long from an anchor, before it where negative. */
export const offsetTrigger = (
  minutes: number,
  from: ReminderAnchor = 'start',
  days = 0,
): ReminderTrigger => ({ kind: 'offset', from, days, minutes });

/** A reminder by notice so many minutes before the start. */
export const noticeBefore = (minutes: number): Reminder => ({
  trigger: offsetTrigger(minutes === 0 ? 0 : -minutes),
  by: 'notice',
});

/** A text that is equal for reminders that come at the same time by the same way. */
export function reminderKey({ trigger, by, repeat }: Reminder): string {
  const again = repeat ? `,${repeat.times}x${repeat.everyMinutes}` : '';
  switch (trigger.kind) {
    case 'offset':
      return `${by}:${trigger.from}${trigger.days}d${trigger.minutes}m${again}`;
    case 'time-of-day':
      return `${by}:${trigger.daysBefore}@${trigger.minute}${again}`;
    case 'fixed':
      return `${by}:${trigger.at}${again}`;
  }
}

/** Whether a reminder is among others: known by when and by which way it comes. */
export const hasReminder = (reminders: readonly Reminder[], one: Reminder): boolean =>
  reminders.some((other) => reminderKey(other) === reminderKey(one));
