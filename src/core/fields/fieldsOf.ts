import type { Entry, EventFields, TodoFields } from '../model/entry';
import { EVENT_FIELDS, type EventTableColumn, type FieldColumnId, type FieldName } from './eventFields';
import type { Field } from './field';
import { TODO_FIELDS, type TodoColumnId, type TodoFieldName, type TodoTableColumn } from './todoFields';

/** The name of a field of any kind of entry, and what it can hold. */
export type EntryFieldName = FieldName | TodoFieldName;
type In<Fields, Name> = Name extends keyof Fields ? Fields[Name] : never;
export type ValueOf<Name extends EntryFieldName> = In<EventFields, Name> | In<TodoFields, Name>;

/** The fields of one kind of entry. */
export interface FieldTable {
  readonly names: readonly EntryFieldName[];
  readonly rowOf: (name: EntryFieldName) => Field<unknown, unknown>;
  /** The row of a field, if the kind has it: asked of every entry by search and filters. */
  readonly find: (name: EntryFieldName) => Field<unknown, unknown> | undefined;
  /** Those that an edit for more than one occurrence sets for all. */
  readonly shared: readonly EntryFieldName[];
}

function tableOf(rows: object): FieldTable {
  const known = rows as Readonly<Record<string, Field<unknown, unknown>>>;
  const names = Object.keys(known) as EntryFieldName[];
  return {
    names,
    rowOf: (name) => known[name]!,
    find: (name) => known[name],
    shared: names.filter((name) => known[name]!.scope === 'shared'),
  };
}

const TABLES: Readonly<Record<Entry['kind'], FieldTable>> = {
  event: tableOf(EVENT_FIELDS),
  todo: tableOf(TODO_FIELDS),
};

/** All fields of any kind of entry, each once. */
export const ALL_FIELDS: readonly EntryFieldName[] = [
  ...new Set([...TABLES.event.names, ...TABLES.todo.names]),
];

/** The row of a field in the table of a kind; undefined where that kind has no such field. */
export const rowFor = (kind: Entry['kind'], name: EntryFieldName): Field<unknown, unknown> | undefined =>
  TABLES[kind].find(name);

/** The row of a field of any kind of entry. */
export const anyRowOf = (name: EntryFieldName): Field<unknown, unknown> =>
  (rowFor('event', name) ?? rowFor('todo', name))!;

/** The fields that search reads. */
export const SEARCHED_FIELDS = ALL_FIELDS.filter((name) => anyRowOf(name).search);

/** The texts that search reads of an entry, by their fields. */
export const searchTexts = (entry: Entry): Readonly<Record<string, string>> =>
  Object.fromEntries(
    SEARCHED_FIELDS.flatMap((name) => {
      const search = rowFor(entry.kind, name)?.search;
      return search ? [[name, search.text(valueOf(entry, name), entry)] as const] : [];
    }),
  );

/** The column of Tidy's table that shows a field. */
export type FieldTableColumn = EventTableColumn | TodoTableColumn;
const columnsOfFields = new Map(
  ALL_FIELDS.flatMap((name) => {
    const { table } = anyRowOf(name);
    return table ? [[table.id as FieldTableColumn, name] as const] : [];
  }),
);
/** The columns of Tidy's table that show fields, each with its field. */
export const TABLE_FIELDS: ReadonlyMap<FieldTableColumn, EntryFieldName> = columnsOfFields;

const columnsOfTables = new Map(
  ALL_FIELDS.flatMap((name) => {
    const { column } = anyRowOf(name);
    return column ? [[column.id as FieldColumnId | TodoColumnId, name] as const] : [];
  }),
);
/** The columns of table files that hold fields, each with its field. */
export const FILE_COLUMN_FIELDS: ReadonlyMap<FieldColumnId | TodoColumnId, EntryFieldName> = columnsOfTables;

/** The table of the fields of a kind of entry. */
export const fieldsOf = (kind: Entry['kind']): FieldTable => TABLES[kind];

/** The value of a field of an entry by its name. */
export const valueOf = (entry: Entry, name: EntryFieldName): unknown =>
  (entry as unknown as Readonly<Record<string, unknown>>)[name];

/** An entry with some of its fields changed to values of theirs. */
export const withValues = <Kept extends Entry>(
  entry: Kept,
  values: Readonly<Record<string, unknown>>,
): Kept => ({
  ...entry,
  ...values,
});

/** An entry with one of its fields changed; undefined takes it off. */
export function withValue<Kept extends Entry>(entry: Kept, name: EntryFieldName, value: unknown): Kept {
  const { [name]: _, ...rest } = entry as unknown as Readonly<Record<string, unknown>>;
  return (value === undefined ? rest : { ...rest, [name]: value }) as unknown as Kept;
}

/** All fields of a kind as they begin, but for those that every entry of it is made with. */
export const initialValues = (kind: Entry['kind']): Record<string, unknown> =>
  Object.fromEntries(
    TABLES[kind].names.flatMap((name) => {
      const { initial } = TABLES[kind].rowOf(name);
      return initial === 'required' || initial === undefined ? [] : [[name, initial] as const];
    }),
  );
