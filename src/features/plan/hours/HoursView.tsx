import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type LayoutChangeEvent, Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { drawnMinutes, hoursHeight, layoutDay, minuteToY } from '@/core/layout/hours';
import { layoutRibbons } from '@/core/layout/ribbons';
import type { Calendar } from '@/core/model/calendar';
import { daysOf, isRibbon, takesTime } from '@/core/schedule/occurrence';
import { DAY, MINUTE } from '@/core/time/civil';
import { hoursInZone, patternHours, workingDay } from '@/core/time/workingPattern';
import type { DaysAnswer } from '@/store';
import { useNowWall, useSettings } from '@/store';
import { rangeText, timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { useFontsLoaded } from '@/ui/useFontsLoaded';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';
import { DayColumn } from './DayColumn';
import { DayHead } from './DayHead';
import { FoldBand } from './FoldBand';
import { type Ghost, setGhost, useGhost } from './ghost';
import { GhostLayer } from './GhostLayer';
import { HourRail } from './HourRail';
import { RailHeads, shownRails, ZoneRailColumn } from './ZoneRails';
import { RibbonCard } from './RibbonCard';
import { type GridActions, useGridDrag } from './useGridDrag';
import { useCardKeys } from './useCardKeys';

/** Rows of ribbons that are shown before they are unfolded. */
const FEW_RIBBONS = 2;

interface HoursViewProps {
  days: readonly number[];
  /** The zone that the hours are shown in. */
  zone: string;
  answer: DaysAnswer | undefined;
  calendars: readonly Calendar[];
  draftCalendar: Calendar | undefined;
  draft: Ghost | null;
  selectedKeys: readonly string[];
  actions: GridActions;
}

/** Days side by side with their hours down: heads, ribbons, and cards in columns. */
export function HoursView({
  days,
  zone,
  answer,
  calendars,
  draftCalendar,
  draft,
  selectedKeys,
  actions,
}: HoursViewProps) {
  const { colours } = useTheme();
  const settings = useSettings();
  const { workingPattern, homeZone } = settings;
  const firstDay = days[0]!;
  const zoneName = useCallback((of: string) => zoneLabel(settings, of), [settings]);
  const nowWall = useNowWall(zone);
  const today = Math.floor(nowWall / DAY);
  const [width, setWidth] = useState(0);
  const [open, setOpen] = useState({ before: false, after: false });
  const [viewportHeight, setViewportHeight] = useState(0);
  const [allRibbons, setAllRibbons] = useState(false);
  const fontsLoaded = useFontsLoaded();
  const frame = useRef<View>(null);
  const hours = useRef<View>(null);
  const scroller = useRef<ScrollView>(null);

  const rails = shownRails(settings, zone, width, days.length);
  const railsWidth = sizes.hourRail + rails.length * sizes.zoneRail;
  const columnWidth = Math.max(0, (width - railsWidth - 2 * hairline) / days.length);
  const scale = useMemo(() => {
    const hours = hoursInZone(patternHours(workingPattern), homeZone, zone, firstDay);
    // With both folds closed the hours fill the view, as far as they stay dense.
    const fitting = Math.floor((viewportHeight - 2 * sizes.fold - 1) / ((hours.to - hours.from) / 60));
    return {
      ...hours,
      foldedBefore: !open.before && hours.from > 0,
      foldedAfter: !open.after && hours.to < 1440,
      hourHeight: Math.min(sizes.hourAtMost, Math.max(sizes.hour, fitting)),
      foldHeight: sizes.fold,
    };
  }, [workingPattern, open, viewportHeight, homeZone, zone, firstDay]);
  const calendarsById = useMemo(
    () => new Map(calendars.map((calendar) => [calendar.id, calendar])),
    [calendars],
  );
  const selected = useMemo(() => new Set(selectedKeys), [selectedKeys]);

  const layout = useMemo(() => {
    const occurrences = answer?.occurrences ?? [];
    const ribbons = layoutRibbons(occurrences.filter(isRibbon), days);
    const columns = days.map((day) => {
      const onDay = occurrences.filter((occurrence) => {
        const { first, end } = daysOf(occurrence);
        return first <= day && day < end;
      });
      const washing = onDay.find((occurrence) => isRibbon(occurrence) && takesTime(occurrence));
      return { day, washing, ...layoutDay(onDay, day, scale) };
    });
    return { ribbons, columns, rows: Math.max(0, ...ribbons.map((ribbon) => ribbon.row + 1)) };
  }, [answer, days, scale]);

  const byKey = useMemo(
    () => new Map((answer?.occurrences ?? []).map((occurrence) => [occurrence.key, occurrence])),
    [answer],
  );
  const tabbableKey = selectedKeys.findLast((key) => byKey.has(key)) ?? answer?.occurrences[0]?.key;
  const tabbableIsHidden =
    tabbableKey !== undefined &&
    !layout.columns.some((column) => column.cards.some((card) => card.occurrence.key === tabbableKey)) &&
    !layout.ribbons.some((ribbon) => ribbon.occurrence.key === tabbableKey);
  const firstCard =
    layout.ribbons[0]?.occurrence.key ??
    layout.columns.find((column) => column.cards[0])?.cards[0]?.occurrence.key;
  const tabKey = tabbableIsHidden ? firstCard : tabbableKey;

  useGridDrag(
    {
      frame: frame as unknown as React.RefObject<HTMLElement | null>,
      hours: hours as unknown as React.RefObject<HTMLElement | null>,
      scroller: scroller as unknown as React.RefObject<HTMLElement | null>,
    },
    {
      days,
      columnWidth,
      scale,
      occurrence: (key) => byKey.get(key),
      calendar: (id) => calendarsById.get(id),
      draftCalendar,
    },
    actions,
  );
  const onCardKey = useCardKeys(
    frame as unknown as React.RefObject<HTMLElement | null>,
    layout,
    actions,
    answer,
  );

  // A dropped card keeps its place until the engine's answer shows it there.
  useEffect(() => {
    if (useGhost.getState().ghost?.settling) setGhost(null);
  }, [answer]);

  const shownRows = allRibbons
    ? layout.rows
    : Math.min(layout.rows, layout.rows === FEW_RIBBONS + 1 ? layout.rows : FEW_RIBBONS);
  const hiddenRibbons = layout.ribbons.filter((ribbon) => ribbon.row >= shownRows).length;
  const ribbonHeight = Math.max(shownRows, 1) * sizes.ribbon + 4;
  const drawn = drawnMinutes(scale);
  const nowMinute = (nowWall - today * DAY) / MINUTE;
  const showsToday = days.includes(today);
  const isWholeDay = scale.from === 0;
  const hasHeight = viewportHeight > 0;
  const scrollTo = useRef(0);
  useEffect(() => {
    scrollTo.current = minuteToY(scale, Math.max(0, nowMinute - 120));
  });
  // Where nothing is folded, the hours begin in sight of now and not with the night.
  useEffect(() => {
    if (isWholeDay && hasHeight) scroller.current?.scrollTo({ y: scrollTo.current, animated: false });
  }, [isWholeDay, hasHeight, zone]);

  return (
    <View
      ref={frame}
      role="group"
      aria-label={words.plan.grid(rangeText(firstDay, days.at(-1)!, true))}
      testID="hours"
      onLayout={(event: LayoutChangeEvent) => setWidth(event.nativeEvent.layout.width)}
      {...webProps({ onKeyDown: onCardKey })}
      style={[styles.frame, { backgroundColor: colours.card, borderColor: colours.line }]}
    >
      <View style={styles.heads}>
        <RailHeads rails={rails} zone={zone} days={days} />
        <View style={styles.heads}>
          {width > 0 &&
            days.map((day) => (
              <DayHead
                key={day}
                day={day}
                isToday={day === today}
                // The load is of the hours at home, which lie otherwise on a day seen from elsewhere.
                load={zone === homeZone ? answer?.loads.find((load) => load.day === day) : undefined}
                working={workingDay(workingPattern, day)}
                width={columnWidth}
              />
            ))}
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
          ) : null}
        </View>
        <View style={styles.fill}>
          {days.map((day, index) => (
            <View
              key={day}
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
              />
            ))}
          <GhostLayer part="ribbons" days={days} columnWidth={columnWidth} scale={scale} draft={draft} />
        </View>
      </View>
      <ScrollView
        ref={scroller}
        style={styles.fill}
        onLayout={(event: LayoutChangeEvent) => setViewportHeight(event.nativeEvent.layout.height)}
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
              layout.columns.map(({ day, cards, washing }) => (
                <DayColumn
                  key={day}
                  cards={cards}
                  width={columnWidth}
                  scale={scale}
                  calendars={calendarsById}
                  wash={washing && calendarsById.get(washing.calendarId)?.colour}
                  dayOff={workingDay(workingPattern, day).spans.length === 0}
                  nowMinute={day === today ? nowMinute : undefined}
                  selected={selected}
                  tabbableKey={tabKey}
                  zoneName={zoneName}
                  fontsLoaded={fontsLoaded}
                />
              ))}
            <GhostLayer part="hours" days={days} columnWidth={columnWidth} scale={scale} draft={draft} />
          </View>
        </View>
        {scale.from === 0 ? null : open.before ? (
          <RefoldButton
            time={timeText(scale.from * MINUTE)}
            before
            left={rails.length * sizes.zoneRail}
            top={minuteToY(scale, scale.from) - sizes.target}
            onPress={() => setOpen({ ...open, before: false })}
          />
        ) : (
          <FoldBand
            edge="before"
            minute={scale.from}
            hidden={layout.columns.map((column) => column.hiddenBefore)}
            railsWidth={railsWidth}
            columnWidth={columnWidth}
            top={0}
            onPress={() => setOpen({ ...open, before: true })}
          />
        )}
        {scale.to === 1440 ? null : open.after ? (
          <RefoldButton
            time={timeText(scale.to * MINUTE)}
            before={false}
            left={rails.length * sizes.zoneRail}
            top={minuteToY(scale, scale.to)}
            onPress={() => setOpen({ ...open, after: false })}
          />
        ) : (
          <FoldBand
            edge="after"
            minute={scale.to}
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

/** Folds opened hours again; stands on the hour rail beside them. */
function RefoldButton({
  time,
  before,
  left,
  top,
  onPress,
}: {
  time: string;
  before: boolean;
  left: number;
  top: number;
  onPress: () => void;
}) {
  return (
    <Pressable
      role="button"
      aria-label={words.plan.foldHours(time, before)}
      onPress={onPress}
      style={[styles.refold, { left, top: before ? top : top + space(2) }]}
    >
      <AppText size="small" weight="700" tone="accent">
        {words.plan.fold}
      </AppText>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  frame: { flex: 1, borderWidth: hairline, borderRadius: space(1), overflow: 'hidden', minHeight: 160 },
  heads: { flexDirection: 'row', height: sizes.dayHead },
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
  refold: {
    position: 'absolute',
    width: sizes.hourRail - 8,
    height: 24,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
