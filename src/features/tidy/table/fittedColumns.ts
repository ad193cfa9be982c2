import type { TableColumn } from '@/core/tidy/table/tableQuery';
import { hairline } from '@/ui/theme/tokens';
import { MARK_WIDTH, TICK_WIDTH } from './tableClasses';
import type { ShownColumn } from './TableRowView';

/** Columns of words give way where not all fit, down to this; beyond that the table scrolls sideways. */
const LEAST_WIDTH = 84;
const GIVES_WAY: ReadonlySet<TableColumn> = new Set<TableColumn>([
  'title',
  'repeat',
  'place',
  'calendar',
  'category',
  'people',
  'reminders',
  'origin',
]);

/** The columns as wide as they are set and there is room: what is left over goes to the titles, what is wanting is taken from words. */
export function fittedColumns(columns: readonly ShownColumn[], room: number): readonly ShownColumn[] {
  if (room === 0) return columns;
  const left = columns.reduce((sum, { width }) => sum - width, room - TICK_WIDTH - MARK_WIDTH - 2 * hairline);
  if (left >= 0)
    return columns.map(({ id, width }) => ({ id, width: id === 'title' ? width + left : width }));
  const giving = columns.filter(({ id }) => GIVES_WAY.has(id));
  const share = 1 + left / giving.reduce((sum, { width }) => sum + width, 0);
  return columns.map(({ id, width }) => ({
    id,
    width: GIVES_WAY.has(id) ? Math.max(Math.min(width, LEAST_WIDTH), Math.floor(width * share)) : width,
  }));
}
