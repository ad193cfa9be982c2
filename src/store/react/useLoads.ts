import { keepPreviousData, queryOptions, useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useEffect, useMemo } from 'react';
import { BLOCK_WEEKS, blocksOf } from '@/core/layout/loadStrip';
import type { DayRange } from '@/core/layout/views';
import type { DayLoad } from '@/core/schedule/load';
import type { DaysQuery } from '@/engine/engine';
import type { Store } from '../store';
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

/** The query for the loads of a long range: one question for all of it. */
const rangeOptions = (
  store: Store,
  version: number,
  query: Omit<DaysQuery, 'firstDay' | 'endDay'>,
  { first, end }: DayRange,
) =>
  queryOptions({
    queryKey: ['range loads', version, first, end, query],
    queryFn: () => store.engine.loads({ ...query, firstDay: first, endDay: end }),
    gcTime: 300_000,
    staleTime: Infinity,
  });

/** How booked the days of a long range are, by day number, in the home zone. The ranges beside it are fetched ahead. */
export function useRangeLoads(
  range: DayRange,
  neighbours: readonly DayRange[],
  options: Omit<DaysOptions, 'zone'>,
): ReadonlyMap<number, DayLoad> {
  const { store } = useOpenStore();
  const version = useSnapshot((snapshot) => snapshot.version);
  const query = useDaysQuery(options);
  const client = useQueryClient();
  const { data, isPlaceholderData } = useQuery({
    ...rangeOptions(store, version, query, range),
    placeholderData: keepPreviousData,
  });
  const isThere = data !== undefined && !isPlaceholderData;
  useEffect(() => {
    if (isThere)
      for (const beside of neighbours) void client.prefetchQuery(rangeOptions(store, version, query, beside));
  });
  return useMemo(() => new Map((data ?? []).map((load) => [load.day, load])), [data]);
}

/** Fetches the loads of a long range in a quiet moment, so that a view of it finds them waiting. */
export function usePreparedLoads(range: DayRange, options: Omit<DaysOptions, 'zone'>): void {
  const { store } = useOpenStore();
  const version = useSnapshot((snapshot) => snapshot.version);
  const query = useDaysQuery(options);
  const client = useQueryClient();
  const key = JSON.stringify([range, query]);
  useEffect(() => {
    const handle = setTimeout(() => {
      const [asked, about] = JSON.parse(key) as [DayRange, Omit<DaysQuery, 'firstDay' | 'endDay'>];
      void client.prefetchQuery(rangeOptions(store, version, about, asked));
    }, QUIET);
    return () => clearTimeout(handle);
  }, [client, store, version, key]);
}

/** Nothing has been asked for so long, in milliseconds: a quiet moment. */
const QUIET = 2500;
