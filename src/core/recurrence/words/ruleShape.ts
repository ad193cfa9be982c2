import type { ByDay, RecurrenceRule } from '../rule';

const weekdaysOf = (byDay: readonly ByDay[]): number[] =>
  [...new Set(byDay.map((day) => day.weekday))].sort((a, b) => a - b);

/** The weekdays of a rule that names each of them without "first" or "last"; undefined otherwise. */
export const plainWeekdays = (rule: RecurrenceRule): number[] | undefined =>
  rule.byDay.length > 0 && rule.byDay.every((day) => day.ordinal === 0) ? weekdaysOf(rule.byDay) : undefined;

/** Monday to Friday, and nothing else. */
export const isWorkweek = (weekdays: readonly number[]): boolean => weekdays.join() === '1,2,3,4,5';

/** Saturday and Sunday, and nothing else. */
export const isWeekend = (weekdays: readonly number[]): boolean => weekdays.join() === '6,7';

/** Numbers as runs: 1, 3, 4, 5 is [1, 1] and [3, 5]. Negative numbers, counted from the end, come last, from -1 on. */
export function runsOf(numbers: readonly number[]): [number, number][] {
  const sorted = [...new Set(numbers)].sort((a, b) => (a > 0 === b > 0 ? Math.abs(a) - Math.abs(b) : b - a));
  const runs: [number, number][] = [];
  for (const number of sorted) {
    const last = runs.at(-1);
    if (last && number > 0 && last[1] === number - 1) last[1] = number;
    else runs.push([number, number]);
  }
  return runs;
}

/** The times of day that a rule with days or longer periods makes, in minutes; undefined if it has its start's. */
export function minutesOfDay(rule: RecurrenceRule, startMinute: number): number[] | undefined {
  if (rule.byHour.length + rule.byMinute.length === 0) return undefined;
  const hours = rule.byHour.length > 0 ? rule.byHour : [Math.floor(startMinute / 60)];
  const minutes = rule.byMinute.length > 0 ? rule.byMinute : [startMinute % 60];
  return hours.flatMap((hour) => minutes.map((minute) => hour * 60 + minute)).sort((a, b) => a - b);
}
