import type { Dated, Recurrence } from '../model/entry';
import type { EventTime } from '../model/eventTime';
import { endAfter } from '../recurrence/occurrenceShape';
import {
  formatRule,
  parseRule,
  type RecurrenceRule,
  RecurrenceRuleError,
  type Until,
} from '../recurrence/rule';
import { Series } from '../recurrence/series';
import { civilDate, DAY, dateString, localString, parseDate, parseLocal } from '../time/civil';
import { atInstant, atWall, instantOf, wallOf } from '../time/eventTime';
import { instantToWall, isKnownZone } from '../time/zones';
import { isRefusal, type Refusal, shiftEvent } from './shift';

const dayOf = (wall: number): number => Math.floor(wall / DAY);
const timeOfDay = (wall: number): number => wall - dayOf(wall) * DAY;

/** Whether a time is a whole day rather than a time of one. */
const isDate = (time: EventTime): boolean => time.kind === 'date';

/**
 * Where a wall time of a series goes when the start of the series goes from one time to another, be it on another clock:
 * by as much as the start. Between hours and whole days it goes along by days.
 */
export function wallAlong(wall: number, from: EventTime, to: EventTime): number {
  if (isDate(from) === isDate(to)) return wall + wallOf(to) - wallOf(from);
  const days = dayOf(wallOf(to)) - dayOf(wallOf(from));
  return (dayOf(wall) + days) * DAY + timeOfDay(wallOf(to));
}

/**
 * Where a date of a series (EXDATE, RDATE, RECURRENCE-ID) goes when the series' start goes elsewhere; on the clock of the
 * new start, but a plain date stays one.
 */
export function timeAlong(time: EventTime, series: Series, to: EventTime, viewZone: string): EventTime {
  const from = series.event.start;
  if (isDate(time) && !isDate(from) && !isDate(to)) {
    const days = dayOf(wallOf(to)) - dayOf(wallOf(from));
    return atWall(time, wallOf(time) + days * DAY);
  }
  return atWall(to, wallAlong(series.wallOfRecurrenceId(time, viewZone), from, to));
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
  const startDay = dayOf(start);
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
function untilAlong({ kind, value }: Until, from: EventTime, to: EventTime): Until {
  const days = dayOf(wallOf(to)) - dayOf(wallOf(from));
  if (kind === 'date') return { kind, value: dateString(parseDate(value) + days) };
  const isReadable = kind === 'utc' && from.kind === 'zoned' && isKnownZone(from.zone);
  const wall = isReadable ? instantToWall(from.zone, parseLocal(value)) : parseLocal(value);
  if (isDate(from) || isDate(to)) return { kind: 'date', value: dateString(dayOf(wall) + days) };
  return {
    kind: kind === 'utc' && !isReadable ? 'utc' : 'local',
    value: localString(wall + wallOf(to) - wallOf(from)),
  };
}

function ruleAlong(text: string, from: EventTime, to: EventTime): string | Refusal {
  try {
    const rule = parseRule(text);
    const days = dayOf(wallOf(to)) - dayOf(wallOf(from));
    const changesTime = timeOfDay(wallOf(from)) !== timeOfDay(wallOf(to)) || isDate(from) !== isDate(to);
    if (changesTime && rule.byHour.length + rule.byMinute.length > 0) return 'rule-fixes-days';
    const until = rule.until && untilAlong(rule.until, from, to);
    const shifted = { ...rule, ...(until ? { until } : {}) };
    if (days === 0) return formatRule(shifted);
    const parts = shiftDayParts(rule, wallOf(from), days);
    return parts ? formatRule({ ...shifted, ...parts }) : 'rule-fixes-days';
  } catch (error) {
    if (error instanceof RecurrenceRuleError) return 'unreadable-rule';
    throw error;
  }
}

/** The dates of a series that its start takes along: further ones, those left out, and those with ends of their own. */
function datesAlong(
  series: Dated,
  to: EventTime,
  viewZone: string,
): Pick<Recurrence, 'dates' | 'exceptionDates' | 'periods'> {
  const recurrence = series.recurrence!;
  const compiled = new Series({ ...series, recurrence: { ...recurrence, rules: [] } });
  const along = (time: EventTime) => timeAlong(time, compiled, to, viewZone);
  return {
    dates: recurrence.dates.map(along),
    exceptionDates: recurrence.exceptionDates.map(along),
    ...(recurrence.periods
      ? {
          periods: recurrence.periods.map(({ start, end }) => {
            const moved = along(start);
            const length = instantOf(end, viewZone) - instantOf(start, viewZone);
            return {
              start: moved,
              end: isDate(moved)
                ? atWall(moved, wallOf(moved) + Math.max(DAY, Math.ceil(length / DAY) * DAY))
                : atInstant(moved, instantOf(moved, viewZone) + length, viewZone),
            };
          }),
        }
      : {}),
  };
}

/**
 * A series that starts at another time, on another clock or as whole days: its rules, further dates and the dates left
 * out go along by as much as its start does (RFC 5545 3.8.5). Its end stays; who calls sets it.
 * @returns a refusal where a rule names days or hours that can't move
 */
export function carrySeries(series: Dated, to: EventTime, viewZone: string): Dated | Refusal {
  const { recurrence, start } = series;
  if (!recurrence || JSON.stringify(start) === JSON.stringify(to)) return { ...series, start: to };
  const rules: string[] = [];
  for (const text of recurrence.rules) {
    const rule = ruleAlong(text, start, to);
    if (isRefusal(rule)) return rule;
    rules.push(rule);
  }
  return {
    ...series,
    start: to,
    recurrence: { ...recurrence, rules, ...datesAlong(series, to, viewZone) },
  };
}

/**
 * A whole series moved by wall-clock milliseconds: its start and end, the weekdays of a weekly rule, its
 * further dates and exceptions. A rule that names days of a month or year can't move to another day.
 */
export function shiftSeries(series: Dated, by: number, viewZone: string): Dated | Refusal {
  const { start } = shiftEvent(series, by, viewZone);
  const moved = carrySeries(series, start, viewZone);
  return isRefusal(moved) ? moved : { ...moved, end: endAfter(series, start, viewZone) };
}
