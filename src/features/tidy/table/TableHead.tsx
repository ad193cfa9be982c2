import type { KeyboardEvent, MouseEvent } from 'react';
import type { TableColumn } from '@/core/tidy/table/tableQuery';
import { AppIcon } from '@/ui/icons/AppIcon';
import { useTheme } from '@/ui/theme/theme';
import { tidyWords } from '@/ui/words/tidy';
import { TICK_WIDTH, MARK_WIDTH, tableClasses } from './tableClasses';
import { Tick } from './Tick';
import type { ShownColumn } from './TableRowView';
import type { Columns } from './useColumns';
import { columnName } from './cells';

const ARIA_SORT = { asc: 'ascending', desc: 'descending', none: 'none' } as const;
const RESIZE_STEP = 16;

/** The heads of the columns: each sorts by its column, and its edge makes it wider. */
export function TableHead({
  columns: { table },
  shown,
  allSelected,
  onAll,
}: {
  columns: Columns;
  /** The columns as wide as they are drawn. */
  shown: readonly ShownColumn[];
  allSelected: 'all' | 'some' | 'none';
  onAll: () => void;
}) {
  const { colours } = useTheme();
  return (
    <div
      role="row"
      aria-rowindex={1}
      className={tableClasses.head}
      style={{ backgroundColor: colours.page, borderColor: colours.line, color: colours.quietInk }}
    >
      <div role="columnheader" className={tableClasses.tickCell} style={{ width: TICK_WIDTH }}>
        <Tick label={tidyWords.selectAllShown} checked={allSelected} onPress={onAll} />
      </div>
      <div role="presentation" style={{ width: MARK_WIDTH, flexShrink: 0 }} />
      {table.getHeaderGroups()[0]!.headers.map((header, at) => {
        const { column } = header;
        const name = columnName(column.id as TableColumn);
        const sorted = column.getIsSorted() || 'none';
        const sort = (event: MouseEvent | KeyboardEvent) => column.toggleSorting(undefined, event.shiftKey);
        const widen = (event: KeyboardEvent) => {
          const by = event.key === 'ArrowRight' ? RESIZE_STEP : event.key === 'ArrowLeft' ? -RESIZE_STEP : 0;
          if (by === 0) return;
          event.preventDefault();
          event.stopPropagation();
          table.setColumnSizing((before) => ({
            ...before,
            [column.id]: Math.max(56, column.getSize() + by),
          }));
        };
        return (
          <div
            key={column.id}
            role="columnheader"
            aria-sort={ARIA_SORT[sorted]}
            className={tableClasses.headCell}
            style={{ width: shown[at]?.width }}
          >
            <button
              type="button"
              className={tableClasses.headButton}
              aria-label={tidyWords.sortBy(name)}
              title={tidyWords.sortHint}
              onClick={sort}
              style={{ color: sorted === 'none' ? colours.quietInk : colours.ink }}
            >
              <span className={tableClasses.cut}>{name}</span>
              {sorted === 'none' ? null : (
                <AppIcon name={sorted === 'asc' ? 'arrow-down' : 'arrow-up'} size={14} color={colours.ink} />
              )}
            </button>
            <div
              role="separator"
              aria-orientation="vertical"
              aria-label={tidyWords.wider(name)}
              aria-valuenow={header.getSize()}
              tabIndex={0}
              className={tableClasses.edge}
              onPointerDown={header.getResizeHandler()}
              onKeyDown={widen}
              style={{ borderColor: colours.line }}
            />
          </div>
        );
      })}
    </div>
  );
}
