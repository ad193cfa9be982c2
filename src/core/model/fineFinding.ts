import { z } from 'zod';

/** A finding of a check that is fine as it is, known by its id. */
export const FineFinding = z.object({ id: z.string().min(1), at: z.number() });
export type FineFinding = z.infer<typeof FineFinding>;
