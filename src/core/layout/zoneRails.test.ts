import { HOUR, localString, parseDate } from '../time/civil';
import { hoursInZone } from '../time/workingPattern';
import { dateChange, differenceChange, railLines } from './zoneRails';

const HOME = 'Europe/Lisbon';
const TUESDAY = parseDate('2027-03-09');

test('a rail says what its clock shows at each hour of the view, to the half hour', () => {
  const lines = railLines(HOME, 'America/St_Johns', TUESDAY, [480, 540]);
  expect(lines.map(({ wall }) => localString(wall).slice(5, 16))).toEqual(['03-09T04:30', '03-09T05:30']);
});

test('where the date changes is found to the minute, and only where it is shown', () => {
  expect(dateChange(HOME, 'Asia/Tokyo', TUESDAY, 0, 1440)).toEqual({ minute: 900, day: TUESDAY + 1 });
  expect(dateChange(HOME, 'Asia/Kathmandu', TUESDAY, 0, 1440)).toEqual({ minute: 1095, day: TUESDAY + 1 });
  expect(dateChange(HOME, 'Asia/Tokyo', TUESDAY, 480, 840)).toBeUndefined();
  expect(dateChange(HOME, 'America/Halifax', TUESDAY, 480, 1080)).toBeUndefined();
});

test('a week in which one of two clocks changes says from when on they differ otherwise', () => {
  const week = (first: string) => Array.from({ length: 7 }, (_, index) => parseDate(first) + index);
  // Halifax changes on 14 March, Lisbon on 28 March.
  expect(differenceChange(HOME, 'America/Halifax', week('2027-03-08'))).toEqual({
    day: parseDate('2027-03-14'),
    by: HOUR,
  });
  expect(differenceChange(HOME, 'America/Halifax', week('2027-03-15'))).toBeUndefined();
  expect(differenceChange(HOME, 'America/Halifax', week('2027-03-22'))).toEqual({
    day: parseDate('2027-03-28'),
    by: -HOUR,
  });
});

test('working hours seen from elsewhere, and all hours where they reach over midnight there', () => {
  const hours = { from: 480, to: 1080 };
  expect(hoursInZone(hours, HOME, HOME, TUESDAY)).toBe(hours);
  expect(hoursInZone(hours, HOME, 'America/Halifax', TUESDAY)).toEqual({ from: 240, to: 840 });
  expect(hoursInZone(hours, HOME, 'Asia/Kolkata', TUESDAY)).toEqual({ from: 780, to: 1440 });
  expect(hoursInZone(hours, HOME, 'Asia/Tokyo', TUESDAY)).toEqual({ from: 0, to: 1440 });
});
