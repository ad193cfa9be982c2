import type { PeriodRule } from '@/core/model/periodSet';
import { periodWords } from '@/ui/words/periods';
import { formOfRule, PERIOD_KINDS, PeriodSetForm, ruleOfForm } from './periodForm';

const START = '2027-01-04';
const rules: PeriodRule[] = [
  { kind: 'pattern', pattern: '4-5-4', start: START },
  { kind: 'pattern', pattern: '13x4', start: START },
  { kind: 'weeks', weeks: 5, start: '2027-03-01' },
  { kind: 'months', months: 1, firstDay: 15, firstMonth: 1 },
  { kind: 'months', months: 3, firstDay: 6, firstMonth: 4 },
  { kind: 'list', periods: [{ name: 'Spring', first: '2027-03-01', last: '2027-04-04' }] },
];

test.each(rules)('a rule is written into the form and read back: %j', (rule) => {
  expect(ruleOfForm(formOfRule(rule, START))).toEqual(rule);
});

test('each kind makes a rule out of what a new form holds, but a list that is empty', () => {
  const plain = formOfRule(undefined, START);
  const made = PERIOD_KINDS.filter((kind) => ruleOfForm({ ...plain, kind }));
  expect(made).toEqual(PERIOD_KINDS.filter((kind) => kind !== 'list'));
});

test('what is wrong in a field makes no rule', () => {
  const plain = formOfRule(undefined, START);
  expect(ruleOfForm({ ...plain, start: '2027-02-30' })).toBeUndefined();
  expect(ruleOfForm({ ...plain, kind: 'weeks', weeks: '0' })).toBeUndefined();
  expect(ruleOfForm({ ...plain, kind: 'weeks', weeks: 'five' })).toBeUndefined();
  expect(ruleOfForm({ ...plain, kind: 'months', firstDay: '29' })).toBeUndefined();
  expect(ruleOfForm({ ...plain, kind: 'list', list: '2027-03-01 2027-04-04\nsoon' })).toBeUndefined();
});

describe('the form of a period set', () => {
  const plain = { name: 'Report periods', ...formOfRule(undefined, START) };
  const problems = (fields: Partial<typeof plain>) =>
    Object.fromEntries(
      (PeriodSetForm.safeParse({ ...plain, ...fields }).error?.issues ?? []).map(({ path, message }) => [
        path[0],
        message,
      ]),
    );

  test('says its name without the blanks round it, and its rule', () => {
    expect(PeriodSetForm.parse({ ...plain, name: '  Quarters ', kind: 'quarters' })).toEqual({
      name: 'Quarters',
      rule: { kind: 'months', months: 3, firstDay: 1, firstMonth: 1 },
    });
  });

  test('says at each field what is wrong with it, and nothing of fields that its kind has not', () => {
    expect(problems({ name: ' ' })).toEqual({ name: periodWords.nameMissing });
    expect(problems({ kind: 'weeks', weeks: '27', start: '' })).toEqual({
      weeks: periodWords.weeksWrong,
      start: periodWords.dateMissing,
    });
    expect(problems({ kind: 'months', weeks: 'x', start: '' })).toEqual({});
    expect(problems({ kind: 'list' })).toEqual({ list: periodWords.listMissing });
    expect(problems({ kind: 'list', list: '2027-03-01 2027-04-04\nsoon' })).toEqual({
      list: periodWords.listProblem([2]),
    });
  });
});
