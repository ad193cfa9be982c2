import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { type ColumnMapping, CSV_FIELDS, type CsvField } from '@/core/interchange/csv/columns';
import { DATE_ORDERS, type DateOrder } from '@/core/interchange/csv/dates';
import type { ReadTable } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { SelectField } from '@/ui/primitives/PlatformField';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { useImport } from './useImport';
import type { CsvTable } from '@/core/interchange/csv/csvTable';

const said = exchangeWords.import;
const NOT_TAKEN = '';

/** What the columns of a table hold and how its dates are written: guessed, shown, and corrected here. */
export function TableStep({ name, read }: { name: string; read: ReadTable }) {
  const { table } = read;
  const { close, takeTable } = useImport();
  const [mapping, setMapping] = useState<ColumnMapping>(read.mapping);
  const [dateOrder, setDateOrder] = useState<DateOrder>(read.dateOrder ?? 'day-month');
  const hasStart = mapping.includes('start') || mapping.includes('startDate');
  // Each column has its own field: choosing one for a column takes it from another.
  const choose = (column: number, value: string) => {
    const field = CSV_FIELDS.find((known) => known === value);
    setMapping(mapping.map((other, at) => (at === column ? field : other === field ? undefined : other)));
  };
  return (
    <Sheet
      title={said.tableTitle}
      closeLabel={words.actions.cancel}
      onClose={close}
      go={{ label: said.next, onPress: () => void takeTable(mapping, dateOrder), disabled: !hasStart }}
    >
      <View>
        <AppText tone="quiet">{name}</AppText>
        <AppText weight="700">{said.rows(table.rows.length)}</AppText>
        <AppText tone="quiet">{table.hasNames ? said.tableHint : said.noNames}</AppText>
        {read.isGuessedEncoding ? <AppText tone="accent">{said.guessedEncoding}</AppText> : null}
      </View>
      {hasStart ? null : (
        <AppText tone="error" role="alert">
          {said.noStart}
        </AppText>
      )}
      <ChoiceRow
        label={said.dates}
        choices={DATE_ORDERS.map((value) => ({ value, label: said.orders[value] }))}
        value={dateOrder}
        onChange={setDateOrder}
      />
      {read.dateOrder === undefined ? (
        <AppText size="small" tone="accent">
          {said.datesUnclear}
        </AppText>
      ) : null}
      <ColumnFields table={table} mapping={mapping} choose={choose} />
    </Sheet>
  );
}

/** What each column of the table is. */
function ColumnFields({
  table,
  mapping,
  choose,
}: {
  table: CsvTable;
  mapping: ColumnMapping;
  choose: (column: number, value: string) => void;
}) {
  return (
    <View style={styles.columns}>
      {table.header.map((title, column) => {
        const example = table.rows.map(({ cells }) => cells[column]?.trim()).find(Boolean);
        return (
          <SelectField
            key={column}
            label={said.column(title)}
            value={mapping[column] ?? NOT_TAKEN}
            options={[
              { value: NOT_TAKEN, label: said.notTaken },
              ...CSV_FIELDS.map((field: CsvField) => ({ value: field, label: said.fields[field] })),
            ]}
            onChange={(value) => choose(column, value)}
            hint={example ? said.example(example.slice(0, 60)) : undefined}
          />
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({ columns: { gap: space(3) } });
