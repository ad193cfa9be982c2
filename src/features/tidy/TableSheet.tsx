import { StyleSheet, View } from 'react-native';
import type { TidyLook } from '@/core/tidy/tidyLook';
import {
  TABLE_COLUMNS,
  TABLE_GROUPINGS,
  type TableColumn,
  type TableGrouping,
  type TableSort,
} from '@/core/tidy/table/tableQuery';
import { Button } from '@/ui/primitives/Button';
import { Check } from '@/ui/primitives/Check';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { SelectField } from '@/ui/primitives/PlatformField';
import { Sheet } from '@/ui/primitives/Sheet';
import { words } from '@/ui/words';
import { tidyWords } from '@/ui/words/tidy';
import type { Columns } from './table/useColumns';
import type { useTidyAddress } from './useTidyAddress';
import { columnName } from './table/cells';

/** What the table shows: how a series stands, what rows are gathered by, which columns, in which order. */
export function TableSheet({
  look,
  show,
  columns,
  onSave,
  onPrint,
  onClose,
}: {
  look: TidyLook;
  show: ReturnType<typeof useTidyAddress>['show'];
  columns: Columns;
  onSave: () => void;
  onPrint: () => void;
  onClose: () => void;
}) {
  const { table, order, asAtFirst } = columns;
  const move = (id: TableColumn, by: 1 | -1) => {
    const at = order.indexOf(id);
    const to = at + by;
    if (to < 1 || to >= order.length) return;
    const next = [...order];
    [next[at], next[to]] = [next[to]!, next[at]!];
    table.setColumnOrder(next);
  };
  return (
    <Sheet
      title={tidyWords.columnsTitle}
      closeLabel={words.actions.close}
      onClose={onClose}
      footer={
        <>
          <Button icon="download-outline" label={tidyWords.saveCsv} onPress={onSave} testID="save-table" />
          <Button icon="printer-outline" label={tidyWords.print} onPress={onPrint} testID="print-table" />
          <Button label={tidyWords.asAtFirst} onPress={asAtFirst} />
          <Button kind="primary" label={words.actions.close} onPress={onClose} />
        </>
      }
    >
      <ChoiceRow
        label={tidyWords.lists}
        choices={(['all', 'event', 'todo'] as const).map((value) => ({
          value,
          label: tidyWords.kinds[value],
        }))}
        value={look.kind ?? 'all'}
        onChange={(value) => show({ kind: value === 'all' ? undefined : value }, { quietly: true })}
      />
      <ChoiceRow
        label={tidyWords.as}
        choices={(['entries', 'occurrences'] as const).map((value) => ({
          value,
          label: tidyWords.asKinds[value],
        }))}
        value={look.as}
        onChange={(as) => show({ as }, { quietly: true })}
      />
      <SelectField
        label={tidyWords.group}
        value={look.group ?? ''}
        options={[
          { value: '', label: tidyWords.groups.none },
          ...TABLE_GROUPINGS.map((value) => ({ value, label: tidyWords.groups[value] })),
        ]}
        onChange={(value) =>
          show({ group: (value || undefined) as TableGrouping | undefined }, { quietly: true })
        }
        testID="group-by"
      />
      <SortFields look={look} show={show} />
      <View role="group" aria-label={tidyWords.columns}>
        {order.map((id, at) => {
          const column = table.getColumn(id)!;
          const name = columnName(id);
          return (
            <View key={id} style={styles.column}>
              <View style={styles.grow}>
                <Check
                  label={name}
                  checked={column.getIsVisible()}
                  onChange={(isShown) => column.getCanHide() && column.toggleVisibility(isShown)}
                />
              </View>
              {at > 0 ? (
                <>
                  <Button
                    icon="arrow-up"
                    iconOnly
                    kind="quiet"
                    label={tidyWords.moveLeft(name)}
                    disabled={at === 1}
                    onPress={() => move(id, -1)}
                  />
                  <Button
                    icon="arrow-down"
                    iconOnly
                    kind="quiet"
                    label={tidyWords.moveRight(name)}
                    disabled={at === order.length - 1}
                    onPress={() => move(id, 1)}
                  />
                </>
              ) : null}
            </View>
          );
        })}
      </View>
    </Sheet>
  );
}

/** By which column the table is sorted first: on a phone, where no heads stand, here alone. */
function SortFields({ look, show }: Pick<Parameters<typeof TableSheet>[0], 'look' | 'show'>) {
  const [first] = look.sort;
  const column = first?.column ?? 'start';
  const sortBy = (sort: TableSort) => show({ sort: [sort] }, { quietly: true });
  return (
    <>
      <SelectField
        label={tidyWords.sorted}
        value={column}
        options={TABLE_COLUMNS.map((value) => ({ value, label: columnName(value) }))}
        onChange={(value) => sortBy({ column: value as TableColumn, descending: first?.descending ?? false })}
        testID="sort-by"
      />
      <ChoiceRow
        label={tidyWords.sortWay}
        choices={(['up', 'down'] as const).map((value) => ({ value, label: tidyWords.sortWays[value] }))}
        value={first?.descending ? 'down' : 'up'}
        onChange={(way) => sortBy({ column, descending: way === 'down' })}
      />
    </>
  );
}

const styles = StyleSheet.create({
  column: { flexDirection: 'row', alignItems: 'center' },
  grow: { flex: 1 },
});
