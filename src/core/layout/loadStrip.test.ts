import fc from 'fast-check';
import { parseDate, weekdayOf } from '../time/civil';
import { blocksOf, BLOCK_WEEKS, dayAtX, firstWeekFor, spanInStrip, weeksIn } from './loadStrip';

const MONDAY = parseDate('2027-03-08');

test('a wide strip shows thirteen weeks, a phone five, and none fewer than three', () => {
  expect(weeksIn(856)).toBe(13);
  expect(weeksIn(374)).toBe(5);
  expect(weeksIn(100)).toBe(3);
});

test('the strip stays where it is while the shown days lie in it, and goes no further than it must', () => {
  const week = { first: MONDAY, last: MONDAY + 6 };
  const shown = firstWeekFor(undefined, 13, week, 1);
  expect(shown).toBe(MONDAY - 28);
  expect(firstWeekFor(shown, 13, { first: MONDAY + 7, last: MONDAY + 13 }, 1)).toBe(shown);
  const later = { first: MONDAY + 70, last: MONDAY + 76 };
  expect(firstWeekFor(shown, 13, later, 1)).toBe(MONDAY + 70 + 7 - 7 * 12);
  expect(firstWeekFor(shown, 13, { first: MONDAY - 35, last: MONDAY - 29 }, 1)).toBe(MONDAY - 42);
});

test('whatever is shown and wherever one goes, the shown days lie in the strip', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 3, max: 20 }),
      fc.integer({ min: -4000, max: 4000 }),
      fc.integer({ min: -4000, max: 4000 }),
      fc.integer({ min: 0, max: 13 }),
      (weeks, from, to, length) => {
        const shown = firstWeekFor(undefined, weeks, { first: from, last: from }, 1);
        const first = firstWeekFor(shown, weeks, { first: to, last: to + length }, 1);
        expect(weekdayOf(first)).toBe(1);
        expect(first).toBeLessThanOrEqual(to);
        expect(to).toBeLessThan(first + weeks * 7);
        if (weeks > 3) expect(to + length).toBeLessThan(first + weeks * 7);
      },
    ),
  );
});

test('pixels and days say the same', () => {
  expect(dayAtX(0, 700, MONDAY, 10)).toBe(MONDAY);
  expect(dayAtX(699, 700, MONDAY, 10)).toBe(MONDAY + 69);
  expect(dayAtX(-5, 700, MONDAY, 10)).toBe(MONDAY);
  expect(dayAtX(9999, 700, MONDAY, 10)).toBe(MONDAY + 69);
  expect(spanInStrip(MONDAY + 7, MONDAY + 14, 700, MONDAY, 10)).toEqual({ left: 70, width: 70 });
  expect(spanInStrip(MONDAY - 7, MONDAY + 1, 700, MONDAY, 10)).toEqual({ left: 0, width: 10 });
  expect(spanInStrip(MONDAY - 7, MONDAY, 700, MONDAY, 10)).toBeUndefined();
});

test('blocks hold every day of the strip, and are the same for neighbouring ones', () => {
  for (let shift = 0; shift < 60; shift++) {
    const first = MONDAY + shift;
    const blocks = blocksOf(first, 6);
    expect(blocks[0]).toBeLessThanOrEqual(first);
    expect(blocks.at(-1)! + BLOCK_WEEKS * 7).toBeGreaterThanOrEqual(first + 42);
    expect(blocks.every((block) => weekdayOf(block) === 1)).toBe(true);
  }
});
