import type { ViewName } from '../model/look';
import { startOfWeek, weekdayOf } from '../time/civil';
import { isWorkingWeekday } from '../time/workingPattern';
import {
  addMonths,
  type DayRange,
  monthOf,
  type ViewRange,
  type WeekHabits,
  wholeWeeks,
  yearOf,
} from './views';

/** What there is to say of a view, apart from how it is drawn. */
export interface ViewDescriptor {
  /** Whether its hours run down, so that they can be folded, railed and stepped through. */
  readonly hasHours: boolean;
  /** Whether it is about a range (a month, a period), of which it may show more days than that. */
  readonly isAboutRange: boolean;
  /** Whether it asks for its days itself, as far as it is scrolled. */
  readonly asksItself: boolean;
  /** Whether a jump to another week keeps the weekday of the selected day. */
  readonly keepsWeekday: boolean;
  /** Whether its title says one day. */
  readonly isOneDay: boolean;
  /** The days that it is about, without a period. */
  readonly range: (range: ViewRange, habits: WeekHabits) => DayRange;
  /** The day numbers that it shows of what it is about, ascending. */
  readonly days: (about: DayRange, range: ViewRange, habits: WeekHabits, period?: DayRange) => number[];
  /** The selected day after a step. */
  readonly step: (range: ViewRange, direction: 1 | -1, habits: WeekHabits, wanted?: number) => number;
}

/** How many days of *Agenda* a step passes over. */
const AGENDA_STEP = 7;

const daysFrom = (first: number, count: number): number[] =>
  Array.from({ length: count }, (_, index) => first + index);
const all = ({ first, end }: DayRange): number[] => daysFrom(first, end - first);
/** Of days, those that are worked; all of them if none is. */
const working = (days: number[], { workingPattern }: WeekHabits): number[] => {
  const left = days.filter((shown) => isWorkingWeekday(workingPattern, weekdayOf(shown)));
  return left.length > 0 ? left : days;
};
const kept = (days: number[], { weekends }: ViewRange, habits: WeekHabits): number[] =>
  weekends ? days : working(days, habits);
const weekOf = (day: number, weekStart: number): DayRange =>
  wholeWeeks({ first: day, end: day + 1 }, weekStart);

const plain = {
  hasHours: false,
  isAboutRange: false,
  asksItself: false,
  keepsWeekday: false,
  isOneDay: false,
} as const;

const oneDay = {
  ...plain,
  isOneDay: true,
  range: ({ day }: ViewRange) => ({ first: day, end: day + 1 }),
  days: all,
  step: ({ day }: ViewRange, direction: 1 | -1) => day + direction,
};

const oneWeek = {
  ...plain,
  hasHours: true,
  keepsWeekday: true,
  range: ({ day }: ViewRange, { weekStart }: WeekHabits) => weekOf(day, weekStart),
  step: ({ day }: ViewRange, direction: 1 | -1) => day + 7 * direction,
};

/** As many days as asked for from a day on: without weekends, they reach further. */
const soManyDays = (range: ViewRange, habits: WeekHabits): number[] => {
  const { day, dayCount, weekends } = range;
  return weekends
    ? daysFrom(day, dayCount)
    : kept(daysFrom(day, dayCount * 4 + 7), range, habits).slice(0, dayCount);
};

/** The views, each with what is said of it. One that is added to the model has to be added here. */
export const VIEW_DESCRIPTORS: Readonly<Record<ViewName, ViewDescriptor>> = {
  day: { ...oneDay, hasHours: true },
  lanes: oneDay,
  days: {
    ...plain,
    hasHours: true,
    range: (range, habits) => {
      const days = soManyDays(range, habits);
      return { first: days[0]!, end: days.at(-1)! + 1 };
    },
    days: (about, range, habits, period) =>
      period ? kept(all(about), range, habits) : soManyDays(range, habits),
    step: (range, direction, habits) => {
      const { day, dayCount, weekends } = range;
      if (weekends) return day + direction * dayCount;
      const days = soManyDays(range, habits);
      if (direction === 1) return days.at(-1)! + 1;
      let first = days[0]!;
      for (let left = dayCount; left > 0 && day - first < 70;)
        if (isWorkingWeekday(habits.workingPattern, weekdayOf(--first))) left--;
      return first;
    },
  },
  workdays: { ...oneWeek, days: (about, _, habits) => working(all(about), habits) },
  week: { ...oneWeek, days: (about, range, habits) => kept(all(about), range, habits) },
  weeks: {
    ...plain,
    isAboutRange: true,
    keepsWeekday: true,
    range: ({ day, weekCount }, { weekStart }) => {
      if (weekCount === 0) return monthOf(day);
      const first = startOfWeek(day, weekStart);
      return { first, end: first + 7 * weekCount };
    },
    days: (about, range, habits) => kept(all(wholeWeeks(about, habits.weekStart)), range, habits),
    step: ({ day, weekCount }, direction, _, wanted) =>
      weekCount === 0 ? addMonths(day, direction, wanted) : day + direction * 7 * weekCount,
  },
  year: {
    ...plain,
    isAboutRange: true,
    asksItself: true,
    range: ({ day }) => yearOf(day),
    // A period is marked in its year, of which all days are shown.
    days: (_, { day }) => all(yearOf(day)),
    step: ({ day }, direction, _, wanted) => addMonths(day, 12 * direction, wanted),
  },
  agenda: {
    ...plain,
    isAboutRange: true,
    asksItself: true,
    range: ({ day }) => ({ first: day, end: day + AGENDA_STEP }),
    days: all,
    step: ({ day }, direction) => day + direction * AGENDA_STEP,
  },
};

/** The days that a view is about: the period where it shows one, else what it is about by itself. */
export const rangeOf = (range: ViewRange, habits: WeekHabits, period?: DayRange): DayRange =>
  period ?? VIEW_DESCRIPTORS[range.view].range(range, habits);

/**
 * The shown day numbers, ascending.
 * @param period the period that is shown in place of days, weeks, month or agenda, if any. A year shows all its days.
 */
export const shownDays = (range: ViewRange, habits: WeekHabits, period?: DayRange): number[] =>
  VIEW_DESCRIPTORS[range.view].days(rangeOf(range, habits, period), range, habits, period);

/**
 * The same range a step later or earlier: by as many days as it shows, weeks by weeks, months by months.
 * @param wanted the day of the month that steps by months come back to
 */
export const stepRange = <Range extends ViewRange>(
  range: Range,
  direction: 1 | -1,
  habits: WeekHabits,
  wanted?: number,
): Range => ({ ...range, day: VIEW_DESCRIPTORS[range.view].step(range, direction, habits, wanted) });
