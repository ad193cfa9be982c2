import { readPriority } from '../fields/importance';
import type { Migration } from './migration';

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Version 2: PRIORITY is a field, where it was kept as a file gave it. One that says no number stays as it was. */
export const priorityAsField: Migration = (record) => {
  const { preserved } = record;
  if (!isRecord(preserved) || !Array.isArray(preserved.properties) || record.priority !== undefined)
    return { ...record };
  const properties = preserved.properties as unknown[];
  const kept = properties.find((property) => Array.isArray(property) && property[0] === 'priority') as
    unknown[] | undefined;
  const priority = kept && readPriority(String(kept[3]));
  if (priority === undefined) return { ...record };
  return {
    ...record,
    priority,
    preserved: { ...preserved, properties: properties.filter((property) => property !== kept) },
  };
};

/** The same of an entry in the bin. */
export const priorityAsFieldInBin: Migration = (record) => ({
  ...record,
  ...(isRecord(record.entry) ? { entry: priorityAsField(record.entry) } : {}),
});
