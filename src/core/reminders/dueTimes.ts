import type { CalendarEvent, DatedTodo, Entry } from '../model/entry';
import type { Reminder, ReminderTrigger, UsualReminders } from '../model/reminder';
import { DAY, MINUTE } from '../time/civil';
import { ownZone } from '../time/eventTime';
import { instantToWall, wallToInstant } from '../time/zones';

/** What a reminder is counted from. Instants in milliseconds. */
export interface RemindedSpan {
  readonly start: number;
  readonly end: number;
  /** When one leaves for it: the start, without a way there. */
  readonly leave: number;
  /** The day whose time of day is meant, as a day number of the viewer: that of the start, of a to-do that of its due time. */
  readonly day: number;
  /** The zones whose calendar days are counted, where they are not the viewer's. */
  readonly startZone?: string | undefined;
  readonly endZone?: string | undefined;
}

/** What of an entry its reminders are counted from. */
type Anchored =
  | Pick<CalendarEvent, 'kind' | 'start' | 'end' | 'travel'>
  | Pick<DatedTodo, 'kind' | 'start' | 'end' | 'isNeverDue'>;

const dayOf = (instant: number, zone: string): number => Math.floor(instantToWall(zone, instant) / DAY);

/** What the reminders of an entry at given instants are counted from. */
export function remindedSpan(
  entry: Anchored,
  at: { readonly start: number; readonly end: number },
  viewZone: string,
): RemindedSpan {
  const isDue = entry.kind === 'todo' && !entry.isNeverDue;
  // What is due on a date has until its end.
  const due = entry.end.kind === 'date' ? at.end - 1 : at.end;
  return {
    start: at.start,
    end: at.end,
    leave: at.start - ((entry.kind === 'event' && entry.travel?.there) || 0) * MINUTE,
    day: dayOf(isDue ? due : at.start, viewZone),
    startZone: ownZone(entry.start),
    endZone: ownZone(entry.end),
  };
}

/**
 * When a trigger comes, in milliseconds. Days are days of the calendar: the same time of the clock on another day (RFC 5545
 * 3.3.6). A time of day is that of the clock where the person is.
 */
export function triggerTime(trigger: ReminderTrigger, span: RemindedSpan, viewZone: string): number {
  switch (trigger.kind) {
    case 'fixed':
      return trigger.at;
    case 'time-of-day': {
      const day = span.day - trigger.daysBefore;
      return wallToInstant(viewZone, day * DAY + trigger.minute * MINUTE);
    }
    case 'offset': {
      const base = { start: span.start, end: span.end, leaving: span.leave }[trigger.from];
      const zone = (trigger.from === 'end' ? span.endZone : span.startZone) ?? viewZone;
      const days =
        trigger.days === 0 ? base : wallToInstant(zone, instantToWall(zone, base) + trigger.days * DAY);
      return days + trigger.minutes * MINUTE;
    }
  }
}

/** All times at which a reminder comes: with those at which it comes again, but for what was answered elsewhere. */
export function reminderTimes(reminder: Reminder, span: RemindedSpan, viewZone: string): number[] {
  const first = triggerTime(reminder.trigger, span, viewZone);
  const { times, everyMinutes } = reminder.repeat ?? { times: 0, everyMinutes: 0 };
  const all = Array.from({ length: times + 1 }, (_, index) => first + index * everyMinutes * MINUTE);
  const { acknowledged } = reminder;
  return acknowledged === undefined ? all : all.filter((time) => time > acknowledged);
}

/**
 * Between which times after its anchor a reminder comes, before it where negative, in milliseconds: what is looked at to
 * find it, never too little. A fixed one has no anchor.
 * @param way how long the way there takes at the most
 */
export function reachOf(
  { trigger, repeat }: Reminder,
  way: number,
): { low: number; high: number } | undefined {
  const again = repeat ? repeat.times * repeat.everyMinutes * MINUTE : 0;
  // A day of the calendar is longer or shorter where the clock changes.
  const slack = 3 * 60 * MINUTE;
  if (trigger.kind === 'fixed') return undefined;
  if (trigger.kind === 'time-of-day') {
    const first = trigger.minute * MINUTE - trigger.daysBefore * DAY;
    return { low: first - DAY - slack, high: first + slack + again };
  }
  const offset = trigger.days * DAY + trigger.minutes * MINUTE;
  const loose = trigger.days === 0 ? 0 : slack;
  return {
    low: offset - loose - (trigger.from === 'leaving' ? way : 0),
    high: offset + loose + again,
  };
}

/** The longest way there or back: a week. */
export const LONGEST_WAY = 7 * DAY;

/** The reminders that hold for an entry: its own, or, of an event, its calendar's usual ones. */
export function remindersOf(
  { kind, reminders, start }: Pick<Entry, 'kind' | 'reminders' | 'start'>,
  usual: UsualReminders | undefined,
): readonly Reminder[] {
  if (reminders || kind === 'todo') return reminders ?? [];
  return (start?.kind === 'date' ? usual?.wholeDays : usual?.timed) ?? [];
}
