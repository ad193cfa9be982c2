import type { DayRange } from '@/core/layout/views';
import type { Calendar } from '@/core/model/calendar';
import type { PlanAddress } from '@/features/workspace';
import type { DaysAnswer, DaysOptions } from '@/store';
import type { Ghost } from './grid/ghost';
import type { GridActions } from './grid/useGridDrag';

/** What every view of Plan is given. */
export interface ViewProps {
  readonly address: PlanAddress;
  /** The shown day numbers, ascending. */
  readonly days: readonly number[];
  /** The days that the view is about; others that are shown are set back. */
  readonly range: DayRange;
  readonly answer: DaysAnswer | undefined;
  /** Which entries are asked for, for views that ask for more days themselves. */
  readonly options: DaysOptions;
  readonly calendars: readonly Calendar[];
  readonly draftCalendar: Calendar | undefined;
  readonly draft: Ghost | null;
  readonly selectedKeys: readonly string[];
  readonly actions: GridActions;
  /** Counts how often today was gone to: also where it is selected already, it comes into sight. */
  readonly visits: number;
  /** Opens a day in the Day view. */
  readonly onOpenDay: (day: number) => void;
  /** Makes a day the selected one. */
  readonly onSelectDay: (day: number) => void;
}
