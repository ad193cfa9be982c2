import type { RepeatAfter, TodoStatus } from '@/core/model/entry';

const UNITS = { days: 'day', weeks: 'week', months: 'month' } as const;
const STATUS: Readonly<Record<TodoStatus, string>> = {
  'needs-action': 'Open',
  'in-process': 'Begun',
  completed: 'Done',
  cancelled: 'Called off',
};

/** Words about to-dos. */
export const todoWords = {
  status: STATUS,
  repeatAfter: ({ every, unit }: RepeatAfter) =>
    every === 1 ? `a ${UNITS[unit]} after it was done` : `${every} ${unit} after it was done`,
};
