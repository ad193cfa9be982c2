import { memo } from 'react';
import { fitWords } from '@/core/layout/fitWords';
import type { Calendar } from '@/core/model/calendar';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DAY } from '@/core/time/civil';
import { timeRangeText, timeText } from '@/ui/dates';
import { measureSmallText } from '@/ui/measureText';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, fontFamilies, fontSizes, hairline } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { useGhost } from '../grid/ghost';
import { DRAFT_KEY } from '../grid/withDraft';
import { occurrenceLabel } from '../grid/occurrenceLabel';
import { usePaper } from '../grid/usePaper';

/** The width of the mark with its gap, and of what stands round a line. */
const MARK = 26;
const PADDING = 6;
/** From this width on a line has room for the time, whatever its title. */
const WITH_TIME = 118;

const titled = (text: string): number => measureSmallText(text, '500');
const regular = (text: string): number => measureSmallText(text.replaceAll(/\d/g, '0'), '400');

interface EntryLineCardProps {
  occurrence: Occurrence;
  day: number;
  calendar: Calendar | undefined;
  width: number;
  /** Whether the place and the end stand under it. */
  isFull: boolean;
  selected: boolean;
  /** Whether it is being written. */
  isDraft: boolean;
  tabbable: boolean;
  faded: boolean;
  fontsLoaded: boolean;
}

/** A timed entry as one line of a day: mark, time, title; in full with its end and place below. */
export const EntryLineCard = memo(function EntryLineCard({
  occurrence,
  day,
  calendar,
  width,
  isFull,
  selected,
  isDraft,
  tabbable,
  faded,
}: EntryLineCardProps) {
  const { colours } = useTheme();
  const colour = calendar?.colour ?? 'slate';
  const { tones, paper } = usePaper()(occurrence, colour);
  const lifted = useGhost(({ ghost }) => ghost?.key === occurrence.key && !ghost.copy);
  const begins = Math.floor(occurrence.startWall / DAY) === day;
  const title = `${occurrence.title || (isDraft ? words.plan.newDraft : words.entry.noTitle)}${occurrence.availability === 'tentative' ? '\u00a0?' : ''}`;
  const room = width - MARK - PADDING;
  const said = begins ? timeText(occurrence.startWall) : `–${timeText(occurrence.endWall)}`;
  const beside = room - regular(said) - 5;
  // The time stands where there is room for it, or where the title leaves some.
  const time = !isFull && (width >= WITH_TIME || titled(title) <= beside) ? said : '';
  const [shown = ''] = fitWords(title, [time ? beside : room], titled, 'cut-next');
  const details = isFull
    ? [
        [timeRangeText(occurrence.startWall, occurrence.endWall), occurrence.location]
          .filter(Boolean)
          .join(' · '),
        timeRangeText(occurrence.startWall, occurrence.endWall),
      ].find((said) => regular(said) <= width - PADDING)
    : undefined;
  return (
    <div
      {...(occurrence.key === DRAFT_KEY
        ? { 'aria-hidden': true, 'data-testid': 'ghost' }
        : {
            role: 'button',
            'aria-label': occurrenceLabel(occurrence, calendar),
            'aria-pressed': selected,
            title: occurrence.title,
            tabIndex: tabbable ? 0 : -1,
            'data-testid': 'card',
            'data-key': occurrence.key,
          })}
      className={classes.line}
      style={{
        ...paper,
        color: tones.ink,
        opacity: lifted ? 0.35 : faded ? 0.6 : undefined,
        ...(isDraft ? { borderColor: colours.accent, borderStyle: 'dashed', pointerEvents: 'none' } : null),
        ...(selected ? { outline: `${focusWidth}px solid ${colours.accent}` } : null),
      }}
    >
      <span aria-hidden className={classes.mark} style={{ backgroundColor: tones.band, color: tones.onBand }}>
        {selected ? '✓' : calendar?.mark}
      </span>
      <span className={`${classes.text} ${occurrence.status === 'cancelled' ? classes.struck : ''}`}>
        {time ? <span className={classes.time}>{time} </span> : null}
        {shown}
      </span>
      {details ? <span className={classes.details}>{details}</span> : null}
    </div>
  );
});

const classes = pageClasses('entryline', {
  line: {
    display: 'flex',
    flexWrap: 'wrap',
    alignItems: 'flex-start',
    boxSizing: 'border-box',
    borderWidth: hairline,
    borderRadius: corner,
    marginBottom: 2,
    overflow: 'hidden',
    cursor: 'grab',
    userSelect: 'none',
    touchAction: 'pan-x pan-y',
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.small,
    lineHeight: '16px',
    whiteSpace: 'nowrap',
  },
  mark: {
    width: 22,
    height: 16,
    textAlign: 'center',
    fontWeight: 700,
    flexShrink: 0,
    borderRadius: `${corner - 1}px 0 ${corner - 1}px 0`,
  },
  text: { paddingLeft: 4, overflow: 'hidden', fontWeight: 500 },
  time: { fontVariantNumeric: 'tabular-nums', fontWeight: 400 },
  details: { flexBasis: '100%', paddingLeft: 4, fontWeight: 400, fontVariantNumeric: 'tabular-nums' },
  struck: { textDecorationLine: 'line-through' },
});
