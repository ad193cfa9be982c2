import { keepPreviousData, useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import { BLOCK_WEEKS, blocksOf } from '@/core/layout/loadStrip';
import type { DayRange } from '@/core/layout/views';
import type { DayLoad } from '@/core/schedule/load';
import { engineQuestion, useAskedAhead, useEngineAnswer } from './engineQuestions';
import { useOpenStore } from './StoreContext';
import { type DaysOptions, useDaysQuery } from './useDays';

/** Nothing has been asked for so long, in milliseconds: a quiet moment. */
const QUIET = 2500;
/** What lies beside a range that is in sight is soon wanted. */
const SOON = 150;

const byDay = (loads: readonly DayLoad[]): ReadonlyMap<number, DayLoad> =>
  new Map(loads.map((load) => [load.day, load]));

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
  const query = useDaysQuery(options);
  const results = useQueries({
    queries: blocksOf(firstWeek, weeks).map((firstDay) => ({
      ...engineQuestion(store, 'loads', { ...query, firstDay, endDay: firstDay + BLOCK_WEEKS * 7 }),
      placeholderData: keepPreviousData,
    })),
    combine,
  });
  return useMemo(() => byDay(results), [results]);
}

const combine = (results: readonly { data: readonly DayLoad[] | undefined }[]): readonly DayLoad[] =>
  results.flatMap((result) => result.data ?? []);

/** How booked the days of a long range are, by day number, in the home zone. The ranges beside it are fetched ahead. */
export function useRangeLoads(
  range: DayRange,
  neighbours: readonly DayRange[],
  options: Omit<DaysOptions, 'zone'>,
): ReadonlyMap<number, DayLoad> {
  const query = useDaysQuery(options);
  const asked = ({ first, end }: DayRange) => ({ ...query, firstDay: first, endDay: end });
  const { data, isPlaceholderData } = useEngineAnswer(['loads', asked(range)]);
  const isThere = data !== undefined && !isPlaceholderData;
  useAskedAhead('loads', isThere ? neighbours.map((beside) => [asked(beside)]) : [], SOON);
  return useMemo(() => byDay(data ?? []), [data]);
}

/** Fetches the loads of a long range in a quiet moment, so that a view of it finds them waiting. */
export function usePreparedLoads({ first, end }: DayRange, options: Omit<DaysOptions, 'zone'>): void {
  const query = useDaysQuery(options);
  useAskedAhead('loads', [[{ ...query, firstDay: first, endDay: end }]], QUIET);
}
