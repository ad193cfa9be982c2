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
