import fc from 'fast-check';
import { DAY, localString, parseLocal } from '../time/civil';
import { quickChoiceInEnglish } from './words/englishChoices';
import { choiceOfRule, CHOICE_ORDINALS, quickChoices, type RepeatChoice, ruleOfChoice } from './choices';
import { expandRule } from './expandRule';
import { formatRule, parseRule } from './rule';
import { makesItsStart, problemsOfRule } from './ruleProblems';
import { ruleInEnglish } from './words/english';

const TUESDAY = { wall: parseLocal('2027-03-09T14:00'), allDay: false, zone: 'Europe/Lisbon' };
const say = (rule: string, wall = TUESDAY.wall) => ruleInEnglish(parseRule(rule), { ...TUESDAY, wall });

/** Every choice that the editor can make. */
const numbers = (low: number, high: number, most: number) =>
  fc.uniqueArray(fc.integer({ min: low, max: high }), { minLength: 1, maxLength: most });
const ends: fc.Arbitrary<RepeatChoice['ends']> = fc.oneof(
  fc.constant({ kind: 'never' as const }),
  fc.integer({ min: 1, max: 500 }).map((count) => ({ kind: 'count' as const, count })),
  fc.constant({ kind: 'until' as const, date: '2027-12-31' }),
);
const on: fc.Arbitrary<RepeatChoice['on']> = fc.oneof(
  fc
    .uniqueArray(fc.constantFrom(-1, 1, 2, 9, 13, 15, 28, 29, 30, 31), { minLength: 1, maxLength: 4 })
    .map((days) => ({ kind: 'days' as const, days })),
  fc.record({
    kind: fc.constant('nth' as const),
    ordinal: fc.constantFrom(...CHOICE_ORDINALS),
    weekday: fc.oneof(fc.integer({ min: 1, max: 7 }), fc.constant('workday' as const)),
  }),
);
const choices = fc
  .record({
    frequency: fc.constantFrom('DAILY' as const, 'WEEKLY' as const, 'MONTHLY' as const, 'YEARLY' as const),
    interval: fc.integer({ min: 1, max: 4 }),
    weekdays: numbers(1, 7, 7),
    weekStart: fc.integer({ min: 1, max: 7 }),
    on,
    months: numbers(1, 12, 12),
    everyMonth: fc.boolean(),
    skip: fc.constantFrom('OMIT' as const, 'BACKWARD' as const, 'FORWARD' as const),
    ends,
  })
  .map(({ everyMonth, ...choice }): RepeatChoice => ({
    ...choice,
    months: everyMonth && choice.frequency === 'MONTHLY' ? [] : choice.months,
  }));

const dates = (rule: ReturnType<typeof parseRule>) =>
  expandRule(
    { ...rule, count: undefined, until: undefined },
    TUESDAY.wall,
    { start: TUESDAY.wall, end: TUESDAY.wall + 2400 * DAY },
    Infinity,
    60,
  ).join();

test('whatever the editor makes, it shows again', () => {
  fc.assert(
    fc.property(choices, (choice) => {
      const rule = ruleOfChoice(choice, TUESDAY.wall);
      const read = choiceOfRule(parseRule(formatRule(rule)), TUESDAY);
      expect(read).toBeDefined();
      expect(formatRule(ruleOfChoice(read!, TUESDAY.wall))).toBe(formatRule(rule));
    }),
    { numRuns: 400 },
  );
});

test('rules of the editor that are said in the same words make the same dates', () => {
  fc.assert(
    fc.property(fc.array(choices, { minLength: 300, maxLength: 300 }), (many) => {
      const byWords = new Map<string, string>();
      for (const choice of many) {
        const rule = { ...ruleOfChoice(choice, TUESDAY.wall), count: undefined, until: undefined };
        const words = ruleInEnglish(rule, TUESDAY);
        const known = byWords.get(words);
        if (known !== undefined) expect({ words, dates: dates(rule) }).toEqual({ words, dates: known });
        byWords.set(words, dates(rule));
      }
      expect(byWords.size).toBeGreaterThan(50);
    }),
    { numRuns: 5 },
  );
});

test('the choices that fit a start are said briefly', () => {
  const said = (start: string) => quickChoices(parseLocal(start), 1).map(quickChoiceInEnglish);
  expect(said('2027-03-09T14:00')).toEqual([
    'Every day',
    'Every weekday',
    'Every Tuesday',
    'Every other Tuesday',
    'Monthly on the 9th',
    'The second Tuesday',
    'Yearly',
  ]);
  expect(said('2027-03-31T14:00').slice(4)).toEqual([
    'Monthly on the 31st',
    'The last Wednesday',
    'The last working day',
    'Yearly',
  ]);
});

