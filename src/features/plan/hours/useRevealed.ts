import { type Dispatch, type RefObject, type SetStateAction, useEffect } from 'react';
import { type HoursScale, scaleMinute } from '@/core/layout/hours';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DAY, MINUTE } from '@/core/time/civil';
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
    const { startWall, endWall, allDay } = occurrence;
    const midnight = Math.floor(startWall / DAY) * DAY;
    const from = scaleMinute(scale, (startWall - midnight) / MINUTE);
    const to = scaleMinute(scale, (endWall - midnight) / MINUTE);
    const before = !allDay && scale.foldedBefore && to <= scale.from;
    const after = !allDay && scale.foldedAfter && from >= scale.to;
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
