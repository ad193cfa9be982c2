import { memo } from 'react';
import type { Calendar } from '@/core/model/calendar';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DAY } from '@/core/time/civil';
import { lengthText, shortDayText, timeText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, fontFamilies, fontSizes, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { occurrenceLabel } from '../grid/occurrenceLabel';
import { usePaper } from '../grid/usePaper';

/** An entry of the agenda: its time at the left, and its card. */
export const AgendaCard = memo(function AgendaCard({
  occurrence,
  day,
  calendar,
  selected,
  tabbable,
  faded,
}: {
  occurrence: Occurrence;
  day: number;
  calendar: Calendar | undefined;
  selected: boolean;
  tabbable: boolean;
  faded: boolean;
}) {
  const { colours } = useTheme();
  const { tones, paper } = usePaper()(occurrence, calendar?.colour ?? 'slate');
  const first = Math.floor(occurrence.startWall / DAY);
  const last = Math.max(first, Math.ceil(occurrence.endWall / DAY) - 1);
  const begins = first === day;
  const time = occurrence.allDay
    ? words.entry.allDayLabel
    : begins
      ? timeText(occurrence.startWall)
      : words.agenda.goesOn;
  const length =
    last > day
      ? words.entry.untilDay(shortDayText(last))
      : occurrence.allDay
        ? ''
        : begins
          ? lengthText(occurrence.end - occurrence.start)
          : words.entry.untilDay(timeText(occurrence.endWall));
  const details = [
    occurrence.location,
    occurrence.availability === 'busy' ? '' : words.entry.availability[occurrence.availability],
    occurrence.classification === 'public' ? '' : words.entry.classification[occurrence.classification],
  ].filter(Boolean);
  return (
    <div className={classes.row}>
      <div aria-hidden className={classes.time}>
        <div className={classes.start} style={{ color: colours.ink }}>
          {time}
        </div>
        <div style={{ color: colours.quietInk }}>{length}</div>
      </div>
      <div
        role="button"
        aria-label={occurrenceLabel(occurrence, calendar)}
        aria-pressed={selected}
        tabIndex={tabbable ? 0 : -1}
        data-testid="card"
        data-key={occurrence.key}
        className={classes.card}
        style={{
          ...paper,
          color: tones.ink,
          opacity: faded ? 0.6 : undefined,
          ...(selected ? { outline: `${focusWidth}px solid ${colours.accent}` } : null),
        }}
      >
        <div aria-hidden className={classes.tab} style={{ backgroundColor: tones.band, color: tones.onBand }}>
          {selected ? <AppIcon name="check" size={14} color={tones.onBand} /> : calendar?.mark}
        </div>
        <div className={`${classes.title} ${occurrence.status === 'cancelled' ? classes.struck : ''}`}>
          {occurrence.title || words.entry.noTitle}
          {occurrence.availability === 'tentative' ? ' ?' : ''}
          {occurrence.recurring ? (
            <span className={classes.icon}>
              <AppIcon name="autorenew" size={14} color={tones.ink} />
            </span>
          ) : null}
          {occurrence.reminds ? (
            <span className={classes.icon}>
              <AppIcon name="bell-outline" size={14} color={tones.ink} />
            </span>
          ) : null}
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
  tab: {
    position: 'absolute',
    left: -hairline,
    top: -hairline,
    width: 28,
    height: 20,
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'center',
    fontWeight: 700,
    borderRadius: `${corner}px 0 ${corner}px 0`,
  },
  title: { fontWeight: 700, fontSize: fontSizes.body, lineHeight: '20px' },
  details: { lineHeight: '17px' },
  struck: { textDecorationLine: 'line-through' },
  icon: { display: 'inline-flex', marginLeft: 5, transform: 'translateY(2px)' },
});
