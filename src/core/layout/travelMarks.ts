import { DAY, MINUTE } from '../time/civil';
import { type DayCard, drawnMinutes, type HoursScale, minuteToY, scaleMinute } from './hours';

/** The way to an entry or back, as it is drawn beside its card. Pixels from the top. */
export interface TravelMark {
  readonly key: string;
  readonly direction: 'there' | 'back';
  readonly top: number;
  readonly height: number;
  /** Where its card lies across the column, as a share from 0 to 1. */
  readonly left: number;
  /** When one leaves, or is back: a wall time in milliseconds. */
  readonly wall: number;
}

/**
 * The ways of a day's cards: each from when one leaves to the upper edge of the card, or from its lower edge to when one is
 * back, as far as the hours reach. A card that goes on from or into another day has its way there.
 */
export function travelMarks(cards: readonly DayCard[], scale: HoursScale, day: number): TravelMark[] {
  const drawn = drawnMinutes(scale);
  const y = (minute: number): number => minuteToY(scale, Math.min(Math.max(minute, drawn.from), drawn.to));
  const minuteOf = (wall: number): number => scaleMinute(scale, (wall - day * DAY) / MINUTE);
  return cards.flatMap(({ occurrence, across, continuesBefore, continuesAfter }): TravelMark[] => {
    const { key, ways, startWall, endWall } = occurrence;
    if (!ways) return [];
    const { leaveWall: leave, homeWall: home } = ways;
    const [from, to] = [y(minuteOf(startWall)), y(minuteOf(endWall))];
    return [
      ...(leave < startWall && !continuesBefore
        ? [
            {
              key,
              direction: 'there' as const,
              top: y(minuteOf(leave)),
              height: from - y(minuteOf(leave)),
              left: across.left,
              wall: leave,
            },
          ]
        : []),
      ...(home > endWall && !continuesAfter
        ? [
            {
              key,
              direction: 'back' as const,
              top: to,
              height: y(minuteOf(home)) - to,
              left: across.left,
              wall: home,
            },
          ]
        : []),
    ];
  });
}
