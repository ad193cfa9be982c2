import { useMemo } from 'react';
import { type DayRange, rangeOf, shownDays, stepRange } from '@/core/layout/views';
import type { PeriodSet } from '@/core/model/periodSet';
import { type Period, periodAt, periodBeside } from '@/core/time/periods';
import type { PlanAddress } from '@/features/workspace';
import { usePeriodSets, useSettings } from '@/store';

/** Views that can show a period in place of weeks or days. */
const WITH_PERIODS = new Set<PlanAddress['view']>(['weeks', 'agenda']);

/** What of the calendar is shown, and where a step leads. */
export interface PlanRange {
  readonly days: readonly number[];
  /** What the view is about: the month, the period, or just the shown days. */
  readonly range: DayRange;
  readonly period: { readonly set: PeriodSet; readonly period: Period } | undefined;
  /** The day that a step leads to; undefined beyond the last period of a list. */
  readonly stepped: (direction: 1 | -1) => number | undefined;
  /** The days that steps would show, to fetch them ahead. */
  readonly neighbours: readonly DayRange[];
}

export function usePlanRange(address: PlanAddress): PlanRange {
  const { workingPattern } = useSettings();
  const sets = usePeriodSets();
  return useMemo(() => {
    const set = WITH_PERIODS.has(address.view)
      ? sets.find(({ id }) => id === address.periodSetId)
      : undefined;
    const period = set && periodAt(set.rule, address.day);
    const days = shownDays(address, workingPattern, { period });
    const isAboutRange = address.view === 'weeks' || address.view === 'agenda';
    const stepped = (direction: 1 | -1): number | undefined =>
      set && period
        ? periodBeside(set.rule, period, direction)?.first
        : stepRange(address, direction, workingPattern).day;
    const neighbours = ([1, -1] as const).flatMap((direction): DayRange[] => {
      const day = stepped(direction);
      // A year and an agenda ask for their days themselves.
      if (day === undefined || address.view === 'year' || address.view === 'agenda') return [];
      const beside = set && periodAt(set.rule, day);
      const shown = shownDays({ ...address, day }, workingPattern, { period: beside });
      return [{ first: shown[0]!, end: shown.at(-1)! + 1 }];
    });
    return {
      days,
      range: isAboutRange ? rangeOf(address, period) : { first: days[0]!, end: days.at(-1)! + 1 },
      period: set && period ? { set, period } : undefined,
      stepped,
      neighbours,
    };
  }, [address, workingPattern, sets]);
}
