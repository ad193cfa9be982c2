import { StyleSheet, View } from 'react-native';
import { workingDay } from '@/core/time/workingPattern';
import { useDueByDay, useSettings, useWeather } from '@/store';
import { useWindowHeight } from '@/ui/useWindowHeight';
import type { GridView } from '../grid/useGridView';
import { CalendarHead } from './CalendarHead';
import { DayHead, dayHeadHeight } from './DayHead';
import type { HoursLayout } from './useHoursLayout';
import { RailHeads } from './ZoneRails';

/** What stands over the columns: the rails' zones, and each day, or each calendar of one day. */
export function HoursHeads({
  view,
  hours: { columns, days, rails, columnWidth },
  zone,
  isOthers,
  onOpenDay,
}: {
  view: GridView;
  hours: HoursLayout;
  zone: string;
  isOthers: boolean;
  onOpenDay: (day: number) => void;
}) {
  const { workingPattern, homeZone, secondCalendarSystem, weather: weatherSettings } = useSettings();
  const { answer, calendarsById, today } = view;
  const due = useDueByDay();
  const weather = useWeather(days, isOthers ? undefined : answer?.occurrences);
  const isLow = useWindowHeight() !== 'full';
  return (
    <View style={[styles.heads, { height: dayHeadHeight(secondCalendarSystem, isLow) }]}>
      <RailHeads rails={rails} zone={zone} days={days} />
      <View style={styles.heads}>
        {columnWidth > 0 &&
          columns.map(({ day, calendarId }, index) =>
            calendarId === undefined ? (
              <DayHead
                key={day}
                day={day}
                index={index}
                onOpen={onOpenDay}
                isToday={day === today}
                // The load is of the hours at home, which lie otherwise on a day seen from elsewhere.
                load={zone === homeZone ? answer?.loads.find((load) => load.day === day) : undefined}
                weather={isOthers ? undefined : weather.get(day)}
                degrees={weatherSettings?.degrees ?? 'celsius'}
                due={isOthers ? undefined : due.get(day)}
                working={isOthers ? undefined : workingDay(workingPattern, day)}
                width={columnWidth}
                system={secondCalendarSystem}
                isLow={isLow}
                fontsLoaded={view.fontsLoaded}
              />
            ) : (
              <CalendarHead key={calendarId} calendar={calendarsById.get(calendarId)} width={columnWidth} />
            ),
          )}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({ heads: { flexDirection: 'row' } });
