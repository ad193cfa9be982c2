import { useCallback, useMemo, useRef, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import {
  dayMinutes,
  drawnMinutes,
  hoursHeight,
  minuteOfInstant,
  minuteToY,
  missingMinutes,
  wallMinute,
  yToMinute,
} from '@/core/layout/hours';
import { type HoursColumn, layoutHoursGrid, placesOf, withoutKey } from '@/core/layout/hoursGrid';
import { weekNumber } from '@/core/layout/views';
import type { Calendar } from '@/core/model/calendar';
import type { RowHeight } from '@/core/model/look';
import { clockChangeOn } from '@/core/time/clockChange';
import { DAY, MINUTE } from '@/core/time/civil';
import { workingDay } from '@/core/time/workingPattern';
import type { DaysAnswer } from '@/store';
import { useNow, useNowWall, useSettings } from '@/store';
import { dayText, rangeText, timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { useFontsLoaded } from '@/ui/useFontsLoaded';
import { useKeptParts } from '@/ui/useKeptParts';
import { useWindowHeight } from '@/ui/useWindowHeight';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';
import { CalendarHead } from './CalendarHead';
import { DayColumn } from './DayColumn';
import { DayHead, dayHeadHeight } from './DayHead';
import { railSizes } from './railSizes';
import { FoldBand } from './FoldBand';
import type { Ghost } from '../grid/ghost';
import { GhostLayer } from './GhostLayer';
import { HourRail } from './HourRail';
import { RailHeads, shownRails, ZoneRailColumn } from './ZoneRails';
import { RefoldButton } from './RefoldButton';
import { RibbonCard } from '../grid/RibbonCard';
import { SlotCursor } from './SlotCursor';
import { roomOf } from './columnSizes';
import { useEntriesInSight } from './useEntriesInSight';
import { useHoursScale } from './useHoursScale';
import { useHoursWalk } from './useHoursWalk';
import { useRevealed } from './useRevealed';
import { type GridActions, useGridDrag } from '../grid/useGridDrag';
import { type CardOrder, tabbableKeyOf } from '../grid/cardOrder';
import { useCardKeys } from '../grid/useCardKeys';
import { useFrameSize } from '../grid/useFrameSize';
import { useShownEntries } from '../grid/useShownEntries';
import { DRAFT_KEY, withDraft } from '../grid/withDraft';

/** Rows of ribbons that are shown before they are unfolded. */
const FEW_RIBBONS = 2;

interface HoursViewProps {
  columns: readonly HoursColumn[];
  gridStep: number;
  rowHeight: RowHeight;
  fadePast: boolean;
  weekNumbers: boolean;
  /** The zone that the hours are shown in. */
  zone: string;
  answer: DaysAnswer | undefined;
  calendars: readonly Calendar[];
  draftCalendar: Calendar | undefined;
  draft: Ghost | null;
  selectedKeys: readonly string[];
  actions: GridActions;
  onOpenDay: (day: number) => void;
}

/** Days side by side with their hours down: heads, ribbons, and cards in columns. */
export function HoursView({
  columns,
  gridStep,
  rowHeight,
  fadePast,
  weekNumbers,
  zone,
  answer,
  calendars,
  draftCalendar,
  draft,
  selectedKeys,
  actions,
  onOpenDay,
}: HoursViewProps) {
  const { colours } = useTheme();
  const settings = useSettings();
  const { workingPattern, homeZone, secondCalendarSystem } = settings;
  const days = useMemo(() => columns.map(({ day }) => day), [columns]);
  const changes = useMemo(() => days.map((day) => clockChangeOn(zone, day)), [days, zone]);
  const firstDay = days[0]!;
  const zoneName = useCallback((of: string) => zoneLabel(settings, of), [settings]);
  const nowWall = useNowWall(zone);
  const today = Math.floor(nowWall / DAY);
  const { width, onLayout } = useFrameSize('view');
  const [open, setOpen] = useState({ before: false, after: false });
  const { height: viewportHeight, onLayout: onViewport } = useFrameSize('hours');
  const [allRibbons, setAllRibbons] = useState(false);
  const fontsLoaded = useFontsLoaded();
  const isLow = useWindowHeight() !== 'full';
  const frame = useRef<View>(null);
  const hours = useRef<View>(null);
  const scroller = useRef<ScrollView>(null);

  const rails = shownRails(settings, zone, width, days.length);
  const railWidths = railSizes();
  const railsWidth = railWidths.hour + rails.length * railWidths.zone;
  const columnWidth = Math.max(0, (width - railsWidth - 2 * hairline) / days.length);
  const scale = useHoursScale({ zone, firstDay, changes, open, viewportHeight, rowHeight, gridStep });
  const { byKey, calendarsById, selected } = useShownEntries(answer, calendars, selectedKeys);
  const { occurrences, draftKey } = useMemo(
    () => withDraft(answer?.occurrences ?? [], draft, zone),
    [answer, draft, zone],
  );
  const laidOut = useKeptParts(
    useMemo(() => {
      const stays = draftKey === undefined ? selected : new Set([...selected, draftKey]);
      return layoutHoursGrid(occurrences, columns, scale, changes, roomOf(columnWidth, stays));
    }, [occurrences, draftKey, columns, scale, changes, columnWidth, selected]),
  );
  // A new entry has its place among the others, and no card but the dashed one.
  const layout = useMemo(() => withoutKey(laidOut, DRAFT_KEY), [laidOut]);
  const draftPlaces = useMemo(() => placesOf(laidOut, draftKey), [laidOut, draftKey]);
  useRevealed(byKey, scale, setOpen, frame as unknown as React.RefObject<HTMLElement | null>);
  const order = useMemo((): CardOrder => {
    const lists = layout.columns.map((column, index) => [
      ...layout.ribbons.filter((ribbon) => ribbon.from === index).map((ribbon) => ribbon.occurrence.key),
      ...[...column.cards]
        .sort((a, b) => a.top - b.top || a.across.left - b.across.left)
        .map((card) => card.occurrence.key),
    ]);
    return { lists, along: 'down' };
  }, [layout]);
  const tabKey = tabbableKeyOf(order, selectedKeys);

  useGridDrag(
    {
      frame: frame as unknown as React.RefObject<HTMLElement | null>,
      scroller: scroller as unknown as React.RefObject<HTMLElement | null>,
    },
    {
      pointAt: (x, y) => {
        const box = (hours.current as unknown as HTMLElement).getBoundingClientRect();
        const { top } = (scroller.current as unknown as HTMLElement).getBoundingClientRect();
        const at = Math.floor((x - box.left) / columnWidth);
        const column = columns[Math.min(columns.length - 1, Math.max(0, at))]!;
        return {
          ...column,
          minute: wallMinute(scale, yToMinute(scale, y - box.top)),
          overRibbons: y < top,
        };
      },
      gridStep,
      timeAxis: 'down',
      occurrence: (key) => byKey.get(key),
      calendar: (id) => calendarsById.get(id),
      draftCalendar,
    },
    actions,
  );
  const onCardKey = useCardKeys(
    frame as unknown as React.RefObject<HTMLElement | null>,
    order,
    actions,
    answer,
  );

  const { slot, onKey, draftAt } = useHoursWalk(frame as unknown as React.RefObject<HTMLElement | null>, {
    columns,
    layout,
    scale,
    gridStep,
    actions,
  });
  // Without any card the keys begin at the first hour.
  const cursor = slot ?? (tabKey === undefined ? { column: 0, minute: scale.from } : undefined);
  const cursorDay = cursor && columns[cursor.column]?.day;

  const few = isLow ? 1 : FEW_RIBBONS;
  const fewRows = Math.min(
    layout.ribbonRows,
    !isLow && layout.ribbonRows === few + 1 ? layout.ribbonRows : few,
  );
  const shownRows = allRibbons ? layout.ribbonRows : Math.max(fewRows, (draftPlaces.ribbon?.row ?? -1) + 1);
  const hiddenRibbons = layout.ribbons.filter((ribbon) => ribbon.row >= shownRows).length;
  const ribbonHeight = isLow && shownRows === 0 ? 0 : Math.max(shownRows, 1) * sizes.ribbon + 4;
  const drawn = drawnMinutes(scale);
  const now = useNow();
  const nowMinute = minuteOfInstant(scale, today, nowWall, now, changes[days.indexOf(today)]);
  const showsToday = days.includes(today);
  useEntriesInSight(scroller as unknown as React.RefObject<HTMLElement | null>, {
    days: `${zone} ${firstDay} ${columns.length}`,
    viewportHeight,
    cards: answer && layout.columns.flatMap(({ cards }) => cards),
    nowTop: minuteToY(scale, nowMinute),
    showsToday,
    isWholeDay: scale.from === 0,
  });

  return (
    <View
      ref={frame}
      role="group"
      aria-label={words.plan.grid(rangeText(firstDay, days.at(-1)!, true))}
      testID="hours"
      onLayout={onLayout}
      {...webProps({
        onKeyDown: (event) => {
          if (!onKey(event)) onCardKey(event);
        },
      })}
      style={[styles.frame, { backgroundColor: colours.card, borderColor: colours.line }]}
    >
      <View style={[styles.heads, { height: dayHeadHeight(secondCalendarSystem, isLow) }]}>
        <RailHeads rails={rails} zone={zone} days={days} />
        <View style={styles.heads}>
          {width > 0 &&
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
                  working={workingDay(workingPattern, day)}
                  width={columnWidth}
                  system={secondCalendarSystem}
                  isLow={isLow}
                  fontsLoaded={fontsLoaded}
                />
              ) : (
                <CalendarHead key={calendarId} calendar={calendarsById.get(calendarId)} width={columnWidth} />
              ),
            )}
        </View>
      </View>
      <View style={[styles.ribbons, { height: ribbonHeight, borderColor: colours.line }]}>
        <View style={[styles.ribbonRail, { width: railsWidth }]}>
          {hiddenRibbons > 0 || allRibbons ? (
            <Pressable
              role="button"
              aria-label={allRibbons ? words.plan.fewerRibbons : words.plan.moreRibbons(hiddenRibbons)}
              onPress={() => setAllRibbons(!allRibbons)}
              style={styles.moreRibbons}
            >
              <AppText size="small" weight="700" tone="accent">
                {allRibbons ? '–' : `+${hiddenRibbons}`}
              </AppText>
            </Pressable>
          ) : weekNumbers ? (
            <AppText size="small" tone="quiet" figures>
              {words.weeks.number(weekNumber(firstDay, settings.weekStart))}
            </AppText>
          ) : null}
        </View>
        <View style={styles.fill}>
          {columns.map((_, index) => (
            <View
              key={index}
              style={[styles.ribbonLine, { left: index * columnWidth, borderColor: colours.line }]}
            />
          ))}
          {layout.ribbons
            .filter((ribbon) => ribbon.row < shownRows)
            .map((ribbon) => (
              <RibbonCard
                key={ribbon.occurrence.key}
                ribbon={ribbon}
                columnWidth={columnWidth}
                calendar={calendarsById.get(ribbon.occurrence.calendarId)}
                selected={selected.has(ribbon.occurrence.key)}
                tabbable={tabKey === ribbon.occurrence.key}
                faded={fadePast && ribbon.occurrence.end <= now}
              />
            ))}
          <GhostLayer
            part="ribbons"
            columns={columns}
            columnWidth={columnWidth}
            scale={scale}
            draft={draft}
            places={draftPlaces}
          />
        </View>
      </View>
      <ScrollView
        ref={scroller}
        style={styles.fill}
        onLayout={onViewport}
        contentContainerStyle={{ height: hoursHeight(scale) }}
      >
        <View style={styles.hours}>
          {rails.map((rail) => (
            <ZoneRailColumn
              key={rail.zone}
              rail={rail}
              viewZone={zone}
              day={showsToday ? today : firstDay}
              scale={scale}
            />
          ))}
          <HourRail scale={scale} nowMinute={showsToday ? nowMinute : undefined} />
          <View ref={hours} style={styles.columns}>
            {width > 0 &&
              layout.columns.map(({ day, cards, crowds, washing }, index) => (
                <DayColumn
                  key={index}
                  cards={cards}
                  crowds={crowds}
                  day={day}
                  width={columnWidth}
                  scale={scale}
                  calendars={calendarsById}
                  wash={washing && calendarsById.get(washing.calendarId)?.colour}
                  dayOff={workingDay(workingPattern, day).spans.length === 0}
                  missing={missingMinutes(scale, changes[index])}
                  gridStep={gridStep}
                  fadeBefore={fadePast ? now : undefined}
                  nowMinute={day === today ? nowMinute : undefined}
                  selected={selected}
                  tabbableKey={tabKey}
                  zoneName={zoneName}
                  fontsLoaded={fontsLoaded}
                />
              ))}
            {cursor && cursorDay !== undefined && width > 0 ? (
              <SlotCursor
                label={`${dayText(cursorDay)}, ${timeText(wallMinute(scale, cursor.minute) * MINUTE)}`}
                time={timeText(wallMinute(scale, cursor.minute) * MINUTE)}
                box={{
                  top: minuteToY(scale, cursor.minute) + 1,
                  left: cursor.column * columnWidth + 1,
                  width: columnWidth - 2,
                  height:
                    minuteToY(scale, cursor.minute + Math.max(30, gridStep)) -
                    minuteToY(scale, cursor.minute) -
                    1,
                }}
                tabbable={tabKey === undefined}
                onPress={() => draftAt(cursor)}
              />
            ) : null}
            <GhostLayer
              part="hours"
              columns={columns}
              columnWidth={columnWidth}
              scale={scale}
              draft={draft}
              places={draftPlaces}
            />
          </View>
        </View>
        {scale.from === 0 ? null : open.before ? (
          <RefoldButton
            time={timeText(wallMinute(scale, scale.from) * MINUTE)}
            before
            left={rails.length * railWidths.zone}
            top={minuteToY(scale, scale.from) - sizes.target}
            onPress={() => setOpen({ ...open, before: false })}
          />
        ) : (
          <FoldBand
            edge="before"
            minute={wallMinute(scale, scale.from)}
            hidden={layout.columns.map((column) => column.hiddenBefore)}
            railsWidth={railsWidth}
            columnWidth={columnWidth}
            top={0}
            onPress={() => setOpen({ ...open, before: true })}
          />
        )}
        {scale.to >= dayMinutes(scale) ? null : open.after ? (
          <RefoldButton
            time={timeText(wallMinute(scale, scale.to) * MINUTE)}
            before={false}
            left={rails.length * railWidths.zone}
            top={minuteToY(scale, scale.to)}
            onPress={() => setOpen({ ...open, after: false })}
          />
        ) : (
          <FoldBand
            edge="after"
            minute={wallMinute(scale, scale.to)}
            hidden={layout.columns.map((column) => column.hiddenAfter)}
            railsWidth={railsWidth}
            columnWidth={columnWidth}
            top={minuteToY(scale, drawn.to)}
            onPress={() => setOpen({ ...open, after: true })}
          />
        )}
      </ScrollView>
    </View>
  );
}

const styles = StyleSheet.create({
  frame: { flex: 1, borderWidth: hairline, borderRadius: space(1), overflow: 'hidden', minHeight: 160 },
  heads: { flexDirection: 'row' },
  ribbons: {
    flexDirection: 'row',
    borderTopWidth: hairline,
    borderBottomWidth: hairline,
    paddingVertical: 2,
  },
  ribbonRail: { alignItems: 'center', justifyContent: 'center' },
  ribbonLine: { position: 'absolute', top: -2, bottom: -2, borderLeftWidth: hairline },
  moreRibbons: { minWidth: sizes.target, minHeight: 24, alignItems: 'center', justifyContent: 'center' },
  fill: { flex: 1 },
  hours: { flexDirection: 'row' },
  columns: { flex: 1, flexDirection: 'row' },
});
