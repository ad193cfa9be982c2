import { writeCsvTable } from '@/core/interchange/csv/csvTable';
import type { HoursAnswer, HoursQuery } from '@/core/tidy/hours/hoursQuery';
import { dateString, MINUTE } from '@/core/time/civil';
import { saveFile } from '@/features/interchange';
import type { PaperTable } from '@/features/print';
import { lengthText, rangeText, shortMonthDayText } from '@/ui/dates';
import { hoursWords as said } from '@/ui/words/hours';
import type { NamedRow } from './hoursParts';

const hours = (minutes: number): string => (Math.round((minutes / 60) * 100) / 100).toFixed(2);

/** Saves the rows with their hours, in all and over the columns, as a table: hours with two places. */
export function saveHours({ columns }: HoursAnswer, { by }: HoursQuery, rows: readonly NamedRow[]): void {
  const header = [
    said.bys[by],
    said.head.hours,
    said.head.each,
    said.head.before,
    said.head.wholeDays,
    ...columns.map(({ first }) => dateString(first)),
  ];
  const lines = rows.map(({ name, row }) => [
    name,
    hours(row.minutes),
    hours(row.each),
    hours(row.before),
    String(row.wholeDays),
    ...row.columns.map(hours),
  ]);
  saveFile(said.csvName, writeCsvTable(header, lines), 'text/csv');
}

/** Saves a chart as a picture of its own: it stands on the ground that it stood on, in letters that every reader has. */
export function saveChart(frame: HTMLElement | null): void {
  const chart = frame?.querySelector('svg');
  if (!frame || !chart) return;
  const copy = chart.cloneNode(true) as SVGSVGElement;
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  const ground = getComputedStyle(frame.parentElement ?? frame).getPropertyValue('background-color');
  copy.setAttribute('style', `background-color: ${ground}; font-family: sans-serif`);
  saveFile(said.svgName, copy.outerHTML, 'image/svg+xml');
}

/** The rows as they are printed. */
export function hoursPaper(
  title: string,
  { columns, minutes, each }: HoursAnswer,
  { by, range }: HoursQuery,
  rows: readonly NamedRow[],
): PaperTable {
  const length = (of: number): string => (of > 0 ? lengthText(of * MINUTE) : '');
  // More columns than these have no room beside each other on a sheet.
  const shown = columns.length <= 8 ? columns : [];
  return {
    title: `${title}, ${rangeText(range.first, range.end - 1, true)}`,
    about: [said.total(lengthText(minutes * MINUTE)), said.each(lengthText(each * MINUTE))].join(' · '),
    columns: [
      { label: said.bys[by], width: 200 },
      { label: said.head.hours, width: 80 },
      { label: said.head.before, width: 80 },
      ...shown.map(({ first }) => ({ label: shortMonthDayText(first), width: 70 })),
    ],
    rows: rows.map(({ name, row }) => ({
      key: row.key,
      cells: [
        name,
        length(row.minutes),
        length(row.before),
        ...shown.map((_, at) => length(row.columns[at]!)),
      ],
    })),
  };
}
