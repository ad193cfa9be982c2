import { useEffect, useRef, useState } from 'react';
import { isReadOnly } from '@/core/model/calendar';
import type { EntryRow, TableColumn } from '@/core/tidy/table/tableQuery';
import { useTheme } from '@/ui/theme/theme';
import { words } from '@/ui/words';
import { tidyWords } from '@/ui/words/tidy';
import { type CellNames, columnName, fieldOfColumn } from './cells';
import { tableClasses } from './tableClasses';
import { anyRowOf, rowFor } from '@/core/fields/fieldsOf';
import type { ChoiceFieldName } from '@/core/fields/eventFields';
import { choiceWord } from '@/ui/choiceWords';

type Choices = readonly { readonly value: string; readonly label: string }[];

/** What stands in a cell while it is written into, and among what it is chosen, if it is. */
interface Edited {
  readonly value: (row: EntryRow) => string;
  readonly choices?: (names: CellNames) => Choices;
}

/** How a column is written into; undefined for one that is not. */
function editedIn(column: TableColumn): Edited | undefined {
  if (column === 'calendar')
    return {
      value: ({ calendarId }) => calendarId,
      choices: ({ calendars }) =>
        [...calendars.values()]
          .filter((one) => !isReadOnly(one))
          .map(({ id, name }) => ({ value: id, label: name })),
    };
  const field = fieldOfColumn(column);
  if (field === undefined || !anyRowOf(field).table?.isWritten) return undefined;
  const { form } = anyRowOf(field);
  const value = ({ values }: EntryRow): string =>
    form ? String(form.typed(values[field])) : String(values[field] ?? '');
  if (form?.kind !== 'choice') return { value };
  return {
    value,
    choices: () =>
      (form.choices as readonly string[]).map((each) => ({
        value: each,
        label: choiceWord(field as ChoiceFieldName, each),
      })),
  };
}

/** Whether a cell can be written into: it holds one plain value, of an entry that has such a field and can be changed. */
export function isEditable(column: TableColumn, row: EntryRow, { calendars }: CellNames): boolean {
  const field = fieldOfColumn(column);
  return (
    editedIn(column) !== undefined &&
    (field === undefined || rowFor(row.entryKind, field) !== undefined) &&
    !isReadOnly(calendars.get(row.calendarId))
  );
}

/** A cell while it is written into: Enter keeps, Escape lets it be, another place keeps. */
export function CellEditor({
  column,
  row,
  names,
  onKeep,
  onLeave,
}: {
  column: TableColumn;
  row: EntryRow;
  names: CellNames;
  onKeep: (value: string) => void;
  onLeave: () => void;
}) {
  const { colours } = useTheme();
  const [edited] = useState(() => editedIn(column)!);
  const [value, setValue] = useState(() => edited.value(row));
  const field = useRef<HTMLInputElement & HTMLSelectElement>(null);
  const isLeft = useRef(false);
  useEffect(() => {
    field.current?.focus();
    if (field.current instanceof HTMLInputElement) field.current.select();
  }, []);
  const end = (isKept: boolean) => {
    if (isLeft.current) return;
    isLeft.current = true;
    if (isKept && value !== edited.value(row)) onKeep(value);
    onLeave();
  };
  const given = {
    ref: field,
    value,
    className: tableClasses.input,
    'aria-label': tidyWords.editCell(columnName(column), row.title || words.entry.noTitle),
    style: { borderColor: colours.accent, backgroundColor: colours.card },
    onChange: (event: { target: { value: string } }) => setValue(event.target.value),
    onBlur: () => end(true),
    onClick: (event: { stopPropagation: () => void }) => event.stopPropagation(),
    onKeyDown: (event: { key: string; stopPropagation: () => void; preventDefault: () => void }) => {
      event.stopPropagation();
      if (event.key !== 'Enter' && event.key !== 'Escape') return;
      event.preventDefault();
      end(event.key === 'Enter');
    },
  };
  const choices = edited.choices?.(names);
  if (!choices) return <input {...given} maxLength={1000} />;
  return (
    <select {...given}>
      {choices.map((choice) => (
        <option key={choice.value} value={choice.value}>
          {choice.label}
        </option>
      ))}
    </select>
  );
}
