import { memo } from 'react';
import type { Lane, LaneSubject } from '@/core/layout/lanes';
import type { Calendar } from '@/core/model/calendar';
import type { Occurrence } from '@/core/schedule/occurrence';
import { MINUTE } from '@/core/time/civil';
import { lengthText, timeRangeText } from '@/ui/dates';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, fontFamilies, fontSizes, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { EntryCard } from '../hours/EntryCard';
import { GhostCard } from '../hours/GhostLayer';
import { type Ghost, useGhost } from '../grid/ghost';
import { occurrenceLabel } from '../grid/occurrenceLabel';
import { usePaper } from '../grid/usePaper';
import { CARD, GAP, WHOLE } from './laneSizes';

/** A lane as it is shown: what it is called, and what an entry becomes that is dropped on it. */
export interface ShownLane extends LaneSubject {
  readonly label: string;
  readonly mark: string;
  readonly colour: string;
  readonly accepts: { readonly calendarId?: string };
}

interface LaneRowProps {
  lane: Lane;
  subject: ShownLane;
  calendars: ReadonlyMap<string, Calendar>;
  minutes: number;
  headWidth: number;
  hourWidth: number;
  selected: ReadonlySet<string>;
  tabbableKey: string | undefined;
  fadeBefore: number | undefined;
  fontsLoaded: boolean;
  /** What is dragged over it. */
  ghost: Ghost | null;
  /** What is being written, and the key of its place among the cards. */
  draft: Ghost | null;
  draftKey: string | undefined;
  x: (wall: number) => number;
}

/** A lane: its name and hours, what takes the whole day, and its cards across. */
export const LaneRow = memo(function LaneRow(props: LaneRowProps) {
  const { lane, subject, calendars, minutes, headWidth, hourWidth, selected, ghost, x } = props;
  const { colours, calendar: tonesOf } = useTheme();
  const tones = tonesOf(subject.colour);
  const paperOf = usePaper();
  const liftedKey = useGhost(({ ghost: dragged }) => (dragged?.copy ? undefined : dragged?.key));
  const name = subject.label;
  const calendarOf = (occurrence: Occurrence) => calendars.get(occurrence.calendarId);
  const washing = lane.whole.find(
    ({ availability, status }) =>
      status !== 'cancelled' && (availability === 'busy' || availability === 'away'),
  );
  return (
    <div
      role="group"
      aria-label={words.entry.calendarNamed(name)}
      data-testid="lane"
      className={classes.lane}
      style={{
        height: lane.height,
        borderColor: colours.line,
        backgroundColor: washing ? paperOf(washing, calendarOf(washing)?.colour).tones.tint : undefined,
        backgroundImage: `linear-gradient(to right, ${colours.line} ${hairline}px, transparent ${hairline}px)`,
        backgroundSize: `${hourWidth}px 100%`,
        backgroundPositionX: headWidth,
      }}
    >
      <div
        data-inert
        className={classes.head}
        style={{ width: headWidth, backgroundColor: colours.card, borderColor: colours.line }}
      >
        <div
          aria-hidden
          className={classes.mark}
          style={{ backgroundColor: tones.band, color: tones.onBand }}
        >
          {subject.mark}
        </div>
        {headWidth > 100 ? (
          <div className={classes.names}>
            <div className={classes.name} style={{ color: colours.ink }}>
              {name}
            </div>
            <div style={{ color: colours.quietInk }}>
              {minutes > 0 ? lengthText(minutes * MINUTE) : words.lanes.free}
            </div>
          </div>
        ) : null}
      </div>
      <div className={classes.cards} style={{ left: headWidth }}>
        {lane.cards.map((card) =>
          card.occurrence.key === props.draftKey && props.draft ? (
            <GhostCard
              key={card.occurrence.key}
              ghost={props.draft}
              style={{ top: card.top, height: card.height, left: card.left, width: card.width }}
            />
          ) : (
            <EntryCard
              key={card.occurrence.key}
              card={{
                occurrence: card.occurrence,
                from: 0,
                to: 0,
                top: card.top,
                height: card.height,
                across: { left: card.left, width: card.width },
                continuesBefore: false,
                continuesAfter: false,
              }}
              columnWidth={1}
              calendar={calendarOf(card.occurrence)}
              selected={selected.has(card.occurrence.key)}
              tabbable={props.tabbableKey === card.occurrence.key}
              lifted={liftedKey === card.occurrence.key}
              faded={props.fadeBefore !== undefined && card.occurrence.end <= props.fadeBefore}
              zoneName={plainZone}
              fontsLoaded={props.fontsLoaded}
            />
          ),
        )}
        {ghost ? (
          <GhostCard
            ghost={ghost}
            style={{
              top: GAP,
              height: CARD,
              left: x(ghost.startWall),
              width: Math.max(24, x(ghost.endWall) - x(ghost.startWall)),
            }}
          />
        ) : null}
      </div>
      {lane.whole.map((occurrence, index) => (
        <div
          key={occurrence.key}
          role="button"
          aria-label={occurrenceLabel(occurrence, calendarOf(occurrence))}
          aria-pressed={selected.has(occurrence.key)}
          tabIndex={props.tabbableKey === occurrence.key ? 0 : -1}
          data-testid="ribbon"
          data-key={occurrence.key}
          className={classes.whole}
          style={{
            left: headWidth + space(2),
            top: lane.height - (index + 1) * WHOLE,
            backgroundColor: colours.card,
            color: paperOf(occurrence, calendarOf(occurrence)?.colour).tones.ink,
            borderColor: paperOf(occurrence, calendarOf(occurrence)?.colour).tones.band,
            ...(selected.has(occurrence.key) ? { outline: `${focusWidth}px solid ${colours.accent}` } : null),
          }}
        >
          {occurrence.title || words.entry.noTitle} ·{' '}
          {occurrence.allDay
            ? words.entry.allDayLabel
            : timeRangeText(occurrence.startWall, occurrence.endWall)}
        </div>
      ))}
    </div>
  );
});

const plainZone = (zone: string): string => zone;

const text = {
  fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
  fontSize: fontSizes.small,
} as const;

const classes = pageClasses('lane', {
  lane: {
    ...text,
    position: 'relative',
    display: 'flex',
    borderBottomWidth: hairline,
    borderBottomStyle: 'solid',
    boxSizing: 'border-box',
    backgroundRepeat: 'repeat-x',
  },
  head: {
    position: 'sticky',
    left: 0,
    zIndex: 5,
    flexShrink: 0,
    display: 'flex',
    alignItems: 'center',
    gap: space(2),
    paddingLeft: space(2),
    boxSizing: 'border-box',
    borderRightWidth: hairline,
    borderRightStyle: 'solid',
  },
  mark: {
    width: 28,
    height: 28,
    flexShrink: 0,
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: corner,
    fontWeight: 700,
  },
  names: { minWidth: 0, lineHeight: '17px', fontVariantNumeric: 'tabular-nums' },
  name: {
    fontWeight: 700,
    fontSize: fontSizes.body,
    whiteSpace: 'nowrap',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
  },
  cards: { position: 'absolute', top: 0, bottom: 0, right: 0 },
  whole: {
    position: 'sticky',
    zIndex: 4,
    flexShrink: 0,
    height: 18,
    marginLeft: space(2),
    lineHeight: '17px',
    alignSelf: 'flex-start',
    padding: '0 6px',
    borderWidth: hairline,
    borderStyle: 'solid',
    borderRadius: corner,
    fontWeight: 700,
    whiteSpace: 'nowrap',
    cursor: 'pointer',
  },
});
