import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { TableAnswer, TableQuery, TableRow } from '@/core/tidy/table/tableQuery';
import { engineQuestion, useEngineAnswer, useOpenStore } from '@/store';

/** So many rows are asked for at a time. */
const PAGE = 120;

interface Rows {
  readonly rowCount: number;
  readonly row: (index: number) => TableRow | undefined;
  /** What the table as a whole says: its sums and problems. */
  readonly whole: TableAnswer | undefined;
  readonly failed: boolean;
  /** Whether what is shown is the answer to an earlier question. */
  readonly isStale: boolean;
  readonly retry: () => void;
}

/** What a query comes to as a whole: the first of the pages that the table asks for. */
export const useTableWhole = (query: TableQuery): TableAnswer | undefined =>
  useEngineAnswer(['tableRows', query, 0, PAGE]).data;

/** The rows of the table from one place up to another, and those beside them: pages of rows come from the engine as they are looked at. */
export function useTableRows(query: TableQuery, from: number, to: number): Rows {
  const { store } = useOpenStore();
  const first = Math.max(0, Math.floor(from / PAGE) - 1);
  const last = Math.max(0, Math.floor(Math.max(from, to - 1) / PAGE) + 1);
  const pages = useMemo(
    () => [...new Set([0, ...Array.from({ length: last - first + 1 }, (_, index) => first + index)])],
    [first, last],
  );
  const results = useQueries({
    queries: pages.map((page) => ({
      ...engineQuestion(store, 'tableRows', query, page * PAGE, (page + 1) * PAGE),
      // While another order is worked out, what stood there stays.
      placeholderData: (before: TableAnswer | undefined) => before,
    })),
  });
  const answers = new Map(
    results.flatMap(({ data }, index) =>
      data && data.from === pages[index]! * PAGE ? [[pages[index]!, data] as const] : [],
    ),
  );
  return {
    rowCount: answers.get(0)?.rowCount ?? 0,
    row: (index) => {
      const page = Math.floor(index / PAGE);
      return answers.get(page)?.rows[index - page * PAGE];
    },
    whole: answers.get(0),
    failed: results.some(({ isError }) => isError),
    isStale: results[0]?.isPlaceholderData ?? false,
    retry: () => results.forEach(({ isError, refetch }) => isError && void refetch()),
  };
}
