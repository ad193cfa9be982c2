import type { CalendarEvent } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { formatRule, parseRule, RecurrenceRuleError } from '../recurrence/rule';
import { DAY, HOUR, dateString, localString, parseDate, parseLocal } from '../time/civil';
import { atInstant, atWall, instantOf, wallOf } from '../time/eventTime';
import { endAfter } from './target';

/** Why a change can't be made. The interface has the words. */
export type Refusal = 'rule-fixes-days' | 'unreadable-rule' | 'end-before-start' | 'calendar-missing';

/** A time moved on its own wall clock. */
const shiftTime = (time: EventTime, by: number): EventTime => atWall(time, wallOf(time) + by);

/** An event moved by wall-clock milliseconds (whole days for all-day events), its length kept. */
export function shiftEvent(event: CalendarEvent, by: number, zone: string): CalendarEvent {
  const wholeDays = event.start.kind === 'date' ? Math.round(by / DAY) * DAY : by;
  const start = shiftTime(event.start, wholeDays);
  return { ...event, start, end: endAfter(event, start, zone) };
}

function shiftRule(text: string, days: number, by: number): string | Refusal {
  try {
    const rule = parseRule(text);
    const until = rule.until && {
      kind: rule.until.kind,
      value:
        rule.until.kind === 'date'
          ? dateString(parseDate(rule.until.value) + days)
          : localString(parseLocal(rule.until.value) + by),
    };
    const shifted = { ...rule, ...(until ? { until } : {}) };
    if (by % DAY !== 0 && rule.byHour.length + rule.byMinute.length > 0) return 'rule-fixes-days';
    if (days === 0 || (rule.frequency === 'DAILY' && rule.byDay.length === 0)) return formatRule(shifted);
    if (rule.frequency === 'WEEKLY' || (rule.frequency === 'DAILY' && rule.byDay.length > 0))
      return formatRule({
        ...shifted,
        byDay: rule.byDay.map((day) => ({ ...day, weekday: ((((day.weekday - 1 + days) % 7) + 7) % 7) + 1 })),
      });
    const fixed = [rule.byDay, rule.byMonthDay, rule.byYearDay, rule.byWeekNumber, rule.byMonth];
    return fixed.some((part) => part.length > 0) ? 'rule-fixes-days' : formatRule(shifted);
  } catch (error) {
    if (error instanceof RecurrenceRuleError) return 'unreadable-rule';
    throw error;
  }
}

const isRefusal = (value: string): value is Refusal =>
  value === 'rule-fixes-days' || value === 'unreadable-rule';

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
    const rule = shiftRule(text, days, by);
    if (isRefusal(rule)) return rule;
    rules.push(rule);
  }
  const shift = (time: EventTime) =>
    time.kind === 'date' ? shiftTime(time, days * DAY) : shiftTime(time, by);
  return {
    ...moved,
    recurrence: {
      rules,
      dates: recurrence.dates.map(shift),
      exceptionDates: recurrence.exceptionDates.map(shift),
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
