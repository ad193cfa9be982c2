import { useMemo } from 'react';
import type { CSSProperties } from 'react';
import type { Calendar } from '@/core/model/calendar';
import { appearanceOf } from '@/core/layout/appearance';
import type { Occurrence } from '@/core/schedule/occurrence';
import { useCategoryColours } from '@/store';
import { calendarColours } from '@/ui/theme/calendarColours';
import { lightColours } from '@/ui/theme/tokens';

/** How an entry is printed: its paper and its mark. */
export interface PrintPaper {
  readonly paper: CSSProperties;
  readonly mark: CSSProperties;
  readonly letters: string;
}

const HATCHING = 'repeating-linear-gradient(135deg, transparent 0 4px, #00000022 4px 5px)';

/**
 * Papers for print. In black and white, too, the mark tells the calendar and the paper the availability: filled for busy,
 * dashed for tentative, empty for free, hatched for away.
 */
export function usePrintPaper(
  calendars: readonly Calendar[],
  blackAndWhite: boolean,
): (occurrence: Occurrence) => PrintPaper {
  const categoryColours = useCategoryColours();
  return useMemo(() => {
    const byId = new Map(calendars.map((calendar) => [calendar.id, calendar]));
    return (occurrence) => {
      const calendar = byId.get(occurrence.calendarId);
      const look = appearanceOf(occurrence, calendar?.colour, categoryColours);
      const tones = calendarColours(look.colour, lightColours);
      const line = blackAndWhite ? '#000000' : tones.band;
      return {
        paper: {
          backgroundColor: look.paper === 'free' ? '#FFFFFF' : blackAndWhite ? '#EDEDED' : tones.tint,
          backgroundImage: look.isAway ? HATCHING : undefined,
          borderColor: line,
          borderStyle: look.isDashed ? 'dashed' : 'solid',
          color: blackAndWhite ? '#000000' : tones.ink,
          textDecorationLine: look.isStruck ? 'line-through' : undefined,
        },
        mark: blackAndWhite
          ? { backgroundColor: '#000000', color: '#FFFFFF' }
          : { backgroundColor: tones.band, color: tones.onBand },
        letters: calendar?.mark ?? '',
      };
    };
  }, [calendars, categoryColours, blackAndWhite]);
}
