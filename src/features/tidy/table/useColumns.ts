import {
  columnOrderingFeature,
  columnResizingFeature,
  columnSizingFeature,
  columnVisibilityFeature,
  rowSortingFeature,
  tableFeatures,
  type Updater,
  useTable,
} from '@tanstack/react-table';
import { useMemo } from 'react';
import { changeSession } from '@/core/change/calendarChanges';
import type { TableColumns } from '@/core/model/tableColumns';
import { TABLE_COLUMNS, type TableColumn, type TableSort } from '@/core/tidy/table/tableQuery';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSnapshot } from '@/store';
import { columnName, columnSize } from './cells';

const FEATURES = tableFeatures({
  columnOrderingFeature,
  columnVisibilityFeature,
  columnSizingFeature,
  columnResizingFeature,
  rowSortingFeature,
});

const COLUMNS = TABLE_COLUMNS.map((id) => ({
  id,
  header: columnName(id),
  size: columnSize(id).width,
  minSize: 56,
  maxSize: 640,
  enableHiding: id !== 'title',
  sortDescFirst: false,
  enableMultiSort: true,
}));
const NO_ROWS: never[] = [];
const HIDDEN_AT_FIRST = Object.fromEntries(TABLE_COLUMNS.map((id) => [id, columnSize(id).isShown]));
const AS_AT_FIRST: TableColumns = { order: [], shown: {}, widths: {} };

const isColumn = (id: string): id is TableColumn => TABLE_COLUMNS.some((column) => column === id);
const updated = <Value>(updater: Updater<Value>, before: Value): Value =>
  typeof updater === 'function' ? (updater as (before: Value) => Value)(before) : updater;

/** The columns of the table: which, in which order, how wide, and by which it is sorted. What is set is kept on this device. */
export function useColumns(sort: readonly TableSort[], onSort: (sort: readonly TableSort[]) => void) {
  const { store } = useOpenStore();
  const { context } = useCommands();
  const kept = useSnapshot(({ state }) => state.sessions.get('session')?.tableColumns) ?? AS_AT_FIRST;
  const keep = (changes: Partial<TableColumns>) =>
    void store.commit(
      changeSession(store.getSnapshot().state, { tableColumns: { ...kept, ...changes } }, context()),
      'quiet',
    );
  const order = useMemo(() => {
    const known = kept.order.filter(isColumn);
    return [...known, ...TABLE_COLUMNS.filter((id) => !known.includes(id))];
  }, [kept.order]);
  const visibility = useMemo(() => ({ ...HIDDEN_AT_FIRST, ...kept.shown, title: true }), [kept.shown]);
  const sorting = sort.map(({ column, descending }) => ({ id: column, desc: descending }));
  const table = useTable({
    features: FEATURES,
    columns: COLUMNS,
    data: NO_ROWS,
    manualSorting: true,
    columnResizeMode: 'onEnd',
    state: { columnOrder: order, columnVisibility: visibility, columnSizing: kept.widths, sorting },
    onColumnOrderChange: (updater) => keep({ order: updated(updater, order) }),
    onColumnVisibilityChange: (updater) => keep({ shown: updated(updater, visibility) }),
    onColumnSizingChange: (updater) => keep({ widths: updated(updater, kept.widths) }),
    onSortingChange: (updater) =>
      onSort(
        updated(updater, sorting).flatMap(({ id, desc }) =>
          isColumn(id) ? [{ column: id, descending: desc }] : [],
        ),
      ),
  });
  return { table, order, asAtFirst: () => keep(AS_AT_FIRST) };
}

export type Columns = ReturnType<typeof useColumns>;
