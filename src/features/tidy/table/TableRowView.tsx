import { memo, type PointerEvent } from 'react';
import type { EntryRow, TableColumn } from '@/core/tidy/table/tableQuery';
import { AppIcon } from '@/ui/icons/AppIcon';
import { useTheme } from '@/ui/theme/theme';
import { space } from '@/ui/theme/tokens';
import { tidyWords } from '@/ui/words/tidy';
import { type CellNames, cellText } from './cells';
import { CellEditor, isEditable } from './CellEditor';
import { MARK_WIDTH, tableClasses, TICK_WIDTH } from './tableClasses';
import { Tick } from './Tick';

/** A column as it stands: which, and how wide. */
export interface ShownColumn {
  readonly id: TableColumn;
  readonly width: number;
}

export interface RowActions {
  readonly press: (
    index: number,
    row: EntryRow,
    event: { shiftKey: boolean; ctrlKey: boolean; metaKey: boolean },
  ) => void;
  readonly tick: (index: number, row: EntryRow, withShift: boolean) => void;
  readonly draw: (index: number, row: EntryRow, event: PointerEvent) => void;
  readonly fold: (row: EntryRow) => void;
  readonly edit: (index: number, column: TableColumn | undefined) => void;
  readonly keep: (row: EntryRow, column: TableColumn, value: string) => void;
}

interface TableRowProps {
  row: EntryRow;
  index: number;
  top: number;
  height: number;
  columns: readonly ShownColumn[];
  /** Whether it lies under a row that gathers. */
  isGathered: boolean;
  /** Whether it has two lines, as on a phone. */
  isTall: boolean;
  names: CellNames;
  isSelected: boolean;
  /** Which of its cells has the keys, if one has: -1 for the row itself. */
  active: number | undefined;
  /** Which column is being edited. */
  editing: TableColumn | undefined;
  actions: RowActions;
}

/** Whether an entry is called off, or a to-do done. */
const isSettled = ({ standing }: EntryRow): boolean => standing === 'off' || standing === 'done';

/** A row of an entry. */
export const TableRowView = memo(function TableRowView(props: TableRowProps) {
  const { row, index, top, height, isGathered, isTall, names, isSelected, active, actions } = props;
  const { colours, calendar: tonesOf } = useTheme();
  const calendar = names.calendars.get(row.calendarId);
  const tones = tonesOf(calendar?.colour ?? 'slate');
  const title = cellText('title', row, names);
  return (
    <div
      role="row"
      aria-rowindex={index + 2}
      aria-level={(isGathered ? 2 : 1) + row.depth}
      aria-selected={isSelected}
      aria-expanded={row.part === 'series' ? row.isUnfolded : undefined}
      aria-label={tidyWords.rowLabel(title, cellText('start', row, names), calendar?.name ?? '')}
      data-row={index}
      data-testid="table-row"
      tabIndex={active === undefined ? -1 : 0}
      className={tableClasses.row}
      onClick={(event) => actions.press(index, row, event)}
      style={{
        transform: `translateY(${top}px)`,
        height,
        ...(isTall ? { width: '100%' } : {}),
        borderColor: colours.line,
        color: isSettled(row) ? colours.quietInk : colours.ink,
        backgroundColor: isSelected ? colours.accentTint : colours.card,
      }}
    >
      <div
        role="gridcell"
        className={tableClasses.tickCell}
        style={{ width: TICK_WIDTH, paddingLeft: row.depth * space(3) }}
      >
        <Tick
          label={tidyWords.select(title)}
          checked={isSelected ? 'all' : 'none'}
          onPress={(withShift) => actions.tick(index, row, withShift)}
          onDraw={(event) => actions.draw(index, row, event)}
          tabIndex={-1}
        />
      </div>
      <div role="gridcell" className={tableClasses.markCell} style={{ width: MARK_WIDTH }}>
        <span
          aria-hidden
          className={tableClasses.mark}
          style={{ backgroundColor: tones.band, color: tones.onBand }}
        >
          {calendar?.mark}
        </span>
      </div>
      {isTall ? <TallCells {...props} title={title} /> : <Cells {...props} title={title} />}
    </div>
  );
});

function Title({ row, title, actions }: Pick<TableRowProps, 'row' | 'actions'> & { title: string }) {
  const { colours } = useTheme();
  const isNamed = row.title !== '';
  return (
    <span className={tableClasses.title}>
      <span
        className={tableClasses.cut}
        style={{
          fontWeight: isNamed ? 700 : 400,
          ...(isNamed ? {} : { fontStyle: 'italic', color: colours.accentInk }),
          ...(isSettled(row) ? { textDecoration: 'line-through' } : {}),
        }}
      >
        {title}
      </span>
      {row.part === 'series' ? (
        <button
          type="button"
          tabIndex={-1}
          className={tableClasses.fold}
          aria-expanded={row.isUnfolded}
          aria-label={row.isUnfolded ? tidyWords.fold(title) : tidyWords.unfold(title, row.count)}
          style={{ color: colours.quietInk }}
          onClick={(event) => {
            event.stopPropagation();
            actions.fold(row);
          }}
        >
          {tidyWords.times(row.count)}
          <AppIcon name={row.isUnfolded ? 'menu-up' : 'menu-down'} size={18} color={colours.quietInk} />
        </button>
      ) : null}
    </span>
  );
}

function Cells(props: TableRowProps & { title: string }) {
  const { row, index, columns, names, active, editing, actions } = props;
  const { colours } = useTheme();
  return columns.map(({ id, width }, at) => {
    const isActive = active === at;
    return (
      <div
        key={id}
        role="gridcell"
        aria-colindex={at + 3}
        data-column={id}
        className={tableClasses.cell}
        onDoubleClick={(event) => {
          event.stopPropagation();
          if (isEditable(id, row, names)) actions.edit(index, id);
        }}
        title={id === 'title' ? undefined : cellText(id, row, names)}
        style={{
          width,
          ...(isActive ? { boxShadow: `inset 0 0 0 2px ${colours.accent}` } : {}),
          ...(id === 'title' ? {} : { color: colours.quietInk }),
          ...(id === 'start' || id === 'length' ? { color: colours.ink } : {}),
        }}
      >
        {editing === id ? (
          <CellEditor
            column={id}
            row={row}
            names={names}
            onKeep={(value) => actions.keep(row, id, value)}
            onLeave={() => actions.edit(index, undefined)}
          />
        ) : id === 'title' ? (
          <Title {...props} />
        ) : (
          cellText(id, row, names)
        )}
      </div>
    );
  });
}

/** Title over when, how long and what else is shown. */
function TallCells(props: TableRowProps & { title: string }) {
  const { row, columns, names } = props;
  const { colours } = useTheme();
  const others = columns
    .filter(({ id }) => id !== 'title')
    .map(({ id }) => cellText(id, row, names))
    .filter(Boolean);
  return (
    <div role="gridcell" className={tableClasses.lines}>
      <Title {...props} />
      <div className={tableClasses.cut} style={{ color: colours.quietInk, fontSize: 13, lineHeight: '20px' }}>
        {others.join(' · ')}
      </div>
    </div>
  );
}
