import { useQueries } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { DayRange } from '@/core/layout/views';
import {
  type DaysAnswer,
  daysOptions,
  type DaysOptions,
  useDaysQuery,
  useOpenStore,
  useSnapshot,
} from '@/store';

/** Days that are asked for together: few, so that a crowded calendar shows its first days at once. */
const BLOCK = 3;
/** The most blocks that are kept on the page: those furthest from sight go first. */
const MOST_BLOCKS = 40;

/** The blocks that are shown, counted from the anchor; half-open. */
interface Blocks {
  readonly anchor: number;
  readonly from: number;
  readonly to: number;
}

/**
 * The days of an agenda in blocks of some days from a day on, endless both ways or within bounds. Starts with one block;
 * `extend` adds one before or after.
 */
export function useAgendaBlocks(anchor: number, bounds: DayRange | undefined, options: DaysOptions) {
  const { store } = useOpenStore();
  const version = useSnapshot((snapshot) => snapshot.version);
  const query = useDaysQuery(options);
  const [held, setBlocks] = useState<Blocks>({ anchor, from: 0, to: 1 });
  const blocks = held.anchor === anchor ? held : { anchor, from: 0, to: 1 };
  if (blocks !== held) setBlocks(blocks);
  const startOf = (block: number) => anchor + block * BLOCK;
  const ranges = Array.from({ length: blocks.to - blocks.from }, (_, index) => {
    const first = startOf(blocks.from + index);
    return {
      first: Math.max(first, bounds?.first ?? -Infinity),
      end: Math.min(first + BLOCK, bounds?.end ?? Infinity),
    };
  }).filter(({ first, end }) => first < end);
  const results = useQueries({
    queries: ranges.map(({ first, end }) => ({
      ...daysOptions(store, version, { ...query, firstDay: first, endDay: end }),
      // While a change is being answered, what these days held stays.
      placeholderData: (before: DaysAnswer | undefined) => (before?.firstDay === first ? before : undefined),
    })),
    combine,
  });

  const extend = useMemo(
    () => (direction: 1 | -1) =>
      setBlocks(({ anchor: of, from, to }) => {
        if (direction === 1) return { anchor: of, from: Math.max(from, to + 1 - MOST_BLOCKS), to: to + 1 };
        return { anchor: of, from: from - 1, to: Math.min(to, from - 1 + MOST_BLOCKS) };
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
