import type { RepeatChoice } from '../choices';
import { monthDays, ordinal, weekdayName } from './english';

const isWorkweek = (weekdays: readonly number[]): boolean => weekdays.join() === '1,2,3,4,5';

/** A repeat that fits a start, as briefly as it can be said among the others that do: "Every other Tuesday", "The last working day". */
export function quickChoiceInEnglish({ frequency, interval, weekdays, on }: RepeatChoice): string {
  const every = interval === 2 ? 'Every other' : 'Every';
  switch (frequency) {
    case 'DAILY':
      return `${every} day`;
    case 'WEEKLY':
      return `${every} ${isWorkweek(weekdays) ? 'weekday' : weekdays.map(weekdayName).join(' and ')}`;
    case 'MONTHLY':
      if (on.kind === 'days') return `Monthly on ${monthDays(on.days)}`;
      return `The ${ordinal(on.ordinal)} ${on.weekday === 'workday' ? 'working day' : weekdayName(on.weekday)}`;
    case 'YEARLY':
      return 'Yearly';
  }
}
