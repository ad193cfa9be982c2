import { type Dispatch, type RefObject, type SetStateAction, useEffect } from 'react';
import { foldsOver, type HoursScale } from '@/core/layout/hours';
import type { Occurrence } from '@/core/schedule/occurrence';
import { useWorkspace, workspace } from '@/features/workspace';
import type { OpenFolds } from './useHoursScale';

/** Brings an entry into sight that is to be found: the folded hours that it lies in open, and its card is scrolled to. */
export function useRevealed(
  shown: ReadonlyMap<string, Occurrence>,
  scale: HoursScale,
  setOpen: Dispatch<SetStateAction<OpenFolds>>,
  frame: RefObject<HTMLElement | null>,
): void {
  const key = useWorkspace((state) => state.revealed);
  const occurrence = key === null ? undefined : shown.get(key);
  useEffect(() => {
    if (!occurrence) return;
    const hides = foldsOver(scale, occurrence);
    const before = scale.foldedBefore && hides.before;
    const after = scale.foldedAfter && hides.after;
    if (before || after) {
      setOpen((open) => ({ before: open.before || before, after: open.after || after }));
      return;
    }
    frame.current
      ?.querySelector(`[data-key="${CSS.escape(occurrence.key)}"]`)
      ?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    workspace.wasRevealed();
  }, [occurrence, scale, setOpen, frame]);
}
