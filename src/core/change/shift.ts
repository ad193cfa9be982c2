import type { CalendarEvent } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import {
  formatRule,
  parseRule,
  type RecurrenceRule,
  RecurrenceRuleError,
  type Until,
} from '../recurrence/rule';
import { DAY, HOUR, civilDate, dateString, localString, parseDate, parseLocal } from '../time/civil';
import { atInstant, atWall, instantOf, wallOf } from '../time/eventTime';
import { instantToWall, isKnownZone } from '../time/zones';
import { endAfter } from '../recurrence/occurrenceShape';

/** Why a change can't be made. The interface has the words. */
export const REFUSALS = [
  'rule-fixes-days',
  'unreadable-rule',
  'rule-not-divisible',
  'end-before-start',
  'calendar-missing',
  'beyond-calendar',
] as const;
export type Refusal = (typeof REFUSALS)[number];

/** Whether a change was refused rather than made. */
export const isRefusal = (value: unknown): value is Refusal =>
  typeof value === 'string' && REFUSALS.some((refusal) => refusal === value);

/** A time moved on its own wall clock. */
const shiftTime = (time: EventTime, by: number): EventTime => atWall(time, wallOf(time) + by);

/** An event moved by wall-clock milliseconds (whole days for all-day events), its length kept. */
export function shiftEvent(event: CalendarEvent, by: number, zone: string): CalendarEvent {
  const wholeDays = event.start.kind === 'date' ? Math.round(by / DAY) * DAY : by;
  const start = shiftTime(event.start, wholeDays);
  return { ...event, start, end: endAfter(event, start, zone) };
}

const turned = (weekday: number, days: number): number => ((((weekday - 1 + days) % 7) + 7) % 7) + 1;

/**
 * The day parts of a rule whose start moves by whole days, or undefined where the rule names days that can't move
 * along: a day of the month moves within its month, "the second Tuesday" to another weekday that is also the second.
 */
function shiftDayParts(
  rule: RecurrenceRule,
  start: number,
  days: number,
): Partial<RecurrenceRule> | undefined {
  const { byDay, byMonthDay, byMonth, byYearDay, byWeekNumber, bySetPosition, frequency } = rule;
  const startDay = Math.floor(start / DAY);
  const plainDays = byDay.every((day) => day.ordinal === 0);
  if (frequency === 'WEEKLY' || (frequency === 'DAILY' && plainDays))
    return byMonth.length + byMonthDay.length + byYearDay.length > 0 && days !== 0
      ? undefined
      : { byDay: byDay.map((day) => ({ ...day, weekday: turned(day.weekday, days) })) };
  if (byYearDay.length + byWeekNumber.length + bySetPosition.length > 0) return undefined;
  const from = civilDate(startDay);
  const to = civilDate(startDay + days);
  const sameMonth = from.year === to.year && from.month === to.month;
  if (byMonth.length > 0 && !sameMonth) return undefined;
  if (byDay.length === 0 && byMonthDay.length === 0) return byMonth.length > 1 && !sameMonth ? undefined : {};
  if (byDay.length === 0 && byMonthDay.length === 1 && byMonthDay[0] === from.day && sameMonth)
    return { byMonthDay: [to.day] };
  const [only] = byDay;
  const nth = (day: number) => Math.ceil(day / 7);
  if (byDay.length !== 1 || byMonthDay.length > 0 || !only || only.ordinal <= 0 || frequency !== 'MONTHLY')
    return undefined;
  const keepsPlace = only.ordinal === nth(from.day) && only.ordinal === nth(to.day) && sameMonth;
  return keepsPlace ? { byDay: [{ ordinal: only.ordinal, weekday: turned(only.weekday, days) }] } : undefined;
}

