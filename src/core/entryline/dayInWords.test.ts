import { dateString, parseDate } from '../time/civil';
import { dayInWords } from './dayInWords';

const today = parseDate('2027-03-09');
const read = (text: string) => {
  const day = dayInWords(text, today);
  return day === undefined ? undefined : dateString(day);
};

test.each([
  ['tomorrow', '2027-03-10'],
  ['12 April', '2027-04-12'],
  ['april 12 2028', '2028-04-12'],
  ['friday', '2027-03-12'],
  ['in 3 weeks', '2027-03-30'],
  ['2027-06-01', '2027-06-01'],
  ['week 14', '2027-04-05'],
  ['w1 2028', '2028-01-03'],
  ['2029', '2029-01-01'],
  ['day after tomorrow', '2027-03-11'],
  ['the day before yesterday', '2027-03-07'],
  ['last Monday', '2027-03-08'],
  ['last tuesday', '2027-03-02'],
  ['last Friday of June', '2027-06-25'],
  ['first Monday in May', '2027-05-03'],
  ['first Monday in March', '2028-03-06'],
  ['second tue in may 2028', '2028-05-09'],
  ['12/04/2027', '2027-04-12'],
  ['12.4.', '2027-04-12'],
  ['1/2', '2028-02-01'],
  ['on 3 May', '2027-05-03'],
])('“%s” is %s', (text, expected) => {
  expect(read(text)).toBe(expected);
});

test('numbers are read in the order of the region', () => {
  expect(dateString(dayInWords('12/04/2027', today, false)!)).toBe('2027-12-04');
  expect(dateString(dayInWords('12.04.2027', today, false)!)).toBe('2027-04-12');
});

test.each([
  '',
  'lamp oil',
  '2027-02-30',
  'week 60',
  '31/04/2027',
  'fifth Monday of May 2027x',
  '3 May to 7 May',
  'tomorrow week lamp',
])('“%s” names no day', (text) => {
  expect(read(text)).toBeUndefined();
});
