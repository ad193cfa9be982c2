import { useMemo } from 'react';
import { dayOfNextSpan, daysOfSpan, type Span } from '@/core/tidy/tidyLook';
import { usePlanAddress } from '@/features/workspace';
import { usePeriodSets, useSettings } from '@/store';

/** The days that a span of the address is about, undefined for all time, and a day of the one before or after. */
export function useSpan(span: Span) {
  const { address } = usePlanAddress();
  const { weekStart } = useSettings();
  const sets = usePeriodSets();
  const { day, periodSetId } = address;
  const rule = (sets.find(({ id }) => id === periodSetId) ?? sets[0])?.rule;
  return useMemo(() => {
    const beside = (by: 1 | -1) => dayOfNextSpan(span, day, weekStart, by, rule);
    return {
      days: daysOfSpan(span, day, weekStart, rule),
      before: daysOfSpan(span, beside(-1), weekStart, rule),
      beside,
      rule,
    };
  }, [span, day, weekStart, rule]);
}
