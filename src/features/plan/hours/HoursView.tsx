import { useRef } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { hoursHeight, minuteOfInstant, minuteToY, wallMinute, yToMinute } from '@/core/layout/hours';
import type { HoursColumn } from '@/core/layout/hoursGrid';
import { colleagueOfLane } from '@/core/people/busy/colleagueOccurrences';
import { rangeText } from '@/ui/dates';
import { viewRef } from '@/ui/web';
import { words } from '@/ui/words';
import { GridFrame } from '../grid/GridFrame';
import { useGridInput } from '../grid/useGridInput';
import { useGridView } from '../grid/useGridView';
import type { ViewProps } from '../viewProps';
import { HourColumns } from './HourColumns';
import { HourFolds } from './HourFolds';
import { HourRail } from './HourRail';
import { HoursHeads } from './HoursHeads';
import { RibbonRows } from './RibbonRows';
import { useDraftInSight } from './useDraftInSight';
import { useEntriesInSight } from './useEntriesInSight';
import { useHoursLayout } from './useHoursLayout';
import { useHoursWalk } from './useHoursWalk';
import { ZoneRailColumn } from './ZoneRails';

interface HoursViewProps extends Pick<
  ViewProps,
  'address' | 'answer' | 'calendars' | 'draftCalendar' | 'draft' | 'selectedKeys' | 'actions' | 'onOpenDay'
> {
  columns: readonly HoursColumn[];
  /** Whether it stands for what somebody else sees: where one works is not said in it. */
  isOthers?: boolean;
}

/** Days side by side with their hours down: heads, ribbons, and cards in columns. */
export function HoursView({
  columns,
  address,
  draft,
  draftCalendar,
  actions,
  isOthers = false,
  onOpenDay,
  ...shown
}: HoursViewProps) {
  const { zone, gridStep, fadePast, rowHeight, weekNumbers } = address;
  const view = useGridView({ ...shown, draft, zone, fadePast });
  const hours = useHoursLayout(view, { columns, zone, rowHeight, gridStep, draft });
  const { days, columnWidth, scale, layout, order, rails, changes } = hours;
  const { frame, scroller, today, answer } = view;
  useDraftInSight(frame, scale, draft);
  const columnsBox = useRef<HTMLElement>(null);
  const { tabbableKey, onCardKey } = useGridInput(view, {
    order,
    actions,
    draftCalendar,
    gridStep,
    timeAxis: 'down',
    pointAt: (x, y) => {
      const box = columnsBox.current!.getBoundingClientRect();
      const { top } = scroller.current!.getBoundingClientRect();
      const index = Math.floor((x - box.left) / columnWidth);
      const column = columns[Math.min(columns.length - 1, Math.max(0, index))]!;
      const minute = wallMinute(scale, yToMinute(scale, y - box.top));
      // What is put into a colleague's column is one's own.
      const { day, calendarId = '' } = column;
      const at = colleagueOfLane(calendarId) === undefined && calendarId !== '' ? { calendarId } : {};
      return { day, ...at, minute, overRibbons: y < top };
    },
  });
  const { slot, onKey, draftAt } = useHoursWalk(frame, { columns, layout, scale, gridStep, actions });
  const showsToday = days.includes(today);
  const nowMinute = minuteOfInstant(scale, today, view.nowWall, view.now, changes[days.indexOf(today)]);
  useEntriesInSight(scroller, {
    days: `${zone} ${days[0]} ${columns.length}`,
    viewportHeight: hours.viewportHeight,
    cards: answer && layout.columns.flatMap(({ cards }) => cards),
    nowTop: minuteToY(scale, nowMinute),
    showsToday,
    isWholeDay: scale.from === 0,
  });
  const parts = { view, hours, draft, tabbableKey };
  return (
    <GridFrame
      frame={frame}
      label={words.plan.grid(rangeText(days[0]!, days.at(-1)!, true))}
      testID="hours"
      onLayout={view.onLayout}
      onKeyDown={(event) => {
        if (!onKey(event)) onCardKey(event);
      }}
    >
      <HoursHeads view={view} hours={hours} zone={zone} isOthers={isOthers} onOpenDay={onOpenDay} />
      <RibbonRows {...parts} weekNumbers={weekNumbers} />
      <ScrollView
        ref={viewRef<ScrollView>(scroller)}
        style={styles.fill}
        onLayout={hours.onViewport}
        contentContainerStyle={{ height: hoursHeight(scale) }}
      >
        <View style={styles.hours}>
          {rails.map((rail) => (
            <ZoneRailColumn
              key={rail.zone}
              rail={rail}
              viewZone={zone}
              day={showsToday ? today : days[0]!}
              scale={scale}
            />
          ))}
          <HourRail scale={scale} nowMinute={showsToday ? nowMinute : undefined} />
          <HourColumns
            {...parts}
            box={columnsBox}
            gridStep={gridStep}
            nowMinute={nowMinute}
            // Without any card the keys begin at the first hour.
            cursor={slot ?? (tabbableKey === undefined ? { column: 0, minute: scale.from } : undefined)}
            onDraft={draftAt}
          />
        </View>
        <HourFolds hours={hours} />
      </ScrollView>
    </GridFrame>
  );
}

const styles = StyleSheet.create({
  fill: { flex: 1 },
  hours: { flexDirection: 'row' },
});
