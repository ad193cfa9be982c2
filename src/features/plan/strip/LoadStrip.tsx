import { memo, useMemo, useRef, useState } from 'react';
import { type LayoutChangeEvent, StyleSheet, View } from 'react-native';
import { dayAtX, firstWeekFor, spanInStrip, weeksIn } from '@/core/layout/loadStrip';
import type { DayLoad } from '@/core/schedule/load';
import { MINUTE, startOfWeek } from '@/core/time/civil';
import { type DaysOptions, useLoads, useSettings } from '@/store';
import { dateText, lengthText, weekLabelText } from '@/ui/dates';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, fontFamilies, fontSizes, sizes } from '@/ui/theme/tokens';
import { webProps, webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { isTouch, openPlanMenu } from '../menus/planMenu';
import { useStripGestures } from './useStripGestures';

interface LoadStripProps {
  /** The shown day numbers, ascending. */
  days: readonly number[];
  today: number;
  options: DaysOptions;
  /** Goes to the week of a day. */
  onWeek: (day: number) => void;
  /** Shows exactly some days. */
  onDays: (first: number, count: number) => void;
  goToToday: () => void;
  /** Grows when somebody goes to a day: what was moved by hand comes back to what is shown. */
  visits: number;
}

/**
 * A ribbon of weeks, each day a bar as tall as its booked share. Press a week to go there, drag over days to show exactly
 * those; wheel and swipe move it, and with the keyboard it is a slider of weeks.
 */
export const LoadStrip = memo(function LoadStrip({
  days,
  today,
  options,
  onWeek,
  onDays,
  goToToday,
  visits,
}: LoadStripProps) {
  const { colours } = useTheme();
  const [width, setWidth] = useState(0);
  const { weekStart } = useSettings();
  const weeks = weeksIn(width);
  const first = days[0]!;
  const last = days.at(-1)!;
  // Moved by hand, it stays there until other days are shown.
  const [moved, setMoved] = useState<{ firstWeek: number; shown: number; visits: number } | null>(null);
  const [base, setBase] = useState<{ firstWeek: number; weeks: number } | undefined>(undefined);
  // Both are of weeks as they were then: the day that weeks begin with may have changed.
  const firstWeek =
    moved?.shown === first && moved.visits === visits
      ? startOfWeek(moved.firstWeek, weekStart)
      : firstWeekFor(
          base?.weeks === weeks ? startOfWeek(base.firstWeek, weekStart) : undefined,
          weeks,
          { first, last },
          weekStart,
        );
  if (width > 0 && (base?.firstWeek !== firstWeek || base.weeks !== weeks)) setBase({ firstWeek, weeks });
  const loads = useLoads(firstWeek, weeks, options);
  const frame = useRef<View>(null);
  const [selection, setSelection] = useState<{ first: number; last: number } | null>(null);
  useStripGestures(frame as unknown as React.RefObject<HTMLElement | null>, {
    firstWeek,
    weeks,
    width,
    move: (by) => setMoved({ firstWeek: firstWeek + 7 * by, shown: first, visits }),
    select: setSelection,
    onWeek,
    onDays,
  });

  const week = startOfWeek(first, weekStart);
  const shown = spanInStrip(first, last + 1, width, firstWeek, weeks);
  const selected = selection && spanInStrip(selection.first, selection.last + 1, width, firstWeek, weeks);
  const step = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -1, ArrowDown: 1, PageUp: -4, PageDown: 4 };
  return (
    <View
      ref={frame}
      tabIndex={0}
      testID="load-strip"
      onLayout={(event: LayoutChangeEvent) => setWidth(event.nativeEvent.layout.width)}
      {...({
        role: 'slider',
        'aria-label': words.strip.label,
        'aria-valuenow': week,
        'aria-valuemin': week - 5200,
        'aria-valuemax': week + 5200,
        'aria-valuetext': words.strip.week(dateText(week), weekLoadText(loads, week)),
      } as object)}
      {...webProps({
        onContextMenu: (event) => {
          if (isTouch(event)) return;
          event.preventDefault();
          // The Menu key means the week that is shown.
          const isKey = 'pointerType' in event && event.pointerType === '';
          const { left } = (event.currentTarget as HTMLElement).getBoundingClientRect();
          const pressed = dayAtX(event.clientX - left, width, firstWeek, weeks);
          openPlanMenu(
            { kind: 'week', week: startOfWeek(isKey ? first : pressed, weekStart) },
            { x: event.clientX, y: event.clientY },
          );
        },
        onKeyDown: (event) => {
          const by = step[event.key as keyof typeof step];
          if (by === undefined && event.key !== 'Home') return;
          if (event.altKey || event.ctrlKey || event.metaKey) return;
          event.preventDefault();
          event.stopPropagation();
          if (by === undefined) goToToday();
          else onWeek(first + 7 * by);
        },
      })}
      // Up and down stays with the page; sideways is ours.
      style={[styles.strip, webStyle({ touchAction: 'pan-y' })]}
    >
      {width === 0
        ? null
        : Array.from({ length: weeks }, (_, index) => {
            const firstDay = firstWeek + 7 * index;
            return (
              <Week
                key={firstDay}
                firstDay={firstDay}
                width={width / weeks}
                left={(index * width) / weeks}
                loads={loads}
                today={today}
                isShown={firstDay <= last && firstDay + 7 > first}
                isFirst={index === 0}
              />
            );
          })}
      {shown ? (
        <div
          className={classes.bracket}
          style={{ ...shown, borderColor: colours.accent }}
          data-testid="strip-shown"
        />
      ) : null}
      {selected ? (
        <div
          className={classes.selection}
          style={{ ...selected, borderColor: colours.primary, backgroundColor: colours.shade }}
          data-testid="strip-selection"
        />
      ) : null}
    </View>
  );
});

