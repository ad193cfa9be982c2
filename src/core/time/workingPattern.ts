import type { WorkingDay, WorkingPattern, WorkingSpan } from '../model/settings';
import { DAY, HOUR, MINUTE, dateString, weekdayOf } from './civil';
import { offsetAt, wallToInstant } from './zones';

/** The hours and place of a day: the exception for its date, else its weekday's. */
export function workingDay(pattern: WorkingPattern, day: number): WorkingDay {
  return pattern.exceptions[dateString(day)] ?? pattern.weekdays[weekdayOf(day) - 1]!;
}

/** Why spans can't be the hours of a day: one ends before it begins, or two share minutes. */
export type SpansProblem = 'backwards' | 'overlap';

/** What is wrong with the hours of a day, in whatever order they come; undefined if nothing is. */
export function problemOfSpans(spans: readonly WorkingSpan[]): SpansProblem | undefined {
  if (spans.some((span) => span.from >= span.to)) return 'backwards';
  const sorted = [...spans].sort((a, b) => a.from - b.from);
  return sorted.some((span, index) => index > 0 && span.from < sorted[index - 1]!.to) ? 'overlap' : undefined;
}

/** The span to propose beside others: a usual day where there are none, else two hours after a break; undefined where the day is full. */
export function nextSpan(spans: readonly WorkingSpan[]): WorkingSpan | undefined {
  if (spans.length === 0) return { from: 9 * 60, to: 17 * 60 };
  const from = Math.max(...spans.map((span) => span.to)) + 60;
  return from < 1440 ? { from, to: Math.min(1440, from + 120) } : undefined;
}

/** The pattern with the hours of one weekday (ISO, Monday 1) on all others that are worked. Places stay. */
export function sameHours(pattern: WorkingPattern, weekday: number): WorkingPattern {
  const { spans } = pattern.weekdays[weekday - 1]!;
  return {
    ...pattern,
    weekdays: pattern.weekdays.map((day) => (day.spans.length === 0 ? day : { ...day, spans })),
  };
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
