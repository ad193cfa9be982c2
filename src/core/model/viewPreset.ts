import { z } from 'zod';
import { Look } from './look';

/** A way of looking at the calendar that is kept under a name. */
export const ViewPreset = z.object({
  id: z.string().min(1),
  name: z.string().trim().min(1).max(40),
  order: z.number(),
  look: Look,
  /** Whether it begins at today, or in the period that holds today; else the selected day stays. */
  fromToday: z.boolean(),
});
export type ViewPreset = z.infer<typeof ViewPreset>;