function weekLoadText(loads: ReadonlyMap<number, DayLoad>, firstDay: number): string {
  const week = [0, 1, 2, 3, 4, 5, 6].flatMap((day) => loads.get(firstDay + day) ?? []);
  const sum = (of: 'booked' | 'working') => week.reduce((total, load) => total + load[of], 0) * MINUTE;
  return week.length === 0 ? '' : words.plan.dayLoad(lengthText(sum('booked')), lengthText(sum('working')));
}

const BAR_AREA = 24;
/** A day that is booked by so much of it counts as full. */
const FULL = 0.9;

function Week({
  firstDay,
  width,
  left,
  loads,
  today,
  isShown,
  isFirst,
}: {
  firstDay: number;
  width: number;
  left: number;
  loads: ReadonlyMap<number, DayLoad>;
  today: number;
  isShown: boolean;
  isFirst: boolean;
}) {
  const { colours } = useTheme();
  const label = useMemo(() => weekLabelText(firstDay, isFirst), [firstDay, isFirst]);
  const gap = 4;
  const bar = (width - 2 * gap) / 7;
  return (
    <div className={classes.week} style={{ left, width }}>
      {[0, 1, 2, 3, 4, 5, 6].map((index) => {
        const day = firstDay + index;
        const load = loads.get(day);
        if (!load) return null;
        const share = load.working > 0 ? Math.min(1, load.booked / load.working) : 0;
        const height = load.taken ? BAR_AREA : Math.round(share * BAR_AREA);
        return (
          <DayLoadBar
            key={day}
            gap={gap}
            index={index}
            bar={bar}
            load={load}
            height={height}
            day={day}
            today={today}
            share={share}
          />
        );
      })}
      {today >= firstDay && today < firstDay + 7 ? (
        <div
          className={classes.today}
          style={{ left: gap + (today - firstDay) * bar, width: bar, backgroundColor: colours.accent }}
        />
      ) : null}
      <div
        aria-hidden
        className={classes.label}
        style={{ color: isShown ? colours.ink : colours.quietInk, fontWeight: isShown ? 700 : 400 }}
      >
        {label}
      </div>
    </div>
  );
}

/** A day as a bar as tall as its booked share. */
function DayLoadBar({
  gap,
  index,
  bar,
  load,
  height,
  day,
  today,
  share,
}: {
  gap: 4;
  index: number;
  bar: number;
  load: DayLoad;
  height: number;
  day: number;
  today: number;
  share: number;
}) {
  const { colours } = useTheme();
  return (
    <div
      className={classes.bar}
      style={{
        left: gap + index * bar + 1,
        width: Math.max(2, bar - 2),
        height: Math.max(load.working > 0 ? 2 : 0, height),
        opacity: day < today ? 0.5 : 1,
        // A day that an all-day entry takes is hollow: off or away rather than full of work.
        ...(load.taken
          ? { border: `1px solid ${colours.primary}` }
          : {
              backgroundColor: share >= FULL ? colours.accent : share > 0 ? colours.primary : colours.line,
            }),
      }}
    />
  );
}

const classes = pageClasses('strip', {
  week: { position: 'absolute', top: 0, bottom: 0, pointerEvents: 'none' },
  bar: {
    position: 'absolute',
    top: 'auto',
    bottom: 16,
    boxSizing: 'border-box',
    borderTopLeftRadius: 1,
    borderTopRightRadius: 1,
  },
  today: { position: 'absolute', bottom: 13, height: 2 },
  label: {
    position: 'absolute',
    left: 0,
    right: 0,
    bottom: 0,
    textAlign: 'center',
    whiteSpace: 'nowrap',
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.small,
    lineHeight: '13px',
    fontVariantNumeric: 'tabular-nums',
  },
  bracket: {
    position: 'absolute',
    top: 0,
    bottom: 0,
    boxSizing: 'border-box',
    borderWidth: focusWidth,
    borderStyle: 'solid',
    borderRadius: corner,
    pointerEvents: 'none',
  },
  selection: {
    position: 'absolute',
    top: 0,
    bottom: 0,
    boxSizing: 'border-box',
    borderWidth: focusWidth,
    borderStyle: 'dashed',
    borderRadius: corner,
    pointerEvents: 'none',
  },
});

const styles = StyleSheet.create({
  strip: { height: sizes.strip, overflow: 'hidden', marginBottom: 4, cursor: 'pointer' },
});
