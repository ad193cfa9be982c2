import type { z } from 'zod';
import type { Migration } from './migration';
import { COLLECTIONS, type CollectionName, type RecordOf } from './state';
import { withUnknown } from './unknownFields';

/** A record that was read, or why it can't be. */
export type ReadRecord<Parsed> =
  | { readonly record: Parsed; readonly issues?: undefined }
  | { readonly record?: undefined; readonly issues: readonly z.core.$ZodIssue[] };

const versionOf = (value: object): number =>
  'version' in value && typeof value.version === 'number' ? value.version : 1;

/**
 * Reads a record in whatever version it was written: an older one is led to the present form; of a later one everything is
 * kept, also what is not known here.
 */
export function readAs<Parsed>(
  schema: z.ZodType<Parsed>,
  migrations: readonly Migration[],
  value: unknown,
): ReadRecord<Parsed> {
  let raw = value;
  let without: string | undefined;
  if (typeof raw === 'object' && raw !== null && migrations.length > 0) {
    const version = versionOf(raw);
    for (const migration of migrations.slice(version - 1)) raw = migration(raw as Record<string, unknown>);
    // Of the present form, it need not be said until it is written.
    if (version <= migrations.length + 1) without = 'version';
  }
  const parsed = schema.safeParse(raw);
  return parsed.success
    ? { record: withUnknown(raw, parsed.data, without) }
    : { issues: parsed.error.issues };
}

/** Reads a record of a collection. */
export const readRecord = <Name extends CollectionName>(
  collection: Name,
  value: unknown,
): ReadRecord<RecordOf<Name>> => {
  const { schema, migrations } = COLLECTIONS[collection];
  return readAs(schema as unknown as z.ZodType<RecordOf<Name>>, migrations, value);
};

/** A record as it is written: with its version, once its collection has had more than one. */
export const stamped = <Name extends CollectionName>(collection: Name, record: RecordOf<Name>): object => {
  const { migrations } = COLLECTIONS[collection];
  return migrations.length === 0 || 'version' in record
    ? record
    : { ...record, version: migrations.length + 1 };
};
