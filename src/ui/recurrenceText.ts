import type { Recurrence } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import type { RecurrenceRule } from '@/core/recurrence/rule';
import { readRules } from '@/core/recurrence/series';
import type { RuleStart } from '@/core/recurrence/until';
import { ownZone, wallOf } from '@/core/time/eventTime';
import { locale } from './dates';
import { words } from './words';

/** The start of an event as rules are read and said for it. */
export function ruleStartOf(start: EventTime): RuleStart {
  const zone = ownZone(start);
  return { wall: wallOf(start), allDay: start.kind === 'date', ...(zone === undefined ? {} : { zone }) };
}

const capitalised = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

/** A rule in words, as a sentence begins: "Every other Tuesday, until 29 June 2027". */
export const ruleText = (rule: RecurrenceRule, start: RuleStart): string =>
  capitalised(words.repeat.rule(rule, { ...start, locale: locale() }));

/** All that an event repeats by, in words: its rules, and further dates. */
export function recurrenceText(recurrence: Recurrence, start: EventTime): string {
  const { rules, unreadable } = readRules(recurrence.rules);
  const further = recurrence.dates.length + (recurrence.periods?.length ?? 0);
  const said = [
    ...rules.map((rule) => ruleText(rule, ruleStartOf(start))),
    ...(unreadable.length > 0 ? [words.repeat.unreadable] : []),
    ...(further > 0 ? [words.repeat.furtherDates(further)] : []),
  ];
  return said.join(words.repeat.and);
}
