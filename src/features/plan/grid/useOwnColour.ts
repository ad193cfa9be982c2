import { useCallback } from 'react';
import { ownColourOf, type Seen } from '@/core/layout/appearance';
import { useCategoryColours } from '@/store';

/** The colour that an occurrence has in place of its calendar's: its own, or that of its first category that has one. */
export function useOwnColour(): (occurrence: Pick<Seen, 'colour' | 'categories'>) => string | undefined {
  const categoryColours = useCategoryColours();
  return useCallback((occurrence) => ownColourOf(occurrence, categoryColours), [categoryColours]);
}
