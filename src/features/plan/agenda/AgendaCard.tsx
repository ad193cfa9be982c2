import { memo } from 'react';
import type { Calendar } from '@/core/model/calendar';
import { isReminded, type Occurrence } from '@/core/schedule/occurrence';
import { DAY } from '@/core/time/civil';
import { lengthText, shortDayText, timeText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontFamilies, fontSizes, hairline, space } from '@/ui/theme/tokens';
import { backText, leaveText } from '@/ui/travelText';
import { words } from '@/ui/words';
import { cardTab } from '../grid/cardTab';
import { cardTitle } from '../grid/cardTitle';
import { type CardState, useCardFrame } from '../grid/useCardFrame';

/** The time of an entry on a day, and under it how long it takes or until when it goes on. */
function timesOn(occurrence: Occurrence, day: number): { time: string; length: string } {
  const { startWall, endWall, allDay } = occurrence;
  const first = Math.floor(startWall / DAY);
  const last = Math.max(first, Math.ceil(endWall / DAY) - 1);
  const begins = first === day;
  const onOneDay = begins
    ? lengthText(occurrence.end - occurrence.start)
    : words.entry.untilDay(timeText(endWall));
  return {
    time: allDay ? words.entry.allDayLabel : begins ? timeText(startWall) : words.agenda.goesOn,
    length: last > day ? words.entry.untilDay(shortDayText(last)) : allDay ? '' : onOneDay,
  };
}

interface AgendaCardProps extends CardState {
  occurrence: Occurrence;
  day: number;
  calendar: Calendar | undefined;
}

/** An entry of the agenda: its time at the left, and its card. */
export const AgendaCard = memo(function AgendaCard({ occurrence, day, calendar, ...state }: AgendaCardProps) {
  const { colours } = useTheme();
  const { tones, isStruck, style, props } = useCardFrame()(occurrence, calendar, state);
  const { time, length } = timesOn(occurrence, day);
  const { location, availability, classification } = occurrence;
  const details = [
    [leaveText(occurrence), backText(occurrence)].filter(Boolean).join(', '),
    location,
    availability === 'busy' ? '' : words.entry.availability[availability],
    classification === 'public' ? '' : words.entry.classification[classification],
  ].filter(Boolean);
  const icons = [
    occurrence.isRough ? 'weather-pouring' : '',
    occurrence.recurring ? 'autorenew' : '',
    isReminded(occurrence, calendar?.usualReminders) ? 'bell-outline' : '',
  ].filter(Boolean);
  return (
    <div className={classes.row}>
      <div aria-hidden className={classes.time}>
        <div className={classes.start} style={{ color: colours.ink }}>
          {time}
        </div>
        <div style={{ color: colours.quietInk }}>{length}</div>
      </div>
      <div {...props} className={classes.card} style={style}>
        {cardTab({ kind: 'roomy', tones, mark: calendar?.mark, selected: state.selected })}
        <div className={`${classes.title} ${isStruck ? classes.struck : ''}`}>
          {cardTitle(occurrence)}
          {icons.map((icon) => (
            <span key={icon} className={classes.icon}>
              <AppIcon name={icon} size={14} color={tones.ink} />
            </span>
          ))}
        </div>
        {details.length > 0 ? <div className={classes.details}>{details.join(' · ')}</div> : null}
      </div>
    </div>
  );
});

const classes = pageClasses('agenda', {
  row: {
    display: 'flex',
    gap: space(3),
    marginBottom: space(2),
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.small,
  },
  time: {
    width: 72,
    flexShrink: 0,
    textAlign: 'right',
    paddingTop: 6,
    lineHeight: '17px',
    fontVariantNumeric: 'tabular-nums',
  },
  start: { fontWeight: 700, fontSize: fontSizes.body },
  card: {
    position: 'relative',
    flexGrow: 1,
    minWidth: 0,
    minHeight: 44,
    boxSizing: 'border-box',
    borderWidth: hairline,
    borderRadius: corner,
    padding: `7px ${space(3)}px 7px 40px`,
    cursor: 'pointer',
    userSelect: 'none',
    overflowWrap: 'anywhere',
  },
  title: { fontWeight: 700, fontSize: fontSizes.body, lineHeight: '20px' },
  details: { lineHeight: '17px' },
  struck: { textDecorationLine: 'line-through' },
  icon: { display: 'inline-flex', marginLeft: 5, transform: 'translateY(2px)' },
});
