import { useRef } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { DAY } from '@/core/time/civil';
import { useSettings, useWeather } from '@/store';
import { rangeText } from '@/ui/dates';
import { viewRef } from '@/ui/web';
import { words } from '@/ui/words';
import { GridFrame } from '../grid/GridFrame';
import { useDayKeys } from '../grid/useDayKeys';
import { useDraftOnDay } from '../grid/useDraftOnDay';
import { useGridInput } from '../grid/useGridInput';
import { useGridView } from '../grid/useGridView';
import type { ViewProps } from '../viewProps';
import { DayGhost } from './DayGhost';
import { useWeeksLayout } from './useWeeksLayout';
import { WeekdayHeads } from './WeekdayHeads';
import { WeekRow } from './WeekRow';
import { WIDE_BAR } from './weekSizes';

/** Weeks under each other, a cell for each day, with ribbons over the days that an entry takes whole. */
export function WeeksView(props: ViewProps) {
  const { address, days, range, draft, draftCalendar, actions, onOpenDay, onSelectDay } = props;
  const { workingPattern, secondCalendarSystem, weather: weatherSettings } = useSettings();
  const weather = useWeather(days, props.answer?.occurrences);
  const view = useGridView({ ...props, zone: address.zone, fadePast: address.fadePast });
  const { frame, scroller, width } = view;
  const layout = useWeeksLayout(view, address, days);
  const { weeks, numberWidth, columnWidth, rowHeight, detail } = layout;
  const rowsBox = useRef<HTMLElement>(null);
  const draftOnDay = useDraftOnDay(address.zone, draftCalendar, actions);
  const draftOn = (day: number) => {
    if (day !== address.day) onSelectDay(day);
    draftOnDay(props.answer?.occurrences ?? [], day);
  };

  const { tabbableKey, onCardKey } = useGridInput(view, {
    order: layout.order,
    draftCalendar,
    gridStep: address.gridStep,
    timeAxis: undefined,
    pointAt: (x, y) => {
      const box = rowsBox.current!.getBoundingClientRect();
      const week = weeks[Math.min(weeks.length - 1, Math.max(0, Math.floor((y - box.top) / rowHeight)))]!;
      const column = Math.floor((x - box.left - numberWidth) / columnWidth);
      const day = week[Math.min(week.length - 1, Math.max(0, column))]!;
      return { day, minute: 0, overRibbons: false, dayOnly: true };
    },
    actions: {
      ...actions,
      pressEmpty: (startWall) => {
        const day = Math.floor(startWall / DAY);
        // Where a day has no room for titles, it opens; else the press writes an entry there.
        if (columnWidth < WIDE_BAR) onOpenDay(day);
        else draftOn(day);
      },
    },
  });
  const onDayKey = useDayKeys(
    frame,
    address.day,
    (day, key) => {
      const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }[key];
      return by === undefined ? undefined : nextShown(day, by, address.weekends ? undefined : days);
    },
    onSelectDay,
    (day, isShifted) => (isShifted ? draftOn(day) : onOpenDay(day)),
  );

  return (
    <GridFrame
      frame={frame}
      testID="weeks"
      onLayout={view.onLayout}
      onKeyDown={(event) => {
        if (!onDayKey(event)) onCardKey(event);
      }}
    >
      {width === 0 ? null : (
        <View
          role="grid"
          aria-label={words.weeks.grid(rangeText(days[0]!, days.at(-1)!, true))}
          style={styles.grid}
        >
          <WeekdayHeads week={weeks[0]!} numberWidth={numberWidth} columnWidth={columnWidth} />
          <ScrollView ref={viewRef<ScrollView>(scroller)} role="presentation" style={styles.grid}>
            <View ref={viewRef(rowsBox)} role="rowgroup">
              {layout.rows.map((row, index) => (
                <WeekRow
                  key={row.days[0]!.day}
                  layout={row}
                  height={rowHeight}
                  columnWidth={columnWidth}
                  numberWidth={numberWidth}
                  detail={detail}
                  calendars={view.calendarsById}
                  loads={layout.loads[index]}
                  weather={weather}
                  degrees={weatherSettings?.degrees ?? 'celsius'}
                  pattern={workingPattern}
                  today={view.today}
                  selectedDay={address.day}
                  range={range}
                  selected={view.selected}
                  draftKey={view.draftKey}
                  tabbableKey={tabbableKey}
                  fadeBefore={view.fadeBefore}
                  fontsLoaded={view.fontsLoaded}
                  system={secondCalendarSystem}
                  onOpenDay={onOpenDay}
                />
              ))}
              <DayGhost
                weeks={weeks}
                rowHeight={rowHeight}
                columnWidth={columnWidth}
                left={numberWidth}
                draft={detail === 'bars' && !draft?.allDay ? draft : null}
              />
            </View>
          </ScrollView>
        </View>
      )}
    </GridFrame>
  );
}

/** So many days on; where weekends are left out, the next day that is shown, beyond the shown ones any. */
function nextShown(day: number, by: number, shown: readonly number[] | undefined): number {
  const wanted = day + by;
  if (!shown || Math.abs(by) === 7 || shown.includes(wanted)) return wanted;
  const step = Math.sign(by);
  return shown.includes(wanted + step) ? wanted + step : wanted + 2 * step;
}

const styles = StyleSheet.create({ grid: { flex: 1 } });
