import type { Entry } from '../model/entry';
import type { PeriodRule } from '../model/periodSet';
import { periodAt, periodBeside } from '../time/periods';
import { type DayRange, HOURS_BY, HOURS_STEPS, type HoursBy, type HoursStep } from './hours/hoursQuery';
import { civilDate, dayNumber, daysInMonth, startOfWeek } from '../time/civil';
import {
  TABLE_COLUMNS,
  TABLE_GROUPINGS,
  type TableColumn,
  type TableGrouping,
  type TableSort,
} from './table/tableQuery';

/** The parts of Tidy. */
export const TIDY_PARTS = ['entries', 'checks', 'hours', 'bin', 'history'] as const;
export type TidyPart = (typeof TIDY_PARTS)[number];

/** Which time the table is about: so much of it around a day, a period of a set, or all. */
export const SPANS = ['week', 'four', 'month', 'quarter', 'year', 'period', 'all'] as const;
export type Span = (typeof SPANS)[number];

/** How Tidy looks at the entries, beside what Plan's filter leaves out. */
export interface TidyLook {
  readonly part: TidyPart;
  /** The search line. */
  readonly find: string;
  readonly span: Span;
  /** Only entries of a kind; all without. */
  readonly kind?: Entry['kind'];
  readonly as: 'entries' | 'occurrences';
  readonly sort: readonly TableSort[];
  readonly group?: TableGrouping;
  /** What hours are told apart by, and over which columns; without, as fits the time. */
  readonly by: HoursBy;
  readonly step?: HoursStep;
  /** Whether checks look through everything, or through what the table shows. */
  readonly among: 'all' | 'table';
}

export const initialTidyLook: TidyLook = {
  part: 'entries',
  find: '',
  span: 'four',
  as: 'entries',
  sort: [{ column: 'start', descending: false }],
  by: 'calendar',
  among: 'all',
};

/** The parameters of an address that say how Tidy looks. */
export const TIDY_PARAMETERS = [
  'part',
  'find',
  'span',
  'kind',
  'as',
  'sort',
  'group',
  'by',
  'step',
  'among',
] as const;
export type TidyParameters = Readonly<Partial<Record<(typeof TIDY_PARAMETERS)[number], string | undefined>>>;

const KINDS: readonly Entry['kind'][] = ['event', 'todo'];

const among = <Value extends string>(values: readonly Value[], text: string | undefined): Value | undefined =>
  values.find((value) => value === text);

const readSort = (text = ''): TableSort[] =>
  text.split(',').flatMap((part): TableSort[] => {
    const column = among<TableColumn>(TABLE_COLUMNS, part.replace(/^-/, ''));
    return column ? [{ column, descending: part.startsWith('-') }] : [];
  });

/** The look that an address says; what it does not say, or says wrongly, is as at first. */
export function readTidyLook(parameters: TidyParameters): TidyLook {
  const sort = readSort(parameters.sort);
  const kind = among(KINDS, parameters.kind);
  const group = among(TABLE_GROUPINGS, parameters.group);
  const step = among(HOURS_STEPS, parameters.step);
  return {
    part: among(TIDY_PARTS, parameters.part) ?? initialTidyLook.part,
    find: parameters.find ?? '',
    span: among(SPANS, parameters.span) ?? initialTidyLook.span,
    ...(kind ? { kind } : {}),
    as: parameters.as === 'occurrences' ? 'occurrences' : 'entries',
    sort: sort.length > 0 ? sort : initialTidyLook.sort,
    ...(group ? { group } : {}),
    by: among(HOURS_BY, parameters.by) ?? initialTidyLook.by,
    ...(step ? { step } : {}),
    among: parameters.among === 'table' ? 'table' : 'all',
  };
}

/** The parameters that say a look; undefined for those that need no saying. */
export function writeTidyLook(look: TidyLook): TidyParameters {
  const sort = look.sort.map(({ column, descending }) => `${descending ? '-' : ''}${column}`).join(',');
  const unless = (text: string, initial: string): string | undefined => (text === initial ? undefined : text);
  return {
    part: unless(look.part, initialTidyLook.part),
    find: unless(look.find, ''),
    span: unless(look.span, initialTidyLook.span),
    kind: look.kind,
    as: unless(look.as, initialTidyLook.as),
    sort: unless(sort, 'start'),
    group: look.group,
    by: unless(look.by, initialTidyLook.by),
    step: look.step,
    among: unless(look.among, initialTidyLook.among),
  };
}

const MONTHS = { month: 1, quarter: 3, year: 12 } as const;

/**
 * The days of a span around a day, half-open; undefined for all time.
 * @param rule of the period set whose period holds the day; without one, its month stands for it
 */
export function daysOfSpan(
  span: Span,
  day: number,
  weekStart: number,
  rule?: PeriodRule,
): DayRange | undefined {
  if (span === 'all') return undefined;
  if (span === 'week' || span === 'four') {
    const first = startOfWeek(day, weekStart);
    return { first, end: first + (span === 'week' ? 7 : 28) };
  }
  const period = span === 'period' && rule ? periodAt(rule, day) : undefined;
  if (period) return { first: period.first, end: period.end };
  const months = MONTHS[span === 'period' ? 'month' : span];
  const { year, month } = civilDate(day);
  const from = month - ((month - 1) % months);
  const last = from + months - 1;
  return { first: dayNumber(year, from, 1), end: dayNumber(year, last, daysInMonth(year, last)) + 1 };
}

/** A day of the span before or after that of a day; the day itself where there is no other. */
export function dayOfNextSpan(
  span: Span,
  day: number,
  weekStart: number,
  by: 1 | -1,
  rule?: PeriodRule,
): number {
  const period = span === 'period' && rule ? periodAt(rule, day) : undefined;
  if (rule && period) return periodBeside(rule, period, by)?.first ?? day;
  const days = daysOfSpan(span, day, weekStart);
  if (!days) return day;
  return by === 1 ? days.end : days.first - (span === 'four' ? 28 : 1);
}

/** The steps that a time of so many days can be looked at by: as many columns as say something. */
export const stepsFor = (days: number): HoursStep[] =>
  HOURS_STEPS.filter((step) =>
    step === 'day' ? days <= 31 : step === 'week' ? days > 7 && days <= 400 : days > 31,
  );

/** The step that fits a time, where none is chosen or the chosen one does not. */
export function stepFor(days: number, chosen: HoursStep | undefined): HoursStep {
  const steps = stepsFor(days);
  if (chosen && steps.includes(chosen)) return chosen;
  return days <= 7 ? 'day' : days <= 100 ? 'week' : 'month';
}
