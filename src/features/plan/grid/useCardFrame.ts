import type { CSSProperties } from 'react';
import { appearanceOf } from '@/core/layout/appearance';
import type { Calendar } from '@/core/model/calendar';
import type { Occurrence } from '@/core/schedule/occurrence';
import { useCategoryColours } from '@/store';
import type { CalendarColours } from '@/ui/theme/calendarColours';
import { useTheme } from '@/ui/theme/theme';
import { hairline } from '@/ui/theme/tokens';
import { occurrenceLabel } from './occurrenceLabel';
import { DRAFT_KEY } from './withDraft';

/** How a card stands among the others. */
export interface CardState {
  readonly selected: boolean;
  /** Whether the Tab key leads to it. */
  readonly tabbable: boolean;
  /** Whether it is over, and shown so. */
  readonly faded: boolean;
  /** Whether it is being dragged away from here. */
  readonly lifted?: boolean;
  /** Whether it is being written: dashed, and nothing to press where it is new. */
  readonly isDraft?: boolean;
}

/** What an element needs to be a card: how it is known, pressed and read out, and its paper. */
export interface CardFrame {
  readonly tones: CalendarColours;
  /** Whether its title is struck through: it is called off. */
  readonly isStruck: boolean;
  readonly style: CSSProperties;
  readonly props: Readonly<Record<string, string | number | boolean | undefined>>;
}

const LIFTED = 0.35;
const FADED = 0.6;

/**
 * The one frame of all cards: colour and availability as paper, fading, outline of what is selected or written, and what
 * keys, fingers and screen readers know it by.
 * @returns what makes the frame of an occurrence; `kind` tells cards of hours from ribbons of whole days
 */
export function useCardFrame() {
  const { colours, calendar: tonesOf } = useTheme();
  const categoryColours = useCategoryColours();
  return (
    occurrence: Occurrence,
    calendar: Calendar | undefined,
    state: CardState,
    kind: 'card' | 'ribbon' = 'card',
  ): CardFrame => {
    const { colour, paper, isDashed, isStruck } = appearanceOf(occurrence, calendar?.colour, categoryColours);
    const tones = tonesOf(colour);
    const { selected, isDraft } = state;
    const accented = { borderColor: colours.accent };
    const isNew = occurrence.key === DRAFT_KEY;
    return {
      tones,
      isStruck,
      style: {
        backgroundColor: paper === 'free' ? colours.card : tones.tint,
        borderColor: paper === 'taken' ? tones.tint : tones.band,
        borderStyle: isDashed ? 'dashed' : 'solid',
        color: tones.ink,
        ...(occurrence.personId ? { cursor: 'default' } : null),
        opacity: state.lifted ? LIFTED : state.faded ? FADED : undefined,
        ...(isDraft
          ? { ...accented, borderStyle: 'dashed', pointerEvents: isNew ? 'none' : undefined }
          : null),
        ...(selected
          ? {
              ...accented,
              borderStyle: 'solid',
              // With the border it makes the two pixels of what is selected; the outline is the focus's.
              boxShadow: `0 0 0 ${hairline}px ${colours.accent}`,
            }
          : null),
      },
      props: occurrence.personId
        ? {
            role: 'img',
            'aria-label': occurrenceLabel(occurrence, calendar),
            title: occurrence.title,
            'data-inert': true,
            'data-testid': 'colleague-time',
          }
        : isNew
          ? { 'aria-hidden': true, 'data-testid': 'ghost' }
          : {
              role: 'button',
              'aria-label': occurrenceLabel(occurrence, calendar),
              'aria-pressed': selected,
              title: occurrence.title,
              tabIndex: state.tabbable ? 0 : -1,
              'data-testid': kind,
              'data-key': occurrence.key,
            },
    };
  };
}
