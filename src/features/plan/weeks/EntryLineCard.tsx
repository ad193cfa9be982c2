import { memo } from 'react';
import { fitWords } from '@/core/layout/fitWords';
import type { Calendar } from '@/core/model/calendar';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DAY } from '@/core/time/civil';
import { timeRangeText, timeText } from '@/ui/dates';
import { measureSmallText } from '@/ui/measureText';
import { pageClasses } from '@/ui/pageClasses';
import { corner, fontFamilies, fontSizes, hairline } from '@/ui/theme/tokens';
import { cardTab } from '../grid/cardTab';
import { cardTitle } from '../grid/cardTitle';
import { useLiftedKeys } from '../grid/ghost';
import { type CardState, useCardFrame } from '../grid/useCardFrame';

/** The width of the mark with its gap, and of what stands round a line. */
const MARK = 26;
const PADDING = 6;
/** From this width on a line has room for the time, whatever its title. */
const WITH_TIME = 118;

const titled = (text: string): number => measureSmallText(text, '500');
const regular = (text: string): number => measureSmallText(text.replaceAll(/\d/g, '0'), '400');

interface EntryLineCardProps extends CardState {
  occurrence: Occurrence;
  day: number;
  calendar: Calendar | undefined;
  width: number;
  /** Whether the place and the end stand under it. */
  isFull: boolean;
  fontsLoaded: boolean;
}

/** What a line says in its width: the time where there is room, the title, and in full the end and the place below. */
function lineText(
  occurrence: Occurrence,
  { day, width, isFull, isDraft }: { day: number; width: number; isFull: boolean; isDraft: boolean },
) {
  const title = cardTitle(occurrence, isDraft);
  const room = width - MARK - PADDING;
  const begins = Math.floor(occurrence.startWall / DAY) === day;
  const said = begins ? timeText(occurrence.startWall) : `–${timeText(occurrence.endWall)}`;
  const beside = room - regular(said) - 5;
  // The time stands where there is room for it, or where the title leaves some.
  const time = !isFull && (width >= WITH_TIME || titled(title) <= beside) ? said : '';
  const [shown = ''] = fitWords(title, [time ? beside : room], titled, 'cut-next');
  const times = timeRangeText(occurrence.startWall, occurrence.endWall);
  const details = isFull
    ? [[times, occurrence.location].filter(Boolean).join(' · '), times].find(
        (each) => regular(each) <= width - PADDING,
      )
    : undefined;
  return { time, shown, details };
}

/** A timed entry as one line of a day: mark, time, title; in full with its end and place below. */
export const EntryLineCard = memo(function EntryLineCard(props: EntryLineCardProps) {
  const { occurrence, day, calendar, width, isFull, fontsLoaded: _, ...state } = props;
  const lifted = useLiftedKeys().has(occurrence.key);
  const frame = useCardFrame()(occurrence, calendar, { ...state, lifted });
  const { time, shown, details } = lineText(occurrence, { day, width, isFull, isDraft: !!state.isDraft });
  return (
    <div {...frame.props} className={classes.line} style={frame.style}>
      {cardTab({ kind: 'line', tones: frame.tones, mark: calendar?.mark, selected: state.selected })}
      <span className={`${classes.text} ${frame.isStruck ? classes.struck : ''}`}>
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
  text: { paddingLeft: 4, overflow: 'hidden', fontWeight: 500 },
  time: { fontVariantNumeric: 'tabular-nums', fontWeight: 400 },
  details: { flexBasis: '100%', paddingLeft: 4, fontWeight: 400, fontVariantNumeric: 'tabular-nums' },
  struck: { textDecorationLine: 'line-through' },
});
