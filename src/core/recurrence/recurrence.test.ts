import fc from 'fast-check';
import { DAY, localString, parseLocal } from '../time/civil';
import { oracleDates } from '../../../testing/recurrenceOracle';
import { event, series, zoned, date, FENNICK } from '../../../testing/samples';
import { choiceOfRule, ruleOfChoice } from './choices';
import { expandRule } from './expandRule';
import { formatRule, parseRule, RecurrenceRuleError } from './rule';
import { Series } from './series';

const expand = (rule: string, start: string, from: string, to: string) =>
  expandRule(parseRule(rule), parseLocal(start), { start: parseLocal(from), end: parseLocal(to) }).map(
    (wall) => localString(wall).slice(0, 16),
  );
const dates = (rule: string, start: string, to: string) =>
  expand(rule, start, start, to).map((text) => text.slice(0, 10));

describe('the examples of RFC 5545 3.8.5.3', () => {
  const start = '1997-09-02T09:00';
  test.each([
    [
      'FREQ=DAILY;INTERVAL=10;COUNT=5',
      start,
      ['1997-09-02', '1997-09-12', '1997-09-22', '1997-10-02', '1997-10-12'],
    ],
    [
      'FREQ=WEEKLY;INTERVAL=2;COUNT=8;WKST=SU;BYDAY=TU,TH',
      start,
      [
        '1997-09-02',
        '1997-09-04',
        '1997-09-16',
        '1997-09-18',
        '1997-09-30',
        '1997-10-02',
        '1997-10-14',
        '1997-10-16',
      ],
    ],
    [
      'FREQ=MONTHLY;COUNT=10;BYDAY=1FR',
      '1997-09-05T09:00',
      [
        '1997-09-05',
        '1997-10-03',
        '1997-11-07',
        '1997-12-05',
        '1998-01-02',
        '1998-02-06',
        '1998-03-06',
        '1998-04-03',
        '1998-05-01',
        '1998-06-05',
      ],
    ],
    [
      'FREQ=MONTHLY;COUNT=6;BYDAY=-2MO',
      '1997-09-22T09:00',
      ['1997-09-22', '1997-10-20', '1997-11-17', '1997-12-22', '1998-01-19', '1998-02-16'],
    ],
    [
      'FREQ=MONTHLY;BYMONTHDAY=-3;COUNT=4',
      '1997-09-28T09:00',
      ['1997-09-28', '1997-10-29', '1997-11-28', '1997-12-29'],
    ],
    [
      'FREQ=YEARLY;INTERVAL=3;COUNT=10;BYYEARDAY=1,100,200',
      '1997-01-01T09:00',
      [
        '1997-01-01',
        '1997-04-10',
        '1997-07-19',
        '2000-01-01',
        '2000-04-09',
        '2000-07-18',
        '2003-01-01',
        '2003-04-10',
        '2003-07-19',
        '2006-01-01',
      ],
    ],
    ['FREQ=YEARLY;BYDAY=20MO;COUNT=3', '1997-05-19T09:00', ['1997-05-19', '1998-05-18', '1999-05-17']],
    [
      'FREQ=YEARLY;BYWEEKNO=20;BYDAY=MO;COUNT=3',
      '1997-05-12T09:00',
      ['1997-05-12', '1998-05-11', '1999-05-17'],
    ],
    [
      'FREQ=YEARLY;INTERVAL=4;BYMONTH=11;BYDAY=TU;BYMONTHDAY=2,3,4,5,6,7,8;COUNT=3',
      '1996-11-05T09:00',
      ['1996-11-05', '2000-11-07', '2004-11-02'],
    ],
    [
      'FREQ=MONTHLY;COUNT=3;BYDAY=TU,WE,TH;BYSETPOS=3',
      '1997-09-04T09:00',
      ['1997-09-04', '1997-10-07', '1997-11-06'],
    ],
    [
      'FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-2;COUNT=3',
      '1997-09-29T09:00',
      ['1997-09-29', '1997-10-30', '1997-11-27'],
    ],
    [
      'FREQ=MONTHLY;BYDAY=FR;BYMONTHDAY=13;COUNT=3',
      '1998-02-13T09:00',
      ['1998-02-13', '1998-03-13', '1998-11-13'],
    ],
    [
      'FREQ=MONTHLY;BYMONTHDAY=15,30;COUNT=5',
      '2007-01-15T09:00',
      ['2007-01-15', '2007-01-30', '2007-02-15', '2007-03-15', '2007-03-30'],
    ],
  ])('%s', (rule, from, expected) => {
    expect(dates(rule, from, '2030-01-01T00:00')).toEqual(expected);
  });

  test('shorter frequencies', () => {
    expect(
      expand('FREQ=HOURLY;INTERVAL=3;UNTIL=19970902T170000', start, start, '1997-09-03T00:00').slice(0, 3),
    ).toEqual(['1997-09-02T09:00', '1997-09-02T12:00', '1997-09-02T15:00']);
    expect(expand('FREQ=MINUTELY;INTERVAL=90;COUNT=4', start, start, '1997-09-03T00:00')).toEqual([
      '1997-09-02T09:00',
      '1997-09-02T10:30',
      '1997-09-02T12:00',
      '1997-09-02T13:30',
    ]);
    expect(expand('FREQ=DAILY;BYHOUR=9,10;BYMINUTE=0,20,40', start, start, '1997-09-03T09:10')).toHaveLength(
      7,
    );
  });
});

