import { z } from 'zod';

/** The most steps of one change. */
export const MOST_STEPS = 30;

/**
 * Steps under a name, to be done again to other entries. What they say is read when they are taken: steps of a later version
 * are kept until one that knows them is here.
 */
export const Recipe = z.object({
  id: z.string().min(1),
  name: z.string().trim().min(1).max(80),
  steps: z
    .array(z.looseObject({ kind: z.string() }))
    .min(1)
    .max(MOST_STEPS),
  /** Place among the recipes, ascending. */
  order: z.number(),
});
export type Recipe = z.infer<typeof Recipe>;
