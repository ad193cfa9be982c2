import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { useWindowDimensions, View, StyleSheet } from 'react-native';
import { editCell, isCell } from '@/core/change/editCell';
import { isRefused } from '@/core/change/eventFields';
import { targetOfKey } from '@/core/change/target';
import type { EntryRow, GroupRow, TableColumn, TableQuery } from '@/core/tidy/table/tableQuery';
import { useCommands, workspace } from '@/features/workspace';
import { useCalendars, useOpenStore } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space, WIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { tidyWords } from '@/ui/words/tidy';
import { isEditable } from './CellEditor';
import type { CellNames } from './cells';
import { fittedColumns } from './fittedColumns';
import { GroupRowView } from './GroupRowView';
import { SumsLine } from './SumsLine';
import { MARK_WIDTH, ROW_HEIGHT, TALL_ROW, tableClasses, TICK_WIDTH } from './tableClasses';
import { TableHead } from './TableHead';
import { type RowActions, TableRowView } from './TableRowView';
import type { Columns } from './useColumns';
import { useDrawnTicks } from './useDrawnTicks';
import type { Selecting } from './useSelecting';
import { useTableRows } from './useTableRows';

const OVERSCAN = 12;
const FRAMES_TO_COME = 40;

interface EntryTableProps {
  query: TableQuery;
  columns: Columns;
  selecting: Selecting;
  onFold: (groupId: string) => void;
  onUnfold: (key: string) => void;
  onClear: () => void;
}

