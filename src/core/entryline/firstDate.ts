import { plainChoice, type RepeatChoice, ruleOfChoice } from '../recurrence/choices';
import { expandRule } from '../recurrence/expandRule';
import { DAY } from '../time/civil';
import type { RepeatSaid } from './repeatSaid';

/** How far a first date is looked for: a 29 February comes within eight years. */
const FARTHEST = 9 * 366 * DAY;

/** The choice that a line says, without its end, for a start at a wall time and weeks that begin with an ISO weekday. */
export function choiceSaid(said: RepeatSaid, startWall: number, weekStart: number): RepeatChoice {
  const plain = plainChoice(said.frequency, startWall, weekStart);
  return {
    ...plain,
    interval: said.interval,
    ...(said.weekdays.length > 0 ? { weekdays: said.weekdays } : {}),
    ...(said.on ? { on: said.on } : {}),
    ...(said.months.length > 0 ? { months: said.months } : {}),
  };
}

/** The first day number from a given one on that a said repeat makes; the given one if it names no days. */
export function firstDay(said: RepeatSaid, from: number): number {
  if (said.weekdays.length === 0 && !said.on) return from;
  // From a year before, every week, month and year: the interval counts from the first date.
  const start = (from - 400) * DAY;
  const rule = {
    ...ruleOfChoice(choiceSaid(said, start, 1), start),
    interval: 1,
    count: undefined,
    until: undefined,
  };
  const [first] = expandRule(rule, start, { start: from * DAY, end: from * DAY + FARTHEST }, Infinity, 1);
  return first === undefined ? from : first / DAY;
}
