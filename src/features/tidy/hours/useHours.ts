import { useMemo } from 'react';
import type { Availability } from '@/core/model/entry';
import type { HoursQuery } from '@/core/tidy/hours/hoursQuery';
import { stepFor, type TidyLook } from '@/core/tidy/tidyLook';
import { usePlanAddress } from '@/features/workspace';
import { useEngineAnswer, useSettings } from '@/store';
import { useSpan } from '../useSpan';

/** The hours that the address asks for, with what they were asked with. */
export function useHours(look: TidyLook, counted: readonly Availability[]) {
  const { address } = usePlanAddress();
  const { weekStart, workingPattern } = useSettings();
  const { zone, filter, hidden } = address;
  // All time has no end: of hours, its year is asked.
  const span = look.span === 'all' ? 'year' : look.span;
  const { days, before } = useSpan(span);
  const query = useMemo((): HoursQuery => {
    const range = days!;
    return {
      range,
      // At the ends of a list of periods there is none before.
      ...(before && before.first !== range.first ? { before } : {}),
      zone,
      weekStart,
      by: look.by,
      step: stepFor(range.end - range.first, look.step),
      counted,
      filter,
      hiddenCalendarIds: hidden,
      workingPattern,
    };
  }, [days, before, weekStart, zone, look.by, look.step, counted, filter, hidden, workingPattern]);
  const { data, isError, isPlaceholderData, refetch } = useEngineAnswer(['hours', query]);
  return { query, answer: data, isStale: isPlaceholderData, failed: isError, retry: () => void refetch() };
}
