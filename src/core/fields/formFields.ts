import type { z } from 'zod';
import type { Entry } from '../model/entry';
import type { FormCodec } from './field';
import { type EntryFieldName, fieldsOf } from './fieldsOf';

/** What stands in a form for the fields of a table, by their names. */
export type TypedValues = Readonly<Record<string, unknown>>;

/** The fields of a kind of entry that stand in its form as they are, each by one control. */
export const formFieldsOf = (kind: Entry['kind']): readonly EntryFieldName[] =>
  fieldsOf(kind).names.filter((name) => fieldsOf(kind).rowOf(name).form !== undefined);

const formOf = (kind: Entry['kind'], name: EntryFieldName): FormCodec<unknown, unknown> =>
  fieldsOf(kind).rowOf(name).form!;

/** What may stand in the form for each of them. */
export const formSchemas = (kind: Entry['kind']): Record<string, z.ZodType> =>
  Object.fromEntries(formFieldsOf(kind).map((name) => [name, formOf(kind, name).schema]));

/** The values of fields as the form holds them. */
export const typedValues = (kind: Entry['kind'], values: TypedValues): Record<string, unknown> =>
  Object.fromEntries(formFieldsOf(kind).map((name) => [name, formOf(kind, name).typed(values[name])]));

/** What is typed says, upon the values that the form began with. */
export const saidValues = (
  kind: Entry['kind'],
  typed: TypedValues,
  before: TypedValues,
): Record<string, unknown> =>
  Object.fromEntries(
    formFieldsOf(kind).map((name) => [name, formOf(kind, name).said(typed[name], before[name])]),
  );

/** The fields of a form that hold what can't be kept, each with what is wrong. */
export const problemsOfForm = (
  kind: Entry['kind'],
  typed: TypedValues,
): { readonly name: EntryFieldName; readonly problem: 'link' }[] =>
  formFieldsOf(kind).flatMap((name) => {
    const problem = formOf(kind, name).problem?.(typed[name]);
    return problem ? [{ name, problem }] : [];
  });
