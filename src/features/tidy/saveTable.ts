import { writeCsvTable } from '@/core/interchange/csv/csvTable';
import { TABLE_COLUMNS, type TableQuery } from '@/core/tidy/table/tableQuery';
import { saveFile } from '@/features/interchange';
import type { Store } from '@/store';
import { tidyWords } from '@/ui/words/tidy';
import { cellText, columnName } from './table/cells';

/** Saves all rows that a query asks for as a table, each column as it is shown. */
export async function saveTable(store: Store, query: TableQuery): Promise<void> {
  const { group: _, ...flat } = query;
  const { rows } = await store.engine.tableRows({ ...flat, folded: [] }, 0, Infinity);
  const names = {
    calendars: store.getSnapshot().state.calendars,
    zone: query.zone,
  };
  const lines = rows.flatMap((row) =>
    row.kind === 'entry' ? [TABLE_COLUMNS.map((column) => cellText(column, row, names))] : [],
  );
  const header = TABLE_COLUMNS.map((column) => columnName(column));
  saveFile(tidyWords.csvName, writeCsvTable(header, lines), 'text/csv');
}
