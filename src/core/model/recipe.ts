import { z } from 'zod';
import { BatchStep, MOST_STEPS } from './batchStep';

/** Steps under a name, to be done again to other entries. */
export const Recipe = z.object({
  id: z.string().min(1),
  name: z.string().trim().min(1).max(80),
  steps: z.array(BatchStep).min(1).max(MOST_STEPS),
  /** Place among the recipes, ascending. */
  order: z.number(),
});
export type Recipe = z.infer<typeof Recipe>;
