import type { Recurrence } from '@/core/model/entry';
import { choiceOfRule, type RepeatChoice } from '@/core/recurrence/choices';
import { parseDate } from '@/core/time/civil';
import { dateText, weekdayText } from '@/ui/dates';
import { words } from '@/ui/words';

/** A Monday, to name weekdays from. */
const MONDAY = parseDate('2027-03-08');

/** "Tuesday and Thursday": ISO weekdays in words. */
export const weekdaysText = (weekdays: readonly number[]): string =>
  new Intl.ListFormat(navigator.language, { type: 'conjunction' }).format(
    weekdays.map((weekday) => weekdayText(MONDAY + weekday - 1, weekdays.length > 3 ? 'short' : 'long')),
  );

/** A repeat in words: "every other week on Tuesday, until 29 June 2027". */
export function choiceText({ frequency, interval, weekdays, ends }: RepeatChoice): string {
  const often = words.repeat.summary(
    frequency,
    interval,
    frequency === 'WEEKLY' ? weekdaysText(weekdays) : '',
  );
  if (ends.kind === 'count') return `${often}, ${words.repeat.endsAfter(ends.count)}`;
  if (ends.kind === 'until') return `${often}, ${words.repeat.endsOn(dateText(parseDate(ends.date)))}`;
  return often;
}

/** A series' repeat in words, as far as the simple choices go. */
export function recurrenceText(recurrence: Recurrence, startWall: number): string {
  const [rule] = recurrence.rules;
  const choice =
    rule !== undefined && recurrence.rules.length === 1 ? choiceOfRule(rule, startWall) : undefined;
  const text = choice ? choiceText(choice) : words.repeat.byRule;
  const exceptions = recurrence.exceptionDates.length;
  return exceptions > 0 ? `${text} · ${words.repeat.exceptions(exceptions)}` : text;
}
