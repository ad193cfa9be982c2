import { memo } from 'react';
import type { DayCard } from '@/core/layout/hours';
import type { Calendar } from '@/core/model/calendar';
import { fitWords } from '@/core/layout/fitWords';
import { isReminded, type Occurrence } from '@/core/schedule/occurrence';
import { instantToWall } from '@/core/time/zones';
import { timeRangeText, timeText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import type { IconName } from '@/ui/icons/paths';
import { measureSmallText } from '@/ui/measureText';
import { pageClasses } from '@/ui/pageClasses';
import { corner, fontFamilies, fontSizes, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { cardTab } from '../grid/cardTab';
import { cardTitle } from '../grid/cardTitle';
import { type CardFrame, type CardState, useCardFrame } from '../grid/useCardFrame';

const TEXT_LINE = 17;
/** The width that the index tab takes from the first line, and the card's own padding. */
const TAB = 26;
const PADDING = 8;
const ICON = 17;
/** A card with no room for words bears its calendar's mark, if that has room. */
const LEAST_MARKED = 18;

const bold = (text: string): number => measureSmallText(text, '700');
/** Figures stand in columns there, each as wide as the widest. */
const regular = (text: string): number => measureSmallText(text.replaceAll(/\d/g, '0'), '400');

/**
 * What a card says in the room that it has: title lines of whole words, then details in whole lines. Where the title has no
 * room beside the tab it takes the tab's: the colour still tells the calendar.
 */
function cardText(title: string, details: readonly string[], width: number, height: number, icons: number) {
  const lines = Math.max(1, Math.floor((height - 3) / TEXT_LINE));
  const inner = width - PADDING;
  const besideTab = inner - TAB + 4;
  const titleWidths = [besideTab, ...Array.from({ length: Math.min(lines - 1, 3) }, () => inner)];
  const besides = fitWords(title, titleWidths, bold);
  const isBare = besides.every((line) => line === '');
  const titleLines = isBare ? fitWords(title, [inner], bold) : besides;
  const lastWidth = (titleLines.length === 1 && !isBare ? besideTab : inner) - bold(titleLines.at(-1) ?? '');
  const left = lines - titleLines.length;
  const isWhole = titleLines.join(' ').trim() === title.replaceAll(/[ \t\n]+/g, ' ');
  const detailLines =
    left > 0 && isWhole
      ? fitWords(
          details.join(' · '),
          Array.from({ length: Math.min(left, 4) }, () => inner),
          regular,
          'whole-only',
        ).filter(Boolean)
      : [];
  return {
    isBare,
    titleLines,
    detailLines,
    icons: Math.max(0, Math.min(icons, Math.floor(lastWidth / ICON))),
  };
}

interface EntryCardProps extends CardState {
  card: DayCard;
  columnWidth: number;
  calendar: Calendar | undefined;
  /** What the person calls a zone. */
  zoneName: (zone: string) => string;
  /** Changes when the fonts have loaded and texts are to be set anew. */
  fontsLoaded: boolean;
}

// A time without its zone would be another time: it stands whole or not at all.
const unbroken = (text: string): string => text.replaceAll(' ', '\u00a0');

/** When and where an entry is, as it stands under its title: its own zones' times too. */
function detailsOf(occurrence: Occurrence, zoneName: (zone: string) => string): string[] {
  const { zone, endZone, start, end, startWall, endWall, location } = occurrence;
  return [
    timeRangeText(startWall, endWall),
    zone ? unbroken(words.entry.inZone(timeText(instantToWall(zone, start)), zoneName(zone))) : '',
    endZone ? unbroken(words.entry.until(timeText(instantToWall(endZone, end)), zoneName(endZone))) : '',
    location,
  ].filter(Boolean);
}

const iconsOf = (occurrence: Occurrence, calendar: Calendar | undefined): IconName[] => [
  ...(occurrence.isRough ? (['weather-pouring'] as const) : []),
  ...(occurrence.recurring ? (['autorenew'] as const) : []),
  ...(occurrence.classification === 'public' ? [] : (['eye-off-outline'] as const)),
  ...(isReminded(occurrence, calendar?.usualReminders) ? (['bell-outline'] as const) : []),
];

/** A timed entry as a card: the index tab, the title, and as much else as there is room for in whole lines. */
export const EntryCard = memo(function EntryCard(props: EntryCardProps) {
  const { card, columnWidth, calendar, zoneName, fontsLoaded: _, ...state } = props;
  const { occurrence, across, top, height } = card;
  const frame = useCardFrame()(occurrence, calendar, state);
  const { tones } = frame;
  const width = Math.max(4, across.width * columnWidth - 3);
  const icons = iconsOf(occurrence, calendar);
  const fitted =
    width < TAB
      ? null
      : cardText(cardTitle(occurrence), detailsOf(occurrence, zoneName), width, height, icons.length);
  // One without room for a word of its title bears its mark.
  const text = fitted?.titleLines.some(Boolean) ? fitted : null;
  const isBare = !text || text.isBare;
  return (
    <div
      {...frame.props}
      className={classes.card}
      style={{
        ...frame.style,
        // Without its tab the calendar's colour stands along the top.
        ...(isBare && !state.selected
          ? { borderTopWidth: 3, borderTopColor: tones.band, borderStyle: 'solid' }
          : null),
        top: top + 1,
        height: height - 2,
        left: across.left * columnWidth + 1,
        width,
      }}
    >
      {text ? (
        <>
          {text.isBare
            ? null
            : cardTab({ kind: 'corner', tones, mark: calendar?.mark, selected: state.selected })}
          {cardWords({ occurrence, text, icons, frame, room: { width, height } })}
        </>
      ) : width >= LEAST_MARKED ? (
        <div aria-hidden className={classes.mark}>
          {calendar?.mark}
        </div>
      ) : null}
    </div>
  );
});

/** The words of a card, set in whole lines, with the icons that there is room for. */
function cardWords({
  occurrence,
  text,
  icons,
  frame: { tones, isStruck },
  room,
}: {
  occurrence: Occurrence;
  text: ReturnType<typeof cardText>;
  icons: readonly IconName[];
  frame: CardFrame;
  room: { width: number; height: number };
}) {
  const lines = text.titleLines.length + text.detailLines.length;
  const saysAway =
    occurrence.availability === 'away' &&
    room.height > 36 &&
    room.width > 64 &&
    lines < Math.floor((room.height - 3) / TEXT_LINE);
  return (
    <>
      {saysAway ? (
        <div aria-hidden className={classes.away}>
          {words.entry.away}
        </div>
      ) : null}
      <div
        className={`${classes.title} ${isStruck ? classes.struck : ''}`}
        style={text.isBare ? { textIndent: 0 } : undefined}
      >
        {text.titleLines.join('\n')}
        {icons.slice(0, text.icons).map((icon) => (
          <span key={icon} className={classes.icon}>
            <AppIcon name={icon} size={13} color={tones.ink} />
            {icon === 'autorenew' && occurrence.changed ? (
              <span className={classes.dot} style={{ backgroundColor: tones.ink }} />
            ) : null}
          </span>
        ))}
      </div>
      {text.detailLines.length > 0 ? (
        <div className={classes.details}>{text.detailLines.join('\n')}</div>
      ) : null}
    </>
  );
}

const line = {
  fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
  fontSize: fontSizes.small,
  lineHeight: `${TEXT_LINE}px`,
  marginLeft: space(1) + 1,
  whiteSpace: 'pre',
} as const;

// Elements of the page itself with classes of their own: a week of the crowded set has hundreds of cards.
const classes = pageClasses('card', {
  card: {
    position: 'absolute',
    boxSizing: 'border-box',
    borderWidth: hairline,
    borderRadius: corner,
    overflow: 'hidden',
    paddingTop: 1,
    cursor: 'grab',
    userSelect: 'none',
    touchAction: 'pan-x pan-y',
  },
  mark: {
    fontFamily: line.fontFamily,
    fontSize: fontSizes.small,
    fontWeight: 700,
    lineHeight: `${TEXT_LINE}px`,
    textAlign: 'center',
    letterSpacing: '-0.5px',
  },
  title: { ...line, fontWeight: 700, textIndent: TAB - 4 },
  details: { ...line, fontVariantNumeric: 'tabular-nums' },
  struck: { textDecorationLine: 'line-through' },
  icon: { display: 'inline-flex', textIndent: 0, marginLeft: 3, transform: 'translateY(2px)' },
  dot: { width: 4, height: 4, borderRadius: 2, marginLeft: -2, alignSelf: 'center' },
  away: {
    ...line,
    position: 'absolute',
    right: space(1),
    bottom: 1,
    fontStyle: 'italic',
  },
});
