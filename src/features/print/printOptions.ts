import type { PaperName } from '@/core/layout/paper';
import { addMonths, type DayRange, monthOf, wholeWeeks } from '@/core/layout/views';
import type { ViewName } from '@/core/model/look';
import { startOfWeek } from '@/core/time/civil';

/** What can be printed. */
export const PRINT_LAYOUTS = ['day', 'workdays', 'week', 'weeks', 'agenda', 'table'] as const;
export type PrintLayout = (typeof PRINT_LAYOUTS)[number];

/** How it is printed. Minutes of the day; days as day numbers, half-open. */
export interface PrintOptions {
  readonly layout: PrintLayout;
  readonly range: DayRange;
  readonly fromMinute: number;
  readonly toMinute: number;
  readonly notes: boolean;
  readonly smallMonths: boolean;
  readonly blackAndWhite: boolean;
  readonly paper: PaperName;
  readonly isAcross: boolean;
}

/** The layout that fits a view. */
export function layoutOfView(view: ViewName): PrintLayout {
  switch (view) {
    case 'day':
    case 'lanes':
      return 'day';
    case 'workdays':
      return 'workdays';
    case 'days':
    case 'week':
      return 'week';
    case 'weeks':
    case 'year':
      return 'weeks';
    case 'agenda':
      return 'agenda';
  }
}

/** Layouts that stand better on paper laid across. */
export const isAcrossAtFirst = (layout: PrintLayout): boolean =>
  layout === 'workdays' || layout === 'week' || layout === 'weeks';

/** The most days that are printed at once. */
export const MOST_DAYS = 371;
/** The most weeks on one page. */
const WEEKS_ON_PAGE = 6;

/** The range of days of each page of a layout; one range in all where pages are filled as they come. */
export function pageRanges(layout: PrintLayout, range: DayRange, weekStart: number): DayRange[] {
  const days = { first: range.first, end: Math.min(range.end, range.first + MOST_DAYS) };
  const ranges: DayRange[] = [];
  switch (layout) {
    case 'day':
      for (let day = days.first; day < days.end; day++) ranges.push({ first: day, end: day + 1 });
      return ranges;
    case 'workdays':
    case 'week':
      for (let week = startOfWeek(days.first, weekStart); week < days.end; week += 7)
        ranges.push({ first: week, end: week + 7 });
      return ranges;
    case 'weeks': {
      const { first, end } = wholeWeeks(days, weekStart);
      const count = Math.ceil((end - first) / 7 / WEEKS_ON_PAGE);
      // As even as can be: eight weeks are four and four.
      const each = Math.ceil((end - first) / 7 / count) * 7;
      for (let week = first; week < end; week += each)
        ranges.push({ first: week, end: Math.min(end, week + each) });
      return ranges;
    }
    case 'agenda':
    case 'table':
      return [days];
  }
}

/** A range as long as a layout usually takes, from a day on. */
export function rangeForLayout(layout: PrintLayout, day: number, weekStart: number): DayRange {
  switch (layout) {
    case 'day':
      return { first: day, end: day + 1 };
    case 'workdays':
    case 'week':
      return wholeWeeks({ first: day, end: day + 1 }, weekStart);
    case 'weeks':
    case 'table':
      return monthOf(day);
    case 'agenda':
      return { first: day, end: addMonths(day, 1) };
  }
}