test('random rules give the same dates as a look at every single day', () => {
  const part = <Value>(name: string, value: fc.Arbitrary<Value>, often = 3) =>
    fc.option(value, { freq: often }).map((some) => (some === null ? '' : `;${name}=${String(some)}`));
  const list = (low: number, high: number) =>
    fc.uniqueArray(fc.integer({ min: low, max: high }), { minLength: 1, maxLength: 3 });
  const weekdays = fc.uniqueArray(fc.constantFrom('MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU'), {
    minLength: 1,
    maxLength: 3,
  });
  const nth = fc
    .tuple(fc.constantFrom(-2, -1, 1, 2, 3, 4), fc.constantFrom('MO', 'TH', 'SU'))
    .map(([ordinal, day]) => `${ordinal}${day}`);
  const interval = part('INTERVAL', fc.integer({ min: 2, max: 4 }));
  const rules = fc.oneof(
    fc.tuple(fc.constant('FREQ=DAILY'), interval, part('BYMONTH', list(1, 12)), part('BYDAY', weekdays)),
    fc.tuple(
      fc.constant('FREQ=WEEKLY'),
      interval,
      part('BYDAY', weekdays),
      part('WKST', fc.constantFrom('SU', 'WE')),
    ),
    fc.tuple(fc.constant('FREQ=MONTHLY'), interval, part('BYMONTHDAY', list(1, 31)), fc.constant('')),
    fc.tuple(fc.constant('FREQ=MONTHLY'), interval, part('BYDAY', nth, 1), part('BYMONTH', list(1, 12))),
    fc.tuple(
      fc.constant('FREQ=MONTHLY'),
      interval,
      part('BYDAY', weekdays, 1),
      part('BYSETPOS', fc.constantFrom(1, 2, -1)),
    ),
    fc.tuple(fc.constant('FREQ=YEARLY'), interval, part('BYMONTH', list(1, 12), 1), part('BYDAY', nth)),
    fc.tuple(fc.constant('FREQ=YEARLY'), interval, part('BYYEARDAY', list(1, 365), 1), fc.constant('')),
  );
  fc.assert(
    fc.property(rules, fc.integer({ min: 0, max: 1500 }), (parts, offset) => {
      const rule = parts.join('');
      const start = parseLocal('2023-01-01T09:30') + offset * DAY;
      const window = { start: start + 100 * DAY, end: start + 900 * DAY };
      const expected = oracleDates(rule, start, window);
      expect({ rule, walls: expandRule(parseRule(rule), start, window) }).toEqual({ rule, walls: expected });
    }),
    { numRuns: 120 },
  );
});

test('a rule that makes no date ends', () => {
  expect(
    expand('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30', '2027-03-09T09:00', '2027-03-10T00:00', '9999-01-01T00:00'),
  ).toEqual([]);
});

test('a rule is written as it was read, and nonsense is refused by its part', () => {
  const rule = 'FREQ=MONTHLY;INTERVAL=2;UNTIL=20271231T090000Z;WKST=SU;BYDAY=-1FR;BYSETPOS=1';
  expect(formatRule(parseRule(`RRULE:${rule}`))).toBe(rule);
  for (const [bad, part] of [
    ['FREQ=SOMETIMES', 'FREQ=SOMETIMES'],
    ['FREQ=DAILY;COUNT=0', 'COUNT=0'],
    ['FREQ=WEEKLY;BYDAY=XX', 'BYDAY=XX'],
    ['FREQ=DAILY;UNTIL=20270231', 'UNTIL=20270231'],
    ['FREQ=DAILY;BYMONTH', 'BYMONTH'],
  ] as const)
    expect(() => parseRule(bad)).toThrow(new RecurrenceRuleError(part));
});

