import { type CalendarEvent, type Entry, isEvent } from '@/core/model/entry';
import { useEffect, useState } from 'react';
import {
  type BatchOptions,
  type BatchProblem,
  batchProblem,
  type BatchReport,
  BatchRun,
} from '@/core/change/batch/batchRun';
import type { NewOverlap } from '@/core/change/batch/newOverlaps';
import type { Patch } from '@/core/change/patch';
import { targetOfKey } from '@/core/change/target';
import type { FixPart } from '@/core/tidy/checks/finding';
import { useCommands } from '@/features/workspace';
import { remindersQuery, useOpenStore, useSnapshot } from '@/store';

const eventOf = (entry: Entry | null): CalendarEvent | null => (entry && isEvent(entry) ? entry : null);

/** What a batch change would do, as far as it has been worked out. */
export type BatchPreview =
  | { readonly kind: 'none' }
  /** It could not be worked out: nothing has changed. */
  | { readonly kind: 'failed' }
  | { readonly kind: 'problem'; readonly problem: BatchProblem }
  | { readonly kind: 'working'; readonly done: number; readonly all: number }
  | {
      readonly kind: 'done';
      readonly report: BatchReport;
      readonly patch: Patch;
      /** Undefined until they are known. */
      readonly overlaps: readonly NewOverlap[] | undefined;
    };

/** The page answers at least so often, and says how far it is so often, in milliseconds. */
const SLICE = 60;
const SAYS = 240;
const AT_ONCE = 20;
const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** Works out what steps would do to the entries of some keys, part by part, in slices between which the page answers. */
export function useBatchPreview(
  parts: readonly FixPart[],
  options: BatchOptions,
  name: string | undefined,
): BatchPreview {
  const { store } = useOpenStore();
  const { context } = useCommands();
  const state = useSnapshot((snapshot) => snapshot.state);
  const [preview, setPreview] = useState<BatchPreview>({ kind: 'none' });
  useEffect(() => {
    let isOver = false;
    const all = parts.map(({ keys, steps }) => ({ targets: keys.map(targetOfKey), steps }));
    const workOut = async () => {
      await pause();
      const problem = all.map(batchProblem).find((found) => found !== undefined);
      if (isOver) return;
      if (problem) return setPreview({ kind: 'problem', problem });
      const run = new BatchRun(state, all, options, context());
      let began = performance.now();
      let saysAt = began + SAYS;
      while (run.advance(AT_ONCE)) {
        const now = performance.now();
        if (now - began < SLICE) continue;
        if (now > saysAt) {
          setPreview({ kind: 'working', ...run.progress });
          saysAt = now + SAYS;
        }
        await pause();
        if (isOver) return;
        began = performance.now();
      }
      const result = run.result(name);
      setPreview({ kind: 'done', ...result, overlaps: undefined });
      const changes = result.patch.changes.flatMap((change) =>
        change.collection === 'entries' ? [change] : [],
      );
      const overlaps = await store.engine
        .newOverlaps(
          changes.map(({ before, after }) => ({ before: eventOf(before), after: eventOf(after) })),
          remindersQuery(state, []),
        )
        .catch(() => []);
      if (!isOver) setPreview({ kind: 'done', ...result, overlaps });
    };
    workOut().catch((error: unknown) => {
      if (isOver) return;
      setPreview({ kind: 'failed' });
      // Whoever looks into it finds what it was.
      console.error(error);
    });
    return () => {
      isOver = true;
    };
  }, [parts, options, name, state, store, context]);
  return preview;
}