/** UNTIL moved along on the clock of the start: one in UTC is read there first, so that a clock change moves nothing. */
function shiftUntil({ kind, value }: Until, start: EventTime, days: number, by: number): Until {
  if (kind === 'date') return { kind, value: dateString(parseDate(value) + days) };
  if (kind === 'utc' && start.kind === 'zoned' && isKnownZone(start.zone))
    return { kind: 'local', value: localString(instantToWall(start.zone, parseLocal(value)) + by) };
  return { kind, value: localString(parseLocal(value) + by) };
}

function shiftRule(text: string, startTime: EventTime, days: number, by: number): string | Refusal {
  try {
    const rule = parseRule(text);
    const start = wallOf(startTime);
    const until = rule.until && shiftUntil(rule.until, startTime, days, by);
    const shifted = { ...rule, ...(until ? { until } : {}) };
    if (by % DAY !== 0 && rule.byHour.length + rule.byMinute.length > 0) return 'rule-fixes-days';
    if (days === 0) return formatRule(shifted);
    const parts = shiftDayParts(rule, start, days);
    return parts ? formatRule({ ...shifted, ...parts }) : 'rule-fixes-days';
  } catch (error) {
    if (error instanceof RecurrenceRuleError) return 'unreadable-rule';
    throw error;
  }
}

/**
 * A whole series moved by wall-clock milliseconds: its start and end, the weekdays of a weekly rule, its
 * further dates and exceptions. A rule that names days of a month or year can't move to another day.
 */
export function shiftSeries(series: CalendarEvent, by: number, zone: string): CalendarEvent | Refusal {
  const moved = shiftEvent(series, by, zone);
  const recurrence = series.recurrence;
  if (!recurrence) return moved;
  const days = dayShift(series, moved);
  const rules: string[] = [];
  for (const text of recurrence.rules) {
    const rule = shiftRule(text, series.start, days, by);
    if (isRefusal(rule)) return rule;
    rules.push(rule);
  }
  const shift = (time: EventTime) =>
    time.kind === 'date' ? shiftTime(time, days * DAY) : shiftTime(time, by);
  return {
    ...moved,
    recurrence: {
      ...recurrence,
      rules,
      dates: recurrence.dates.map(shift),
      exceptionDates: recurrence.exceptionDates.map(shift),
      ...(recurrence.periods
        ? {
            periods: recurrence.periods.map(({ start, end }) => ({ start: shift(start), end: shift(end) })),
          }
        : {}),
    },
  };
}

/** Days between the dates of two starts, on their own clocks. */
const dayShift = (before: CalendarEvent, after: CalendarEvent): number =>
  Math.floor(wallOf(after.start) / DAY) - Math.floor(wallOf(before.start) / DAY);

/** An event that ends at another instant. All-day events end with a whole day. */
export function stretchEvent(
  event: CalendarEvent,
  edge: 'start' | 'end',
  by: number,
  zone: string,
): CalendarEvent | Refusal {
  const amount = event.start.kind === 'date' ? Math.round(by / DAY) * DAY : by;
  const moved =
    event.start.kind === 'zoned'
      ? atInstant(event[edge], instantOf(event[edge], zone) + amount, zone)
      : shiftTime(event[edge], amount);
  const stretched = { ...event, [edge]: moved };
  return instantOf(stretched.start, zone) < instantOf(stretched.end, zone) ? stretched : 'end-before-start';
}

/** An event turned into whole days beginning with a day, as many as it touched. */
export function toWholeDays(event: CalendarEvent, day: number): CalendarEvent {
  const length = Math.max(1, Math.ceil((wallOf(event.end) - wallOf(event.start)) / DAY));
  return {
    ...event,
    start: { kind: 'date', date: dateString(day) },
    end: { kind: 'date', date: dateString(day + length) },
  };
}

/** An all-day event turned into an hour (or so) of a day. */
export function toHours(event: CalendarEvent, startWall: number, zone: string, length = HOUR): CalendarEvent {
  return {
    ...event,
    start: { kind: 'zoned', local: localString(startWall), zone },
    end: { kind: 'zoned', local: localString(startWall + length), zone },
  };
}
