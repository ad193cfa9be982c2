import { readMoment, readTime } from './dates';

export type CellKind = 'date' | 'time' | 'moment' | 'text';

/** What a cell looks like by itself. */
export function cellKind(text: string): CellKind {
  const moment = readMoment(text, 'day-month') ?? readMoment(text, 'month-day');
  if (moment) return moment.minutes === undefined ? 'date' : 'moment';
  return /\d[:.h]\d\d/.test(text) && readTime(text) !== undefined ? 'time' : 'text';
}

/** Whether a first row holds values rather than the names of columns: one of its cells is a date. */
export const isRowOfValues = (cells: readonly string[]): boolean =>
  cells.some((cell) => cell.trim() !== '' && ['date', 'moment'].includes(cellKind(cell)));
