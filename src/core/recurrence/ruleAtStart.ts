import { civilDate, DAY, dayNumber } from '../time/civil';
import { expandRule, LAST_WALL } from './expandRule';
import { explicitRule, formatRule, parseRule, type RecurrenceRule } from './rule';

/**
 * A wall time before `start` from which the rule counts the same periods as from `from`: whole intervals earlier, and at
 * least one before `start`. Undefined for rules of hours and shorter.
 */
function anchorBefore(rule: RecurrenceRule, from: number, start: number): number | undefined {
  const day = Math.floor(from / DAY);
  const time = from - day * DAY;
  const { year, month } = civilDate(day);
  const startDay = Math.floor(start / DAY);
  const first = civilDate(startDay);
  const intervals = (units: number) => (Math.ceil(units / rule.interval) + 1) * rule.interval;
  switch (rule.frequency) {
    case 'DAILY':
      return from - intervals(Math.max(0, day - startDay)) * DAY;
    case 'WEEKLY':
      return from - intervals(Math.max(0, Math.ceil((day - startDay) / 7)) + 1) * 7 * DAY;
    case 'MONTHLY': {
      const months = year * 12 + month - 1;
      const at = months - intervals(Math.max(0, months - (first.year * 12 + first.month - 1)));
      return dayNumber(Math.floor(at / 12), (((at % 12) + 12) % 12) + 1, 1) * DAY + time;
    }
    case 'YEARLY':
      return dayNumber(year - intervals(Math.max(0, year - first.year)), 1, 1) * DAY + time;
    case 'HOURLY':
    case 'MINUTELY':
    case 'SECONDLY':
      return undefined;
  }
}

/**
 * A rule that was chosen while looking at a later date, for the series that began before it: the first date that the rule
 * makes on or after the start of the series, and the rule as it is written for that date, so that the dates from the
 * looked-at one on are those that the rule makes there.
 *
 * @param text the rule as it is written for a start at `from`
 * @param from wall time of the date that was looked at
 * @param start wall time of the series' start
 * @throws RecurrenceRuleError if the text is no rule
 */
export function ruleAtStart(text: string, from: number, start: number): { start: number; rule: string } {
  const rule = parseRule(text);
  const anchor = from === start ? undefined : anchorBefore(rule, from, start);
  if (anchor === undefined) return { start, rule: text };
  const endless = { ...explicitRule(rule, from, anchor), count: undefined, until: undefined };
  const [first = start] = expandRule(endless, anchor, { start, end: LAST_WALL }, Infinity, 1);
  return { start: first, rule: formatRule(explicitRule(rule, from, first)) };
}
