import { formatRule, parseRule, WEEKDAY_CODES } from '../../recurrence/rule';
import { expandRule } from '../../recurrence/expandRule';
import { civilDate, DAY, daysInMonth, weekdayOf } from '../../time/civil';

/** A rule, what of the days it makes, what it makes beside them, and what of them it does not. */
export interface CommonRule {
  readonly rule: string;
  /** Day numbers, ascending. */
  readonly fitting: readonly number[];
  readonly exceptions: readonly number[];
  readonly leftOver: readonly number[];
}

/** So few days are no series. */
const FEWEST = 3;
/** A rule may make one day beside so many that fit it. */
const FITTING_FOR_EXCEPTION = 2;

const code = (day: number): string => WEEKDAY_CODES[weekdayOf(day) - 1]!;
const spread = (days: readonly number[]): number => days.at(-1)! - days[0]!;

/** Which of its weekday a day is in its month, and whether the last. */
function placeInMonth(day: number): { nth: number; isLast: boolean } {
  const { year, month, day: ofMonth } = civilDate(day);
  return { nth: Math.ceil(ofMonth / 7), isLast: ofMonth + 7 > daysInMonth(year, month) };
}

/** Rules that some of the days could be made by, plainer ones first. */
function* candidates(days: readonly number[]): Generator<{ rule: string; start: number }> {
  const start = days[0]!;
  const gaps = days.slice(1).map((day, index) => day - days[index]!);
  for (const gap of [...new Set(gaps)].sort((a, b) => a - b).slice(0, 6))
    if (gap % 7 === 0) yield { rule: `FREQ=WEEKLY;INTERVAL=${gap / 7};BYDAY=${code(start)}`, start };
    else if (gap <= 31) yield { rule: `FREQ=DAILY;INTERVAL=${gap}`, start };
  // Every weekday that bears a good share of them.
  const counts = new Map<string, number>();
  for (const day of days) counts.set(code(day), (counts.get(code(day)) ?? 0) + 1);
  const most = Math.max(...counts.values());
  const common = WEEKDAY_CODES.filter((name) => (counts.get(name) ?? 0) * 2 >= most);
  for (const interval of [1, 2, 3, 4])
    yield { rule: `FREQ=WEEKLY;INTERVAL=${interval};BYDAY=${common.join(',')}`, start };
  for (const name of common) {
    const first = days.find((day) => code(day) === name)!;
    for (const interval of [1, 2, 3, 4])
      yield { rule: `FREQ=WEEKLY;INTERVAL=${interval};BYDAY=${name}`, start: first };
  }
  for (const first of days.slice(0, 3)) {
    const { day } = civilDate(first);
    const { nth, isLast } = placeInMonth(first);
    for (const interval of [1, 2, 3, 6, 12]) {
      yield { rule: `FREQ=MONTHLY;INTERVAL=${interval};BYMONTHDAY=${day}`, start: first };
      yield { rule: `FREQ=MONTHLY;INTERVAL=${interval};BYDAY=${nth}${code(first)}`, start: first };
      if (isLast) yield { rule: `FREQ=MONTHLY;INTERVAL=${interval};BYDAY=-1${code(first)}`, start: first };
    }
  }
}

/**
 * The rule that makes the most of some days, with the fewest others between its first and last: those are exceptions.
 * Undefined where none makes three of them.
 * @param days day numbers
 */
export function commonRule(days: readonly number[]): CommonRule | undefined {
  const wanted = [...new Set(days)].sort((a, b) => a - b);
  if (wanted.length < FEWEST) return undefined;
  let best: CommonRule | undefined;
  const score = ({ fitting, exceptions }: CommonRule): number => fitting.length - exceptions.length;
  for (const { rule, start } of candidates(wanted)) {
    const found = fit(rule, start, wanted);
    if (found && (!best || score(found) > score(best))) best = found;
    if (best && best.leftOver.length + best.exceptions.length === 0) break;
  }
  return best;
}

function fit(text: string, start: number, wanted: readonly number[]): CommonRule | undefined {
  const rule = parseRule(text);
  const end = wanted.at(-1)! + 1;
  const made = expandRule(
    rule,
    start * DAY,
    { start: start * DAY, end: end * DAY },
    undefined,
    spread(wanted) + 1,
  ).map((wall) => Math.floor(wall / DAY));
  const isWanted = new Set(wanted);
  const fitting = made.filter((day) => isWanted.has(day));
  if (fitting.length < FEWEST || fitting[0] !== start) return undefined;
  const last = fitting.at(-1)!;
  const exceptions = made.filter((day) => day <= last && !isWanted.has(day));
  if (exceptions.length * FITTING_FOR_EXCEPTION > fitting.length) return undefined;
  const fits = new Set(fitting);
  const count = made.filter((day) => day <= last).length;
  // An interval of one need not be said.
  const said = formatRule({ ...rule, count });
  return { rule: said, fitting, exceptions, leftOver: wanted.filter((day) => !fits.has(day)) };
}