describe('a series', () => {
  const between = (of: Series, from: string, to: string, zone = FENNICK) =>
    of
      .between({ start: Date.parse(from), end: Date.parse(to) }, zone)
      .map(
        ({ start, end }) =>
          `${new Date(start).toISOString().slice(0, 16)}/${new Date(end).toISOString().slice(11, 16)}`,
      );

  test('keeps its wall time over a clock change', () => {
    const weekly = new Series(
      series('FREQ=WEEKLY', { start: zoned('2027-03-23T14:00'), end: zoned('2027-03-23T15:00') }),
    );
    expect(between(weekly, '2027-03-20Z', '2027-04-01Z')).toEqual([
      '2027-03-23T14:00/15:00',
      '2027-03-30T13:00/14:00',
    ]);
  });

  test('moves a start that the clock skips by the gap and does not lose it', () => {
    const daily = new Series(
      series('FREQ=DAILY', { start: zoned('2027-03-27T01:30'), end: zoned('2027-03-27T01:45') }),
    );
    expect(between(daily, '2027-03-27Z', '2027-03-30Z')).toEqual([
      '2027-03-27T01:30/01:45',
      '2027-03-28T01:30/01:45',
      '2027-03-29T00:30/00:45',
    ]);
  });

  test('leaves exceptions out and adds further dates', () => {
    const master = event({
      start: zoned('2027-03-01T09:00'),
      end: zoned('2027-03-01T09:30'),
      recurrence: {
        rules: ['FREQ=WEEKLY;COUNT=4'],
        dates: [zoned('2027-03-10T09:00')],
        exceptionDates: [zoned('2027-03-08T09:00'), date('2027-03-15')],
      },
    });
    expect(
      between(new Series(master), '2027-01-01Z', '2028-01-01Z').map((text) => text.slice(0, 10)),
    ).toEqual(['2027-03-01', '2027-03-10', '2027-03-22']);
  });

  test('ends with UNTIL in UTC, as a date and as a wall time, inclusive', () => {
    const ends = (until: string) =>
      between(
        new Series(
          series(`FREQ=DAILY;UNTIL=${until}`, {
            start: zoned('2027-03-27T14:00'),
            end: zoned('2027-03-27T15:00'),
          }),
        ),
        '2027-03-01Z',
        '2027-05-01Z',
      ).length;
    expect(ends('20270329T130000Z')).toBe(3);
    expect(ends('20270329T125959Z')).toBe(2);
    expect(ends('20270329')).toBe(3);
    expect(ends('20270329T140000')).toBe(3);
  });

  test('of whole days shows on its dates in whatever zone it is seen', () => {
    const monthly = new Series(
      series('FREQ=MONTHLY', { start: date('2027-01-31'), end: date('2027-02-01') }),
    );
    expect(between(monthly, '2027-03-01Z', '2027-04-01T12:00Z', 'America/Halifax')).toEqual([
      '2027-03-31T03:00/03:00',
    ]);
  });

  test('finds the next dates from any day', () => {
    const yearly = new Series(
      series('FREQ=YEARLY', { start: zoned('2024-02-29T09:00'), end: zoned('2024-02-29T10:00') }),
    );
    expect(
      yearly
        .next(parseLocal('2027-03-09T00:00'), 2, FENNICK)
        .map(({ wall }) => localString(wall).slice(0, 10)),
    ).toEqual(['2028-02-29', '2032-02-29']);
  });
});

describe('repeat choices', () => {
  const start = parseLocal('2027-03-09T14:00');
  test('say the rules that they make', () => {
    const frequency = fc.constantFrom(
      'DAILY' as const,
      'WEEKLY' as const,
      'MONTHLY' as const,
      'YEARLY' as const,
    );
    const ends = fc.oneof(
      fc.constant({ kind: 'never' as const }),
      fc.integer({ min: 1, max: 500 }).map((count) => ({ kind: 'count' as const, count })),
      fc.constant({ kind: 'until' as const, date: '2027-12-31' }),
    );
    fc.assert(
      fc.property(
        frequency,
        fc.integer({ min: 1, max: 30 }),
        fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 }),
        ends,
        (of, interval, days, end) => {
          const choice = {
            frequency: of,
            interval,
            weekdays: of === 'WEEKLY' ? days.sort((a, b) => a - b) : [],
            ends: end,
          };
          expect(choiceOfRule(ruleOfChoice(choice), start)).toEqual(choice);
        },
      ),
    );
  });
  test('keep their hands off rules that say more', () => {
    expect(choiceOfRule('FREQ=MONTHLY;BYDAY=2TU', start)).toBeUndefined();
    expect(choiceOfRule('FREQ=WEEKLY;BYDAY=TU;BYMONTH=3', start)).toBeUndefined();
    expect(choiceOfRule('FREQ=HOURLY', start)).toBeUndefined();
    expect(choiceOfRule('nonsense', start)).toBeUndefined();
    expect(choiceOfRule('FREQ=MONTHLY;BYMONTHDAY=9', start)?.frequency).toBe('MONTHLY');
  });
});
