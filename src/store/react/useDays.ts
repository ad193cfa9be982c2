import { keepPreviousData, queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { DaysAnswer, DaysQuery } from '@/engine/engine';
import type { Store } from '../store';
import { useOpenStore, useSettings, useSnapshot } from './StoreContext';

const NO_CALENDARS: readonly string[] = [];

function daysOptions(store: Store, version: number, query: DaysQuery) {
  return queryOptions({
    queryKey: [
      'days',
      version,
      query.firstDay,
      query.endDay,
      query.zone,
      query.hiddenCalendarIds,
      query.workingPattern,
    ],
    queryFn: () => store.engine.days(query),
    gcTime: 30_000,
    staleTime: Infinity,
  });
}

/**
 * What occurs on a half-open range of days, in the home zone if no other is given. The ranges before and after are fetched ahead, so that a
 * step finds its answer waiting.
 */
export function useDays(
  firstDay: number,
  endDay: number,
  options: { hiddenCalendarIds?: readonly string[]; stepDays?: number; zone?: string } = {},
): {
  answer: DaysAnswer | undefined;
  isLoading: boolean;
  isStale: boolean;
  failed: boolean;
  retry: () => void;
} {
  const { store } = useOpenStore();
  const version = useSnapshot((snapshot) => snapshot.version);
  const { homeZone, workingPattern } = useSettings();
  const { hiddenCalendarIds = NO_CALENDARS, stepDays, zone = homeZone } = options;
  const result = useQuery({
    ...daysOptions(store, version, { firstDay, endDay, zone, hiddenCalendarIds, workingPattern }),
    placeholderData: keepPreviousData,
  });
  const client = useQueryClient();
  useEffect(() => {
    if (!stepDays || result.isPlaceholderData) return;
    for (const by of [stepDays, -stepDays])
      void client.prefetchQuery(
        daysOptions(store, version, {
          firstDay: firstDay + by,
          endDay: endDay + by,
          zone,
          hiddenCalendarIds,
          workingPattern,
        }),
      );
  }, [
    client,
    store,
    version,
    firstDay,
    endDay,
    zone,
    hiddenCalendarIds,
    workingPattern,
    stepDays,
    result.isPlaceholderData,
  ]);
  return {
    answer: result.data,
    isLoading: result.isPending,
    isStale: result.isPlaceholderData,
    failed: result.isError,
    retry: () => void result.refetch(),
  };
}
