import { z } from 'zod';
import { type Recurrence, SkipDaysOff } from '@/core/model/entry';
import {
  choiceOfRule,
  plainChoice,
  proposedEnd,
  readRule,
  type RepeatChoice,
  ruleOfChoice,
} from '@/core/recurrence/choices';
import { formatRule } from '@/core/recurrence/rule';
import { problemsOfRule } from '@/core/recurrence/ruleProblems';
import { lastDayOfUntil, type RuleStart } from '@/core/recurrence/until';
import { dateString, isRealDate } from '@/core/time/civil';
import { words } from '@/ui/words';

/** What may stand in the fields of a repeat. */
const RepeatFields = z.object({
  /** None, a choice, or a rule that says more than a choice can and stays as it is. */
  kind: z.enum(['none', 'choice', 'custom']),
  choice: z.custom<Omit<RepeatChoice, 'interval' | 'ends'>>(),
  interval: z.string(),
  ends: z.enum(['never', 'count', 'until']),
  count: z.string(),
  until: z.string(),
  skipDaysOff: SkipDaysOff.optional(),
});
/** A repeat while it is edited: a choice whose numbers are texts, as a person types them. */
export type RepeatDraft = Readonly<z.infer<typeof RepeatFields>>;

/** The problems of a draft, each at the field that it is about. */
export type RepeatProblems = Partial<
  Record<'interval' | 'weekdays' | 'days' | 'months' | 'count' | 'until' | 'rule', string>
>;

function draftOfChoice(choice: RepeatChoice, start: RuleStart): RepeatDraft {
  const { ends } = choice;
  return {
    kind: 'choice',
    choice,
    interval: String(choice.interval),
    ends: ends.kind,
    count: ends.kind === 'count' ? String(ends.count) : '10',
    until: ends.kind === 'until' ? ends.date : proposedEnd(start.wall),
    skipDaysOff: undefined,
  };
}

/** The draft of a repeat as it stands; one that is new counts weeks from a weekday. */
export function draftOf(
  recurrence: Recurrence | undefined,
  start: RuleStart,
  weekStart: number,
): RepeatDraft {
  const rules = recurrence?.rules ?? [];
  const rule = rules.length === 1 ? readRule(rules[0]!) : undefined;
  const choice = rule && choiceOfRule(rule, start);
  const plain = draftOfChoice(choice ?? plainChoice('WEEKLY', start.wall, weekStart), start);
  const kind = !recurrence ? 'none' : choice ? 'choice' : 'custom';
  return {
    ...plain,
    kind,
    ...(rule?.until && !choice ? { until: dateString(lastDayOfUntil(rule.until, start)) } : {}),
    skipDaysOff: recurrence?.skipDaysOff,
  };
}

/** The draft with a choice that was pressed; when it ends and the days off stay as they are. */
export const withChoice = (draft: RepeatDraft, choice: RepeatChoice): RepeatDraft => ({
  ...draft,
  kind: 'choice',
  choice,
  interval: String(choice.interval),
});

const isSmall = (text: string): boolean => /^\d{1,4}$/.test(text) && Number(text) >= 1;
const isDate = (text: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(text) && isRealDate(text);

/** The choice that a draft says. */
export function choiceOfDraft(draft: RepeatDraft): RepeatChoice {
  return {
    ...draft.choice,
    interval: isSmall(draft.interval) ? Number(draft.interval) : 1,
    ends:
      draft.ends === 'count' && isSmall(draft.count)
        ? { kind: 'count', count: Number(draft.count) }
        : draft.ends === 'until' && isDate(draft.until)
          ? { kind: 'until', date: draft.until }
          : { kind: 'never' },
  };
}

/** What is wrong with a draft, in words. */
export function problemsOfDraft(draft: RepeatDraft, start: RuleStart): RepeatProblems {
  if (draft.kind !== 'choice') return {};
  const said = words.editor.problems;
  const { frequency, weekdays, on, months } = draft.choice;
  const byMonth = frequency === 'MONTHLY' || frequency === 'YEARLY';
  const problems: RepeatProblems = {
    ...(isSmall(draft.interval) ? {} : { interval: said.interval }),
    ...(frequency === 'WEEKLY' && weekdays.length === 0 ? { weekdays: said.weekdays } : {}),
    ...(byMonth && on.kind === 'days' && on.days.length === 0 ? { days: said.monthDays } : {}),
    ...(frequency === 'YEARLY' && months.length === 0 ? { months: said.months } : {}),
    // Positions count within the year there, so that one month only makes sense.
    ...(frequency === 'YEARLY' && on.kind === 'nth' && on.weekday === 'workday' && months.length > 1
      ? { months: said.oneMonth }
      : {}),
    ...(draft.ends === 'count' && !isSmall(draft.count) ? { count: said.count } : {}),
    ...(draft.ends === 'until' && !isDate(draft.until) ? { until: said.date } : {}),
  };
  if (Object.keys(problems).length > 0) return problems;
  const [first] = problemsOfRule(ruleOfChoice(choiceOfDraft(draft), start.wall), start.wall);
  if (!first) return {};
  return first === 'until-before-start' ? { until: said.until } : { rule: words.ruleProblems[first] };
}

/**
 * The repeat that a draft says. Further dates and dates left out stay; a repeat that says what it said before keeps its
 * text as it was written.
 */
export function recurrenceOfDraft(
  draft: RepeatDraft,
  before: Recurrence | undefined,
  start: RuleStart,
): Recurrence | undefined {
  if (draft.kind === 'none') return undefined;
  const { skipDaysOff: _, ...others } = before ?? { rules: [], dates: [], exceptionDates: [] };
  const skip = draft.skipDaysOff ? { skipDaysOff: draft.skipDaysOff } : {};
  if (draft.kind === 'custom') return { ...others, ...skip };
  const text = formatRule(ruleOfChoice(choiceOfDraft(draft), start.wall));
  const old = before?.rules.length === 1 ? readRule(before.rules[0]!) : undefined;
  const oldChoice = old && choiceOfRule(old, start);
  const says = oldChoice && formatRule(ruleOfChoice(oldChoice, start.wall));
  return { ...others, rules: says === text ? before!.rules : [text], ...skip };
}

/**
 * The form of a repeat, that says the recurrence of an entry from a start on. A rule whose fields are right can be kept
 * although it says something doubtful as a whole: that is said beside it, and hinders nobody.
 */
export const repeatForm = (before: Recurrence | undefined, start: RuleStart) =>
  RepeatFields.superRefine((draft, check) => {
    const { rule: _, ...atFields } = problemsOfDraft(draft, start);
    for (const [field, message] of Object.entries(atFields))
      check.addIssue({ code: 'custom', path: [field], message });
  }).transform((draft) => ({ recurrence: recurrenceOfDraft(draft, before, start) }));
