import fc from 'fast-check';
import { FENNICK, series, zoned } from '../../../testing/samples';
import { DAY, localString, parseLocal } from '../time/civil';
import { ruleAtStart } from './ruleAtStart';
import { Series } from './series';

const START = parseLocal('2027-03-10T14:00');

/** The dates that a rule makes for a start, from a date on. */
function dates(rule: string, start: number, from: number, most: number): number[] {
  const local = zoned(localString(start));
  return new Series(series(rule, { start: local, end: local }))
    .next(from, most, FENNICK)
    .map(({ wall }) => wall);
}

test.each([
  ['FREQ=MONTHLY;BYMONTHDAY=7', '2027-04-07T14:00', '2027-04-07'],
  ['FREQ=YEARLY', '2027-04-07T14:00', '2027-04-07'],
  ['FREQ=WEEKLY', '2027-04-08T14:00', '2027-03-11'],
  ['FREQ=WEEKLY;INTERVAL=2', '2027-04-08T14:00', '2027-03-11'],
  ['FREQ=DAILY;INTERVAL=3', '2027-03-17T14:00', '2027-03-11'],
  ['FREQ=MONTHLY;BYDAY=2TU', '2027-04-13T14:00', '2027-04-13'],
])('%s, chosen at %s, begins on %s', (rule, from, first) => {
  expect(localString(ruleAtStart(rule, parseLocal(from), START).start).slice(0, 10)).toBe(first);
});

test('a rule that was chosen at a later date makes from there on what was shown there, and nothing before the start', () => {
  const rules = fc
    .tuple(
      fc.constantFrom(
        'FREQ=DAILY',
        'FREQ=DAILY;BYDAY=MO,TU,WE,TH,FR',
        'FREQ=WEEKLY',
        'FREQ=WEEKLY;BYDAY=MO,TH',
        'FREQ=MONTHLY',
        'FREQ=MONTHLY;BYDAY=-1FR',
        'FREQ=MONTHLY;BYMONTHDAY=1,15',
        'FREQ=YEARLY',
        'FREQ=YEARLY;BYMONTH=3,10;BYDAY=-1SU',
      ),
      fc.constantFrom('', ';INTERVAL=2', ';INTERVAL=3'),
    )
    .map((parts) => parts.join(''));
  fc.assert(
    fc.property(rules, fc.integer({ min: 0, max: 500 }), (rule, days) => {
      const from = START + days * DAY;
      const at = ruleAtStart(rule, from, START);
      expect(at.start).toBeGreaterThanOrEqual(START);
      // A date that was looked at and that the rule does not make counts as its first alone where it begins.
      const shown = dates(rule, from, from + DAY, 12);
      expect(dates(at.rule, at.start, from + DAY, 12)).toEqual(
        at.start > from ? dates(rule, from, at.start, 12) : shown,
      );
    }),
    { numRuns: 300 },
  );
});

test('a rule that is chosen at the start stays as it is written', () => {
  expect(ruleAtStart('FREQ=MONTHLY', START, START)).toEqual({ start: START, rule: 'FREQ=MONTHLY' });
});
