import { useQueries } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { DayRange } from '@/core/layout/views';
import { type DaysAnswer, type DaysOptions, engineQuestion, useDaysQuery, useOpenStore } from '@/store';

/** Days that are added together at an end. The first stands alone, so that a crowded one is there at once. */
const STEP = 3;
/** The most days that are kept on the page: those furthest from sight go first. */
const MOST_DAYS = 60;

/** The days that are shown, counted from the anchor; half-open. */
interface ShownDays {
  readonly anchor: number;
  readonly from: number;
  readonly to: number;
}

/**
 * The days of an agenda from a day on, endless both ways or within bounds. Starts with one day; `extend` adds some before
 * or after.
 */
export function useAgendaBlocks(anchor: number, bounds: DayRange | undefined, options: DaysOptions) {
  const { store } = useOpenStore();
  const query = useDaysQuery(options);
  const [held, setBlocks] = useState<ShownDays>({ anchor, from: 0, to: 1 });
  const blocks = held.anchor === anchor ? held : { anchor, from: 0, to: 1 };
  if (blocks !== held) setBlocks(blocks);
  const startOf = (day: number) => anchor + day;
  const ranges = Array.from({ length: blocks.to - blocks.from }, (_, index) => {
    const first = startOf(blocks.from + index);
    return { first, end: first + 1 };
  }).filter(({ first }) => !bounds || (first >= bounds.first && first < bounds.end));
  const results = useQueries({
    queries: ranges.map(({ first, end }) => ({
      ...engineQuestion(store, 'days', { ...query, firstDay: first, endDay: end }),
      // While another filter is being answered, what these days held stays.
      placeholderData: (before: DaysAnswer | undefined) => (before?.firstDay === first ? before : undefined),
    })),
    combine,
  });

  const extend = useMemo(
    () => (direction: 1 | -1) =>
      setBlocks(({ anchor: of, from, to }) => {
        if (direction === 1)
          return { anchor: of, from: Math.max(from, to + STEP - MOST_DAYS), to: to + STEP };
        return { anchor: of, from: from - STEP, to: Math.min(to, from - STEP + MOST_DAYS) };
      }),
    [],
  );
  return {
    answers: results.answers,
    failed: results.failed,
    extend,
    hasBefore: bounds === undefined || startOf(blocks.from) > bounds.first,
    hasAfter: bounds === undefined || startOf(blocks.to) < bounds.end,
    isFetching: !results.isComplete,
  };
}

const combine = (results: readonly { data: DaysAnswer | undefined; isError: boolean }[]) => ({
  answers: results.flatMap(({ data }) => data ?? []),
  isComplete: results.every(({ data }) => data !== undefined),
  failed: results.some(({ isError }) => isError),
});
