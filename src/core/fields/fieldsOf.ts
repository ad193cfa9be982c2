import type { Entry, EventFields, TodoFields } from '../model/entry';
import { EVENT_FIELDS, type FieldName } from './eventFields';
import type { Field } from './field';
import { TODO_FIELDS, type TodoFieldName } from './todoFields';

/** The name of a field of any kind of entry, and what it can hold. */
export type EntryFieldName = FieldName | TodoFieldName;
type In<Fields, Name> = Name extends keyof Fields ? Fields[Name] : never;
export type ValueOf<Name extends EntryFieldName> = In<EventFields, Name> | In<TodoFields, Name>;

/** The fields of one kind of entry. */
export interface FieldTable {
  readonly names: readonly EntryFieldName[];
  readonly rowOf: (name: EntryFieldName) => Field<unknown, unknown>;
  /** Those that an edit for more than one occurrence sets for all. */
  readonly shared: readonly EntryFieldName[];
}

function tableOf(rows: object): FieldTable {
  const known = rows as Readonly<Record<string, Field<unknown, unknown>>>;
  const names = Object.keys(known) as EntryFieldName[];
  return {
    names,
    rowOf: (name) => known[name]!,
    shared: names.filter((name) => known[name]!.scope === 'shared'),
  };
}

const TABLES: Readonly<Record<Entry['kind'], FieldTable>> = {
  event: tableOf(EVENT_FIELDS),
  todo: tableOf(TODO_FIELDS),
};

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

/** All fields of a kind as they begin, but for those that every entry of it is made with. */
export const initialValues = (kind: Entry['kind']): Record<string, unknown> =>
  Object.fromEntries(
    TABLES[kind].names.flatMap((name) => {
      const { initial } = TABLES[kind].rowOf(name);
      return initial === 'required' || initial === undefined ? [] : [[name, initial] as const];
    }),
  );
