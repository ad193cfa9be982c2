import { z } from 'zod';

/** How the columns of the table of all entries stand on a device, by their ids: what is not said is as at first. */
export const TableColumns = z.object({
  order: z.array(z.string()),
  shown: z.record(z.string(), z.boolean()),
  /** In pixels. */
  widths: z.record(z.string(), z.number().min(40).max(1000)),
});
export type TableColumns = z.infer<typeof TableColumns>;
