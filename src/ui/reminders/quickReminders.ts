import { offsetTrigger, type ReminderTrigger } from '@/core/model/reminder';

/** What is offered at a press, of timed entries and of whole days. */
export const QUICK: Readonly<Record<'timed' | 'wholeDays', readonly ReminderTrigger[]>> = {
  timed: [
    offsetTrigger(0),
    offsetTrigger(-5),
    offsetTrigger(-10),
    offsetTrigger(-15),
    offsetTrigger(-30),
    offsetTrigger(-60),
    offsetTrigger(0, 'start', -1),
  ],
  wholeDays: [
    { kind: 'time-of-day', daysBefore: 0, minute: 9 * 60 },
    { kind: 'time-of-day', daysBefore: 1, minute: 16 * 60 },
    { kind: 'time-of-day', daysBefore: 2, minute: 9 * 60 },
    { kind: 'time-of-day', daysBefore: 7, minute: 9 * 60 },
  ],
};
