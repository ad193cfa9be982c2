import fc from 'fast-check';
import { initialLook, VIEWS } from '../model/look';
import { parseDate, startOfWeek, weekdayOf } from '../time/civil';
import { standardWorkingPattern } from '../time/standardWorkingPattern';
import { firstWeekFor } from './loadStrip';
import { weeksOf } from './weekRows';
import { shownDays, stepRange } from './viewDescriptors';
import { addMonths, type ViewRange, weekNumber } from './views';

const tuesday = parseDate('2027-03-09');
const range = (fields: Partial<ViewRange>): ViewRange => ({
  ...initialLook,
  view: 'weeks',
  day: tuesday,
  ...fields,
});
const habits = { workingPattern: standardWorkingPattern, weekStart: 1 };
const shown = (fields: Partial<ViewRange>) => shownDays(range(fields), habits);
const weekdays = fc.integer({ min: 1, max: 7 });
const days = fc.integer({ min: parseDate('1990-01-01'), max: parseDate('2060-12-31') });

test('weeks show as many whole weeks as asked for, or those of the month', () => {
  expect(shown({ weekCount: 4 })).toHaveLength(28);
  const month = shown({ weekCount: 0 });
  expect([month[0], month.at(-1)]).toEqual([parseDate('2027-03-01'), parseDate('2027-04-04')]);
  const weeksOfMay = shown({ weekCount: 0, day: parseDate('2027-05-20') });
  expect([weeksOfMay[0], weeksOfMay.at(-1)]).toEqual([parseDate('2027-04-26'), parseDate('2027-06-06')]);
});

test('without weekends the days in between are left out, and as many days are shown as asked for', () => {
  expect(shown({ view: 'week', weekends: false })).toHaveLength(5);
  expect(shown({ weekCount: 2, weekends: false })).toHaveLength(10);
  const eight = shown({ view: 'days', dayCount: 8, weekends: false });
  expect(eight).toHaveLength(8);
  expect(eight.every((day) => weekdayOf(day) < 6)).toBe(true);
});

test('a year has its days, lanes have one, and a period is shown in whole weeks', () => {
  expect(shown({ view: 'year' })).toHaveLength(365);
  expect(shown({ view: 'year', day: parseDate('2028-02-29') })).toHaveLength(366);
  expect(shown({ view: 'lanes' })).toEqual([tuesday]);
  const period = { first: parseDate('2027-03-03'), end: parseDate('2027-04-01') };
  const weeks = shownDays(range({}), habits, period);
  expect([weeks[0], weeks.at(-1)]).toEqual([parseDate('2027-03-01'), parseDate('2027-04-04')]);
});

test('weeks begin with the day that the person begins them with', () => {
  fc.assert(
    fc.property(days, weekdays, fc.constantFrom(...VIEWS), (day, weekStart, view) => {
      const own = { ...habits, weekStart };
      const weeks = shownDays(range({ day, view: 'weeks' }), own);
      expect([weekdayOf(weeks[0]!), weeks.length % 7]).toEqual([weekStart, 0]);
      const week = shownDays(range({ day, view: 'week' }), own);
      expect(week).toContain(day);
      expect(weekdayOf(week[0]!)).toBe(weekStart);
      // All seven days of a row of Weeks stand in the row, whatever it begins with.
      expect(weeksOf(weeks, weekStart).map((row) => row.length)).toEqual(
        Array.from({ length: weeks.length / 7 }, () => 7),
      );
      const there = stepRange(range({ day, view }), 1, own);
      const shownThere = shownDays(there, own);
      if (view !== 'workdays') expect(shownThere).toContain(there.day);
    }),
  );
});

test('a step and a step back show the selected day again', () => {
  fc.assert(
    fc.property(
      days,
      fc.constantFrom(...VIEWS),
      fc.constantFrom(2 as const, 4 as const, 8 as const),
      fc.boolean(),
      (day, view, weekCount, weekends) => {
        const from = range({ view, day, weekCount, weekends });
        const there = stepRange(from, 1, habits);
        const back = stepRange(there, -1, habits);
        expect(there.day).toBeGreaterThan(day);
        // The last of February stands for a day that the month has not.
        if (view === 'year') expect(Math.abs(back.day - day)).toBeLessThanOrEqual(1);
        else if (view === 'days' && !weekends)
          expect(shownDays(back, habits)).toEqual(shownDays(from, habits));
        else expect(back.day).toBe(day);
      },
    ),
  );
});

test('steps leave no day out and show none twice', () => {
  fc.assert(
    fc.property(
      days,
      fc.constantFrom('day' as const, 'days' as const, 'week' as const, 'weeks' as const),
      (day, view) => {
        const from = range({ view, day, weekCount: 3 });
        const first = shownDays(from, habits);
        const next = shownDays(stepRange(from, 1, habits), habits);
        expect(next[0]).toBe(first.at(-1)! + 1);
      },
    ),
  );
});

test('a period takes the place of days, weeks or an agenda; a year shows all its days', () => {
  const period = { first: parseDate('2027-03-01'), end: parseDate('2027-03-11') };
  const shown = (view: ViewRange['view'], weekends = true) =>
    shownDays(range({ view, day: parseDate('2027-03-09'), weekends }), habits, period);
  expect(shown('days')).toHaveLength(10);
  expect(shown('days', false)).toHaveLength(8);
  expect(shown('agenda')).toHaveLength(10);
  expect(shown('weeks')).toHaveLength(14);
  expect(shown('year')).toHaveLength(365);
});

test('months on keep the date, or take the last of a shorter month', () => {
  expect(addMonths(parseDate('2027-01-31'), 1)).toBe(parseDate('2027-02-28'));
  expect(addMonths(parseDate('2027-03-09'), -3)).toBe(parseDate('2026-12-09'));
  expect(addMonths(parseDate('2027-12-15'), 1)).toBe(parseDate('2028-01-15'));
});

test('weeks are numbered by ISO 8601', () => {
  const numbers = ['2027-01-01', '2027-01-04', '2027-03-09', '2026-12-31', '2024-12-30', '2021-01-03'];
  expect(numbers.map((date) => weekNumber(parseDate(date), 1))).toEqual([53, 1, 10, 53, 1, 53]);
});

test('a week that begins on another day has the number of the ISO week that most of it lies in', () => {
  // Sunday 7 to Saturday 13 March 2027, and Saturday 6 to Friday 12 March.
  expect([weekNumber(parseDate('2027-03-07'), 7), weekNumber(parseDate('2027-03-13'), 7)]).toEqual([10, 10]);
  expect([weekNumber(parseDate('2027-03-06'), 6), weekNumber(parseDate('2027-03-12'), 6)]).toEqual([10, 10]);
  fc.assert(
    fc.property(days, weekdays, (day, weekStart) => {
      const first = startOfWeek(day, weekStart);
      const each = Array.from({ length: 7 }, (_, index) => weekNumber(first + index, 1));
      const number = weekNumber(day, weekStart);
      expect(each.filter((other) => other === number).length).toBeGreaterThanOrEqual(4);
    }),
  );
});

test('the strip comes to rest: where it is moved for a range, it stays', () => {
  fc.assert(
    fc.property(
      days,
      fc.integer({ min: 1, max: 400 }),
      fc.integer({ min: 3, max: 20 }),
      days,
      (first, length, weeks, shownNow) => {
        const asked = { first, last: first + length - 1 };
        const once = firstWeekFor(shownNow - (weekdayOf(shownNow) - 1), weeks, asked, 1);
        expect(firstWeekFor(once, weeks, asked, 1)).toBe(once);
      },
    ),
  );
});
