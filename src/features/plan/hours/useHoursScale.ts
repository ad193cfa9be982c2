import { useMemo } from 'react';
import { foldsOver, type HoursScale, scaleMinute } from '@/core/layout/hours';
import type { RowHeight } from '@/core/model/look';
import type { ClockChange } from '@/core/time/clockChange';
import { hoursInZone, patternHours } from '@/core/time/workingPattern';
import { useSettings } from '@/store';
import { sizes } from '@/ui/theme/tokens';
import type { Ghost } from '../grid/ghost';

/** Which folded hours stand open. */
export interface OpenFolds {
  readonly before: boolean;
  readonly after: boolean;
}

/** Pixels of an hour by the chosen height of rows; a finer grid has taller hours, so that its lines can be told apart. */
function hourHeight(rowHeight: RowHeight, gridStep: number, fitting: number): number {
  const { least, most, step } = sizes.hourHeights[rowHeight];
  return Math.max(Math.min(most, Math.max(least, fitting)), (60 / gridStep) * step);
}

/** The scale of the hours: the working pattern's, with what lies before and after folded until it is opened. */
export function useHoursScale({
  zone,
  firstDay,
  changes,
  open,
  viewportHeight,
  rowHeight,
  gridStep,
  draft,
}: {
  zone: string;
  firstDay: number;
  /** The clock change of each column's day, where there is one. */
  changes: readonly (ClockChange | undefined)[];
  open: OpenFolds;
  viewportHeight: number;
  rowHeight: RowHeight;
  gridStep: number;
  /** What is being written: the hours that would hide it stand open meanwhile. */
  draft: Pick<Ghost, 'startWall' | 'endWall' | 'allDay'> | null;
}): HoursScale {
  const { workingPattern, homeZone } = useSettings();
  return useMemo(() => {
    const back = changes.find((change) => change?.kind === 'repeated');
    const repeated = back && { at: back.at, length: back.length };
    const pattern = hoursInZone(patternHours(workingPattern), homeZone, zone, firstDay);
    const from = scaleMinute({ repeated }, pattern.from);
    const to = scaleMinute({ repeated }, pattern.to);
    // With both folds closed the hours fill the view, as far as they stay dense.
    const hides = draft ? foldsOver({ from, to, repeated }, draft) : undefined;
    const fitting = Math.floor((viewportHeight - 2 * sizes.fold - 1) / ((to - from) / 60));
    return {
      from,
      to,
      foldedBefore: !open.before && !hides?.before && from > 0,
      foldedAfter: !open.after && !hides?.after && pattern.to < 1440,
      hourHeight: hourHeight(rowHeight, gridStep, fitting),
      foldHeight: sizes.fold,
      repeated,
    };
  }, [workingPattern, open, viewportHeight, homeZone, zone, firstDay, changes, rowHeight, gridStep, draft]);
}
