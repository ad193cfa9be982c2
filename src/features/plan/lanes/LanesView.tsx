import { useEffect, useMemo, useRef, useState } from 'react';
import { type LayoutChangeEvent, StyleSheet, View } from 'react-native';
import { laneHours, layoutLane, minuteToX, stackLanes } from '@/core/layout/lanes';
import { gapsBetween } from '@/core/schedule/load';
import { DAY, HOUR, MINUTE } from '@/core/time/civil';
import { hoursInZone, patternHours } from '@/core/time/workingPattern';
import { instantToWall, wallToInstant } from '@/core/time/zones';
import { useNow, useNowWall, useSettings } from '@/store';
import { agendaDayText, timeRangeText } from '@/ui/dates';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { useFontsLoaded } from '@/ui/useFontsLoaded';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { setGhost, useGhost } from '../grid/ghost';
import { type CardOrder, useCardKeys } from '../grid/useCardKeys';
import { useGridDrag } from '../grid/useGridDrag';
import type { ViewProps } from '../viewProps';
import { FreeTimes } from './FreeTimes';
import { LaneRow } from './LaneRow';
import { HourHeads } from './HourHeads';
import { CARD, GAP, HEAD_WIDTH, LEAST_CARD, LEAST_HOUR, NARROW_HEAD_WIDTH } from './laneSizes';

