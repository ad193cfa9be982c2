import { z } from 'zod';
import { type PeriodRule, type PeriodSet, WEEK_PATTERN_NAMES } from '@/core/model/periodSet';
import { isRealDate } from '@/core/time/civil';
import { readPeriodList, writePeriodList } from '@/core/time/periods';
import { periodWords } from '@/ui/words/periods';

/** The kinds of period sets as they are chosen: a pattern of weeks each, then the others. */
export const PERIOD_KINDS = [...WEEK_PATTERN_NAMES, 'weeks', 'months', 'quarters', 'list'] as const;
export type PeriodKind = (typeof PERIOD_KINDS)[number];

const RuleFields = z.object({
  kind: z.enum(PERIOD_KINDS),
  start: z.string(),
  weeks: z.string(),
  firstDay: z.string(),
  firstMonth: z.string(),
  list: z.string(),
});
/** The fields of a rule, as they are written. */
export type PeriodForm = Readonly<z.infer<typeof RuleFields>>;

/** The form of a rule; of a new one, four and five weeks from a date. */
export function formOfRule(rule: PeriodRule | undefined, start: string): PeriodForm {
  const plain: PeriodForm = { kind: '4-4-5', start, weeks: '4', firstDay: '1', firstMonth: '1', list: '' };
  switch (rule?.kind) {
    case undefined:
      return plain;
    case 'pattern':
      return { ...plain, kind: rule.pattern, start: rule.start };
    case 'weeks':
      return { ...plain, kind: 'weeks', start: rule.start, weeks: String(rule.weeks) };
    case 'months':
      return {
        ...plain,
        kind: rule.months === 3 ? 'quarters' : 'months',
        firstDay: String(rule.firstDay),
        firstMonth: String(rule.firstMonth),
      };
    case 'list':
      return { ...plain, kind: 'list', list: writePeriodList(rule.periods) };
  }
}

const whole = (text: string, from: number, to: number): number | undefined => {
  const number = Number(text);
  return /^\d+$/.test(text.trim()) && number >= from && number <= to ? number : undefined;
};

const hasStart = ({ start }: PeriodForm): boolean => /^\d{4}-\d{2}-\d{2}$/.test(start) && isRealDate(start);

/** Whether periods of a kind are counted in weeks from a date. */
export const isOfWeeks = (kind: PeriodKind): boolean =>
  kind !== 'list' && kind !== 'months' && kind !== 'quarters';

/** The rule that a form says; undefined while a field of it is wrong. */
export function ruleOfForm(form: PeriodForm): PeriodRule | undefined {
  switch (form.kind) {
    case 'weeks': {
      const weeks = whole(form.weeks, 1, 26);
      return weeks !== undefined && hasStart(form) ? { kind: 'weeks', weeks, start: form.start } : undefined;
    }
    case 'months':
    case 'quarters': {
      const firstDay = whole(form.firstDay, 1, 28);
      const firstMonth = whole(form.firstMonth, 1, 12);
      return firstDay !== undefined && firstMonth !== undefined
        ? { kind: 'months', months: form.kind === 'quarters' ? 3 : 1, firstDay, firstMonth }
        : undefined;
    }
    case 'list': {
      const { periods, problems } = readPeriodList(form.list);
      return periods.length > 0 && problems.length === 0
        ? { kind: 'list', periods: [...periods] }
        : undefined;
    }
    case '4-4-5':
    case '4-5-4':
    case '5-4-4':
    case '13x4':
      return hasStart(form) ? { kind: 'pattern', pattern: form.kind, start: form.start } : undefined;
  }
}

/** What is wrong with the rule that a form says, in words at its fields. */
function problemsOfRule(form: PeriodForm): Partial<Record<keyof PeriodForm, string>> {
  if (form.kind === 'list') {
    const { periods, problems } = readPeriodList(form.list);
    if (problems.length > 0) return { list: periodWords.listProblem(problems.map(({ line }) => line)) };
    return periods.length === 0 ? { list: periodWords.listMissing } : {};
  }
  return {
    ...(form.kind === 'weeks' && whole(form.weeks, 1, 26) === undefined
      ? { weeks: periodWords.weeksWrong }
      : {}),
    ...(isOfWeeks(form.kind) && !hasStart(form) ? { start: periodWords.dateMissing } : {}),
  };
}

/** The form of a period set, whose name and rule it says. */
export const PeriodSetForm = RuleFields.extend({ name: z.string().trim().min(1, periodWords.nameMissing) })
  .superRefine((form, check) => {
    for (const [name, message] of Object.entries(problemsOfRule(form)))
      check.addIssue({ code: 'custom', path: [name], message });
  })
  .transform((form): Pick<PeriodSet, 'name' | 'rule'> => ({ name: form.name, rule: ruleOfForm(form)! }));
