import { useMemo, useRef } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { byShownDay, layoutWeekRow, weeksOf } from '@/core/layout/weekRows';
import { lengthOfNew } from '@/core/change/calendarDefaults';
import { freeStartOn } from '@/core/schedule/agenda';
import { DAY, MINUTE } from '@/core/time/civil';
import { patternHours } from '@/core/time/workingPattern';
import { useNow, useNowWall, useSettings } from '@/store';
import { rangeText, weekdayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { useFontsLoaded } from '@/ui/useFontsLoaded';
import { useKeptParts } from '@/ui/useKeptParts';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { type CardOrder, tabbableKeyOf } from '../grid/cardOrder';
import { useCardKeys } from '../grid/useCardKeys';
import { useFrameSize } from '../grid/useFrameSize';
import { useDayKeys } from '../grid/useDayKeys';
import { useGridDrag } from '../grid/useGridDrag';
import { useOwnColour } from '../grid/usePaper';
import { useShownEntries } from '../grid/useShownEntries';
import { DRAFT_KEY, withDraft } from '../grid/withDraft';
import type { ViewProps } from '../viewProps';
import { DayGhost } from './DayGhost';
import { type DayLoads, WeekRow } from './WeekRow';
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

/** Weeks under each other, a cell for each day, with ribbons over the days that an entry takes whole. */
export function WeeksView({
  address,
  days,
  range,
  answer,
  calendars,
  draft,
  draftCalendar,
  selectedKeys,
  actions,
  onOpenDay,
  onSelectDay,
}: ViewProps) {
  const { colours } = useTheme();
  const settings = useSettings();
  const { workingPattern, weekStart, secondCalendarSystem, homeZone } = settings;
  const now = useNow();
  const today = Math.floor(useNowWall(address.zone) / DAY);
  const fontsLoaded = useFontsLoaded();
  const { width, height, onLayout } = useFrameSize('view');
  const frame = useRef<View>(null);
  const rowsBox = useRef<View>(null);
  const scroller = useRef<ScrollView>(null);

  const weeks = useMemo(() => weeksOf(days, weekStart), [days, weekStart]);
  const perWeek = Math.max(...weeks.map((week) => week.length));
  const numberWidth = !address.weekNumbers ? 0 : width < 600 ? NARROW_NUMBER_WIDTH : NUMBER_WIDTH;
  const columnWidth = Math.max(0, (width - numberWidth - 2 * hairline) / perWeek);
  const detail = columnWidth < WIDE_BAR ? 'bars' : address.detail;
  const rowHeight = Math.max(LEAST_ROW[detail], (height - WEEKDAYS - 2) / weeks.length);

  const { byKey, calendarsById, selected } = useShownEntries(answer, calendars, selectedKeys);
  const ownColour = useOwnColour();
  const { occurrences, draftKey } = useMemo(
    () => withDraft(answer?.occurrences ?? [], draft, address.zone),
    [answer, draft, address.zone],
  );
  const made = useMemo(() => {
    const hours = patternHours(workingPattern);
    const onDays = byShownDay(occurrences, days);
    const pinned = draftKey === undefined ? selected : new Set([...selected, draftKey]);
    const room = {
      ribbonRows: Math.max(1, Math.floor((rowHeight - HEAD - 2 * LINE[detail]) / sizes.ribbon)),
      lines: detail === 'bars' ? 0 : (rowHeight - HEAD - 4) / LINE[detail],
      linesPerRibbon: sizes.ribbon / LINE[detail],
      ...(columnWidth < WIDE_BAR ? {} : { linesPerGathered: GATHERED / LINE[detail] }),
      from: Math.max(0, hours.from - 60),
      to: Math.min(1440, hours.to + 60),
    };
    return weeks.map((week) => layoutWeekRow(onDays, week, room, pinned, ownColour));
  }, [
    occurrences,
    draftKey,
    days,
    weeks,
    rowHeight,
    columnWidth,
    detail,
    workingPattern,
    selected,
    ownColour,
  ]);
  const rows = useKeptParts(made);
  const loads = useKeptParts(
    useMemo(() => {
      const byDay = new Map((answer?.loads ?? []).map((load) => [load.day, load] as const));
      return weeks.map((week): DayLoads => Object.fromEntries(week.map((day) => [day, byDay.get(day)])));
    }, [answer, weeks]),
  );
  const order = useMemo((): CardOrder => {
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
  }, [rows, perWeek]);
  const tabbableKey = tabbableKeyOf(order, selectedKeys);

  useGridDrag(
    {
      frame: frame as unknown as React.RefObject<HTMLElement | null>,
      scroller: scroller as unknown as React.RefObject<HTMLElement | null>,
    },
    {
      pointAt: (x, y) => {
        const box = (rowsBox.current as unknown as HTMLElement).getBoundingClientRect();
        const week = weeks[Math.min(weeks.length - 1, Math.max(0, Math.floor((y - box.top) / rowHeight)))]!;
        const column = Math.floor((x - box.left - numberWidth) / columnWidth);
        return {
          day: week[Math.min(week.length - 1, Math.max(0, column))]!,
          minute: 0,
          overRibbons: false,
          dayOnly: true,
        };
      },
      gridStep: address.gridStep,
      timeAxis: undefined,
      occurrence: (key) => byKey.get(key),
      calendar: (id) => calendarsById.get(id),
      draftCalendar,
    },
    {
      ...actions,
      pressEmpty: (startWall) => {
        const day = Math.floor(startWall / DAY);
        // Where a day has no room for titles, it opens; else the press writes an entry there.
        if (columnWidth < WIDE_BAR) onOpenDay(day);
        else draftOn(day);
      },
    },
  );
  const draftOn = (day: number) => {
    if (day !== address.day) onSelectDay(day);
    const length = lengthOfNew(draftCalendar, settings) * MINUTE;
    const context = { zone: address.zone, homeZone, pattern: workingPattern, now };
    const start = freeStartOn(answer?.occurrences ?? [], day, length, context);
    actions.draft(start, start + length, false);
  };
  const onCardKey = useCardKeys(
    frame as unknown as React.RefObject<HTMLElement | null>,
    order,
    actions,
    answer,
  );

  const onDayKey = useDayKeys(
    frame as unknown as React.RefObject<HTMLElement | null>,
    address.day,
    (day, key) => {
      const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 }[key];
      return by === undefined ? undefined : nextShown(day, by, address.weekends ? undefined : days);
    },
    onSelectDay,
    (day, isShifted) => (isShifted ? draftOn(day) : onOpenDay(day)),
  );

  return (
    <View
      ref={frame}
      testID="weeks"
      onLayout={onLayout}
      style={[styles.frame, { backgroundColor: colours.card, borderColor: colours.line }]}
      {...webProps({
        onKeyDown: (event) => {
          if (!onDayKey(event)) onCardKey(event);
        },
      })}
    >
      {width === 0 ? null : (
        <View
          role="grid"
          aria-label={words.weeks.grid(rangeText(days[0]!, days.at(-1)!, true))}
          style={styles.grid}
        >
          <View
            role="row"
            {...webProps({ dataSet: { inert: 'true' } })}
            style={[styles.weekdays, { borderColor: colours.line }]}
          >
            {numberWidth > 0 ? (
              <View role="columnheader" aria-label={words.weeks.numberHead} style={{ width: numberWidth }} />
            ) : null}
            {weeks[0]!.map((day) => (
              <View key={day} role="columnheader" style={{ width: columnWidth }}>
                <AppText size="small" tone="quiet" numberOfLines={1} style={styles.weekday}>
                  {weekdayText(day, columnWidth > 96 ? 'long' : 'short')}
                </AppText>
              </View>
            ))}
          </View>
          <ScrollView ref={scroller} role="presentation" style={styles.grid}>
            <View ref={rowsBox} role="rowgroup">
              {rows.map((row, index) => (
                <WeekRow
                  key={row.days[0]!.day}
                  layout={row}
                  height={rowHeight}
                  columnWidth={columnWidth}
                  numberWidth={numberWidth}
                  showsNumber={numberWidth > 0}
                  detail={detail}
                  calendars={calendarsById}
                  loads={loads[index]}
                  pattern={workingPattern}
                  today={today}
                  selectedDay={address.day}
                  range={range}
                  selected={selected}
                  draftKey={draftKey}
                  tabbableKey={tabbableKey}
                  fadeBefore={address.fadePast ? now : undefined}
                  fontsLoaded={fontsLoaded}
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
    </View>
  );
}

/** So many days on; where weekends are left out, the next day that is shown, beyond the shown ones any. */
function nextShown(day: number, by: number, shown: readonly number[] | undefined): number {
  const wanted = day + by;
  if (!shown || Math.abs(by) === 7 || shown.includes(wanted)) return wanted;
  const step = Math.sign(by);
  return shown.includes(wanted + step) ? wanted + step : wanted + 2 * step;
}

const styles = StyleSheet.create({
  frame: { flex: 1, borderWidth: hairline, borderRadius: space(1), overflow: 'hidden', minHeight: 160 },
  grid: { flex: 1 },
  weekdays: { flexDirection: 'row', height: WEEKDAYS, alignItems: 'center', borderBottomWidth: hairline },
  weekday: { paddingLeft: space(2) },
});
