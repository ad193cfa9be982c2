import fc from 'fast-check';
import { clockOfMinute, clockOfWall, minuteOfClock } from './clockTime';
import { MINUTE } from './civil';

test('each minute of a day is said and read back, whatever day it is counted from', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: -3, max: 3 }), (minute, days) => {
      const said = clockOfMinute(minute + days * 1440);
      expect(said).toMatch(/^\d\d:\d\d$/);
      expect(minuteOfClock(said)).toBe(minute);
      expect(clockOfWall((minute + days * 1440) * MINUTE)).toBe(said);
    }),
  );
});

test.each(['', '9:00', '24:00', '12:60', '12:5', 'noon', '12:00 '])('“%s” is no time of day', (text) => {
  expect(minuteOfClock(text)).toBeUndefined();
});
