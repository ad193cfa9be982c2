import fc from 'fast-check';
import { expandRule } from '../../recurrence/expandRule';
import { parseRule } from '../../recurrence/rule';
import { DAY, parseDate } from '../../time/civil';
import { commonRule } from './commonRule';

const days = (...texts: string[]) => texts.map(parseDate);

test('rules of every kind are found again', () => {
  const rule = (...texts: string[]) => commonRule(days(...texts))?.rule;
  expect(rule('2027-03-02', '2027-03-09', '2027-03-16')).toBe('FREQ=WEEKLY;COUNT=3;BYDAY=TU');
  expect(rule('2027-03-02', '2027-03-16', '2027-03-30')).toBe('FREQ=WEEKLY;INTERVAL=2;COUNT=3;BYDAY=TU');
  expect(rule('2027-03-01', '2027-03-02', '2027-03-03', '2027-03-04')).toBe('FREQ=DAILY;COUNT=4');
  expect(rule('2027-03-01', '2027-03-04', '2027-03-08', '2027-03-11', '2027-03-15', '2027-03-18')).toBe(
    'FREQ=WEEKLY;COUNT=6;BYDAY=MO,TH',
  );
  expect(rule('2027-01-15', '2027-02-15', '2027-03-15', '2027-04-15')).toBe(
    'FREQ=MONTHLY;COUNT=4;BYMONTHDAY=15',
  );
  expect(rule('2027-01-29', '2027-02-26', '2027-03-26', '2027-04-30')).toBe(
    'FREQ=MONTHLY;COUNT=4;BYDAY=-1FR',
  );
  expect(rule('2027-03-02', '2027-03-09')).toBeUndefined();
  expect(rule('2027-01-04', '2027-02-17', '2027-05-13', '2027-09-25')).toBeUndefined();
});

test('whatever the days: those that fit, are left over and are excepted are told rightly', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 20_000, max: 20_400 }), { minLength: 3, maxLength: 40 }),
      (some) => {
        const found = commonRule(some);
        if (!found) return;
        const { rule, fitting, exceptions, leftOver } = found;
        const start = fitting[0]! * DAY;
        const made = expandRule(parseRule(rule), start, { start, end: 30_000 * DAY }).map(
          (wall) => wall / DAY,
        );
        expect(made).toEqual([...fitting, ...exceptions].sort((a, b) => a - b));
        expect([...fitting, ...leftOver].sort((a, b) => a - b)).toEqual([...some].sort((a, b) => a - b));
      },
    ),
  );
});
