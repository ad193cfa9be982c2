import type { z } from 'zod';

type Fields = Record<string, unknown>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * What was read by a schema, with the fields beside it that the schema does not know: a later version has written them, and
 * they are kept. What the schema knows is as the schema has it.
 * @param raw what was read from; not changed
 * @param parsed what the schema made of it, freshly made: fields are added in place
 * @param without a field of `raw` that is let go all the same
 */
export function withUnknown<Parsed>(raw: unknown, parsed: Parsed, without?: string): Parsed {
  if (raw === parsed) return parsed;
  if (Array.isArray(raw) && Array.isArray(parsed)) {
    // Of a list that the schema shortened it can't be told which is which.
    if (raw.length === parsed.length) raw.forEach((item, index) => withUnknown(item, parsed[index]));
  } else if (isFields(raw) && isFields(parsed)) {
    for (const name of Object.keys(raw)) {
      if (Object.hasOwn(parsed, name)) withUnknown(raw[name], parsed[name]);
      else if (name !== '__proto__' && name !== without) (parsed as Fields)[name] = raw[name];
    }
  }
  return parsed;
}

/**
 * A value as its schema has it, with what the schema does not know.
 * @throws ZodError if it is none of the schema
 */
export const parseKept = <Parsed>(schema: z.ZodType<Parsed>, value: unknown): Parsed =>
  withUnknown(value, schema.parse(value));
