import { parseLocal } from '@/core/time/civil';
import { quickChoices } from '@/core/recurrence/choices';
import { words } from '@/ui/words';
import { draftOf, problemsOfDraft, recurrenceOfDraft, repeatForm, withChoice } from './repeatDraft';

const TUESDAY = { wall: parseLocal('2027-03-09T14:00'), allDay: false, zone: 'Europe/Lisbon' };
const repeating = (...rules: string[]) => ({ rules, dates: [], exceptionDates: [] });
const weekly = draftOf(repeating('FREQ=WEEKLY;BYDAY=TU'), TUESDAY, 1);

test.each([
  ['nothing', undefined],
  ['a choice', repeating('FREQ=WEEKLY;INTERVAL=2;UNTIL=20270629T130000Z;BYDAY=TU')],
  ['a choice written otherwise', repeating('FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR')],
  ['a rule that says more', repeating('FREQ=YEARLY;BYDAY=20MO')],
  ['several rules', repeating('FREQ=WEEKLY', 'FREQ=MONTHLY')],
  [
    'further dates only',
    { rules: [], dates: [{ kind: 'date' as const, date: '2027-04-01' }], exceptionDates: [] },
  ],
  [
    'days off',
    { ...repeating('FREQ=DAILY'), skipDaysOff: { calendarId: 'daysoff', handling: 'next' as const } },
  ],
])('a draft that nobody touches changes nothing: %s', (_, recurrence) => {
  expect(recurrenceOfDraft(draftOf(recurrence, TUESDAY, 1), recurrence, TUESDAY)).toEqual(recurrence);
});

test('a pressed choice keeps when it ends, its exceptions and its days off', () => {
  const before = {
    ...repeating('FREQ=WEEKLY;COUNT=8;BYDAY=TU'),
    exceptionDates: [{ kind: 'date' as const, date: '2027-03-16' }],
    skipDaysOff: { calendarId: 'daysoff', handling: 'omit' as const },
  };
  const fortnight = quickChoices(TUESDAY.wall, 1).find((choice) => choice.interval === 2)!;
  const draft = withChoice(draftOf(before, TUESDAY, 1), fortnight);
  expect(recurrenceOfDraft(draft, before, TUESDAY)).toEqual({
    ...before,
    rules: ['FREQ=WEEKLY;INTERVAL=2;COUNT=8;BYDAY=TU'],
  });
});

test('each problem is said at its field', () => {
  const problems = (changes: Partial<typeof weekly>) =>
    Object.keys(problemsOfDraft({ ...weekly, ...changes }, TUESDAY));
  expect(problems({})).toEqual([]);
  expect(problems({ interval: '0' })).toEqual(['interval']);
  expect(problems({ interval: '2 weeks' })).toEqual(['interval']);
  expect(problems({ choice: { ...weekly.choice, weekdays: [] } })).toEqual(['weekdays']);
  expect(problems({ ends: 'count', count: '' })).toEqual(['count']);
  expect(problems({ ends: 'until', until: '2027-02-30' })).toEqual(['until']);
  expect(problems({ ends: 'until', until: '2027-03-01' })).toEqual(['until']);
  const yearly = { ...weekly.choice, frequency: 'YEARLY' as const };
  expect(problems({ choice: { ...yearly, months: [], on: { kind: 'days', days: [] } } })).toEqual([
    'days',
    'months',
  ]);
  expect(problems({ choice: { ...yearly, months: [2], on: { kind: 'days', days: [30] } } })).toEqual([
    'rule',
  ]);
  expect(
    problems({ choice: { ...yearly, months: [3, 9], on: { kind: 'nth', ordinal: -1, weekday: 'workday' } } }),
  ).toEqual(['months']);
});

describe('the form of a repeat', () => {
  const form = repeatForm(undefined, TUESDAY);

  test('says the recurrence of the entry, or that it repeats no more', () => {
    expect(form.parse({ ...weekly, interval: '2' })).toEqual({
      recurrence: repeating('FREQ=WEEKLY;INTERVAL=2;BYDAY=TU'),
    });
    expect(form.parse({ ...weekly, kind: 'none' })).toEqual({ recurrence: undefined });
  });

  test('keeps what was there beside the rule, and a rule that says more than the form can', () => {
    const before = {
      ...repeating('FREQ=YEARLY;BYDAY=20MO'),
      exceptionDates: [{ kind: 'date' as const, date: '2028-05-15' }],
    };
    expect(repeatForm(before, TUESDAY).parse(draftOf(before, TUESDAY, 1))).toEqual({ recurrence: before });
  });

  test.each([
    ['interval', { interval: '0' }, words.editor.problems.interval],
    ['interval', { interval: 'two' }, words.editor.problems.interval],
    ['weekdays', { choice: { ...weekly.choice, weekdays: [] } }, words.editor.problems.weekdays],
    ['count', { ends: 'count' as const, count: '' }, words.editor.problems.count],
    ['until', { ends: 'until' as const, until: '2027-02-30' }, words.editor.problems.date],
    ['until', { ends: 'until' as const, until: '2027-03-01' }, words.editor.problems.until],
  ])('says at the field %s what is wrong with it: %j', (field, typed, message) => {
    const { error } = form.safeParse({ ...weekly, ...typed });
    expect(error?.issues.map((issue) => [issue.path, issue.message])).toEqual([[[field], message]]);
  });

  test('lets a rule be kept that is doubtful as a whole, which is said beside it', () => {
    const never = {
      ...weekly,
      choice: {
        ...weekly.choice,
        frequency: 'YEARLY' as const,
        months: [2],
        on: { kind: 'days' as const, days: [30] },
      },
    };
    expect(problemsOfDraft(never, TUESDAY)).toEqual({ rule: words.ruleProblems['no-dates'] });
    expect(form.parse(never)).toEqual({ recurrence: repeating('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30') });
  });

  test('has nothing against fields of a repeat that is none', () => {
    expect(form.safeParse({ ...weekly, kind: 'none', interval: '', count: 'x' }).success).toBe(true);
  });
});
