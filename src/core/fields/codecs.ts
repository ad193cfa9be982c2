import { z } from 'zod';
import type { JCalProperty } from '../model/jcal';
import type { ColumnCodec, FormCodec, PropertyCodec } from './field';

/** A property of one text; none for an empty one. */
export const textProperties = (name: string, value: string, type = 'text'): JCalProperty[] =>
  value ? [[name, {}, type, value]] : [];

/** A field that is one text of a VEVENT. */
export const textProperty = (
  name: string,
  type = 'text',
): PropertyCodec<string> & PropertyCodec<string | undefined> => ({
  names: [name],
  read: ({ text }) => text(name) || undefined,
  write: (value: string | undefined) => textProperties(name, value ?? '', type),
});

/** The value of a set that a text names, in any case. */
export const oneOf = <Value extends string>(values: readonly Value[], text: string): Value | undefined =>
  values.find((value) => value === text.toLowerCase());

const optional = (text: string): string | undefined => text.trim() || undefined;

/** A column of one text that need not be there. */
export const optionalTextColumn = <const Id extends string>(
  id: Id,
  header: string,
  names: RegExp,
): ColumnCodec<string | undefined, Id> => ({
  id,
  header,
  names,
  read: optional,
  write: (value) => value ?? '',
});

/** A column of one text. */
export const textColumn = <const Id extends string>(
  id: Id,
  header: string,
  names: RegExp,
): ColumnCodec<string, Id> => ({ id, header, names, read: (text) => text, write: (value) => value });

/**
 * A column of one value of a set.
 * @param aliases further words for them, in small letters
 * @param writtenAs how a value is called in a table, where that is not its name
 */
export const choiceColumn = <Value extends string, const Id extends string>(
  id: Id,
  header: string,
  names: RegExp,
  values: readonly Value[],
  aliases: Readonly<Record<string, Value>>,
  writtenAs: Partial<Record<Value, string>> = {},
): ColumnCodec<Value, Id> => ({
  id,
  header,
  names,
  read: (text) => oneOf(values, text) ?? aliases[text.toLowerCase()],
  write: (value) => writtenAs[value] ?? value,
});

const plainText = z.string();

/** A field of words in the form; what stands around them is left away. */
export const textForm = (
  kind: 'text' | 'notes' | 'link',
  problem?: (typed: string) => 'link' | undefined,
): FormCodec<string, string> => ({
  kind,
  schema: plainText,
  ...(problem ? { problem } : {}),
  typed: (value) => value,
  said: (typed) => (kind === 'notes' ? typed : typed.trim()),
});

/** A text of the form that need not be there. */
export const optionalTextForm: FormCodec<string | undefined, string> = {
  kind: 'text',
  schema: plainText,
  typed: (value) => value ?? '',
  said: optional,
};

/** A field of the form that is chosen among a few. */
export const choiceForm = <Value extends string>(values: readonly Value[]): FormCodec<Value, Value> => ({
  kind: 'choice',
  choices: values,
  schema: z.enum(values as readonly [Value, ...Value[]]) as unknown as z.ZodType<Value, Value>,
  typed: (value) => value,
  said: (typed) => typed,
});
