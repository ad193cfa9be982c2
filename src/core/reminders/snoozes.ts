import { offsetTrigger, type ReminderTrigger } from '../model/reminder';
import type { WorkingPattern } from '../model/settings';
import { DAY, MINUTE } from '../time/civil';
import { workingDay } from '../time/workingPattern';
import { instantToWall, wallToInstant } from '../time/zones';
import type { Reminded } from './cameReminders';

/** How long a reminder can be put off. */
export const SNOOZES = ['5', '10', '30', 'before-start', 'leaving', 'tomorrow'] as const;
export type SnoozeChoice = (typeof SNOOZES)[number];

/** How long before the start "until shortly before" is, in minutes. */
const SHORTLY = 5;

/** The start of work on the first working day after an instant's, as an instant; nine o'clock where none comes. */
function nextWorkStart(now: number, pattern: WorkingPattern, zone: string): number {
  const today = Math.floor(instantToWall(zone, now) / DAY);
  for (let day = today + 1; day < today + 15; day++) {
    const [span] = workingDay(pattern, day).spans;
    if (span) return wallToInstant(zone, day * DAY + span.from * MINUTE);
  }
  return wallToInstant(zone, (today + 1) * DAY + 9 * 60 * MINUTE);
}

/** Until when a choice puts a reminder off; undefined where that is not to come any more. */
export function snoozeTrigger(
  choice: SnoozeChoice,
  { span }: Reminded,
  now: number,
  pattern: WorkingPattern,
  zone: string,
): ReminderTrigger | undefined {
  switch (choice) {
    case 'before-start':
      return span.start - SHORTLY * MINUTE > now ? offsetTrigger(-SHORTLY) : undefined;
    case 'leaving':
      return span.leave < span.start && span.leave > now ? offsetTrigger(0, 'leaving') : undefined;
    case 'tomorrow':
      return { kind: 'fixed', at: nextWorkStart(now, pattern, zone) };
    case '5':
    case '10':
    case '30':
      return { kind: 'fixed', at: now + Number(choice) * MINUTE };
  }
}
