import fc from 'fast-check';
import { parseDate } from '../time/civil';
import { fairHeights, paginate, sheetSize } from './paper';
import { loadLevel, layoutYear, monthGrid } from './yearMonths';

test('every block is on one page, in order, whole, and no heading stands last', () => {
  const blocks = fc.array(
    fc.record({ height: fc.integer({ min: 5, max: 140 }), keepsWithNext: fc.boolean() }),
    { maxLength: 60 },
  );
  fc.assert(
    fc.property(blocks, (all) => {
      const pages = paginate(all, 300);
      expect(
        pages.flatMap(({ from, to }) => Array.from({ length: to - from }, (_, index) => from + index)),
      ).toEqual(all.map((_, index) => index));
      pages.forEach(({ from, to }, page) => {
        const height = all.slice(from, to).reduce((sum, block) => sum + block.height, 0);
        if (to - from > 1) expect(height).toBeLessThanOrEqual(300);
        const isLast = page === pages.length - 1;
        const onlyHeadings = all.slice(from, to).every(({ keepsWithNext }) => keepsWithNext);
        if (!isLast && !onlyHeadings) expect(all[to - 1]!.keepsWithNext).toBe(false);
      });
    }),
  );
});

test('a block that is higher than a page has one to itself', () => {
  const pages = paginate([{ height: 50 }, { height: 900 }, { height: 50 }], 300);
  expect(pages).toEqual([
    { from: 0, to: 1 },
    { from: 1, to: 2 },
    { from: 2, to: 3 },
  ]);
});

test('paper has its size at 96 pixels to the inch, upright and across', () => {
  expect(sheetSize('A4', false)).toMatchObject({ width: 793, height: 1122 });
  expect(sheetSize('Letter', true)).toMatchObject({ width: 1056, height: 816 });
});

test('a month is a grid of weeks that holds each of its days once', () => {
  const { weeks } = monthGrid(2027, 3, 1);
  expect(weeks).toHaveLength(5);
  expect(weeks[0]![0]).toBe(parseDate('2027-03-01'));
  expect(weeks.flat().filter((day) => day !== undefined)).toHaveLength(31);
  expect(monthGrid(2027, 2, 7).weeks[0]!.filter((day) => day !== undefined)).toHaveLength(6);
});

test('months stand in even rows', () => {
  const sizes = { month: 172, columnGap: 0, rowGap: 16, head: 44, week: { least: 27, most: 38 } };
  const columns = (width: number, height: number) => layoutYear(width, height, sizes).columns;
  // Too low for all of them: as many as fit side by side.
  expect([2000, 1180, 700, 420, 300, 100].map((width) => columns(width, 300))).toEqual([6, 6, 4, 2, 1, 1]);
  // Higher: fewer, and larger, as long as all are seen at once.
  expect(columns(1180, 660)).toBe(4);
  expect(layoutYear(1180, 560, sizes)).toEqual({ columns: 6, monthWidth: 196, weekHeight: 38 });
  expect(layoutYear(1180, 470, sizes).weekHeight).toBe(30);
});

test('a day is as full as its booked share, and over where entries take more than its hours', () => {
  const level = (booked: number, working = 450, total = booked) => loadLevel({ booked, working, total });
  expect([0, 60, 200, 300, 450].map((booked) => level(booked))).toEqual([
    'none',
    'under-quarter',
    'half',
    'three-quarters',
    'full',
  ]);
  expect(level(450, 450, 500)).toBe('over');
  expect(level(0, 0, 60)).toBe('over');
  expect(level(0, 0, 0)).toBe('none');
});

test('rows share a page: all of it, as they need, and none that needs more has less', () => {
  expect(fairHeights([100, 20, 30], 300)).toEqual([150, 70, 80]);
  expect(fairHeights([100, 20, 200], 150)).toEqual([65, 20, 65]);
  const needs = fc.array(fc.integer({ min: 1, max: 400 }), { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(needs, fc.integer({ min: 50, max: 1000 }), (rows, total) => {
      const heights = fairHeights(rows, total);
      expect(heights.reduce((sum, height) => sum + height, 0)).toBeCloseTo(total, 6);
      const isEnough = rows.reduce((sum, need) => sum + need, 0) <= total;
      rows.forEach((need, row) => {
        if (isEnough) expect(heights[row]).toBeGreaterThanOrEqual(need);
        rows.forEach((other, at) => {
          if (other > need) expect(heights[at]! + 1e-6).toBeGreaterThanOrEqual(heights[row]!);
        });
      });
    }),
  );
});
