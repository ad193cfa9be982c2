import type { Calendar } from '@/core/model/calendar';
import { useEffect, useMemo, useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { minuteOfInstant, missingMinutes, scaleMinute, wallMinute } from '@/core/layout/hours';
import { laneHours, layoutLane, minuteToX, stackLanes, xToMinute } from '@/core/layout/lanes';
import { gapsBetween } from '@/core/schedule/load';
import { DAY, MINUTE } from '@/core/time/civil';
import { clockChangeOn } from '@/core/time/clockChange';
import { hoursInZone, patternHours } from '@/core/time/workingPattern';
import { instantToWall, wallToInstant } from '@/core/time/zones';
import { useNow, useNowWall, useSettings } from '@/store';
import { agendaDayText, timeRangeText } from '@/ui/dates';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { useFontsLoaded } from '@/ui/useFontsLoaded';
import { useKeptParts } from '@/ui/useKeptParts';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { useGhost } from '../grid/ghost';
import { type CardOrder, tabbableKeyOf } from '../grid/cardOrder';
import { useCardKeys } from '../grid/useCardKeys';
import { useFrameSize } from '../grid/useFrameSize';
import { useGridDrag } from '../grid/useGridDrag';
import { DRAFT_KEY, withDraft } from '../grid/withDraft';
import { useShownEntries } from '../grid/useShownEntries';
import type { ViewProps } from '../viewProps';
import { FreeTimes } from './FreeTimes';
import { MissingTime, NowMarks } from './LaneMarks';
import { LaneRow, type ShownLane } from './LaneRow';
import { HourHeads } from './HourHeads';
import {
  CARD,
  GAP,
  HEAD_WIDTH,
  LEAST_CARD,
  LEAST_HEIGHT,
  LEAST_HOUR,
  NARROW_HEAD_WIDTH,
  WHOLE,
} from './laneSizes';

/** The lane of a calendar: it takes what is dropped on it. */
const laneOfCalendar = ({ id, name, mark, colour }: Calendar): ShownLane => ({
  id,
  label: name,
  mark,
  colour,
  holds: ({ calendarId }) => calendarId === id,
  accepts: { calendarId: id },
});

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
  const { width, onLayout } = useFrameSize('view');
  const frame = useRef<View>(null);
  const scroller = useRef<HTMLDivElement>(null);
  const lanesBox = useRef<HTMLDivElement>(null);

  const headWidth = width < 600 ? NARROW_HEAD_WIDTH : HEAD_WIDTH;
  const subjects = useMemo(
    () => calendars.filter(({ id }) => !address.hidden.includes(id)).map(laneOfCalendar),
    [calendars, address.hidden],
  );
  const isOnDay = draft !== null && draft.startWall < (day + 1) * DAY && draft.endWall > day * DAY;
  const { occurrences, draftKey } = useMemo(
    () => withDraft(answer?.occurrences ?? [], isOnDay ? draft : null, zone),
    [answer, isOnDay, draft, zone],
  );
  const { byKey, calendarsById, selected } = useShownEntries(answer, calendars, selectedKeys);
  const change = useMemo(() => clockChangeOn(zone, day), [zone, day]);
  const made = useMemo(() => {
    // Of the day before, what reaches over midnight belongs to it.
    const pattern = hoursInZone(patternHours(workingPattern), homeZone, zone, day);
    const hours = laneHours(occurrences, day, pattern, change);
    const count = (hours.to - hours.from) / 60;
    const hourWidth = Math.max(LEAST_HOUR, (width - headWidth - 2 * hairline) / count);
    const sizes = {
      hourWidth,
      cardHeight: CARD,
      gap: GAP,
      least: LEAST_CARD,
      leastHeight: LEAST_HEIGHT,
      wholeHeight: WHOLE,
    };
    const lanes = subjects.map((subject) =>
      layoutLane(subject, occurrences, day, hours, address.laneMode, sizes, change),
    );
    return { hours, hourWidth, lanes: stackLanes(lanes) };
  }, [
    occurrences,
    workingPattern,
    homeZone,
    zone,
    day,
    change,
    width,
    headWidth,
    subjects,
    address.laneMode,
  ]);
  const { hours, hourWidth, lanes } = useKeptParts(made);
  const toX = (minute: number) => minuteToX(hours, hourWidth, minute);
  const x = (wall: number) => toX(scaleMinute(hours, (wall - day * DAY) / MINUTE));
  const xOf = (instant: number) =>
    toX(minuteOfInstant(hours, day, instantToWall(zone, instant), instant, change));
  const total = toX(hours.to);

  const order = useMemo(
    (): CardOrder => ({
      lists: lanes.map((lane) => [
        ...lane.whole.map(({ key }) => key),
        ...[...lane.cards]
          .sort((a, b) => a.left - b.left || a.top - b.top)
          .map(({ occurrence }) => occurrence.key)
          .filter((key) => key !== DRAFT_KEY),
      ]),
      along: 'across',
    }),
    [lanes],
  );
  const tabbableKey = tabbableKeyOf(order, selectedKeys);
  const gaps = useMemo(() => {
    const instantOf = (minute: number) => wallToInstant(zone, day * DAY + wallMinute(hours, minute) * MINUTE);
    const from = Math.max(now, instantOf(hours.from));
    return gapsBetween(answer?.occurrences ?? [], from, instantOf(hours.to));
  }, [answer, zone, day, hours, now]);

  useGridDrag(
    { frame: frame as unknown as React.RefObject<HTMLElement | null>, scroller },
    {
      pointAt: (clientX, clientY) => {
        const box = lanesBox.current!.getBoundingClientRect();
        const y = clientY - box.top;
        const lane = lanes.find(({ top, height }) => y < top + height) ?? lanes.at(-1);
        return {
          day,
          minute: wallMinute(hours, xToMinute(hours, hourWidth, clientX - box.left - headWidth)),
          overRibbons: false,
          ...subjects.find(({ id }) => id === lane?.id)?.accepts,
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
  // The hours begin in sight of now, or of the working day; where all entries lie before it, of the first.
  const startAt = useRef(0);
  useEffect(() => {
    const pattern = patternHours(workingPattern);
    const isToday = Math.floor(nowWall / DAY) === day;
    const usual = isToday ? xOf(now) - 2 * hourWidth : x(day * DAY + (pattern.from - 30) * MINUTE);
    const cards = lanes.flatMap((lane) => lane.cards);
    const isEarly = cards.length > 0 && cards.every(({ left, width }) => left + width < usual);
    startAt.current = isEarly ? Math.min(...cards.map(({ left }) => left)) - hourWidth / 2 : usual;
  });
  const isLaidOut = width > 0 && answer !== undefined;
  useEffect(() => {
    if (isLaidOut) scroller.current?.scrollTo({ left: startAt.current });
  }, [isLaidOut, day, zone]);
  const ghost = useGhost((state) => state.ghost);
  const isShown = ghost && ghost.startWall < (day + 1) * DAY && ghost.endWall > day * DAY;
  const showsNow = Math.floor(nowWall / DAY) === day;
  const missing = missingMinutes(hours, change);

  return (
    <View
      ref={frame}
      testID="lanes"
      role="group"
      aria-label={words.lanes.label(agendaDayText(day))}
      onLayout={onLayout}
      style={[styles.frame, { borderColor: colours.line }]}
      {...webProps({ onKeyDown: onCardKey })}
    >
      <div ref={scroller} style={{ position: 'absolute', inset: 0, overflow: 'auto' }}>
        {width === 0 ? null : (
          <div style={{ width: headWidth + total, minWidth: '100%', backgroundColor: colours.card }}>
            <HourHeads day={day} hours={hours} hourWidth={hourWidth} headWidth={headWidth} />
            <div ref={lanesBox} style={{ position: 'relative' }}>
              {missing && toX(missing.to) > toX(missing.from) ? (
                <MissingTime
                  left={headWidth + toX(missing.from)}
                  width={toX(missing.to) - toX(missing.from)}
                />
              ) : null}
              {lanes.map((lane, index) => (
                <LaneRow
                  key={lane.id}
                  lane={lane}
                  subject={subjects[index]!}
                  calendars={calendarsById}
                  minutes={answer?.calendarMinutes[lane.id] ?? 0}
                  headWidth={headWidth}
                  hourWidth={hourWidth}
                  selected={selected}
                  tabbableKey={tabbableKey}
                  fadeBefore={address.fadePast ? now : undefined}
                  fontsLoaded={fontsLoaded}
                  ghost={isShown && ghost.calendarId === subjects[index]!.accepts.calendarId ? ghost : null}
                  draft={draft}
                  draftKey={draftKey}
                  x={x}
                />
              ))}
              {showsNow ? <NowMarks left={headWidth} now={xOf(now)} /> : null}
            </div>
            <FreeTimes
              gaps={gaps.map(({ start, end }) => ({
                start,
                end,
                left: xOf(start),
                width: xOf(end) - xOf(start),
                label: words.lanes.freeFrom(
                  timeRangeText(instantToWall(zone, start), instantToWall(zone, end)),
                ),
              }))}
              headWidth={headWidth}
              onPress={(start, end) =>
                actions.draft(instantToWall(zone, start), instantToWall(zone, end), false)
              }
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
