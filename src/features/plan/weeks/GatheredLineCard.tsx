import { memo } from 'react';
import { fitWords } from '@/core/layout/fitWords';
import type { GatheredLine } from '@/core/layout/gathered';
import type { Calendar } from '@/core/model/calendar';
import { timeText } from '@/ui/dates';
import { measureSmallText } from '@/ui/measureText';
import { pageClasses } from '@/ui/pageClasses';
import { corner, fontFamilies, fontSizes, hairline } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { cardTab } from '../grid/cardTab';
import { cardTitle } from '../grid/cardTitle';
import { useLiftedKeys } from '../grid/ghost';
import { useCardFrame } from '../grid/useCardFrame';

const MARK = 24;
const HEIGHT = 18;

interface GatheredLineCardProps {
  line: GatheredLine;
  /** Where its first column begins, and its upper edge, in pixels. */
  left: number;
  top: number;
  columnWidth: number;
  calendar: Calendar | undefined;
  selected: ReadonlySet<string>;
  tabbableKey: string | undefined;
  fadeBefore: number | undefined;
  fontsLoaded: boolean;
}

/** A daily series as one line over its days: named once, and each day's occurrence is a card of its own. */
export const GatheredLineCard = memo(function GatheredLineCard({
  line,
  left,
  top,
  columnWidth,
  calendar,
  selected,
  tabbableKey,
  fadeBefore,
}: GatheredLineCardProps) {
  const frameOf = useCardFrame();
  const lifted = useLiftedKeys();
  const { occurrences } = line;
  const [first] = occurrences;
  if (!first) return null;
  const width = occurrences.length * columnWidth - 4;
  const [shown = ''] = fitWords(
    `${cardTitle(first)} ${words.weeks.daily(timeText(first.startWall))}`,
    [width - MARK - 8],
    (text) => measureSmallText(text, '500'),
    'cut-next',
  );
  return occurrences.map((occurrence, index) => {
    const selectedHere = selected.has(occurrence.key);
    const { tones, isStruck, style, props } = frameOf(occurrence, calendar, {
      selected: selectedHere,
      tabbable: tabbableKey === occurrence.key,
      lifted: lifted.has(occurrence.key),
      faded: fadeBefore !== undefined && occurrence.end <= fadeBefore,
    });
    const [begin, end] = [index === 0 ? 1 : 0, index === occurrences.length - 1 ? 1 : 0];
    return (
      <div
        key={occurrence.key}
        {...props}
        className={classes.segment}
        style={{
          ...style,
          top,
          left: left + index * columnWidth + begin * 2,
          width: columnWidth - (begin + end) * 2,
          borderLeftWidth: begin * hairline,
          borderRightWidth: end * hairline,
          borderRadius: `${begin * corner}px ${end * corner}px ${end * corner}px ${begin * corner}px`,
          zIndex: selectedHere ? 1 : undefined,
        }}
      >
        {index === 0 ? (
          <span aria-hidden className={classes.said} style={{ width }}>
            {cardTab({ kind: 'line', tones, mark: calendar?.mark, selected: selectedHere })}
            <span className={isStruck ? classes.struck : undefined}>{shown}</span>
          </span>
        ) : null}
      </div>
    );
  });
});

const classes = pageClasses('gathered', {
  segment: {
    position: 'absolute',
    boxSizing: 'border-box',
    height: HEIGHT,
    borderTopWidth: hairline,
    borderBottomWidth: hairline,
    pointerEvents: 'auto',
    cursor: 'grab',
    userSelect: 'none',
    touchAction: 'pan-x pan-y',
  },
  said: {
    position: 'absolute',
    left: 0,
    top: 0,
    display: 'flex',
    gap: 4,
    pointerEvents: 'none',
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.small,
    fontWeight: 500,
    lineHeight: '16px',
    whiteSpace: 'nowrap',
    fontVariantNumeric: 'tabular-nums',
    zIndex: 1,
  },
  struck: { textDecorationLine: 'line-through' },
});
