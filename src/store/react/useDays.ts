import type { DayRange } from '@/core/layout/views';
import { type EntryFilter, NO_FILTER } from '@/core/model/look';
import type { DaysAnswer, DaysQuery } from '@/engine/engine';
import { useAskedAhead, useEngineAnswer } from './engineQuestions';
import { useCalendarKinds, useSettings } from './StoreContext';

const NO_CALENDARS: readonly string[] = [];
/** What is in sight comes first, the strip's loads too; then what a step would show, after so many milliseconds. */
const QUIET = 150;

/** Which of the entries are asked for, and in which zone. */
export interface DaysOptions {
  hiddenCalendarIds?: readonly string[];
  filter?: EntryFilter;
  withoutCancelled?: boolean;
  zone?: string;
}

/** A question about days with all that it leaves open filled in. */
export function useDaysQuery(options: DaysOptions): Omit<DaysQuery, 'firstDay' | 'endDay'> {
  const { homeZone, workingPattern } = useSettings();
  const { unlisted, free } = useCalendarKinds();
  const {
    hiddenCalendarIds = NO_CALENDARS,
    filter = NO_FILTER,
    withoutCancelled = false,
    zone = homeZone,
  } = options;
  return {
    zone,
    hiddenCalendarIds,
    unlistedCalendarIds: unlisted,
    freeCalendarIds: free,
    filter,
    withoutCancelled,
    workingPattern,
  };
}

/**
 * What occurs on a half-open range of days, in the home zone if no other is given. With the ranges before and after
 * named, they are fetched ahead, so that a step finds its answer waiting.
 */
export function useDays(
  firstDay: number,
  endDay: number,
  options: DaysOptions & { neighbours?: readonly DayRange[] } = {},
): {
  answer: DaysAnswer | undefined;
  isLoading: boolean;
  isStale: boolean;
  failed: boolean;
  retry: () => void;
} {
  const query = useDaysQuery(options);
  const { data, isPending, isPlaceholderData, isError, refetch } = useEngineAnswer([
    'days',
    { ...query, firstDay, endDay },
  ]);
  const { neighbours = [] } = options;
  useAskedAhead(
    'days',
    isPlaceholderData ? [] : neighbours.map(({ first, end }) => [{ ...query, firstDay: first, endDay: end }]),
    QUIET,
  );
  return {
    answer: data,
    isLoading: isPending,
    isStale: isPlaceholderData,
    failed: isError,
    retry: () => void refetch(),
  };
}

/** How many entries of a range of days are left out; undefined until it is known, or where it is not asked for. */
export function useLeftOut(range: DayRange | undefined, options: DaysOptions): number | undefined {
  const { first: firstDay = 0, end: endDay = 0 } = range ?? {};
  const query = useDaysQuery(options);
  const { data } = useEngineAnswer(['leftOut', { ...query, firstDay, endDay }], {
    enabled: range !== undefined,
  });
  return range && data;
}
