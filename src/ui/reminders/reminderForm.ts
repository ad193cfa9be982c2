import { z } from 'zod';
import {
  FARTHEST_DAYS,
  offsetTrigger,
  type Reminder,
  REMINDER_WAYS,
  type ReminderTrigger,
} from '@/core/model/reminder';
import { DAY, dateString, isRealDate, MINUTE, parseLocal } from '@/core/time/civil';
import { clockOfMinute, clockOfWall, minuteOfClock } from '@/core/time/clockTime';
import { instantToWall, wallToInstant } from '@/core/time/zones';
import { words } from '@/ui/words';
import { reminderWords } from '@/ui/words/reminders';

const said = reminderWords.form;

export const UNITS = ['minutes', 'hours', 'days', 'weeks'] as const;
type Unit = (typeof UNITS)[number];
export const ANCHORS = ['before-start', 'after-start', 'before-end', 'after-end', 'before-leaving'] as const;
type Anchor = (typeof ANCHORS)[number];
export const KINDS = ['offset', 'time-of-day', 'fixed'] as const;

const PER_UNIT: Readonly<Record<Unit, number>> = { minutes: 1, hours: 60, days: 1, weeks: 7 };
const mostOf = (unit: Unit): number => {
  const most = unit === 'days' || unit === 'weeks' ? FARTHEST_DAYS : FARTHEST_DAYS * 1440;
  return Math.floor(most / PER_UNIT[unit]);
};

const isWhole = (text: string, most: number): boolean =>
  /^\d{1,7}$/.test(text.trim()) && Number(text) <= most;

/** The form of one reminder: what is typed and chosen, of whichever kind. */
export const TypedReminder = z.object({
  kind: z.enum(KINDS),
  amount: z.string(),
  unit: z.enum(UNITS),
  anchor: z.enum(ANCHORS),
  daysBefore: z.string(),
  /** `HH:MM` */
  time: z.string(),
  /** `YYYY-MM-DD` */
  date: z.string(),
  by: z.enum(REMINDER_WAYS),
});
export type TypedReminder = z.infer<typeof TypedReminder>;

/** What the form says, in the zone that a moment is read in; what can't be kept is said at its field. */
export const reminderForm = (zone: string) =>
  TypedReminder.transform((typed, check): Reminder => {
    const problem = (path: keyof TypedReminder, message: string) => {
      check.addIssue({ code: 'custom', path: [path], message });
      return z.NEVER;
    };
    const { kind, by } = typed;
    if (kind === 'offset') {
      const most = mostOf(typed.unit);
      if (!isWhole(typed.amount, most)) return problem('amount', said.wrongAmount(most));
      return { trigger: offsetOf(typed), by };
    }
    const minute = minuteOfClock(typed.time);
    if (kind === 'time-of-day') {
      if (!isWhole(typed.daysBefore, FARTHEST_DAYS))
        return problem('daysBefore', said.wrongAmount(FARTHEST_DAYS));
      if (minute === undefined) return problem('time', words.editor.problems.time);
      return { trigger: { kind, daysBefore: Number(typed.daysBefore), minute }, by };
    }
    if (!/^\d{4}-\d\d-\d\d$/.test(typed.date) || !isRealDate(typed.date) || minute === undefined)
      return problem('date', said.noMoment);
    return { trigger: { kind, at: wallToInstant(zone, parseLocal(`${typed.date}T${typed.time}`)) }, by };
  });

function offsetOf({ amount, unit, anchor }: TypedReminder): ReminderTrigger {
  const count = Number(amount) * PER_UNIT[unit];
  const signed = anchor.startsWith('before') ? -count || 0 : count;
  const from = anchor.endsWith('leaving') ? 'leaving' : anchor.endsWith('end') ? 'end' : 'start';
  return unit === 'days' || unit === 'weeks' ? offsetTrigger(0, from, signed) : offsetTrigger(signed, from);
}

/** The unit that says a length without a rest. */
function amountOf(days: number, minutes: number): { amount: string; unit: Unit } {
  const [wholeDays, rest] = [Math.abs(days), Math.abs(minutes)];
  if (rest > 0 || wholeDays === 0) {
    const all = wholeDays * 1440 + rest;
    return all % 60 === 0 && all > 0
      ? { amount: String(all / 60), unit: 'hours' }
      : { amount: String(all), unit: 'minutes' };
  }
  return wholeDays % 7 === 0
    ? { amount: String(wholeDays / 7), unit: 'weeks' }
    : { amount: String(wholeDays), unit: 'days' };
}

/**
 * The form of a reminder, with what is near for the kinds that it is not.
 * @param now the present instant: a moment that is not said yet is an hour later
 */
export function formOfReminder({ trigger, by }: Reminder, zone: string, now: number): TypedReminder {
  const wall = instantToWall(zone, trigger.kind === 'fixed' ? trigger.at : now + 60 * MINUTE);
  const offset = trigger.kind === 'offset' ? trigger : { from: 'start', days: 0, minutes: -15 };
  const isAfter = offset.days > 0 || offset.minutes > 0;
  return {
    kind: trigger.kind,
    ...amountOf(offset.days, offset.minutes),
    anchor: (offset.from === 'leaving'
      ? 'before-leaving'
      : `${isAfter ? 'after' : 'before'}-${offset.from}`) as Anchor,
    daysBefore: trigger.kind === 'time-of-day' ? String(trigger.daysBefore) : '1',
    time:
      trigger.kind === 'time-of-day'
        ? clockOfMinute(trigger.minute)
        : trigger.kind === 'fixed'
          ? clockOfWall(wall)
          : '16:00',
    date: dateString(Math.floor(wall / DAY)),
    by,
  };
}
