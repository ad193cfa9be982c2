import { useDrag, useWheel } from '@use-gesture/react';
import { type RefObject, useEffect, useRef } from 'react';
import { dayAtX } from '@/core/layout/loadStrip';

interface StripActions {
  readonly firstWeek: number;
  readonly weeks: number;
  readonly width: number;
  /** Moves the strip by weeks. */
  readonly move: (by: number) => void;
  /** Shows which days a drag has gone over; null when it ends. */
  readonly select: (days: { first: number; last: number } | null) => void;
  readonly onWeek: (day: number) => void;
  readonly onDays: (first: number, count: number) => void;
}

/** Wheel travel, in pixels, that moves the strip by a week. */
const WHEEL_STEP = 60;
/** The most days that a drag can choose: as many as *Days* shows. */
const MOST_DAYS = 14;

/**
 * Press, drag, wheel and swipe on the strip: a press goes to a week, a mouse that is dragged chooses days, a swiping finger
 * moves the weeks, and a held one chooses days.
 */
export function useStripGestures(element: RefObject<HTMLElement | null>, actions: StripActions): void {
  const wheeled = useRef(0);
  const swiped = useRef(0);
  const held = useRef(false);
  /** A drag that Escape has let go of. */
  const letGo = useRef(false);
  const select = useRef(actions.select);
  useEffect(() => {
    select.current = actions.select;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'Escape' || !held.current) return;
      event.stopPropagation();
      letGo.current = true;
      select.current(null);
    };
    window.addEventListener('keydown', onKey, true);
    return () => window.removeEventListener('keydown', onKey, true);
  }, []);
  const dayAt = (clientX: number): number => {
    const left = element.current?.getBoundingClientRect().left ?? 0;
    return dayAtX(clientX - left, actions.width, actions.firstWeek, actions.weeks);
  };
  const rangeOf = (from: number, to: number) => {
    const a = dayAt(from);
    const b = dayAt(to);
    return a <= b
      ? { first: a, last: Math.min(b, a + MOST_DAYS - 1) }
      : { first: Math.max(b, a - MOST_DAYS + 1), last: a };
  };

  useDrag(
    ({ first, last, tap, xy: [x], initial: [startX], movement: [moveX], event, elapsedTime, canceled }) => {
      if (canceled) {
        actions.select(null);
        return;
      }
      const isTouch = event instanceof PointerEvent && event.pointerType === 'touch';
      if (first) {
        swiped.current = 0;
        letGo.current = false;
        // A finger that rests before it moves chooses days, as a held card is picked up.
        held.current = !isTouch || elapsedTime > 200;
      }
      if (letGo.current) {
        if (last) held.current = false;
        return;
      }
      if (tap) {
        held.current = false;
        actions.select(null);
        actions.onWeek(dayAt(x));
        return;
      }
      if (held.current) {
        const range = rangeOf(startX, x);
        if (!last) {
          if (Math.abs(moveX) > 4) actions.select(range);
          return;
        }
        held.current = false;
        actions.select(null);
        if (range.last > range.first) actions.onDays(range.first, range.last - range.first + 1);
        else actions.onWeek(range.first);
        return;
      }
      const weekWidth = actions.width / actions.weeks;
      const by = Math.trunc((-moveX - swiped.current) / weekWidth);
      if (by !== 0) {
        swiped.current += by * weekWidth;
        actions.move(by);
      }
    },
    {
      target: element,
      filterTaps: true,
      // Arrow keys are the slider's own.
      pointer: { keys: false },
      axis: 'x',
      eventOptions: { passive: false },
    },
  );
  useWheel(
    ({ delta: [x, y], first, event }) => {
      event.preventDefault();
      if (first) wheeled.current = 0;
      wheeled.current += Math.abs(x) > Math.abs(y) ? x : y;
      const by = Math.trunc(wheeled.current / WHEEL_STEP);
      if (by === 0) return;
      wheeled.current -= by * WHEEL_STEP;
      actions.move(by);
    },
    { target: element, eventOptions: { passive: false } },
  );
}
