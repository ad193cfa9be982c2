import { keepPreviousData, queryOptions, useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useEffect, useMemo } from 'react';
import { BLOCK_WEEKS, blocksOf } from '@/core/layout/loadStrip';
import type { DayRange } from '@/core/layout/views';
import type { DayLoad } from '@/core/schedule/load';
import { useOpenStore, useSnapshot } from './StoreContext';
import { type DaysOptions, useDaysQuery } from './useDays';

/**
 * How booked the days of some weeks are, by day number, in the home zone. Asked for in blocks of weeks, so that moving on
 * by a week fetches only what was not shown before.
 */
export function useLoads(
  firstWeek: number,
  weeks: number,
  options: Omit<DaysOptions, 'zone'>,
): ReadonlyMap<number, DayLoad> {
  const { store } = useOpenStore();
  // The days in sight are asked for first: the strip follows a change when the engine is free again.
  const version = useDeferredValue(useSnapshot((snapshot) => snapshot.version));
  const query = useDaysQuery(options);
  const results = useQueries({
    queries: blocksOf(firstWeek, weeks).map((firstDay) => ({
      queryKey: ['loads', version, firstDay, query],
      queryFn: () => store.engine.loads({ ...query, firstDay, endDay: firstDay + BLOCK_WEEKS * 7 }),
      placeholderData: keepPreviousData,
      gcTime: 60_000,
      staleTime: Infinity,
    })),
    combine,
  });
  return useMemo(() => new Map(results.map((load) => [load.day, load])), [results]);
}

const combine = (results: readonly { data: readonly DayLoad[] | undefined }[]): readonly DayLoad[] =>
  results.flatMap((result) => result.data ?? []);

/**
 * How booked the days of a long range are, by day number, in the home zone: one question for all of it. The ranges beside it
 * are fetched ahead.
 */
export function useRangeLoads(
  range: DayRange,
  neighbours: readonly DayRange[],
  options: Omit<DaysOptions, 'zone'>,
): ReadonlyMap<number, DayLoad> {
  const { store } = useOpenStore();
  const version = useSnapshot((snapshot) => snapshot.version);
  const query = useDaysQuery(options);
  const client = useQueryClient();
  const optionsOf = ({ first, end }: DayRange) =>
    queryOptions({
      queryKey: ['range loads', version, first, end, query],
      queryFn: () => store.engine.loads({ ...query, firstDay: first, endDay: end }),
      gcTime: 60_000,
      staleTime: Infinity,
    });
  const { data, isPlaceholderData } = useQuery({ ...optionsOf(range), placeholderData: keepPreviousData });
  const isThere = data !== undefined && !isPlaceholderData;
  useEffect(() => {
    if (isThere) for (const beside of neighbours) void client.prefetchQuery(optionsOf(beside));
  });
  return useMemo(() => new Map((data ?? []).map((load) => [load.day, load])), [data]);
}
