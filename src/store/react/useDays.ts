import {
  keepPreviousData,
  type QueryClient,
  queryOptions,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { useEffect } from 'react';
import type { DayRange } from '@/core/layout/views';
import { type EntryFilter, NO_FILTER } from '@/core/model/look';
import type { DaysAnswer, DaysQuery } from '@/engine/engine';
import type { Store } from '../store';
import { useCalendarKinds, useOpenStore, useSettings, useSnapshot } from './StoreContext';

const NO_CALENDARS: readonly string[] = [];

/** Which of the entries are asked for, and in which zone. */
export interface DaysOptions {
  hiddenCalendarIds?: readonly string[];
  filter?: EntryFilter;
  withoutCancelled?: boolean;
  zone?: string;
}

/** The query for what occurs on days, for whoever asks for several ranges at once. */
export function daysOptions(store: Store, version: number, query: DaysQuery) {
  return queryOptions({
    queryKey: ['days', version, query],
    queryFn: () => store.engine.days(query),
    gcTime: 30_000,
    staleTime: Infinity,
  });
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
  options: DaysOptions & { neighbours?: readonly { first: number; end: number }[] } = {},
): {
  answer: DaysAnswer | undefined;
  isLoading: boolean;
  isStale: boolean;
  failed: boolean;
  retry: () => void;
} {
  const { store } = useOpenStore();
  const version = useSnapshot((snapshot) => snapshot.version);
  const query = useDaysQuery(options);
  const result = useQuery({
    ...daysOptions(store, version, { ...query, firstDay, endDay }),
    placeholderData: keepPreviousData,
  });
  const client = useQueryClient();
  const { neighbours } = options;
  const key = neighbours && !result.isPlaceholderData ? JSON.stringify([neighbours, query]) : undefined;
  useEffect(() => {
    if (key === undefined) return;
    // What is in sight comes first, the strip's loads too.
    const handle = setTimeout(() => prefetch(client, store, version, key), 150);
    return () => clearTimeout(handle);
  }, [client, store, version, key]);
  return {
    answer: result.data,
    isLoading: result.isPending,
    isStale: result.isPlaceholderData,
    failed: result.isError,
    retry: () => void result.refetch(),
  };
}

/** How many entries of a range of days are left out; undefined until it is known, or where it is not asked for. */
export function useLeftOut(range: DayRange | undefined, options: DaysOptions): number | undefined {
  const { store } = useOpenStore();
  const version = useSnapshot((snapshot) => snapshot.version);
  const { first: firstDay = 0, end: endDay = 0 } = range ?? {};
  const query = { ...useDaysQuery(options), firstDay, endDay };
  const { data } = useQuery({
    queryKey: ['left out', version, query],
    queryFn: () => store.engine.leftOut(query),
    enabled: range !== undefined,
    staleTime: Infinity,
  });
  return range && data;
}

function prefetch(client: QueryClient, store: Store, version: number, key: string): void {
  const [neighbours, query] = JSON.parse(key) as [
    { first: number; end: number }[],
    Omit<DaysQuery, 'firstDay' | 'endDay'>,
  ];
  for (const { first, end } of neighbours)
    void client.prefetchQuery(daysOptions(store, version, { ...query, firstDay: first, endDay: end }));
}
