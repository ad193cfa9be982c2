import type { Occurrence } from '@/core/schedule/occurrence';
import { useTheme } from '@/ui/theme/theme';

/** How an occurrence's availability looks: its paper (filled, dashed, outline). */
export function usePaper() {
  const { colours, calendar } = useTheme();
  return (occurrence: Pick<Occurrence, 'availability' | 'status'>, colour: string) => {
    const tones = calendar(colour);
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
