import { type CellKind, cellKind } from './cellKind';
import { type ColumnMapping, type CsvField, guessColumns } from './columns';
import type { CsvTable } from './csvTable';

/** What the columns of a table hold: by their names, or, in a table without any, by what stands in them. */
export function guessTable({ header, hasNames, rows }: CsvTable): ColumnMapping {
  if (hasNames) return guessColumns(header);
  const waiting: Record<CellKind, CsvField[]> = {
    moment: ['start', 'end'],
    date: ['startDate', 'endDate'],
    time: ['startTime', 'endTime'],
    text: ['title', 'place', 'notes'],
  };
  return header.map((_, column) => {
    const cell = rows.map(({ cells }) => cells[column]?.trim() ?? '').find((text) => text !== '');
    return cell === undefined ? undefined : waiting[cellKind(cell)].shift();
  });
}
