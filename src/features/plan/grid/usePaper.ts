import { useCallback } from 'react';
import { appearanceOf, ownColourOf, type Seen } from '@/core/layout/appearance';
import { useCategoryColours } from '@/store';
import { useTheme } from '@/ui/theme/theme';

/** The colour that an occurrence has in place of its calendar's: its own, or that of its first category that has one. */
export function useOwnColour(): (occurrence: Pick<Seen, 'colour' | 'categories'>) => string | undefined {
  const categoryColours = useCategoryColours();
  return useCallback((occurrence) => ownColourOf(occurrence, categoryColours), [categoryColours]);
}

/** How an occurrence looks on the screen: the tones of its colour, and its availability as paper (filled, dashed, outline). */
export function usePaper() {
  const { colours, calendar } = useTheme();
  const categoryColours = useCategoryColours();
  return (occurrence: Seen, calendarColour: string | undefined) => {
    const { colour, paper, isDashed } = appearanceOf(occurrence, calendarColour, categoryColours);
    const tones = calendar(colour);
    return {
      tones,
      paper: {
        backgroundColor: paper === 'free' ? colours.card : tones.tint,
        borderColor: paper === 'taken' ? tones.tint : tones.band,
        borderStyle: isDashed ? ('dashed' as const) : ('solid' as const),
      },
    };
  };
}