test('the choices that fit a start', () => {
  const labels = (start: string) =>
    quickChoices(parseLocal(start), 1).map((choice) =>
      ruleInEnglish(ruleOfChoice(choice, parseLocal(start)), { wall: parseLocal(start), allDay: false }),
    );
  expect(labels('2027-03-09T14:00')).toEqual([
    'every day',
    'every weekday',
    'every Tuesday',
    'every other Tuesday',
    'monthly on the 9th',
    'monthly on the second Tuesday',
    'yearly on 9 March',
  ]);
  expect(labels('2027-03-31T14:00')).toEqual([
    'every day',
    'every weekday',
    'every Wednesday',
    'every other Wednesday',
    'monthly on the 31st',
    'monthly on the last Wednesday',
    'monthly on the last working day',
    'yearly on 31 March',
  ]);
});

test('the editor keeps its hands off rules that say more', () => {
  const choice = (rule: string) => choiceOfRule(parseRule(rule), TUESDAY);
  for (const rule of [
    'FREQ=MONTHLY;BYDAY=2TU,4TU',
    'FREQ=MONTHLY;BYDAY=TU',
    'FREQ=MONTHLY;BYMONTHDAY=-2',
    'FREQ=WEEKLY;BYDAY=TU;BYMONTH=3',
    'FREQ=YEARLY;BYDAY=20MO',
    'FREQ=YEARLY;BYWEEKNO=20',
    'FREQ=DAILY;BYHOUR=9,10',
    'FREQ=HOURLY',
  ])
    expect({ rule, choice: choice(rule) }).toEqual({ rule, choice: undefined });
  expect(choice('FREQ=WEEKLY;INTERVAL=2;WKST=SU;BYDAY=TU,SU')?.weekStart).toBe(7);
  expect(choice('FREQ=MONTHLY;BYMONTHDAY=9')?.frequency).toBe('MONTHLY');
  expect(choice('FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR')?.weekdays).toEqual([1, 2, 3, 4, 5]);
  expect(choice('FREQ=MONTHLY;BYDAY=TU;BYSETPOS=2')?.on).toEqual({ kind: 'nth', ordinal: 2, weekday: 2 });
  // An UNTIL in UTC is a day of the start's own clock: in Lisbon it is the 30th already.
  expect(choice('FREQ=DAILY;UNTIL=20270729T233000Z')?.ends).toEqual({ kind: 'until', date: '2027-07-29' });
  expect(
    choiceOfRule(parseRule('FREQ=DAILY;UNTIL=20270729T233000Z'), {
      ...TUESDAY,
      wall: parseLocal('2027-03-09T00:15'),
    })?.ends,
  ).toEqual({ kind: 'until', date: '2027-07-30' });
});

