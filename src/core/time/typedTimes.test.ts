import fc from 'fast-check';
import { dateString, parseDate } from './civil';
import { typedDay, typedTime, type WritingHabits } from './typedTimes';

/** The habits of a region, as Intl tells them. */
function habitsOf(locale: string, order: WritingHabits['order']): WritingHabits {
  const name = (options: Intl.DateTimeFormatOptions, instant: number) =>
    new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' })
      .format(instant)
      .toLowerCase()
      .replaceAll('.', '');
  return {
    order,
    months: Array.from({ length: 12 }, (_, month) =>
      (['long', 'short'] as const).map((month_) => name({ month: month_ }, Date.UTC(2027, month, 1))),
    ),
    weekdays: Array.from({ length: 7 }, (_, day) =>
      (['long', 'short'] as const).map((weekday) => name({ weekday }, Date.UTC(2027, 2, 1 + day))),
    ).flat(),
    halves: [['am'], ['pm']],
  };
}
const british = habitsOf('en-GB', 'dmy');
const american = habitsOf('en-US', 'mdy');
const swedish = habitsOf('sv-SE', 'ymd');
const near = parseDate('2027-03-09');
const said = (text: string, habits = british) => {
  const day = typedDay(text, near, habits);
  return day === undefined ? undefined : dateString(day);
};

test.each([
  ['9/3/2027', '2027-03-09'],
  ['09.03.27', '2027-03-09'],
  ['2027-3-9', '2027-03-09'],
  ['Tue, 9 Mar 2027', '2027-03-09'],
  ['Monday 9 march 2027', '2027-03-09'],
  ['March 9, 2027', '2027-03-09'],
  ['9th of March', '2027-03-09'],
  ['9 sept', '2026-09-09'],
  ['12', '2027-03-12'],
  ['4/12', '2026-12-04'],
  ['29 feb 2028', '2028-02-29'],
  ['2028 mar 1', '2028-03-01'],
])('%s is %s where the day comes first', (text, date) => expect(said(text)).toBe(date));

test.each([
  '',
  '31/04/2027',
  '9 Mar 9 Apr',
  'soon',
  '9 ma',
  '1/2/3/4',
  '9/3/207',
  '29 feb 2027',
  '32',
  '9:30',
  '9 march 123456',
])('%s is no date yet', (text) => expect(said(text)).toBeUndefined());

test('the order of numbers is the person’s', () => {
  expect(said('3/9/2027', american)).toBe('2027-03-09');
  expect(said('4/12', american)).toBe('2027-04-12');
  expect(said('27-03-09', swedish)).toBe('2027-03-09');
  expect(said('tis 9 mars 2027', swedish)).toBe('2027-03-09');
});

test('what a field shows is read back as the same day, in every region', () => {
  const regions: [string, WritingHabits['order']][] = [
    ['en-GB', 'dmy'],
    ['en-US', 'mdy'],
    ['sv-SE', 'ymd'],
    ['de-DE', 'dmy'],
    ['fr-FR', 'dmy'],
    ['pt-PT', 'dmy'],
  ];
  fc.assert(
    fc.property(
      fc.constantFrom(...regions),
      fc.integer({ min: -10_000, max: 60_000 }),
      fc.integer({ min: -10_000, max: 60_000 }),
      ([locale, order], day, other) => {
        const shown = new Intl.DateTimeFormat(locale, {
          weekday: 'short',
          day: 'numeric',
          month: 'short',
          year: 'numeric',
          timeZone: 'UTC',
        }).format(day * 86_400_000);
        expect(typedDay(shown, other, habitsOf(locale, order))).toBe(day);
        expect(typedDay(dateString(day), other, habitsOf(locale, order))).toBe(day);
      },
    ),
    { numRuns: 300 },
  );
});

test.each([
  ['9', 540],
  ['9:30', 570],
  ['0930', 570],
  ['930', 570],
  ['14.05', 845],
  ['14h', 840],
  ['14h30', 870],
  ['2 pm', 840],
  ['2:30 p.m.', 870],
  ['12am', 0],
  ['12 pm', 720],
  ['230p', 870],
  ['23:59', 1439],
  ['9:', 540],
])('%s is %s minutes after midnight', (text, minutes) => expect(typedTime(text, british)).toBe(minutes));

test.each(['', '24:00', '9:60', '13 pm', '0 am', 'noonish', '9:3', '12345', '-1'])(
  '%s is no time yet',
  (text) => expect(typedTime(text, british)).toBeUndefined(),
);

test('whatever is typed, a field reads a day and a time or none', () => {
  fc.assert(
    fc.property(fc.string(), (text) => {
      const day = typedDay(text, near, british);
      expect(day === undefined || Number.isInteger(day)).toBe(true);
      const time = typedTime(text, british);
      expect(time === undefined || (time >= 0 && time < 1440)).toBe(true);
    }),
  );
});