/** All entries as a table: rows come as they are looked at, and all of it is reached by keys. */
export function EntryTable({ query, columns, selecting, onFold, onUnfold, onClear }: EntryTableProps) {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const { store } = useOpenStore();
  const commands = useCommands();
  const calendars = useCalendars();
  const isTall = width < WIDE;
  const rowHeight = isTall ? TALL_ROW : ROW_HEIGHT;
  const scroller = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState({ from: 0, to: 30 });
  const [room, setRoom] = useState(0);
  const { rowCount, row, whole, failed, isStale, retry } = useTableRows(query, seen.from, seen.to);
  // The virtualiser's functions are new at each drawing, which is what draws the rows.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtual = useVirtualizer({
    count: rowCount,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowHeight,
    overscan: OVERSCAN,
    paddingStart: isTall ? 0 : ROW_HEIGHT,
  });
  const items = virtual.getVirtualItems();
  const from = items[0]?.index ?? 0;
  const to = (items.at(-1)?.index ?? 0) + 1;
  useEffect(() => setSeen({ from, to }), [from, to]);
  useEffect(() => virtual.measure(), [virtual, rowHeight]);

  const names: CellNames = useMemo(
    () => ({
      calendars: new Map(calendars.map((calendar) => [calendar.id, calendar])),
      zone: query.zone,
    }),
    [calendars, query.zone],
  );
  const wanted = JSON.stringify(
    columns.table.getVisibleLeafColumns().map((column) => [column.id, column.getSize()]),
  );
  // The same columns stay the same, so that a row is drawn once.
  const shown = useMemo(
    () =>
      fittedColumns(
        (JSON.parse(wanted) as [TableColumn, number][]).map(([id, columnWidth]) => ({
          id,
          width: columnWidth,
        })),
        room,
      ),
    [wanted, room],
  );
  const total = shown.reduce((sum, column) => sum + column.width, TICK_WIDTH + MARK_WIDTH);
  /** The row and cell that the keys are at: column -1 is the row itself. */
  const [active, setActive] = useState({ index: 0, column: -1 });
  const [editing, setEditing] = useState<{ index: number; column: TableColumn }>();
  /** A row far away comes a few frames after it is asked for. */
  const focusRow = (index: number, tries = FRAMES_TO_COME) => {
    requestAnimationFrame(() => {
      const at = scroller.current?.querySelector<HTMLElement>(`[data-row="${index}"]`);
      if (at) at.focus({ preventScroll: true });
      else if (tries > 0) focusRow(index, tries - 1);
    });
  };
  const go = (index: number, column = active.column) => {
    const next = Math.max(0, Math.min(rowCount - 1, index));
    setActive({ index: next, column: Math.max(-1, Math.min(shown.length - 1, column)) });
    virtual.scrollToIndex(next);
    focusRow(next);
  };
  const drawing = useDrawnTicks(scroller, selecting);
  const actions = useSteady({
    press: (index, one, event) => {
      setActive({ index, column: -1 });
      if (event.shiftKey) void selecting.upTo(index);
      else if (event.ctrlKey || event.metaKey) selecting.toggle(index, one.key);
      else workspace.select(one.key);
    },
    tick: (index, one, withShift) => {
      if (drawing.isDrawn()) return;
      if (withShift) void selecting.upTo(index);
      else selecting.toggle(index, one.key);
    },
    draw: drawing.begin,
    fold: (one) => onUnfold(one.key),
    edit: (index, column) => {
      setEditing(column ? { index, column } : undefined);
      if (!column) focusRow(index);
    },
    keep: (one, column, value) => {
      if (!isCell(column)) return;
      const { state } = store.getSnapshot();
      const result = editCell(state, targetOfKey(one.key), column, value, commands.context());
      if (isRefused(result)) commands.refuse(words.refusals[result.refused]);
      else commands.commit(result);
    },
  });
  const onKeyDown = (event: KeyboardEvent) => {
    if (editing || !(event.target instanceof HTMLElement) || !event.target.matches('[data-row]')) return;
    const one = row(active.index);
    const page = Math.max(1, Math.floor((scroller.current?.clientHeight ?? 0) / rowHeight) - 2);
    const steps: Partial<Record<string, number>> = {
      ArrowDown: 1,
      ArrowUp: -1,
      PageDown: page,
      PageUp: -page,
      Home: -rowCount,
      End: rowCount,
    };
    const step = steps[event.key];
    const isEntry = one?.kind === 'entry';
    if (step !== undefined) {
      const next = Math.max(0, Math.min(rowCount - 1, active.index + step));
      go(next);
      if (event.shiftKey) void selecting.upTo(next);
    } else if (event.key === 'ArrowRight') {
      if (isEntry && one.part === 'series' && active.column === -1 && !one.isUnfolded) onUnfold(one.key);
      else if (one?.kind === 'group' && one.isFolded) onFold(one.id);
      else go(active.index, active.column + 1);
    } else if (event.key === 'ArrowLeft') {
      if (isEntry && one.isUnfolded && active.column === -1) onUnfold(one.key);
      else if (one?.kind === 'group' && !one.isFolded) onFold(one.id);
      else go(active.index, active.column - 1);
    } else if (
      (event.key === ' ' || event.key.toLowerCase() === 'x') &&
      isEntry &&
      !event.ctrlKey &&
      !event.metaKey
    )
      selecting.toggle(active.index, one.key);
    else if (event.key.toLowerCase() === 'a' && (event.ctrlKey || event.metaKey)) void selecting.all();
    else if (event.key === 'Enter' || event.key === 'F2') press(one, event.key === 'F2');
    else if (event.key === 'Delete' && isEntry)
      void commands.bin(selecting.selected.size > 0 ? [...selecting.selected] : [one.key]);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const press = (one: EntryRow | GroupRow | undefined, writes: boolean) => {
    if (one?.kind === 'group') return onFold(one.id);
    if (!one) return;
    const column = shown[active.column]?.id ?? (writes ? 'title' : undefined);
    if (column && !isTall && isEditable(column, one, names)) setEditing({ index: active.index, column });
    else workspace.select(one.key);
  };
  const isEmpty = whole !== undefined && rowCount === 0;
  const count = whole?.sums.entries ?? 0;
  return (
    <View
      onLayout={(event) => setRoom(event.nativeEvent.layout.width)}
      style={[styles.frame, { borderColor: colours.line, backgroundColor: colours.card }]}
    >
      <div
        ref={scroller}
        role="treegrid"
        aria-label={tidyWords.table}
        aria-rowcount={rowCount + 1}
        aria-colcount={shown.length + 2}
        aria-multiselectable
        aria-busy={isStale || whole === undefined}
        data-testid="table"
        className={tableClasses.scroller}
        onKeyDown={onKeyDown}
        onFocus={(event) => {
          const index = Number((event.target as HTMLElement).closest<HTMLElement>('[data-row]')?.dataset.row);
          if (Number.isInteger(index) && index !== active.index) setActive({ index, column: -1 });
        }}
      >
        {isTall ? null : (
          <div
            style={{
              position: 'absolute',
              inset: 0,
              bottom: 'auto',
              height: virtual.getTotalSize(),
              minWidth: total,
            }}
          >
            <TableHead
              columns={columns}
              shown={shown}
              allSelected={
                count > 0 && selecting.selected.size >= count
                  ? 'all'
                  : selecting.selected.size > 0
                    ? 'some'
                    : 'none'
              }
              onAll={() => (selecting.selected.size > 0 ? workspace.clearSelection() : void selecting.all())}
            />
          </div>
        )}
        <div
          role="presentation"
          style={{ height: virtual.getTotalSize(), minWidth: isTall ? undefined : total }}
        >
          {items.map(({ index, start }) => {
            const one = row(index);
            if (!one) return null;
            return one.kind === 'group' ? (
              <GroupRowView
                key={one.id}
                group={one}
                index={index}
                top={start}
                height={rowHeight}
                query={query}
                names={names}
                isActive={active.index === index}
                onFold={onFold}
              />
            ) : (
              <TableRowView
                key={one.key}
                row={one}
                index={index}
                top={start}
                height={rowHeight}
                columns={shown}
                isGathered={query.group !== undefined}
                isTall={isTall}
                names={names}
                isSelected={selecting.selected.has(one.key)}
                active={active.index === index ? active.column : undefined}
                editing={editing?.index === index ? editing.column : undefined}
                actions={actions}
              />
            );
          })}
        </div>
      </div>
      {failed ? (
        <View role="alert" style={styles.state}>
          <AppText>{tidyWords.failed}</AppText>
          <Button label={tidyWords.retry} onPress={retry} />
        </View>
      ) : isEmpty ? (
        <View style={styles.state}>
          <AppText>{tidyWords.nothingFits}</AppText>
          <Button label={tidyWords.clear} onPress={onClear} />
        </View>
      ) : whole === undefined ? (
        <View style={styles.state}>
          <AppText role="status" tone="quiet">
            {tidyWords.loading}
          </AppText>
        </View>
      ) : null}
      {whole ? <SumsLine sums={whole.sums} isShort={isTall} /> : null}
    </View>
  );
}

/** The same functions at every drawing, that do what the latest ones do: a row that is given them is not drawn anew. */
function useSteady(actions: RowActions): RowActions {
  const latest = useRef(actions);
  useLayoutEffect(() => {
    latest.current = actions;
  });
  return useMemo(
    () => ({
      press: (...given) => latest.current.press(...given),
      tick: (...given) => latest.current.tick(...given),
      draw: (...given) => latest.current.draw(...given),
      fold: (...given) => latest.current.fold(...given),
      edit: (...given) => latest.current.edit(...given),
      keep: (...given) => latest.current.keep(...given),
    }),
    [],
  );
}

const styles = StyleSheet.create({
  frame: { flex: 1, minHeight: 0, borderWidth: hairline },
  state: {
    position: 'absolute',
    left: 0,
    right: 0,
    top: 96,
    alignItems: 'center',
    gap: space(3),
    padding: space(4),
  },
});
