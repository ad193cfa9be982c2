import { memo } from 'react';
import type { Ribbon } from '@/core/layout/ribbons';
import type { Calendar } from '@/core/model/calendar';
import { timeText } from '@/ui/dates';
import { pageClasses } from '@/ui/pageClasses';
import { corner, fontFamilies, fontSizes, hairline, sizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { cardTab } from './cardTab';
import { cardTitle } from './cardTitle';
import { useLiftedKeys } from './ghost';
import { type CardState, useCardFrame } from './useCardFrame';

interface RibbonCardProps extends CardState {
  ribbon: Ribbon;
  columnWidth: number;
  calendar: Calendar | undefined;
  /** Where its first row begins, in pixels. */
  top?: number;
}

/** A narrower one bears its mark alone. */
const LEAST_TITLED = 62;

/** An all-day or long entry above the hours, over all its days; an end without a corner goes on. */
export const RibbonCard = memo(function RibbonCard({
  ribbon,
  columnWidth,
  calendar,
  top = 1,
  ...state
}: RibbonCardProps) {
  const { occurrence, row, from, to, continuesBefore, continuesAfter } = ribbon;
  const lifted = useLiftedKeys().has(occurrence.key);
  const { tones, isStruck, style, props } = useCardFrame()(
    occurrence,
    calendar,
    { ...state, lifted },
    'ribbon',
  );
  const width = Math.max(8, (to - from) * columnWidth - 3);
  const [left, right] = [continuesBefore ? 0 : corner, continuesAfter ? 0 : corner];
  return (
    <div
      {...props}
      data-ends={`${continuesBefore ? '' : 'start'} ${continuesAfter ? '' : 'end'}`}
      className={classes.ribbon}
      style={{
        ...style,
        top: row * sizes.ribbon + top,
        left: from * columnWidth + 1,
        width,
        borderRadius: `${left}px ${right}px ${right}px ${left}px`,
      }}
    >
      {cardTab({ kind: 'corner', tones, mark: calendar?.mark, selected: state.selected })}
      {width < LEAST_TITLED ? null : (
        <span className={`${classes.title} ${isStruck ? classes.struck : ''}`}>
          {occurrence.allDay ? '' : `${timeText(occurrence.startWall)} `}
          {cardTitle(occurrence, state.isDraft)}
          {occurrence.availability === 'away' ? ` · ${words.entry.away}` : ''}
        </span>
      )}
    </div>
  );
});

const classes = pageClasses('ribbon', {
  ribbon: {
    position: 'absolute',
    boxSizing: 'border-box',
    height: sizes.ribbon - 3,
    borderWidth: hairline,
    overflow: 'hidden',
    pointerEvents: 'auto',
    cursor: 'grab',
    userSelect: 'none',
    touchAction: 'pan-x pan-y',
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.small,
    fontWeight: 700,
    lineHeight: '18px',
  },
  title: {
    display: 'block',
    // Beside the tab.
    padding: `0 ${space(1)}px 0 ${24 + space(1)}px`,
    overflow: 'hidden',
    whiteSpace: 'nowrap',
    textOverflow: 'ellipsis',
  },
  struck: { textDecorationLine: 'line-through' },
});
