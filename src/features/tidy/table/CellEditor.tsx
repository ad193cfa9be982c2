import { useEffect, useRef, useState } from 'react';
import { isReadOnly } from '@/core/model/calendar';
import { AVAILABILITIES, CLASSIFICATIONS } from '@/core/model/entry';
import type { EntryRow, TableColumn } from '@/core/tidy/table/tableQuery';
import { useTheme } from '@/ui/theme/theme';
import { words } from '@/ui/words';
import { tidyWords } from '@/ui/words/tidy';
import type { CellNames } from './cells';
import { tableClasses } from './tableClasses';

type Choices = readonly { readonly value: string; readonly label: string }[];

/** The columns whose cells hold one plain value: what stands in one, and among what it is chosen, if it is. */
const EDITED: Partial<
  Record<TableColumn, { value: (row: EntryRow) => string; choices?: (names: CellNames) => Choices }>
> = {
  title: { value: ({ title }) => title },
  place: { value: ({ location }) => location },
  category: { value: ({ categories }) => categories.join(', ') },
  calendar: {
    value: ({ calendarId }) => calendarId,
    choices: ({ calendars }) =>
      [...calendars.values()]
        .filter((one) => !isReadOnly(one))
        .map(({ id, name }) => ({ value: id, label: name })),
  },
  availability: {
    value: ({ availability = 'free' }) => availability,
    choices: () => AVAILABILITIES.map((value) => ({ value, label: words.entry.availability[value] })),
  },
  visibility: {
    value: ({ classification }) => classification,
    choices: () => CLASSIFICATIONS.map((value) => ({ value, label: words.entry.classification[value] })),
  },
};

/** Whether a cell can be written into: it holds one plain value, of an entry that can be changed. */
export const isEditable = (column: TableColumn, row: EntryRow, { calendars }: CellNames): boolean =>
  column in EDITED &&
  // A to-do takes no time that could count as anything.
  !(column === 'availability' && row.entryKind === 'todo') &&
  !isReadOnly(calendars.get(row.calendarId));

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
  const edited = EDITED[column]!;
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
    'aria-label': tidyWords.editCell(tidyWords.columnNames[column], row.title || words.entry.noTitle),
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
