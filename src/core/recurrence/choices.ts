import { DAY, civilDate, dateString, weekdayOf } from '../time/civil';
import {
  type ByDay,
  formatRule,
  parseRule,
  type RecurrenceRule,
  RecurrenceRuleError,
  type Until,
} from './rule';

/** How often: the simple repeats that the editor offers. */
export type RepeatFrequency = 'DAILY' | 'WEEKLY' | 'MONTHLY' | 'YEARLY';
export type RepeatEnd =
  { kind: 'never' } | { kind: 'count'; count: number } | { kind: 'until'; date: string };

/** A repeat as the editor shows it. */
export interface RepeatChoice {
  readonly frequency: RepeatFrequency;
  readonly interval: number;
  /** ISO weekdays, for WEEKLY. */
  readonly weekdays: readonly number[];
  readonly ends: RepeatEnd;
}

const none = {
  byMonth: [],
  byMonthDay: [],
  byYearDay: [],
  byWeekNumber: [],
  byHour: [],
  byMinute: [],
  bySecond: [],
  bySetPosition: [],
} as const;

/** The RRULE value of a choice. */
export function ruleOfChoice(choice: RepeatChoice): string {
  const byDay: ByDay[] =
    choice.frequency === 'WEEKLY'
      ? [...choice.weekdays].sort((a, b) => a - b).map((weekday) => ({ weekday, ordinal: 0 }))
      : [];
  const until: Until | undefined =
    choice.ends.kind === 'until' ? { kind: 'date', value: choice.ends.date } : undefined;
  return formatRule({
    ...none,
    frequency: choice.frequency,
    interval: choice.interval,
    weekStart: 1,
    byDay,
    ...(choice.ends.kind === 'count' ? { count: choice.ends.count } : {}),
    ...(until ? { until } : {}),
  });
}

const isRepeatFrequency = (value: string): value is RepeatFrequency =>
  value === 'DAILY' || value === 'WEEKLY' || value === 'MONTHLY' || value === 'YEARLY';

/**
 * The choice that says a rule, or undefined if the rule says more than a choice can.
 * @param startWall wall time of the start, whose weekday a weekly rule means when it names none
 */
export function choiceOfRule(text: string, startWall: number): RepeatChoice | undefined {
  let rule: RecurrenceRule;
  try {
    rule = parseRule(text);
  } catch (error) {
    if (error instanceof RecurrenceRuleError) return undefined;
    throw error;
  }
  const { frequency, interval, count, until } = rule;
  if (!isRepeatFrequency(frequency)) return undefined;
  const weekdays =
    rule.byDay.length > 0 ? rule.byDay.map((day) => day.weekday) : [weekdayOf(Math.floor(startWall / DAY))];
  const ends: RepeatEnd =
    count !== undefined
      ? { kind: 'count', count }
      : until
        ? { kind: 'until', date: until.value.slice(0, 10) }
        : { kind: 'never' };
  const choice: RepeatChoice = {
    frequency,
    interval,
    weekdays: frequency === 'WEEKLY' ? weekdays : [],
    ends,
  };
  const again = parseRule(ruleOfChoice(choice));
  // A rule that loses parts on the way through the choice is not said by it. A redundant BYMONTHDAY or the
  // time of UNTIL makes no other dates, so it may go.
  const start = civilDate(Math.floor(startWall / DAY));
  const comparable = (value: RecurrenceRule) =>
    formatRule({
      ...value,
      until: undefined,
      weekStart: value.interval === 1 ? 1 : value.weekStart,
      byDay:
        value.frequency === 'WEEKLY' && value.byDay.length === 0
          ? again.byDay
          : [...value.byDay].sort((a, b) => a.weekday - b.weekday),
      byMonthDay:
        value.byMonthDay.length === 1 && value.byMonthDay[0] === start.day && value.frequency === 'MONTHLY'
          ? []
          : value.byMonthDay,
      byMonth:
        value.byMonth.length === 1 &&
        value.byMonth[0] === start.month &&
        value.frequency === 'YEARLY' &&
        value.byDay.length === 0
          ? []
          : value.byMonth,
    } as RecurrenceRule);
  return comparable(rule) === comparable(again) ? choice : undefined;
}

/** The first proposal of an end date for a repeat that begins at a wall time: three months on. */
export function proposedEnd(startWall: number): string {
  return dateString(Math.floor(startWall / DAY) + 91);
}
