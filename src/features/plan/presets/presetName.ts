import { z } from 'zod';
import { presetNamed } from '@/core/change/presetChanges';
import type { State } from '@/core/model/state';
import { words } from '@/ui/words';

/** The name of a preset: there is one, and no other preset goes by it. */
export const presetName = (state: () => State, exceptId?: string) =>
  z
    .string()
    .trim()
    .min(1, words.presets.nameMissing)
    .refine((name) => !presetNamed(state(), name, exceptId), {
      error: ({ input }) => words.presets.nameTaken(String(input)),
    });