/** A day with its hours across and a lane for each calendar. */
export function LanesView({
  address,
  answer,
  calendars,
  draft,
  draftCalendar,
  selectedKeys,
  actions,
}: ViewProps) {
  const { colours } = useTheme();
  const { workingPattern, homeZone } = useSettings();
  const { zone, day } = address;
  const now = useNow();
  const nowWall = useNowWall(zone);
  const fontsLoaded = useFontsLoaded();
  const [width, setWidth] = useState(0);
  const frame = useRef<View>(null);
  const scroller = useRef<HTMLDivElement>(null);
  const lanesBox = useRef<HTMLDivElement>(null);

  const headWidth = width < 600 ? NARROW_HEAD_WIDTH : HEAD_WIDTH;
  const shown = useMemo(
    () => calendars.filter(({ id }) => !address.hidden.includes(id)),
    [calendars, address.hidden],
  );
  const layout = useMemo(() => {
    // Of the day before, what reaches over midnight belongs to it.
    const occurrences = answer?.occurrences ?? [];
    const pattern = hoursInZone(patternHours(workingPattern), homeZone, zone, day);
    const hours = laneHours(occurrences, day, pattern);
    const count = (hours.to - hours.from) / 60;
    const hourWidth = Math.max(LEAST_HOUR, (width - headWidth - 2 * hairline) / count);
    const sizes = { hourWidth, cardHeight: CARD, gap: GAP, least: LEAST_CARD };
    const lanes = shown.map(({ id }) => layoutLane(id, occurrences, day, hours, address.laneMode, sizes));
    return { hours, hourWidth, lanes: stackLanes(lanes) };
  }, [answer, workingPattern, homeZone, zone, day, width, headWidth, shown, address.laneMode]);
  const { hours, hourWidth, lanes } = layout;
  const x = (wall: number) => minuteToX(hours, hourWidth, (wall - day * DAY) / MINUTE);
  const total = minuteToX(hours, hourWidth, hours.to);

  const byKey = useMemo(
    () => new Map((answer?.occurrences ?? []).map((occurrence) => [occurrence.key, occurrence])),
    [answer],
  );
  const calendarsById = useMemo(() => new Map(calendars.map((each) => [each.id, each])), [calendars]);
  const selected = useMemo(() => new Set(selectedKeys), [selectedKeys]);
  const order = useMemo(
    (): CardOrder => ({
      lists: lanes.map((lane) => [
        ...lane.whole.map(({ key }) => key),
        ...[...lane.cards]
          .sort((a, b) => a.left - b.left || a.top - b.top)
          .map(({ occurrence }) => occurrence.key),
      ]),
      along: 'across',
    }),
    [lanes],
  );
  const shownKeys = useMemo(() => order.lists.flat(), [order]);
  const tabbableKey = selectedKeys.findLast((key) => shownKeys.includes(key)) ?? shownKeys[0];
  const gaps = useMemo(() => {
    const from = Math.max(now, wallToInstant(zone, day * DAY + hours.from * MINUTE));
    const to = wallToInstant(zone, day * DAY + hours.to * MINUTE);
    return gapsBetween(answer?.occurrences ?? [], from, to).map(({ start, end }) => ({
      startWall: instantToWall(zone, start),
      endWall: instantToWall(zone, end),
    }));
  }, [answer, zone, day, hours, now]);

  useGridDrag(
    { frame: frame as unknown as React.RefObject<HTMLElement | null>, scroller },
    {
      pointAt: (clientX, clientY) => {
        const box = lanesBox.current!.getBoundingClientRect();
        const at = clientX - box.left - headWidth;
        const y = clientY - box.top;
        const lane = lanes.find(({ top, height }) => y >= top && y < top + height) ?? lanes.at(-1);
        return {
          day,
          minute: Math.min(hours.to, Math.max(hours.from, hours.from + (at / hourWidth) * 60)),
          overRibbons: false,
          ...(lane ? { calendarId: lane.calendarId } : {}),
        };
      },
      gridStep: address.gridStep,
      timeAxis: 'across',
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
  useEffect(() => {
    if (useGhost.getState().ghost?.settling) setGhost(null);
  }, [answer]);
  // The hours begin in sight of now, or of the working day.
  const startAt = useRef(0);
  useEffect(() => {
    const pattern = patternHours(workingPattern);
    const isToday = Math.floor(nowWall / DAY) === day;
    startAt.current = x(isToday ? nowWall - 2 * HOUR : day * DAY + (pattern.from - 30) * MINUTE);
  });
  const isLaidOut = width > 0 && answer !== undefined;
  useEffect(() => {
    if (isLaidOut) scroller.current?.scrollTo({ left: startAt.current });
  }, [isLaidOut, day, zone]);
  const ghost = useGhost((state) => state.ghost) ?? draft;
  const showsNow = Math.floor(nowWall / DAY) === day;

  return (
    <View
      ref={frame}
      testID="lanes"
      role="group"
      aria-label={words.lanes.label(agendaDayText(day))}
      onLayout={(event: LayoutChangeEvent) => setWidth(event.nativeEvent.layout.width)}
      style={[styles.frame, { borderColor: colours.line }]}
      {...webProps({ onKeyDown: onCardKey })}
    >
      <div ref={scroller} style={{ position: 'absolute', inset: 0, overflow: 'auto' }}>
        {width === 0 ? null : (
          <div style={{ width: headWidth + total, minWidth: '100%', backgroundColor: colours.card }}>
            <HourHeads day={day} hours={hours} hourWidth={hourWidth} headWidth={headWidth} />
            <div ref={lanesBox} style={{ position: 'relative' }}>
              {lanes.map((lane) => (
                <LaneRow
                  key={lane.calendarId}
                  lane={lane}
                  calendar={calendarsById.get(lane.calendarId)}
                  minutes={answer?.calendarMinutes[lane.calendarId] ?? 0}
                  headWidth={headWidth}
                  hourWidth={hourWidth}
                  selected={selected}
                  tabbableKey={tabbableKey}
                  fadeBefore={address.fadePast ? now : undefined}
                  fontsLoaded={fontsLoaded}
                  ghost={ghost?.calendarId === lane.calendarId && !ghost.allDay ? ghost : null}
                  x={x}
                />
              ))}
              {showsNow ? (
                <>
                  <div
                    aria-hidden
                    style={{
                      position: 'absolute',
                      top: 0,
                      bottom: 0,
                      left: headWidth,
                      width: x(nowWall),
                      backgroundColor: colours.shade,
                      pointerEvents: 'none',
                    }}
                  />
                  <div
                    aria-hidden
                    style={{
                      position: 'absolute',
                      top: 0,
                      bottom: 0,
                      left: headWidth + x(nowWall) - 1,
                      width: 2,
                      backgroundColor: colours.accent,
                      pointerEvents: 'none',
                    }}
                  />
                </>
              ) : null}
            </div>
            <FreeTimes
              gaps={gaps.map((gap) => ({
                ...gap,
                left: x(gap.startWall),
                width: x(gap.endWall) - x(gap.startWall),
                label: words.lanes.freeFrom(timeRangeText(gap.startWall, gap.endWall)),
              }))}
              headWidth={headWidth}
              onPress={(startWall, endWall) => actions.draft(startWall, endWall, false)}
            />
          </div>
        )}
      </div>
    </View>
  );
}

const styles = StyleSheet.create({
  frame: { flex: 1, borderWidth: hairline, borderRadius: space(1), overflow: 'hidden', minHeight: 160 },
});
