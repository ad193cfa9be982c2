import type { Reminder, ReminderTrigger } from '@/core/model/reminder';
import { DAY, MINUTE } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { shortDayText, timeText } from './dates';
import { words } from './words';

const said = words.reminder;

/** A length without its direction: "2 weeks", "1 day", "1 hour", "10 minutes". */
function amountText(days: number, minutes: number): string {
  const [wholeDays, rest] = [Math.abs(days), Math.abs(minutes)];
  const parts = [...(wholeDays > 0 ? [said.days(wholeDays)] : []), ...(rest > 0 ? [said.minutes(rest)] : [])];
  return parts.join(' ');
}

/**
 * When a reminder comes: "10 minutes before", "The day before at 16:00".
 * @param isDue whether it is of a to-do, whose end is when it is due
 */
export function triggerText(trigger: ReminderTrigger, zone: string, isDue = false): string {
  switch (trigger.kind) {
    case 'fixed': {
      const wall = instantToWall(zone, trigger.at);
      return said.fixed(shortDayText(Math.floor(wall / DAY)), timeText(wall));
    }
    case 'time-of-day':
      return said.atTime(trigger.daysBefore, timeText(trigger.minute * MINUTE));
    case 'offset': {
      const { from, days, minutes } = trigger;
      const isBefore = days < 0 || minutes < 0;
      if (isDue && from === 'end') {
        const { at, before, after } = said.due;
        return days === 0 && minutes === 0 ? at : (isBefore ? before : after)(amountText(days, minutes));
      }
      if (days === 0 && minutes === 0) return said.at[from];
      return (isBefore ? said.before : said.after)[from](amountText(days, minutes));
    }
  }
}

/** What a reminder is, in words: "10 minutes before · by e-mail". */
export const reminderText = ({ trigger, by, repeat }: Reminder, zone: string, isDue = false): string =>
  [
    triggerText(trigger, zone, isDue),
    by === 'notice' ? '' : said.ways[by],
    repeat ? said.again(repeat.times, said.minutes(repeat.everyMinutes)) : '',
  ]
    .filter(Boolean)
    .join(' · ');

/** All that an entry or a calendar reminds by, in one line. */
export const remindersText = (reminders: readonly Reminder[], zone: string, isDue = false): string =>
  reminders.map((reminder) => reminderText(reminder, zone, isDue)).join(', ') || said.none;
