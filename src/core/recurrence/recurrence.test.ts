import { localString, parseLocal } from '../time/civil';
import { event, series, zoned, date, FENNICK } from '../../../testing/samples';
import { expandRule } from './expandRule';
import { formatRule, parseRule, RecurrenceRuleError } from './rule';
import { Series } from './series';

const expand = (rule: string, start: string, from: string, to: string) =>
  expandRule(parseRule(rule), parseLocal(start), { start: parseLocal(from), end: parseLocal(to) }).map(
    (wall) => localString(wall).slice(0, 16),
  );

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
