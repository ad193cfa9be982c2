import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import { CSV_FIELDS, type CsvField, DATED_BY } from '@/core/interchange/csv/columns';
import { DATE_ORDERS } from '@/core/interchange/csv/dates';
import type { ReadTable } from '@/store';
import { FormField } from '@/ui/forms/FormField';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { SelectField } from '@/ui/primitives/PlatformField';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { importingWords } from '@/ui/words/importing';
import { useImport } from './useImport';
import type { CsvTable } from '@/core/interchange/csv/csvTable';
import { FILE_COLUMN_FIELDS } from '@/core/fields/fieldsOf';
import type { FieldColumnId } from '@/core/fields/eventFields';

const said = importingWords;

/** What a column can hold: a field by its name, or what belongs to times. */
function columnLabel(column: CsvField): string {
  const field = FILE_COLUMN_FIELDS.get(column as FieldColumnId);
  return field ? words.fields[field] : said.fields[column as keyof typeof said.fields];
}
const NOT_TAKEN = '';
const STARTS: readonly string[] = DATED_BY;

/** What each column holds, and how dates are written. */
const TableForm = z
  .object({
    fields: z.array(z.union([z.enum(CSV_FIELDS), z.literal(NOT_TAKEN)])),
    dateOrder: z.enum(DATE_ORDERS),
  })
  .refine(({ fields }) => fields.some((field) => STARTS.includes(field)), {
    path: ['fields'],
    message: said.noStart,
  })
  .transform(({ fields, dateOrder }) => ({
    mapping: fields.map((field) => (field === NOT_TAKEN ? undefined : field)),
    dateOrder,
  }));
type TableForm = z.input<typeof TableForm>;

/** What the columns of a table hold and how its dates are written: guessed, shown, and corrected here. */
export function TableStep({ name, read }: { name: string; read: ReadTable }) {
  const { table } = read;
  const { close, takeTable } = useImport();
  const { control, typed, change, submit } = useFormOf(TableForm, {
    fields: table.header.map((_, column) => read.mapping[column] ?? NOT_TAKEN),
    dateOrder: read.dateOrder ?? 'day-month',
  });
  const { fields } = typed;
  // Said from the beginning: without a start the table can't be read at all.
  const hasStart = fields.some((field) => STARTS.includes(field));
  // Each column has its own field: choosing one for a column takes it from another.
  const choose = (column: number, value: string) => {
    const field = CSV_FIELDS.find((known) => known === value) ?? NOT_TAKEN;
    change({
      fields: fields.map((other, at) => (at === column ? field : other === field ? NOT_TAKEN : other)),
    });
  };
  return (
    <Sheet
      title={said.tableTitle}
      closeLabel={words.actions.cancel}
      onClose={close}
      go={{
        label: said.next,
        onPress: () => submit(({ mapping, dateOrder }) => takeTable(mapping, dateOrder)),
        disabled: !hasStart,
      }}
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
      <FormField control={control} name="dateOrder">
        {({ value, onChange }) => (
          <ChoiceRow
            label={said.dates}
            choices={DATE_ORDERS.map((order) => ({ value: order, label: said.orders[order] }))}
            value={value}
            onChange={onChange}
          />
        )}
      </FormField>
      {read.dateOrder === undefined ? (
        <AppText size="small" tone="accent">
          {said.datesUnclear}
        </AppText>
      ) : null}
      <ColumnFields table={table} fields={fields} choose={choose} />
    </Sheet>
  );
}

/** What each column of the table is. */
function ColumnFields({
  table,
  fields,
  choose,
}: {
  table: CsvTable;
  fields: TableForm['fields'];
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
            value={fields[column] ?? NOT_TAKEN}
            options={[
              { value: NOT_TAKEN, label: said.notTaken },
              ...CSV_FIELDS.map((field: CsvField) => ({ value: field, label: columnLabel(field) })),
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
