import { HUES } from '@/core/model/colour';
import type { Calendar } from '@/core/model/calendar';
import type { HoursAnswer, HoursBy, HoursQuery, HoursRow } from '@/core/tidy/hours/hoursQuery';
import { MINUTE } from '@/core/time/civil';
import { lengthText, monthText, shortMonthDayText, weekdayName } from '@/ui/dates';
import { hoursWords as said } from '@/ui/words/hours';
import type { Stacked } from './StackedBars';

/** A row with what it is called and drawn by. */
export interface NamedRow {
  readonly row: HoursRow;
  readonly name: string;
  readonly mark: string;
  readonly colour: string;
}

/** So many parts are drawn apart; what is left is one. */
const MOST_PARTS = 8;
const OTHERS = 'slate';
const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** The rows of an answer by their names: calendars have their own marks and colours, others a letter and a hue by turns. */
export function namedRows(
  { rows }: Pick<HoursAnswer, 'rows'>,
  by: HoursBy,
  calendars: ReadonlyMap<string, Calendar>,
): NamedRow[] {
  return rows.map((row, at) => {
    const calendar = by === 'calendar' ? calendars.get(row.key) : undefined;
    const name =
      by === 'calendar'
        ? (calendar?.name ?? said.none.calendar)
        : by === 'weekday'
          ? weekdayName(Number(row.key), 'long')
          : row.key || said.none[by];
    return {
      row,
      name,
      mark: calendar?.mark ?? LETTERS[at] ?? '·',
      colour: calendar?.colour ?? HUES[at % HUES.length]!,
    };
  });
}

/** What is stacked in the chart: the largest rows, the rest together. */
export function stackedParts(rows: readonly NamedRow[]): (Stacked & { readonly name: string })[] {
  const shown = rows.filter(({ row }) => row.minutes > 0);
  const own = shown.length > MOST_PARTS + 1 ? shown.slice(0, MOST_PARTS) : shown;
  const rest = shown.slice(own.length);
  const parts = own.map(({ row, name, mark, colour }) => ({
    key: `key ${row.key}`,
    name,
    mark,
    colour,
    values: row.columns,
  }));
  if (rest.length === 0) return parts;
  const values = rest[0]!.row.columns.map((_, at) =>
    rest.reduce((sum, { row }) => sum + row.columns[at]!, 0),
  );
  return [...parts, { key: 'others', name: said.others(rest.length), mark: '…', colour: OTHERS, values }];
}

/** Minutes in words. */
export const length = (minutes: number): string => lengthText(minutes * MINUTE);
/** A figure of a table: nothing where there is none. */
export const figure = (minutes: number): string => (Math.round(minutes) > 0 ? length(minutes) : '');

/** What a column is called under its bar. */
export const columnName = ({ first }: { readonly first: number }, step: HoursQuery['step']): string =>
  step === 'month' ? monthText(first).split(' ')[0]!.slice(0, 3) : shortMonthDayText(first);
