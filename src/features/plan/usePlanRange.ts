import { useMemo } from 'react';
import { rangeOf, shownDays, stepRange, VIEW_DESCRIPTORS } from '@/core/layout/viewDescriptors';
import { type DayRange, MOST_DAYS } from '@/core/layout/views';
import type { PeriodSet } from '@/core/model/periodSet';
import { type Period, periodAt, periodBeside } from '@/core/time/periods';
import type { PlanAddress } from '@/features/workspace';
import { usePeriodSets, useSettings } from '@/store';

/** The period of a set at a day, where a view can show it: *Days* shows those that are short enough. */
export function shownPeriod(view: PlanAddress['view'], set: PeriodSet, day: number): Period | undefined {
  const period = periodAt(set.rule, day);
  if (!period || VIEW_DESCRIPTORS[view].isAboutRange) return period;
  return view === 'days' && period.end - period.first <= MOST_DAYS ? period : undefined;
}

/** What of the calendar is shown, and where a step leads. */
export interface PlanRange {
  readonly days: readonly number[];
  /** What the view is about: the month, the period, or just the shown days. */
  readonly range: DayRange;
  readonly period: { readonly set: PeriodSet; readonly period: Period } | undefined;
  /** The day that a step leads to, by months to a wanted day of the month; undefined beyond the last period of a list. */
  readonly stepped: (direction: 1 | -1, wanted?: number) => number | undefined;
  /** The days that steps would show, to fetch them ahead. */
  readonly neighbours: readonly DayRange[];
}

export function usePlanRange(address: PlanAddress): PlanRange {
  const { workingPattern, weekStart } = useSettings();
  const sets = usePeriodSets();
  return useMemo(() => {
    const habits = { workingPattern, weekStart };
    const { isAboutRange, asksItself } = VIEW_DESCRIPTORS[address.view];
    const set = sets.find(({ id }) => id === address.periodSetId);
    const period = set && shownPeriod(address.view, set, address.day);
    const days = shownDays(address, habits, period);
    const stepped = (direction: 1 | -1, wanted?: number): number | undefined =>
      set && period
        ? periodBeside(set.rule, period, direction)?.first
        : stepRange(address, direction, habits, wanted).day;
    const neighbours = ([1, -1] as const).flatMap((direction): DayRange[] => {
      const day = stepped(direction);
      if (day === undefined || asksItself) return [];
      const beside = set && shownPeriod(address.view, set, day);
      const shown = shownDays({ ...address, day }, habits, beside);
      return [{ first: shown[0]!, end: shown.at(-1)! + 1 }];
    });
    return {
      days,
      range: isAboutRange ? rangeOf(address, habits, period) : { first: days[0]!, end: days.at(-1)! + 1 },
      period: set && period ? { set, period } : undefined,
      stepped,
      neighbours,
    };
  }, [address, workingPattern, weekStart, sets]);
}
