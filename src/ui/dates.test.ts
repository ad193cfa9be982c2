import fc from 'fast-check';
import {
  briefOffsetText,
  hourText,
  lengthText,
  offsetText,
  rangeText,
  timeRangeText,
  timeText,
  usualTimeText,
  weekLabelText,
  writesTwelveHours,
  writeTimesBy,
} from './dates';
import { DAY, HOUR, MINUTE } from '@/core/time/civil';

const tuesday = Date.UTC(2027, 2, 9) / DAY;
const plain = (text: string) => text.replaceAll(/[\u00a0\u202f]/g, ' ');

afterEach(() => writeTimesBy(undefined));

test('times are written as is usual in the language and region', () => {
  expect(timeText(14 * HOUR)).toBe('14:00');
  expect(hourText(8 * HOUR)).toBe(timeText(8 * HOUR));
  expect(timeRangeText(14 * HOUR, 15 * HOUR)).toBe('14:00–15:00');
  expect(writesTwelveHours()).toBe(false);
});

test('by a clock of twelve hours, morning and afternoon are said, once where both ends share it', () => {
  writeTimesBy('h12');
  expect(writesTwelveHours()).toBe(true);
  expect(plain(timeText(14 * HOUR))).toBe('2:00 pm');
  expect(plain(timeText(0))).toBe('12:00 am');
  expect(plain(hourText(14 * HOUR))).toBe('2 pm');
  expect(plain(hourText(14.5 * HOUR))).toBe('2:30 pm');
  expect(plain(timeRangeText(14 * HOUR, 15.5 * HOUR))).toBe('2:00–3:30 pm');
  expect(plain(timeRangeText(11 * HOUR, 13 * HOUR))).toBe('11:00 am–1:00 pm');
  // Over midnight no date comes in between.
  expect(plain(timeRangeText(22 * HOUR, 26 * HOUR))).toBe('10:00 pm–2:00 am');
  expect(usualTimeText(14 * HOUR)).toBe('14:00');
});

test('no line breaks within a time, and a clock that is chosen anew holds for every text', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 1439 }),
      fc.integer({ min: 1, max: 1439 }),
      fc.constantFrom('h12' as const, 'h23' as const),
      (minute, length, clock) => {
        writeTimesBy(clock);
        const start = tuesday * DAY + minute * MINUTE;
        for (const text of [
          timeText(start),
          hourText(start),
          timeRangeText(start, start + length * MINUTE),
        ]) {
          expect(text).not.toMatch(/[ \n]/);
          expect(/[ap]m/i.test(text)).toBe(clock === 'h12');
        }
      },
    ),
  );
});

test('ranges of days are as short as they can be', () => {
  expect(rangeText(tuesday - 1, tuesday + 3, true)).toBe('8–12 March 2027');
  expect(rangeText(tuesday, tuesday + 30, false)).toBe('9 Mar–8 Apr');
  expect(rangeText(tuesday, tuesday, false)).toBe('Tue 9 March');
  expect(weekLabelText(tuesday - 1, false)).toBe('8');
  expect(weekLabelText(tuesday - 8, false)).toBe('1 Mar');
});

test('lengths and differences of clocks', () => {
  expect(lengthText(90 * MINUTE)).toBe('1 h 30');
  expect(lengthText(45 * MINUTE)).toBe('45 min');
  expect(lengthText(2 * HOUR)).toBe('2 h');
  expect(offsetText(-30 * MINUTE)).toBe('−30 min');
  expect(briefOffsetText(-4 * HOUR)).toBe('−4');
  expect(briefOffsetText(5.75 * HOUR)).toBe('+5:45');
});
