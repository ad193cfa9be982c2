import fc from 'fast-check';
import { dateString, parseDate, weekdayOf } from '@/core/time/civil';
import { VIEWS } from '@/core/model/look';
import {
  isAcrossAtFirst,
  layoutOfView,
  MOST_DAYS,
  pageRanges,
  PRINT_LAYOUTS,
  rangeForLayout,
} from './printOptions';

const tuesday = parseDate('2027-03-09');
const dates = ({ first, end }: { first: number; end: number }) => [dateString(first), dateString(end - 1)];

test('each view has a layout for paper', () => {
  expect(VIEWS.map(layoutOfView)).toEqual([
    'day',
    'week',
    'workdays',
    'week',
    'weeks',
    'weeks',
    'agenda',
    'day',
  ]);
  expect(PRINT_LAYOUTS.filter(isAcrossAtFirst)).toEqual(['workdays', 'week', 'weeks']);
});

test('a layout is about the days that it usually takes', () => {
  expect(dates(rangeForLayout('day', tuesday, 1))).toEqual(['2027-03-09', '2027-03-09']);
  expect(dates(rangeForLayout('workdays', tuesday, 1))).toEqual(['2027-03-08', '2027-03-14']);
  expect(dates(rangeForLayout('weeks', tuesday, 1))).toEqual(['2027-03-01', '2027-03-31']);
  expect(dates(rangeForLayout('agenda', tuesday, 1))).toEqual(['2027-03-09', '2027-04-08']);
});

test('five weeks are one page, eight are two of four', () => {
  const weeks = (first: string, count: number) =>
    pageRanges('weeks', { first: parseDate(first), end: parseDate(first) + 7 * count }, 1).map(
      ({ first: from, end }) => (end - from) / 7,
    );
  expect(weeks('2027-03-01', 5)).toEqual([5]);
  expect(weeks('2027-03-01', 8)).toEqual([4, 4]);
});

test('whatever is printed, the pages hold each of its days once, in order, and no more than a year of them', () => {
  const ranges = fc.tuple(fc.integer({ min: 15_000, max: 25_000 }), fc.integer({ min: 1, max: 600 }));
  const weekdays = fc.integer({ min: 1, max: 7 });
  fc.assert(
    fc.property(ranges, fc.constantFrom(...PRINT_LAYOUTS), weekdays, ([first, length], layout, weekStart) => {
      const pages = pageRanges(layout, { first, end: first + length }, weekStart);
      const asked = Math.min(length, MOST_DAYS);
      expect(pages[0]!.first).toBeLessThanOrEqual(first);
      expect(pages.at(-1)!.end).toBeGreaterThanOrEqual(first + asked);
      pages.slice(1).forEach((page, index) => expect(page.first).toBe(pages[index]!.end));
      if (layout === 'week' || layout === 'workdays' || layout === 'weeks')
        for (const page of pages)
          expect([weekdayOf(page.first), weekdayOf(page.end)]).toEqual([weekStart, weekStart]);
    }),
  );
});
