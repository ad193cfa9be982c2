import fc from 'fast-check';
import { type PeriodRule, WEEK_PATTERN_NAMES } from '../model/periodSet';
import { dateString, parseDate, weekdayOf } from './civil';
import {
  periodAt,
  periodBeside,
  periodFaults,
  periodsOfYear,
  readPeriodList,
  writePeriodList,
} from './periods';

const dates = (periods: readonly { first: number; end: number }[]) =>
  periods.map(({ first, end }) => [dateString(first), dateString(end - 1)]);
const pattern = (name: (typeof WEEK_PATTERN_NAMES)[number], start = '2027-01-04'): PeriodRule => ({
  kind: 'pattern',
  pattern: name,
  start,
});

test('of 4-4-5 weeks from the first Monday of 2027, one period runs from 1 March to 4 April', () => {
  const periods = periodsOfYear(pattern('4-4-5'), 2027);
  expect(periods).toHaveLength(12);
  expect(dates(periods)[2]).toEqual(['2027-03-01', '2027-04-04']);
  expect(periodAt(pattern('4-4-5'), parseDate('2027-03-09'))).toMatchObject({ number: 3, year: 2027 });
});

test('so does a period of five weeks without end', () => {
  const rule: PeriodRule = { kind: 'weeks', weeks: 5, start: '2027-03-01' };
  expect(dates([periodAt(rule, parseDate('2027-03-09'))!])).toEqual([['2027-03-01', '2027-04-04']]);
  const after = periodBeside(rule, periodAt(rule, parseDate('2027-03-09'))!, 1)!;
  expect(dates([after])).toEqual([['2027-04-05', '2027-05-09']]);
  const before = periodBeside(rule, periodAt(rule, parseDate('2027-03-09'))!, -1)!;
  expect(dates([before])).toEqual([['2027-01-25', '2027-02-28']]);
});

test('a 53rd week goes to the last period, so that years join', () => {
  // From the Monday nearest to 1 January, 2026 has 53 weeks.
  const rule = pattern('13x4', '2024-01-01');
  const lengths = [2024, 2025, 2026, 2027].map((year) => {
    const last = periodsOfYear(rule, year).at(-1)!;
    return (last.end - last.first) / 7;
  });
  expect(lengths.filter((weeks) => weeks === 5)).toHaveLength(1);
  expect(lengths.filter((weeks) => weeks === 4)).toHaveLength(3);
});

const rules: fc.Arbitrary<PeriodRule> = fc.oneof(
  fc.record({
    kind: fc.constant('pattern' as const),
    pattern: fc.constantFrom(...WEEK_PATTERN_NAMES),
    start: fc.integer({ min: 17_000, max: 23_000 }).map(dateString),
  }),
  fc.record({
    kind: fc.constant('weeks' as const),
    weeks: fc.integer({ min: 1, max: 26 }),
    start: fc.integer({ min: 17_000, max: 23_000 }).map(dateString),
  }),
  fc.record({
    kind: fc.constant('months' as const),
    months: fc.constantFrom(1 as const, 3 as const),
    firstDay: fc.integer({ min: 1, max: 28 }),
    firstMonth: fc.integer({ min: 1, max: 12 }),
  }),
);

test('whatever the rule, every day is in one period, and steps go from each to the next', () => {
  fc.assert(
    fc.property(rules, fc.integer({ min: 15_000, max: 25_000 }), (rule, day) => {
      const period = periodAt(rule, day)!;
      expect(period.first <= day && day < period.end).toBe(true);
      const next = periodBeside(rule, period, 1)!;
      expect(next.first).toBe(period.end);
      expect(periodBeside(rule, next, -1)).toEqual(period);
      expect(periodFaults(periodsOfYear(rule, 2027))).toEqual([]);
      if (rule.kind === 'pattern') expect(weekdayOf(period.first)).toBe(weekdayOf(parseDate(rule.start)));
    }),
  );
});

test('months and quarters begin on their day, also over the new year', () => {
  const months: PeriodRule = { kind: 'months', months: 1, firstDay: 15, firstMonth: 1 };
  expect(dates(periodsOfYear(months, 2027)).at(-1)).toEqual(['2027-12-15', '2028-01-14']);
  const quarters: PeriodRule = { kind: 'months', months: 3, firstDay: 6, firstMonth: 4 };
  expect(dates(periodsOfYear(quarters, 2027))).toEqual([
    ['2027-04-06', '2027-07-05'],
    ['2027-07-06', '2027-10-05'],
    ['2027-10-06', '2028-01-05'],
    ['2028-01-06', '2028-04-05'],
  ]);
});

test('a list is read in the usual forms, with names before or after, and what can’t be read is named by line', () => {
  const { periods, problems } = readPeriodList(
    [
      'Winter: 2027-01-01 to 2027-02-28',
      '1.3.2027 – 4.4.2027\tSpring count',
      '',
      '5 April 2027 - 9 May 2027',
      '10/05/2027;13/06/2027;Boats',
      'soon',
      '2027-02-30 2027-03-01',
      '2027-08-01 2027-07-01 backwards',
    ].join('\n'),
  );
  expect(periods).toEqual([
    { name: 'Winter', first: '2027-01-01', last: '2027-02-28' },
    { name: 'Spring count', first: '2027-03-01', last: '2027-04-04' },
    { name: '', first: '2027-04-05', last: '2027-05-09' },
    { name: 'Boats', first: '2027-05-10', last: '2027-06-13' },
  ]);
  expect(problems.map(({ line }) => line)).toEqual([6, 7, 8]);
  expect(readPeriodList(writePeriodList(periods)).periods).toEqual(periods);
});

test('gaps and overlaps of a list are found', () => {
  const { periods } = readPeriodList('2027-01-01 2027-01-31\n2027-02-03 2027-03-10\n2027-03-08 2027-04-01');
  const rule: PeriodRule = { kind: 'list', periods: [...periods] };
  const faults = periodFaults(periodsOfYear(rule, 2027));
  expect(faults.map(({ kind, first, end }) => [kind, dateString(first), end - first])).toEqual([
    ['gap', '2027-02-01', 2],
    ['overlap', '2027-03-08', 3],
  ]);
  // In the gap, the next one; after the last, the last.
  expect(periodAt(rule, parseDate('2027-02-01'))).toMatchObject({ number: 2 });
  expect(periodAt(rule, parseDate('2029-01-01'))).toMatchObject({ number: 3 });
  expect(periodBeside(rule, periodAt(rule, parseDate('2027-03-20'))!, 1)).toBeUndefined();
});
