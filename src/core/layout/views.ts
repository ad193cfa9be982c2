import type { WorkingPattern } from '../model/settings';
import { startOfWeek, weekdayOf } from '../time/civil';
import { isWorkingWeekday } from '../time/workingPattern';

/** The views of Plan, in the order of the switch. */
export const VIEWS = ['day', 'days', 'workdays', 'week'] as const;
export type ViewName = (typeof VIEWS)[number];

/** What is looked at: a view, the selected day, and how many days *Days* shows. */
export interface ViewRange {
  readonly view: ViewName;
  readonly day: number;
  readonly dayCount: number;
}

/** The shown day numbers, ascending. */
export function shownDays(range: ViewRange, pattern: WorkingPattern, weekStart = 1): number[] {
  const { view, day, dayCount } = range;
  const from = (first: number, count: number) => Array.from({ length: count }, (_, index) => first + index);
  switch (view) {
    case 'day':
      return [day];
    case 'days':
      return from(day, dayCount);
    case 'week':
      return from(startOfWeek(day, weekStart), 7);
    case 'workdays': {
      const week = from(startOfWeek(day, weekStart), 7);
      const working = week.filter((shown) => isWorkingWeekday(pattern, weekdayOf(shown)));
      return working.length > 0 ? working : week;
    }
  }
}

/** The same range a step later or earlier: by as many days as it shows, weeks by weeks. */
export function stepRange(range: ViewRange, direction: 1 | -1): ViewRange {
  const days = range.view === 'day' ? 1 : range.view === 'days' ? range.dayCount : 7;
  return { ...range, day: range.day + direction * days };
}
