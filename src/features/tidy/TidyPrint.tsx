import { useMemo } from 'react';
import type { TidyLook } from '@/core/tidy/tidyLook';
import type { TableColumn, TableQuery } from '@/core/tidy/table/tableQuery';
import type { PaperTable } from '@/features/print';
import { usePlanAddress } from '@/features/workspace';
import { useCalendars, useEngineAnswer } from '@/store';
import { rangeText } from '@/ui/dates';
import { filterText } from '@/ui/filterText';
import { words } from '@/ui/words';
import { tidyWords } from '@/ui/words/tidy';
import { PaperLayer } from './PaperLayer';
import { useSpan } from './useSpan';
import { type CellNames, cellText, columnName, groupText } from './table/cells';
import { sumsText } from './table/SumsLine';
import type { Columns } from './table/useColumns';

/** So many rows are printed at most: some forty sheets. */
const MOST = 1000;
/** What stands below a series is set in. */
const INDENT = '\u2003';

interface TidyPrintProps {
  look: TidyLook;
  query: TableQuery;
  columns: Columns;
  onClose: () => void;
}

/** The table as it is shown, on paper: over the page until it is closed. */
export function TidyPrint({ look, query, columns, onClose }: TidyPrintProps) {
  const { table, failed } = usePaperTable({ look, query, columns });
  return <PaperLayer table={table} failed={failed} onClose={onClose} />;
}

/** The rows and columns that are shown, as they stand on paper. */
function usePaperTable({ look, query, columns }: Omit<TidyPrintProps, 'onClose'>): {
  table: PaperTable | undefined;
  failed: boolean;
} {
  const { address } = usePlanAddress();
  const { days } = useSpan(look.span);
  const calendars = useCalendars();
  const { data, isError } = useEngineAnswer(['tableRows', query, 0, MOST]);
  const shown = JSON.stringify(
    columns.table.getVisibleLeafColumns().map((column) => [column.id, column.getSize()]),
  );
  const table = useMemo((): PaperTable | undefined => {
    if (!data) return undefined;
    const names: CellNames = {
      calendars: new Map(calendars.map((calendar) => [calendar.id, calendar])),
      zone: query.zone,
    };
    const printed = JSON.parse(shown) as [TableColumn, number][];
    const off = address.hidden.length;
    return {
      title: days ? rangeText(days.first, days.end - 1, true) : tidyWords.spans.all,
      about: [
        look.find,
        ...filterText(address.filter),
        off > 0 ? words.filter.calendarsOff(off) : '',
        ...sumsText(data.sums),
        data.rowCount > data.rows.length ? tidyWords.firstRows(data.rows.length, data.rowCount) : '',
      ]
        .filter(Boolean)
        .join(' · '),
      columns: printed.map(([id, width]) => ({ label: columnName(id), width })),
      rows: data.rows.map((row) =>
        row.kind === 'group'
          ? {
              key: row.id,
              isHeading: true,
              cells: [groupText(query.group!, row.value, names, query.periods), ...sumsText(row.sums)],
            }
          : {
              key: row.key,
              cells: printed.map(
                ([id]) => `${row.depth === 1 && id === 'title' ? INDENT : ''}${cellText(id, row, names)}`,
              ),
            },
      ),
    };
  }, [data, shown, calendars, query, look, address, days]);
  return { table, failed: isError };
}
