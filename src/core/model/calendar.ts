import { z } from 'zod';

/** The twelve named hues; any other colour is written as `#rrggbb`. */
export const HUES = [
  'pine',
  'harbour',
  'iris',
  'plum',
  'rose',
  'rust',
  'clay',
  'amber',
  'moss',
  'lagoon',
  'slate',
  'cocoa',
] as const;
export type Hue = (typeof HUES)[number];

export const Colour = z.union([z.enum(HUES), z.string().regex(/^#[0-9a-f]{6}$/i)]);
export type Colour = z.infer<typeof Colour>;

/** A named, coloured collection of entries with its two-letter mark. */
export const Calendar = z.object({
  id: z.string().min(1),
  name: z.string().trim().min(1).max(120),
  description: z.string().max(2000).default(''),
  colour: Colour,
  mark: z.string().regex(/^[\p{Lu}\p{N}]{2}$/u),
  /** Place in the person's own order, ascending. */
  order: z.number(),
  created: z.number(),
  modified: z.number(),
});
export type Calendar = z.infer<typeof Calendar>;
