import { memo } from 'react';
import type { Lane, LaneSubject } from '@/core/layout/lanes';
import type { Calendar } from '@/core/model/calendar';
import type { Occurrence } from '@/core/schedule/occurrence';
import { takesTime } from '@/core/schedule/standing';
import { MINUTE } from '@/core/time/civil';
import { lengthText, timeRangeText } from '@/ui/dates';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontFamilies, fontSizes, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { EntryCard } from '../hours/EntryCard';
import { GhostCard } from '../hours/GhostLayer';
import { type Ghost, useLiftedKeys } from '../grid/ghost';
import { cardTitle } from '../grid/cardTitle';
import { type CardState, useCardFrame } from '../grid/useCardFrame';
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
  ghosts: readonly Ghost[];
  /** What is being written, and the key of its place among the cards. */
  draft: Ghost | null;
  draftKey: string | undefined;
  x: (wall: number) => number;
}

/** A lane: its name and hours, what takes the whole day, and its cards across. */
export const LaneRow = memo(function LaneRow(props: LaneRowProps) {
  const { lane, subject, calendars, headWidth, hourWidth, selected } = props;
  const { colours } = useTheme();
  const frameOf = useCardFrame();
  const stateOf = ({ key, end }: Occurrence): CardState => ({
    selected: selected.has(key),
    tabbable: props.tabbableKey === key,
    faded: props.fadeBefore !== undefined && end <= props.fadeBefore,
  });
  const framed = (occurrence: Occurrence) =>
    frameOf(occurrence, calendars.get(occurrence.calendarId), stateOf(occurrence), 'ribbon');
  const washing = lane.whole.find(takesTime);
  return (
    <div
      role="group"
      aria-label={words.entry.calendarNamed(subject.label)}
      data-testid="lane"
      className={classes.lane}
      style={{
        height: lane.height,
        borderColor: colours.line,
        backgroundColor: washing ? framed(washing).tones.tint : undefined,
        backgroundImage: `linear-gradient(to right, ${colours.line} ${hairline}px, transparent ${hairline}px)`,
        backgroundSize: `${hourWidth}px 100%`,
        backgroundPositionX: headWidth,
      }}
    >
      <LaneHead subject={subject} minutes={props.minutes} width={headWidth} />
      <LaneCards {...props} stateOf={stateOf} />
      {lane.whole.map((occurrence, index) => {
        const { style, props: known } = framed(occurrence);
        return (
          <div
            key={occurrence.key}
            {...known}
            className={classes.whole}
            style={{ ...style, left: headWidth + space(2), top: lane.height - (index + 1) * WHOLE }}
          >
            {cardTitle(occurrence)} ·{' '}
            {occurrence.allDay
              ? words.entry.allDayLabel
              : timeRangeText(occurrence.startWall, occurrence.endWall)}
          </div>
        );
      })}
    </div>
  );
});

/** What a lane is called, and how much of it is taken. */
function LaneHead({ subject, minutes, width }: { subject: ShownLane; minutes: number; width: number }) {
  const { colours, calendar: tonesOf } = useTheme();
  const tones = tonesOf(subject.colour);
  return (
    <div
      data-inert
      className={classes.head}
      style={{ width, backgroundColor: colours.card, borderColor: colours.line }}
    >
      <div aria-hidden className={classes.mark} style={{ backgroundColor: tones.band, color: tones.onBand }}>
        {subject.mark}
      </div>
      {width > 100 ? (
        <div className={classes.names}>
          <div className={classes.name} style={{ color: colours.ink }}>
            {subject.label}
          </div>
          <div style={{ color: colours.quietInk }}>
            {minutes > 0 ? lengthText(minutes * MINUTE) : words.lanes.free}
          </div>
        </div>
      ) : null}
    </div>
  );
}

/** The timed entries of a lane, with what is dragged over it or written in it. */
function LaneCards({
  lane,
  calendars,
  headWidth,
  ghosts,
  draft,
  draftKey,
  x,
  fontsLoaded,
  stateOf,
}: LaneRowProps & { stateOf: (occurrence: Occurrence) => CardState }) {
  const lifted = useLiftedKeys();
  return (
    <div className={classes.cards} style={{ left: headWidth }}>
      {lane.cards.map(({ occurrence, top, height, left, width }) =>
        occurrence.key === draftKey && draft ? (
          <GhostCard key={occurrence.key} ghost={draft} style={{ top, height, left, width }} />
        ) : (
          <EntryCard
            key={occurrence.key}
            {...stateOf(occurrence)}
            card={{
              occurrence,
              from: 0,
              to: 0,
              top,
              height,
              across: { left, width },
              continuesBefore: false,
              continuesAfter: false,
            }}
            columnWidth={1}
            calendar={calendars.get(occurrence.calendarId)}
            lifted={lifted.has(occurrence.key)}
            zoneName={plainZone}
            fontsLoaded={fontsLoaded}
          />
        ),
      )}
      {ghosts.map((ghost) => (
        <GhostCard
          key={ghost.key ?? ''}
          ghost={ghost}
          style={{
            top: GAP,
            height: CARD,
            left: x(ghost.startWall),
            width: Math.max(24, x(ghost.endWall) - x(ghost.startWall)),
          }}
        />
      ))}
    </div>
  );
}

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
