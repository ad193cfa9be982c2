import fc from 'fast-check';
import { oracleDates, oracleInstants } from '../../../testing/recurrenceOracle';
import { series } from '../../../testing/samples';
import { DAY, localString, MINUTE, parseLocal } from '../time/civil';
import { expandRule } from './expandRule';
import { formatRule, parseRule } from './rule';
import { Series } from './series';

/** Random rules of every shape that the oracle knows, as text. */
const part = <Value>(name: string, value: fc.Arbitrary<Value>, often = 3) =>
  fc.option(value, { freq: often }).map((some) => (some === null ? '' : `;${name}=${String(some)}`));
const always = <Value>(name: string, value: fc.Arbitrary<Value>) =>
  value.map((some) => `;${name}=${String(some)}`);
const list = (low: number, high: number) =>
  fc
    .uniqueArray(fc.integer({ min: low, max: high }), { minLength: 1, maxLength: 3 })
    .map((values) => values.filter((value) => value !== 0))
    .filter((values) => values.length > 0);
const weekday = fc.constantFrom('MO', 'TU', 'WE', 'TH', 'FR', 'SA', 'SU');
const weekdays = fc.uniqueArray(weekday, { minLength: 1, maxLength: 3 });
const nth = fc
  .uniqueArray(
    fc.tuple(fc.constantFrom(-2, -1, 1, 2, 3, 4, 5), weekday).map(([ordinal, day]) => `${ordinal}${day}`),
    { minLength: 1, maxLength: 2 },
  )
  .map(String);
const nothing = fc.constant('');
const interval = part('INTERVAL', fc.integer({ min: 2, max: 4 }));
const hours = part(
  'BYHOUR',
  fc.uniqueArray(fc.integer({ min: 0, max: 4 }), { minLength: 1, maxLength: 2 }),
  1,
);
const positions = fc.uniqueArray(fc.constantFrom(1, 2, 3, -1, -2), { minLength: 1, maxLength: 2 });
const ends = fc.oneof(
  nothing,
  always('COUNT', fc.integer({ min: 1, max: 60 })),
  always(
    'UNTIL',
    fc.integer({ min: 0, max: 2500 }).map((days) =>
      localString((19_358 + days) * DAY)
        .slice(0, 10)
        .replaceAll('-', ''),
    ),
  ),
);
const FREQ = (name: string) => fc.constant(`FREQ=${name}`);
const shapes: fc.Arbitrary<string>[] = [
  fc.tuple(FREQ('DAILY'), interval, hours, part('BYMONTH', list(1, 12)), part('BYDAY', weekdays)),
  fc.tuple(FREQ('DAILY'), interval, always('BYMONTHDAY', list(-31, 31)), part('BYMONTH', list(1, 12))),
  fc.tuple(FREQ('WEEKLY'), interval, hours, part('BYDAY', weekdays), part('WKST', weekday)),
  fc.tuple(
    FREQ('WEEKLY'),
    interval,
    part('BYMONTH', list(1, 12)),
    always('BYDAY', weekdays),
    part('BYSETPOS', positions),
  ),
  fc.tuple(FREQ('MONTHLY'), interval, hours, part('BYMONTHDAY', list(-31, 31)), part('BYMONTH', list(1, 12))),
  fc.tuple(FREQ('MONTHLY'), interval, always('BYDAY', nth), part('BYMONTH', list(1, 12)), nothing),
  fc.tuple(FREQ('MONTHLY'), interval, always('BYDAY', weekdays), part('BYMONTHDAY', list(-31, 31)), nothing),
  fc.tuple(FREQ('MONTHLY'), interval, always('BYDAY', weekdays), always('BYSETPOS', positions), hours),
  fc.tuple(
    fc.constant('RSCALE=GREGORIAN;FREQ=MONTHLY'),
    interval,
    part('BYMONTHDAY', list(26, 31)),
    always('SKIP', fc.constantFrom('BACKWARD', 'FORWARD')),
  ),
  fc.tuple(
    FREQ('YEARLY'),
    interval,
    always('BYMONTH', list(1, 12)),
    part('BYDAY', nth),
    part('BYMONTHDAY', list(-31, 31), 1),
  ),
  fc.tuple(FREQ('YEARLY'), interval, always('BYDAY', nth), nothing, nothing),
  fc.tuple(
    FREQ('YEARLY'),
    interval,
    always('BYYEARDAY', list(-366, 366)),
    part('BYDAY', weekdays, 1),
    nothing,
  ),
  fc.tuple(
    FREQ('YEARLY'),
    interval,
    always('BYWEEKNO', list(-53, 53)),
    part('BYDAY', weekdays),
    part('WKST', weekday),
  ),
  fc.tuple(
    FREQ('YEARLY'),
    interval,
    always('BYMONTHDAY', list(-31, 31)),
    part('BYSETPOS', positions),
    nothing,
  ),
].map((shape) => (shape as fc.Arbitrary<string[]>).map((parts) => parts.join('')));
const rules = fc.tuple(fc.oneof(...shapes), ends).map(([shape, end]) => shape + end);

const zones = fc.constantFrom(
  'Europe/Lisbon',
  'America/Halifax',
  'Atlantic/Azores',
  'Australia/Lord_Howe',
  'America/Santiago',
  'Africa/Casablanca',
);

test('2,000 random rules give the dates that a look at every single day gives, at the right instants', () => {
  fc.assert(
    fc.property(
      rules,
      zones,
      fc.integer({ min: 0, max: 1500 }),
      fc.integer({ min: 0, max: 12 * 60 }),
      fc.integer({ min: -20, max: 1100 }),
      (rule, zone, offset, minute, ahead) => {
        const start = parseLocal('2023-01-01T00:00') + offset * DAY + minute * MINUTE;
        const window = { start: start + ahead * DAY, end: start + (ahead + 220) * DAY };
        const walls = oracleDates(rule, start, window);
        expect({ rule, walls: expandRule(parseRule(rule), start, window, untilOf(rule, start)) }).toEqual({
          rule,
          walls,
        });
        const local = localString(start);
        const at = { kind: 'zoned', local, zone } as const;
        // From two days inside, so that neither reading of the window's edges matters.
        const inner = { start: window.start + 2 * DAY, end: window.end - 2 * DAY };
        const instants = oracleInstants(walls, zone).filter((at) => at >= inner.start && at < inner.end);
        const found = new Series(series(rule, { start: at, end: at })).between(inner, zone);
        expect({ rule, zone, instants: found.map((date) => date.start) }).toEqual({ rule, zone, instants });
      },
    ),
    { numRuns: 2000 },
  );
});

/** UNTIL as a date, as the caller of `expandRule` gives it. */
function untilOf(rule: string, start: number): number {
  const { until } = parseRule(rule);
  return until ? Math.max(start, parseLocal(`${until.value}T00:00:00`) + DAY - 1) : Infinity;
}

test('a rule is written as it was read', () => {
  fc.assert(
    fc.property(rules, (rule) => {
      expect(parseRule(formatRule(parseRule(rule)))).toEqual(parseRule(rule));
    }),
  );
});
