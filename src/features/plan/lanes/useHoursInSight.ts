import { type RefObject, useEffect, useRef } from 'react';
import { DAY, MINUTE } from '@/core/time/civil';
import { patternHours } from '@/core/time/workingPattern';
import { useSettings } from '@/store';
import type { GridView } from '../grid/useGridView';
import type { LanesLayout } from './useLanesLayout';

/** The hours begin in sight of now, or of the working day; where all entries lie before it, of the first. */
export function useHoursInSight(
  scroller: RefObject<HTMLElement | null>,
  { width, answer, today, now }: GridView,
  { lanes, hourWidth, xOfInstant, xOfWall }: LanesLayout,
  { day, zone }: { day: number; zone: string },
): void {
  const { workingPattern } = useSettings();
  const startAt = useRef(0);
  useEffect(() => {
    const begins = day * DAY + (patternHours(workingPattern).from - 30) * MINUTE;
    const usual = today === day ? xOfInstant(now) - 2 * hourWidth : xOfWall(begins);
    const cards = lanes.flatMap((lane) => lane.cards);
    const isEarly = cards.length > 0 && cards.every((card) => card.left + card.width < usual);
    startAt.current = isEarly ? Math.min(...cards.map(({ left }) => left)) - hourWidth / 2 : usual;
  });
  const isLaidOut = width > 0 && answer !== undefined;
  useEffect(() => {
    if (isLaidOut) scroller.current?.scrollTo({ left: startAt.current });
  }, [isLaidOut, day, zone, scroller]);
}
