import { useMemo, useRef } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { addMonths, yearOf } from '@/core/layout/views';
import { layoutYear, LOAD_LEVELS, monthGrid } from '@/core/layout/yearMonths';
import { civilDate, DAY, startOfWeek } from '@/core/time/civil';
import { useNowWall, useRangeLoads, useSettings } from '@/store';
import { weekdayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { useDayKeys } from '../grid/useDayKeys';
import { useFrameSize } from '../grid/useFrameSize';
import type { ViewProps } from '../viewProps';
import { HEAD, MonthHeat, WEEKDAYS } from './MonthHeat';

/** What the parts of a year take, in pixels, but for the gaps between the columns. */
const SIZES = { month: 158, rowGap: space(4), head: HEAD + WEEKDAYS, week: { least: 27, most: 38 } };

/** Twelve months, each day tinted by how booked it is. */
export function YearView({ address, days, range: shown, options, onOpenDay, onSelectDay }: ViewProps) {
  const { colours } = useTheme();
  const today = Math.floor(useNowWall(address.zone) / DAY);
  const { weekStart } = useSettings();
  const { width, onLayout } = useFrameSize('view');
  const frame = useRef<View>(null);
  const { year } = civilDate(days[0]!);
  const { range, neighbours } = useMemo(
    () => ({ range: yearOf(days[0]!), neighbours: [yearOf(days.at(-1)! + 1), yearOf(days[0]! - 1)] }),
    [days],
  );
  const loads = useRangeLoads(range, neighbours, options);
  const months = useMemo(
    () => Array.from({ length: 12 }, (_, index) => monthGrid(year, index + 1, weekStart)),
    [year, weekStart],
  );
  const weekdays = useMemo(
    () =>
      Array.from({ length: 7 }, (_, index) =>
        weekdayText(startOfWeek(days[0]!, weekStart) + index, 'narrow'),
      ),
    [days, weekStart],
  );
  const period = shown.first === range.first && shown.end === range.end ? undefined : shown;
  const gap = width > 700 ? space(6) : space(3);
  const { height: room, onLayout: onRoom } = useFrameSize('year');
  const { monthWidth, weekHeight } = layoutYear(width - 2 * hairline - 2 * space(3), room - 2 * space(3), {
    ...SIZES,
    columnGap: gap,
  });

  const onDayKey = useDayKeys(
    frame as unknown as React.RefObject<HTMLElement | null>,
    address.day,
    (day, key) => {
      const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }[key];
      const byMonths = { PageUp: -1, PageDown: 1 }[key];
      if (by !== undefined) return day + by;
      return byMonths === undefined ? undefined : addMonths(day, byMonths);
    },
    onSelectDay,
    onOpenDay,
  );

  return (
    <View
      ref={frame}
      testID="year"
      role="group"
      aria-label={words.year.label(year)}
      onLayout={onLayout}
      style={[styles.frame, { backgroundColor: colours.card, borderColor: colours.line }]}
      {...webProps({ onKeyDown: (event) => void onDayKey(event) })}
    >
      <ScrollView
        onLayout={onRoom}
        style={styles.scroller}
        contentContainerStyle={[styles.months, { columnGap: gap }]}
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
                period={period}
                onOpenDay={onOpenDay}
              />
            ))}
      </ScrollView>
      <View style={[styles.legend, { borderColor: colours.line }]} role="list" aria-label={words.year.legend}>
        {width > 700 ? (
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
    </View>
  );
}

const styles = StyleSheet.create({
  frame: { flex: 1, borderWidth: hairline, borderRadius: space(1), overflow: 'hidden', minHeight: 160 },
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
