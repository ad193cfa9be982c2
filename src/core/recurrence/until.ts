import { DAY, MINUTE, parseDate, parseLocal } from '../time/civil';
import { instantToWall } from '../time/zones';
import type { Until } from './rule';

/** The start of the series that a rule is read or said for. */
export interface RuleStart {
  /** Wall time. */
  readonly wall: number;
  readonly allDay: boolean;
  /** The zone in which an UNTIL in UTC is read; in UTC without one. */
  readonly zone?: string;
}

/** UNTIL as a wall time on the clock of the start; a date at its midnight. */
export function wallOfUntil({ kind, value }: Until, start: RuleStart): number {
  if (kind === 'date') return parseDate(value) * DAY;
  return kind === 'utc' && start.zone && !start.allDay
    ? instantToWall(start.zone, parseLocal(value))
    : parseLocal(value);
}

/**
 * The last day, as day number, that UNTIL allows a date on: the day before its own, where it ends before the first
 * time of day that the rule makes.
 * @param firstMinute that first time, in minutes; the start's own if not given
 */
export function lastDayOfUntil(until: Until, start: RuleStart, firstMinute?: number): number {
  const wall = wallOfUntil(until, start);
  const day = Math.floor(wall / DAY);
  const first =
    firstMinute === undefined ? start.wall - Math.floor(start.wall / DAY) * DAY : firstMinute * MINUTE;
  return until.kind !== 'date' && !start.allDay && wall - day * DAY < first ? day - 1 : day;
}
