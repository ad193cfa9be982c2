import { useDrag } from '@use-gesture/react';
import { useRef } from 'react';
import { StyleSheet, View } from 'react-native';
import { DAY, MINUTE } from '@/core/time/civil';
import type { InstantRange } from '@/core/time/eventTime';
import { instantToWall, wallToInstant } from '@/core/time/zones';
import { useSettings } from '@/store';
import { timeRangeText } from '@/ui/dates';
import { webProps, webStyle } from '@/ui/web';
import { peopleWords as said } from '@/ui/words/people';

/** How wide the names before the lanes are, in pixels. */
export const LANE_NAME = 104;
/** A time snaps to so many minutes. */
const STEP = 15;

/** What lies over the lanes of a day: pressed or dragged, or moved by the arrow keys, it proposes a time. */
export function LaneCursor({
  day,
  room,
  proposed,
  verdict,
  hours,
  onPropose,
}: {
  /** A day number on the home zone's clock. */
  day: number;
  /** How wide the hours are, in pixels. */
  room: number;
  proposed: InstantRange | undefined;
  /** What is said of the proposed time. */
  verdict: string;
  /** The minutes of the day that are drawn. */
  hours: { readonly from: number; readonly to: number };
  onPropose: (start: number) => void;
}) {
  const { homeZone } = useSettings();
  const area = useRef<View>(null);
  const propose = (minute: number) => {
    const within = Math.min(hours.to - STEP, Math.max(hours.from, Math.round(minute / STEP) * STEP));
    onPropose(wallToInstant(homeZone, day * DAY + within * MINUTE));
  };
  const minuteOf = (instant: number): number => (instantToWall(homeZone, instant) - day * DAY) / MINUTE;
  const length = proposed ? (proposed.end - proposed.start) / MINUTE : 0;
  useDrag(
    ({ xy: [x], event }) => {
      const box = (area.current as unknown as HTMLElement | null)?.getBoundingClientRect();
      if (!box || room <= 0) return;
      event.preventDefault();
      // The middle of it follows the pointer.
      propose(hours.from + ((x - box.left) / box.width) * (hours.to - hours.from) - length / 2);
    },
    { target: area as never, pointer: { keys: false }, eventOptions: { passive: false } },
  );
  const now = proposed ? minuteOf(proposed.start) : hours.from;
  const text = proposed
    ? `${timeRangeText(instantToWall(homeZone, proposed.start), instantToWall(homeZone, proposed.end))}. ${verdict}`
    : said.cursorHint;
  return (
    <View
      ref={area}
      role="slider"
      tabIndex={0}
      aria-label={said.cursor}
      aria-valuemin={hours.from}
      aria-valuemax={hours.to}
      aria-valuenow={now}
      aria-valuetext={text}
      {...webProps({
        onKeyDown: (event) => {
          const by = { ArrowLeft: -STEP, ArrowRight: STEP, ArrowDown: -STEP, ArrowUp: STEP }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          propose(now + by);
        },
      })}
      testID="lane-cursor"
      style={[styles.area, webStyle({ cursor: 'ew-resize', touchAction: 'pan-y' })]}
    />
  );
}

const styles = StyleSheet.create({
  area: { position: 'absolute', left: LANE_NAME, right: 0, top: 0, bottom: 0, zIndex: 2 },
});
