import { z } from 'zod';
import { Look } from './look';
import { sameLook } from './lookParameters';
import { TableColumns } from './tableColumns';

/** How the table of all entries looks beside that: what its address says, by the names there, and its columns. */
const TableLook = z.object({
  parameters: z.record(z.string(), z.string()),
  columns: TableColumns.optional(),
});
type TableLook = z.infer<typeof TableLook>;

/** A way of looking at the calendar, or at the table of all entries, that is kept under a name. */
export const ViewPreset = z.object({
  id: z.string().min(1),
  name: z.string().trim().min(1).max(40),
  order: z.number(),
  look: Look,
  /** Where it is one of the table. */
  table: TableLook.optional(),
  /** Whether it begins at today, or in the period that holds today; else the selected day stays. */
  fromToday: z.boolean(),
});
export type ViewPreset = z.infer<typeof ViewPreset>;

/** What of a preset is seen. */
export type PresetLook = Pick<ViewPreset, 'look' | 'table'>;

const withSortedNames = (_: string, value: unknown): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;

/** Whether two show the same in the same way, in the same place. */
export const samePresetLook = (a: PresetLook, b: PresetLook): boolean =>
  sameLook(a.look, b.look) &&
  JSON.stringify(a.table, withSortedNames) === JSON.stringify(b.table, withSortedNames);