test.each([
  ['FREQ=WEEKLY;INTERVAL=2;UNTIL=20270629;BYDAY=TU', 'every other Tuesday, until 29 June 2027'],
  ['FREQ=DAILY;UNTIL=20271224T000000Z', 'every day, until 23 December 2027'],
  ['FREQ=DAILY;COUNT=1', 'every day, once'],
  ['FREQ=DAILY;INTERVAL=3;BYDAY=MO,TU;BYMONTH=3', 'every 3 days in March, only on a Monday or Tuesday'],
  ['FREQ=DAILY;BYMONTHDAY=1,-1', 'every day, only on the 1st and the last day'],
  [
    'FREQ=WEEKLY;INTERVAL=3;BYDAY=SA,SU;WKST=SU',
    'every 3 weeks on Saturday and Sunday, in weeks from Sunday on',
  ],
  ['FREQ=WEEKLY;BYDAY=MO,WE;BYSETPOS=1', 'every Monday and Wednesday, but only the first of them in a week'],
  ['FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1', 'monthly on the last working day'],
  ['FREQ=MONTHLY;BYDAY=SA,SU;BYSETPOS=1', 'monthly on the first day of the weekend'],
  [
    'FREQ=MONTHLY;BYDAY=TU,TH;BYSETPOS=3',
    'monthly on every Tuesday and every Thursday, but only the third of these dates',
  ],
  [
    'FREQ=MONTHLY;BYMONTH=2,3,4,5,6,7,8,9,10,11,12;BYDAY=1MO',
    'on the first Monday of every month but January',
  ],
  ['FREQ=MONTHLY;INTERVAL=3;BYMONTHDAY=1;COUNT=4', 'every 3 months on the 1st, 4 times'],
  ['FREQ=MONTHLY;BYMONTHDAY=1,2,3,10,-1', 'monthly on the 1st to 3rd, the 10th and the last day'],
  ['FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13', 'monthly on Friday the 13th'],
  ['FREQ=MONTHLY;BYDAY=SA;BYMONTHDAY=7,8,9,10', 'monthly on each Saturday that is the 7th to 10th'],
  [
    'RSCALE=GREGORIAN;FREQ=MONTHLY;BYMONTHDAY=31;SKIP=BACKWARD',
    'monthly on the 31st, or the last day of a shorter month',
  ],
  ['FREQ=YEARLY;BYMONTH=3,10;BYDAY=-1SU', 'yearly on the last Sunday of March and October'],
  ['FREQ=YEARLY;BYMONTH=6,7', 'yearly on 9 June and 9 July'],
  ['FREQ=YEARLY;BYDAY=TH;BYMONTH=6,7,8', 'yearly on every Thursday in June to August'],
  ['FREQ=YEARLY;BYDAY=20MO', 'yearly on the 20th Monday of the year'],
  ['FREQ=YEARLY;BYWEEKNO=20;BYDAY=MO', 'yearly on Monday of week 20'],
  ['FREQ=YEARLY;INTERVAL=3;BYYEARDAY=1,100,-1', 'every 3 years on the 1st, 100th and last day of the year'],
  ['FREQ=DAILY;BYHOUR=9,13;BYMINUTE=30', 'every day at 9:30 and 13:30'],
  ['FREQ=DAILY;BYHOUR=9,10,11,12;BYMINUTE=0,30', 'every day, at 8 times from 9:00 to 12:30'],
  ['FREQ=HOURLY;INTERVAL=3;UNTIL=20270309T210000Z', 'every 3 hours, until 9 March 2027, 21:00'],
  ['FREQ=MINUTELY;INTERVAL=20;BYHOUR=9,10;BYDAY=MO', 'every 20 minutes from 9:00 to 10:59, every Monday'],
])('%s reads "%s"', (rule, words) => expect(say(rule)).toBe(words));

test.each([
  ['FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30', ['no-dates']],
  ['FREQ=DAILY;BYMONTH=2;BYMONTHDAY=30', ['no-dates']],
  ['FREQ=HOURLY;BYMONTH=2;BYMONTHDAY=30', ['no-dates']],
  ['FREQ=DAILY;UNTIL=20270308', ['until-before-start']],
  ['FREQ=DAILY;UNTIL=20270309T090000', ['until-before-start']],
  ['FREQ=DAILY;COUNT=3;UNTIL=20280101', ['count-and-until']],
  ['FREQ=DAILY;COUNT=1000000', ['too-many-dates']],
  ['FREQ=SECONDLY', ['too-many-dates']],
  ['FREQ=MINUTELY', ['too-many-dates']],
  ['FREQ=MINUTELY;COUNT=90', []],
  ['FREQ=MINUTELY;BYHOUR=9;BYMINUTE=0,20,40', []],
  ['FREQ=DAILY;COUNT=1', []],
  ['FREQ=WEEKLY;UNTIL=20270309', []],
  ['FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=29', []],
])('what is wrong with %s: %j', (rule, problems) => {
  expect(problemsOfRule(parseRule(rule), TUESDAY.wall)).toEqual(problems);
});

test.each([
  ['FREQ=WEEKLY;BYDAY=TU', true],
  ['FREQ=WEEKLY;INTERVAL=3;BYDAY=TU,FR', true],
  ['FREQ=WEEKLY;BYDAY=MO', false],
  ['FREQ=MONTHLY', true],
  ['FREQ=MONTHLY;BYMONTHDAY=10', false],
  ['FREQ=MONTHLY;INTERVAL=2;BYDAY=2TU', true],
  ['FREQ=YEARLY', true],
  ['FREQ=YEARLY;BYMONTH=4', false],
  ['FREQ=DAILY;INTERVAL=5', true],
  ['FREQ=DAILY;BYHOUR=9', false],
])('%s makes its start: %s', (rule, makes) =>
  expect(makesItsStart(parseRule(rule), TUESDAY.wall)).toBe(makes),
);

test('a series of the last days of the calendar says so', () => {
  expect(problemsOfRule(parseRule('FREQ=DAILY'), parseLocal('9999-12-30T09:00'))).toEqual([
    'beyond-calendar',
  ]);
  expect(localString(parseLocal('9999-12-30T09:00'))).toBe('9999-12-30T09:00:00');
});
