import { useMemo, useRef } from 'react';
import { ScrollView, StyleSheet, View, type LayoutChangeEvent } from 'react-native';
import { addMonths, yearOf, type DayRange } from '@/core/layout/views';
import { layoutYear, LOAD_LEVELS, monthGrid, type MonthGrid } from '@/core/layout/yearMonths';
import { civilDate, DAY, startOfWeek } from '@/core/time/civil';
import { useNowWall, useRangeLoads, useSettings } from '@/store';
import { weekdayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { GridFrame } from '../grid/GridFrame';
import { useDayKeys } from '../grid/useDayKeys';
import { useFrameSize } from '../grid/useFrameSize';
import type { ViewProps } from '../viewProps';
import { HEAD, MonthHeat, WEEKDAYS } from './MonthHeat';
import type { DayLoad } from '@/core/schedule/load';
import type { PlanAddress } from '@/features/workspace';

/** What the parts of a year take, in pixels, but for the gaps between the columns. */
const SIZES = { month: 158, rowGap: space(4), head: HEAD + WEEKDAYS, week: { least: 27, most: 38 } };

/** From this width on, in pixels, the months stand further apart and the legend has a title. */
const ROOMY = 700;

/** Twelve months, each day tinted by how booked it is. */
export function YearView({ address, days, range: shown, options, onOpenDay, onSelectDay }: ViewProps) {
  const today = Math.floor(useNowWall(address.zone) / DAY);
  const { weekStart } = useSettings();
  const { width, onLayout } = useFrameSize('view');
  const frame = useRef<HTMLElement>(null);
  const first = days[0]!;
  const { year } = civilDate(first);
  const { range, neighbours } = useMemo(
    () => ({ range: yearOf(first), neighbours: [yearOf(days.at(-1)! + 1), yearOf(first - 1)] }),
    [days, first],
  );
  const loads = useRangeLoads(range, neighbours, options);
  const months = useMemo(
    () => Array.from({ length: 12 }, (_, index) => monthGrid(year, index + 1, weekStart)),
    [year, weekStart],
  );
  const weekdays = useMemo(() => {
    const monday = startOfWeek(first, weekStart);
    return Array.from({ length: 7 }, (_, index) => weekdayText(monday + index, 'narrow'));
  }, [first, weekStart]);
  const isRoomy = width > ROOMY;
  const columnGap = isRoomy ? space(6) : space(3);
  const { height: room, onLayout: onRoom } = useFrameSize('year');
  const { monthWidth, weekHeight } = layoutYear(width - 2 * hairline - 2 * space(3), room - 2 * space(3), {
    ...SIZES,
    columnGap,
  });
  const onDayKey = useDayKeys(frame, address.day, dayByKey, onSelectDay, onOpenDay);

  return (
    <GridFrame
      frame={frame}
      label={words.year.label(year)}
      testID="year"
      onLayout={onLayout}
      onKeyDown={(event) => void onDayKey(event)}
    >
      <Months
        onRoom={onRoom}
        columnGap={columnGap}
        width={width}
        months={months}
        monthWidth={monthWidth}
        weekHeight={weekHeight}
        weekdays={weekdays}
        loads={loads}
        today={today}
        address={address}
        shown={shown}
        range={range}
        onOpenDay={onOpenDay}
      />
      <HeatLegend isTitled={isRoomy} />
    </GridFrame>
  );
}

/** The months of the year. */
function Months({
  onRoom,
  columnGap,
  width,
  months,
  monthWidth,
  weekHeight,
  weekdays,
  loads,
  today,
  address,
  shown,
  range,
  onOpenDay,
}: {
  onRoom: (event: LayoutChangeEvent) => void;
  columnGap: number;
  width: number;
  months: readonly MonthGrid[];
  monthWidth: number;
  weekHeight: number;
  weekdays: readonly string[];
  loads: ReadonlyMap<number, DayLoad>;
  today: number;
  address: PlanAddress;
  shown: DayRange;
  range: DayRange;
  onOpenDay: (day: number) => void;
}) {
  return (
    <ScrollView
      onLayout={onRoom}
      style={styles.scroller}
      contentContainerStyle={[styles.months, { columnGap }]}
    >
      {width === 0
        ? null
        : months.map((month) => (
            <MonthHeat
              key={month.month}
              grid={month}
              width={monthWidth}
              weekHeight={weekHeight}
              weekdays={weekdays}
              loads={loads}
              today={today}
              selectedDay={address.day}
              period={shown.first === range.first && shown.end === range.end ? undefined : shown}
              onOpenDay={onOpenDay}
            />
          ))}
    </ScrollView>
  );
}

/** The day that a key leads to: by days, weeks or months. */
function dayByKey(day: number, key: string): number | undefined {
  const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }[key];
  if (by !== undefined) return day + by;
  const byMonths = { PageUp: -1, PageDown: 1 }[key];
  return byMonths === undefined ? undefined : addMonths(day, byMonths);
}

/** What the tints of days mean. */
function HeatLegend({ isTitled }: { isTitled: boolean }) {
  const { colours } = useTheme();
  return (
    <View style={[styles.legend, { borderColor: colours.line }]} role="list" aria-label={words.year.legend}>
      {isTitled ? (
        <AppText size="small" tone="quiet" aria-hidden>
          {words.year.legend}
        </AppText>
      ) : null}
      {LOAD_LEVELS.map((level) => (
        <View key={level} role="listitem" style={styles.level}>
          <View
            style={[
              styles.swatch,
              { backgroundColor: colours.heat[level].background, borderColor: colours.line },
            ]}
          />
          <AppText size="small" tone="quiet">
            {words.year.levels[level]}
          </AppText>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  scroller: { flex: 1 },
  months: { flexDirection: 'row', flexWrap: 'wrap', padding: space(3), rowGap: space(4) },
  legend: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    columnGap: space(3),
    rowGap: space(1),
    paddingHorizontal: space(3),
    paddingVertical: space(2),
    borderTopWidth: hairline,
  },
  level: { flexDirection: 'row', alignItems: 'center', gap: space(1) },
  swatch: { width: 14, height: 14, borderRadius: 2, borderWidth: hairline },
});
