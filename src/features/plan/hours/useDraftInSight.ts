import { type RefObject, useEffect } from 'react';
import type { HoursScale } from '@/core/layout/hours';
import type { Ghost } from '../grid/ghost';

/** Scrolls to what is being written as it gets a time: it may lie under the edge, or in hours that have just opened. */
export function useDraftInSight(
  frame: RefObject<HTMLElement | null>,
  { foldedBefore, foldedAfter }: HoursScale,
  draft: Ghost | null,
): void {
  const time = draft && !draft.allDay ? draft.startWall : undefined;
  useEffect(() => {
    if (time !== undefined)
      frame.current?.querySelector('[data-testid="ghost"]')?.scrollIntoView({ block: 'nearest' });
  }, [frame, time, foldedBefore, foldedAfter]);
}
