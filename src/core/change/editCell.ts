import { type Entry, isEvent } from '../model/entry';
import type { State } from '../model/state';
import { applyStep, stepTools } from './batch/eventSteps';
import { editEach, madeOfEach } from './editEach';
import type { ChangeResult } from './eventFields';
import type { ChangeContext } from './patch';
import type { Refusal } from './shift';
import type { Target } from './target';
import {
  anyRowOf,
  type FieldTableColumn,
  rowFor,
  TABLE_FIELDS,
  valueOf,
  withValue,
} from '../fields/fieldsOf';

/** A column that is written into where it stands: of a field whose row says so, or the calendar. */
export type Cell = FieldTableColumn | 'calendar';

/** Whether a column of the table is written into. */
export function isCell(column: string): column is Cell {
  if (column === 'calendar') return true;
  const field = TABLE_FIELDS.get(column as FieldTableColumn);
  return field !== undefined && anyRowOf(field).table?.isWritten === true;
}

/** What is written into a cell, in an entry; the entry as it is for a text that its field can't hold. */
function written(
  entry: Entry,
  cell: Cell,
  text: string,
  state: State,
  context: ChangeContext,
): Entry | Refusal {
  if (cell === 'calendar')
    return applyStep(entry, { kind: 'calendar', calendar: text }, stepTools(state, context.zone));
  const field = TABLE_FIELDS.get(cell)!;
  const row = rowFor(entry.kind, field);
  if (!row) return isEvent(entry) ? 'no-todo' : 'no-event';
  if (!row.form) return withValue(entry, field, text.trim());
  const typed = row.form.schema.safeParse(text);
  return typed.success ? withValue(entry, field, row.form.said(typed.data, valueOf(entry, field))) : entry;
}

/** Writes into one plain value of an entry: a series as a whole, an occurrence alone. */
export function editCell(
  state: State,
  target: Target,
  cell: Cell,
  text: string,
  context: ChangeContext,
): ChangeResult {
  const edited = editEach(
    state,
    [target],
    'this',
    (event) => written(event, cell, text, state, context),
    context,
  );
  const name = state.entries.get(target.entryId)?.title;
  return madeOfEach(edited, { what: 'entry-changed', name });
}
