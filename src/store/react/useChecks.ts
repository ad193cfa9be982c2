import { CancelledError, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { CheckQuery } from '@/core/tidy/checks/finding';
import type { Findings } from '@/core/tidy/checks/keptChecks';
import type { TableQuery } from '@/core/tidy/table/tableQuery';
import type { EngineClient } from '@/engine/asked';
import { ABOUT, followingData } from './engineQuestions';
import { useOpenStore } from './StoreContext';

/** How far the checks are: so many are done, of so many. */
export interface ChecksProgress {
  readonly done: number;
  readonly total: number;
}

/** So long checks run before it is said how far they are, in milliseconds. */
const SILENT = 300;

async function askChecks(
  engine: EngineClient,
  query: CheckQuery,
  within: TableQuery | undefined,
  note: (progress: ChecksProgress | undefined) => void,
  signal: AbortSignal,
): Promise<Findings> {
  const begun = performance.now();
  try {
    const found = await engine.findings(query, within, (done, total) => {
      if (performance.now() - begun > SILENT) note({ done, total });
      return !signal.aborted;
    });
    if (!found) throw new CancelledError();
    return found;
  } finally {
    note(undefined);
  }
}

/**
 * What the checks find: asked anew when an entry changes, and given up when nobody looks.
 * @param within only what is about the entries of this table
 */
export function useChecks(query: CheckQuery, within?: TableQuery) {
  const { store } = useOpenStore();
  const client = useQueryClient();
  const [progress, setProgress] = useState<ChecksProgress>();
  const queryKey = ['engine', 'findings', query, within];
  const answer = useQuery({
    queryKey,
    ...followingData(store, ABOUT.findings, ({ signal }) =>
      askChecks(store.engine, query, within, setProgress, signal),
    ),
    placeholderData: (before) => before,
  });
  return {
    ...answer,
    progress,
    /** Whether it was given up before anything was found. */
    isStopped: answer.isPending && !answer.isFetching,
    stop: () => void client.cancelQueries({ queryKey, exact: true }),
  };
}
