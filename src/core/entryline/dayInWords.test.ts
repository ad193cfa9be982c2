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
])('“%s” is %s', (text, expected) => {
  expect(read(text)).toBe(expected);
});

test.each(['', 'lamp oil', '2027-02-30', 'week 60'])('“%s” names no day', (text) => {
  expect(read(text)).toBeUndefined();
});
