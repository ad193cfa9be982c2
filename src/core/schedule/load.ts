import type { WorkingPattern } from '../model/settings';
import { DAY, MINUTE } from '../time/civil';
import { workingDay, workingMinutes } from '../time/workingPattern';
import { daysOf, type Occurrence, takenRange, type TakenSpan } from './occurrence';
import { takesTime } from './standing';

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

/**
 * Minutes that the occurrences, in order of their starts, take of spans of minutes within a day, overlaps once.
 * The spans are in order and apart.
 */
function coveredMinutes(
  occurrences: readonly Pick<Occurrence, 'startWall' | 'endWall'>[],
  day: number,
  spans: readonly { from: number; to: number }[],
): number {
  const midnight = day * DAY;
  let covered = 0;
  for (const span of spans) {
    const end = midnight + span.to * MINUTE;
    let until = midnight + span.from * MINUTE;
    for (const { startWall, endWall } of occurrences) {
      if (startWall >= end) break;
      if (endWall <= until) continue;
      covered += Math.min(endWall, end) - Math.max(startWall, until);
      until = Math.min(endWall, end);
    }
  }
  return Math.round(covered / MINUTE);
}

const WHOLE_DAY = [{ from: 0, to: 1440 }];

const byStart = (a: Pick<Occurrence, 'startWall'>, b: Pick<Occurrence, 'startWall'>): number =>
  a.startWall - b.startWall;

/** The load of each day of a half-open range of day numbers. The spans may come in any order. */
export function loadOfDays(
  spans: readonly TakenSpan[],
  firstDay: number,
  endDay: number,
  pattern: WorkingPattern,
): DayLoad[] {
  const byDay = spansByDay(spans, firstDay, endDay);
  return Array.from({ length: endDay - firstDay }, (_, index) => {
    const day = firstDay + index;
    const working = workingDay(pattern, day);
    const taking = byDay[index]!.sort(byStart);
    return {
      day,
      booked: coveredMinutes(taking, day, working.spans),
      working: workingMinutes(working),
      total: coveredMinutes(
        taking.filter(({ whole }) => !whole),
        day,
        WHOLE_DAY,
      ),
      taken: taking.some(({ whole }) => whole),
    };
  });
}

/** Of each day of a half-open range, the spans that touch it. */
function spansByDay<Span extends { readonly startWall: number; readonly endWall: number }>(
  spans: readonly Span[],
  firstDay: number,
  endDay: number,
): Span[][] {
  const days = Array.from({ length: endDay - firstDay }, (): Span[] => []);
  for (const span of spans) {
    const { first, end } = daysOf(span);
    for (let day = Math.max(first, firstDay); day < Math.min(end, endDay); day++)
      days[day - firstDay]!.push(span);
  }
  return days;
}

/** From when until when each takes the time, by calendar, in order. */
const inOrderOfTaking = (occurrences: readonly Occurrence[]) =>
  occurrences
    .map((occurrence) => ({ calendarId: occurrence.calendarId, ...takenRange(occurrence) }))
    .sort((a, b) => a.start - b.start);

/** Minutes that each calendar's timed entries take between two instants, half-open; overlaps once a calendar. */
export function minutesByCalendar(
  occurrences: readonly Occurrence[],
  window: { readonly start: number; readonly end: number },
): Record<string, number> {
  const taken = new Map<string, { minutes: number; until: number }>();
  const timed = occurrences.filter((occurrence) => !occurrence.allDay && takesTime(occurrence));
  for (const { calendarId, start, end } of inOrderOfTaking(timed)) {
    const { minutes, until } = taken.get(calendarId) ?? { minutes: 0, until: window.start };
    const to = Math.min(end, window.end);
    if (to > until && start < window.end)
      taken.set(calendarId, { minutes: minutes + (to - Math.max(start, until)) / MINUTE, until: to });
  }
  return Object.fromEntries([...taken].map(([id, { minutes }]) => [id, Math.round(minutes)]));
}

/** A span without anything that takes time, as instants. */
export interface Gap {
  readonly start: number;
  readonly end: number;
}

/** The gaps of at least `minimum` milliseconds that some occurrences leave between [from, to). */
export const gapsBetween = (
  occurrences: readonly Occurrence[],
  from: number,
  to: number,
  minimum = 30 * MINUTE,
): Gap[] => gapsAmong(inOrderOfTaking(occurrences.filter(takesTime)), from, to, minimum);

/** The gaps of at least `minimum` milliseconds that taken times leave between [from, to), which are in the order of their starts. */
export function gapsAmong(
  taken: readonly { readonly start: number; readonly end: number }[],
  from: number,
  to: number,
  minimum: number,
): Gap[] {
  const gaps: Gap[] = [];
  let free = from;
  for (const { start, end } of taken) {
    if (end <= free) continue;
    if (start >= to) break;
    if (start - free >= minimum) gaps.push({ start: free, end: start });
    free = Math.max(free, end);
  }
  if (to > free && to - free >= minimum) gaps.push({ start: free, end: to });
  return gaps;
}
