import { useCallback } from 'react';
import type { Occurrence } from '@/core/schedule/occurrence';
import { useCategoryColours } from '@/store';
import { useTheme } from '@/ui/theme/theme';

type Coloured = Pick<Occurrence, 'colour' | 'categories'>;

/** The colour that an occurrence has in place of its calendar's: its own, or that of its first category that has one. */
export function useOwnColour(): (occurrence: Coloured) => string | undefined {
  const categoryColours = useCategoryColours();
  return useCallback(
    ({ colour, categories }) => {
      if (colour !== undefined || categoryColours.size === 0) return colour;
      return categories?.map((name) => categoryColours.get(name)).find(Boolean);
    },
    [categoryColours],
  );
}

/**
 * How an occurrence looks: its colour (its own, that of its first category that has one, or its calendar's), and its
 * availability as paper (filled, dashed, outline).
 */
export function usePaper() {
  const { colours, calendar } = useTheme();
  const ownColour = useOwnColour();
  return (occurrence: Coloured & Pick<Occurrence, 'availability' | 'status'>, calendarColour: string) => {
    const tones = calendar(ownColour(occurrence) ?? calendarColour);
    const isEmpty = occurrence.availability === 'free' || occurrence.status === 'cancelled';
    return {
      tones,
      paper: {
        backgroundColor: isEmpty ? colours.card : tones.tint,
        borderColor: isEmpty || occurrence.availability === 'tentative' ? tones.band : tones.tint,
        borderStyle: occurrence.availability === 'tentative' ? ('dashed' as const) : ('solid' as const),
      },
    };
  };
}
