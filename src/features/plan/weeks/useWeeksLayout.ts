import { useMemo } from 'react';
import { byShownDay, layoutWeekRow, type WeekRow, weeksOf } from '@/core/layout/weekRows';
import type { Detail } from '@/core/model/look';
import { patternHours } from '@/core/time/workingPattern';
import type { PlanAddress } from '@/features/workspace';
import { useSettings } from '@/store';
import { hairline, sizes } from '@/ui/theme/tokens';
import { useKeptParts } from '@/ui/useKeptParts';
import type { CardOrder } from '../grid/cardOrder';
import type { GridView } from '../grid/useGridView';
import { useOwnColour } from '../grid/useOwnColour';
import { DRAFT_KEY } from '../grid/withDraft';
import type { DayLoads } from './WeekRow';
import {
  GATHERED,
  HEAD,
  LEAST_ROW,
  LINE,
  NARROW_NUMBER_WIDTH,
  NUMBER_WIDTH,
  WEEKDAYS,
  WIDE_BAR,
} from './weekSizes';

/** Weeks under each other as they are laid out, in pixels. */
export interface WeeksLayout {
  /** The day numbers of each week. */
  readonly weeks: readonly (readonly number[])[];
  readonly rows: readonly WeekRow[];
  readonly loads: readonly DayLoads[];
  /** The width of the weeks' numbers; zero where they are not shown. */
  readonly numberWidth: number;
  readonly columnWidth: number;
  readonly rowHeight: number;
  readonly detail: Detail;
  readonly order: CardOrder;
}

/** Ribbons, gathered lines and cards of each day in the order in which the keys walk them. */
function orderOf(rows: readonly WeekRow[], perWeek: number): CardOrder {
  const lists = rows.flatMap((row) =>
    row.days.map((day, index) =>
      [
        ...row.ribbons.filter(({ from }) => from === index).map(({ occurrence }) => occurrence.key),
        ...row.gathered
          .filter(({ from, to }) => from <= index && index < to)
          .map(({ from, occurrences }) => occurrences[index - from]!.key),
        ...day.lines.map(({ key }) => key),
      ].filter((key) => key !== DRAFT_KEY),
    ),
  );
  return { lists, along: 'down', runsOn: perWeek };
}

/** Lays out weeks: how much of each day has room, and in which order it stands there. */
export function useWeeksLayout(
  { width, height, occurrences, pinned, answer }: GridView,
  address: PlanAddress,
  days: readonly number[],
): WeeksLayout {
  const { workingPattern, weekStart } = useSettings();
  const ownColour = useOwnColour();
  const weeks = useMemo(() => weeksOf(days, weekStart), [days, weekStart]);
  const perWeek = Math.max(...weeks.map((week) => week.length));
  const numberWidth = !address.weekNumbers ? 0 : width < 600 ? NARROW_NUMBER_WIDTH : NUMBER_WIDTH;
  const columnWidth = Math.max(0, (width - numberWidth - 2 * hairline) / perWeek);
  const detail = columnWidth < WIDE_BAR ? 'bars' : address.detail;
  const rowHeight = Math.max(LEAST_ROW[detail], (height - WEEKDAYS - 2) / weeks.length);
  const made = useMemo(() => {
    const hours = patternHours(workingPattern);
    const onDays = byShownDay(occurrences, days);
    const room = {
      ribbonRows: Math.max(1, Math.floor((rowHeight - HEAD - 2 * LINE[detail]) / sizes.ribbon)),
      lines: detail === 'bars' ? 0 : (rowHeight - HEAD - 4) / LINE[detail],
      linesPerRibbon: sizes.ribbon / LINE[detail],
      ...(columnWidth < WIDE_BAR ? {} : { linesPerGathered: GATHERED / LINE[detail] }),
      from: Math.max(0, hours.from - 60),
      to: Math.min(1440, hours.to + 60),
    };
    return weeks.map((week) => layoutWeekRow(onDays, week, room, pinned, ownColour));
  }, [occurrences, days, weeks, rowHeight, columnWidth, detail, workingPattern, pinned, ownColour]);
  const rows = useKeptParts(made);
  const loads = useKeptParts(
    useMemo(() => {
      const byDay = new Map((answer?.loads ?? []).map((load) => [load.day, load] as const));
      return weeks.map((week): DayLoads => Object.fromEntries(week.map((day) => [day, byDay.get(day)])));
    }, [answer, weeks]),
  );
  const order = useMemo(() => orderOf(rows, perWeek), [rows, perWeek]);
  return { weeks, rows, loads, numberWidth, columnWidth, rowHeight, detail, order };
}
