import { offsetTrigger, type ReminderTrigger } from '@/core/model/reminder';

/** What is offered at a press, of timed entries and of whole days; of to-dos that are due at a time, and on a day. */
export const QUICK: Readonly<Record<'timed' | 'wholeDays' | 'due' | 'dueDays', readonly ReminderTrigger[]>> =
  {
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
    due: [
      offsetTrigger(0, 'end'),
      offsetTrigger(-15, 'end'),
      offsetTrigger(-60, 'end'),
      offsetTrigger(-180, 'end'),
      offsetTrigger(0, 'end', -1),
    ],
    dueDays: [
      { kind: 'time-of-day', daysBefore: 0, minute: 9 * 60 },
      { kind: 'time-of-day', daysBefore: 1, minute: 9 * 60 },
      { kind: 'time-of-day', daysBefore: 2, minute: 9 * 60 },
      { kind: 'time-of-day', daysBefore: 7, minute: 9 * 60 },
    ],
  };
