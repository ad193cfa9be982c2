import type { WorkingDay, WorkingPattern } from '../model/settings';
import { DAY, HOUR, MINUTE, dateString, weekdayOf } from './civil';
import { offsetAt, wallToInstant } from './zones';

/** The hours and place of a day: the exception for its date, else its weekday's. */
export function workingDay(pattern: WorkingPattern, day: number): WorkingDay {
  return pattern.exceptions[dateString(day)] ?? pattern.weekdays[weekdayOf(day) - 1]!;
}

/** Minutes of work of a day. */
export const workingMinutes = (day: WorkingDay): number =>
  day.spans.reduce((sum, span) => sum + Math.max(0, span.to - span.from), 0);

/** Whether a day has no working hours. */
export const isDayOff = (pattern: WorkingPattern, day: number): boolean =>
  workingDay(pattern, day).spans.length === 0;

/** Whether the weekday (ISO, Monday 1) has working hours in an ordinary week. */
export const isWorkingWeekday = (pattern: WorkingPattern, weekday: number): boolean =>
  (pattern.weekdays[weekday - 1]?.spans.length ?? 0) > 0;

/** The whole hours, as minutes, that hold every working span of the week: what a view shows unfolded. */
export function patternHours(pattern: WorkingPattern): { from: number; to: number } {
  const spans = pattern.weekdays.flatMap((day) => day.spans);
  if (spans.length === 0) return { from: 8 * 60, to: 18 * 60 };
  const from = Math.min(...spans.map((span) => span.from));
  const to = Math.max(...spans.map((span) => span.to));
  return { from: Math.floor(from / 60) * 60, to: Math.ceil(to / 60) * 60 };
}

/**
 * Hours of the home zone as a zone's clock shows them on a day, on whole hours; the whole day where they reach over its
 * midnight.
 */
export function hoursInZone(
  hours: { from: number; to: number },
  homeZone: string,
  zone: string,
  day: number,
): { from: number; to: number } {
  if (zone === homeZone) return hours;
  const noon = wallToInstant(homeZone, day * DAY + 12 * HOUR);
  const by = (offsetAt(zone, noon) - offsetAt(homeZone, noon)) / MINUTE;
  const from = Math.floor((hours.from + by) / 60) * 60;
  const to = Math.ceil((hours.to + by) / 60) * 60;
  return from < 0 || to > 1440 ? { from: 0, to: 1440 } : { from, to };
}
