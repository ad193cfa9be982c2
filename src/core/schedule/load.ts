import type { WorkingPattern } from '../model/settings';
import { DAY, MINUTE } from '../time/civil';
import { workingDay, workingMinutes } from '../time/workingPattern';
import { daysOf, isRibbon, type Occurrence, takesTime } from './occurrence';

/** How much of a day's working hours is booked, in minutes; overlaps count once. */
export interface DayLoad {
  readonly day: number;
  readonly booked: number;
  readonly working: number;
  /** Minutes that timed entries take at any hour, in or outside the working hours. */
  readonly total: number;
  /** Whether an all-day entry takes the day. */
  readonly taken: boolean;
}

/** Minutes that the occurrences take of spans of minutes within a day, overlaps once. */
function coveredMinutes(
  occurrences: readonly Occurrence[],
  day: number,
  spans: readonly { from: number; to: number }[],
): number {
  const pieces = occurrences
    .flatMap((occurrence) =>
      spans.map((span) => ({
        from: Math.max(occurrence.startWall, day * DAY + span.from * MINUTE),
        to: Math.min(occurrence.endWall, day * DAY + span.to * MINUTE),
      })),
    )
    .filter((piece) => piece.to > piece.from)
    .sort((a, b) => a.from - b.from);
  let covered = 0;
  let until = -Infinity;
  for (const piece of pieces) {
    covered += Math.max(0, piece.to - Math.max(piece.from, until));
    until = Math.max(until, piece.to);
  }
  return Math.round(covered / MINUTE);
}

const WHOLE_DAY = [{ from: 0, to: 1440 }];

/** The load of each day of a half-open range of day numbers. */
export function loadOfDays(
  occurrences: readonly Occurrence[],
  firstDay: number,
  endDay: number,
  pattern: WorkingPattern,
): DayLoad[] {
  const byDay = takingByDay(occurrences, firstDay, endDay);
  return Array.from({ length: endDay - firstDay }, (_, index) => {
    const day = firstDay + index;
    const working = workingDay(pattern, day);
    const taking = byDay[index]!;
    return {
      day,
      booked: coveredMinutes(taking, day, working.spans),
      working: workingMinutes(working),
      total: coveredMinutes(
        taking.filter((occurrence) => !isRibbon(occurrence)),
        day,
        WHOLE_DAY,
      ),
      taken: taking.some(isRibbon),
    };
  });
}

/** Of each day of a half-open range, the occurrences that take time on it. */
function takingByDay(occurrences: readonly Occurrence[], firstDay: number, endDay: number): Occurrence[][] {
  const days = Array.from({ length: endDay - firstDay }, (): Occurrence[] => []);
  for (const occurrence of occurrences) {
    if (!takesTime(occurrence)) continue;
    const { first, end } = daysOf(occurrence);
    for (let day = Math.max(first, firstDay); day < Math.min(end, endDay); day++)
      days[day - firstDay]!.push(occurrence);
  }
  return days;
}

/** Minutes that each calendar's timed entries take within a half-open range of days, overlaps once a calendar. */
export function minutesByCalendar(
  occurrences: readonly Occurrence[],
  firstDay: number,
  endDay: number,
): Record<string, number> {
  const minutes: Record<string, number> = {};
  const timed = occurrences.filter((occurrence) => !occurrence.allDay && takesTime(occurrence));
  for (const calendarId of new Set(timed.map((occurrence) => occurrence.calendarId))) {
    const own = timed.filter((occurrence) => occurrence.calendarId === calendarId);
    minutes[calendarId] = 0;
    for (let day = firstDay; day < endDay; day++) minutes[calendarId] += coveredMinutes(own, day, WHOLE_DAY);
  }
  return minutes;
}

/** A span without anything that takes time, as instants. */
export interface Gap {
  readonly start: number;
  readonly end: number;
}

/** The gaps of at least `minimum` milliseconds between [from, to). */
export function gapsBetween(
  occurrences: readonly Occurrence[],
  from: number,
  to: number,
  minimum = 30 * MINUTE,
): Gap[] {
  const gaps: Gap[] = [];
  let free = from;
  for (const occurrence of occurrences.filter(takesTime).sort((a, b) => a.start - b.start)) {
    if (occurrence.end <= free) continue;
    if (occurrence.start >= to) break;
    if (occurrence.start - free >= minimum) gaps.push({ start: free, end: occurrence.start });
    free = Math.max(free, occurrence.end);
  }
  if (to - free >= minimum) gaps.push({ start: free, end: to });
  return gaps;
}
