import { z } from 'zod';
import { Colour } from './colour';

/** A free label of entries (CATEGORIES, RFC 5545 3.8.1.2) that was given a colour of its own. */
export const Category = z.object({
  id: z.string().min(1),
  name: z.string().trim().min(1).max(80),
  colour: Colour,
});
export type Category = z.infer<typeof Category>;
