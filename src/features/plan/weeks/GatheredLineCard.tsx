import { memo } from 'react';
import { fitWords } from '@/core/layout/fitWords';
import type { GatheredLine } from '@/core/layout/gathered';
import type { Calendar } from '@/core/model/calendar';
import { timeText } from '@/ui/dates';
import { measureSmallText } from '@/ui/measureText';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, fontFamilies, fontSizes, hairline } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { useGhost } from '../grid/ghost';
import { occurrenceLabel } from '../grid/occurrenceLabel';
import { usePaper } from '../grid/usePaper';

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
  const { colours } = useTheme();
  const paperOf = usePaper();
  const liftedKey = useGhost(({ ghost }) => (ghost?.copy ? undefined : ghost?.key));
  const { occurrences } = line;
  const [first] = occurrences;
  if (!first) return null;
  const width = occurrences.length * columnWidth - 4;
  const title = `${first.title || words.entry.noTitle}${first.availability === 'tentative' ? ' ?' : ''}`;
  const said = `${title} ${words.weeks.daily(timeText(first.startWall))}`;
  const [shown = ''] = fitWords(
    said,
    [width - MARK - 8],
    (text) => measureSmallText(text, '500'),
    'cut-next',
  );
  return (
    <>
      {occurrences.map((occurrence, index) => {
        const { tones, paper } = paperOf(occurrence, calendar?.colour ?? 'slate');
        const isSelected = selected.has(occurrence.key);
        const isFirst = index === 0;
        const isLast = index === occurrences.length - 1;
        return (
          <div
            key={occurrence.key}
            role="button"
            aria-label={occurrenceLabel(occurrence, calendar)}
            aria-pressed={isSelected}
            title={occurrence.title}
            tabIndex={tabbableKey === occurrence.key ? 0 : -1}
            data-testid="card"
            data-key={occurrence.key}
            className={classes.segment}
            style={{
              ...paper,
              color: tones.ink,
              top,
              left: left + index * columnWidth + (isFirst ? 2 : 0),
              width: columnWidth - (isFirst ? 2 : 0) - (isLast ? 2 : 0),
              borderLeftWidth: isFirst ? hairline : 0,
              borderRightWidth: isLast ? hairline : 0,
              borderRadius: `${isFirst ? corner : 0}px ${isLast ? corner : 0}px ${isLast ? corner : 0}px ${isFirst ? corner : 0}px`,
              opacity:
                liftedKey === occurrence.key
                  ? 0.35
                  : fadeBefore !== undefined && occurrence.end <= fadeBefore
                    ? 0.6
                    : undefined,
              ...(isSelected ? { outline: `${focusWidth}px solid ${colours.accent}`, zIndex: 1 } : null),
            }}
          >
            {isFirst ? (
              <span aria-hidden className={classes.said} style={{ width }}>
                <span className={classes.mark} style={{ backgroundColor: tones.band, color: tones.onBand }}>
                  {isSelected ? '✓' : calendar?.mark}
                </span>
                <span className={occurrence.status === 'cancelled' ? classes.struck : undefined}>
                  {shown}
                </span>
              </span>
            ) : null}
          </div>
        );
      })}
    </>
  );
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
  mark: {
    width: 22,
    height: 16,
    flexShrink: 0,
    textAlign: 'center',
    fontWeight: 700,
    borderRadius: `${corner - 1}px 0 ${corner - 1}px 0`,
  },
  struck: { textDecorationLine: 'line-through' },
});
