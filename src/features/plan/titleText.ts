import type { PlanAddress } from '@/features/workspace';
import { civilDate } from '@/core/time/civil';
import type { Period } from '@/core/time/periods';
import { dateText, dayMonthText, fullDayText, monthText, rangeText } from '@/ui/dates';
import { words } from '@/ui/words';
import type { PlanRange } from './usePlanRange';

/** A period by its name, or its number in its year. */
const periodName = (period: Period): string =>
  period.name || words.periods.numbered(period.number, period.year);

/** How much room there is for a title: with the year, without it, or as little as on a phone. */
export type TitleLength = 'full' | 'short' | 'brief';

/**
 * The shown period in words, as long as there is room for.
 * @param thisYear the year that goes without saying
 */
export function titleText(
  address: PlanAddress,
  { days, range, period }: Pick<PlanRange, 'days' | 'range' | 'period'>,
  length: TitleLength,
  thisYear?: number,
): string {
  const first = days[0]!;
  const last = days.at(-1)!;
  // A year that is not this one is said wherever there is room for it at all.
  const withYear = length === 'full' || (thisYear !== undefined && civilDate(first).year !== thisYear);
  if (period) {
    const { name, number } = period.period;
    const called = withYear ? periodName(period.period) : name || words.periods.number(number);
    return length === 'brief'
      ? called
      : words.periods.title(called, rangeText(range.first, range.end - 1, withYear && !!name));
  }
  switch (address.view) {
    case 'year':
      return String(civilDate(first).year);
    case 'agenda':
      return words.agenda.from(withYear ? dateText(first) : dayMonthText(first));
    case 'weeks':
      return address.weekCount === 0 ? monthText(range.first) : rangeText(first, last, withYear);
    case 'day':
    case 'lanes':
      return withYear ? fullDayText(first) : rangeText(first, last, false);
    case 'days':
    case 'workdays':
    case 'week':
      return rangeText(first, last, withYear);
  }
}
