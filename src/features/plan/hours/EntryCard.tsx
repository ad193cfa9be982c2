import { memo } from 'react';
import type { DayCard } from '@/core/layout/hours';
import type { Calendar } from '@/core/model/calendar';
import { fitWords } from '@/core/layout/fitWords';
import { instantToWall } from '@/core/time/zones';
import { timeRangeText, timeText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import type { IconName } from '@/ui/icons/paths';
import { measureSmallText } from '@/ui/measureText';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, fontFamilies, fontSizes, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { occurrenceLabel } from '../grid/occurrenceLabel';
import { usePaper } from '../grid/usePaper';

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

interface EntryCardProps {
  card: DayCard;
  columnWidth: number;
  calendar: Calendar | undefined;
  selected: boolean;
  tabbable: boolean;
  /** Whether it is being dragged away from here. */
  lifted: boolean;
  /** Whether it is over, and shown so. */
  faded: boolean;
  /** What the person calls a zone. */
  zoneName: (zone: string) => string;
  /** Changes when the fonts have loaded and texts are to be set anew. */
  fontsLoaded: boolean;
}

/** A timed entry as a card: the index tab, the title, and as much else as there is room for in whole lines. */
export const EntryCard = memo(function EntryCard({
  card,
  columnWidth,
  calendar,
  selected,
  tabbable,
  lifted,
  faded,
  zoneName,
}: EntryCardProps) {
  const { occurrence, across, top, height } = card;
  const { colours } = useTheme();
  const colour = calendar?.colour ?? 'slate';
  const { tones, paper } = usePaper()(occurrence, colour);
  const width = Math.max(4, across.width * columnWidth - 3);
  const label = occurrenceLabel(occurrence, calendar);
  const title = `${occurrence.title || words.entry.noTitle}${occurrence.availability === 'tentative' ? '\u00a0?' : ''}`;
  // A time without its zone would be another time: it stands whole or not at all.
  const zoneTime = occurrence.zone
    ? words.entry
        .inZone(timeText(instantToWall(occurrence.zone, occurrence.start)), zoneName(occurrence.zone))
        .replaceAll(' ', '\u00a0')
    : '';
  const endZoneTime = occurrence.endZone
    ? words.entry
        .until(timeText(instantToWall(occurrence.endZone, occurrence.end)), zoneName(occurrence.endZone))
        .replaceAll(' ', '\u00a0')
    : '';
  const icons: IconName[] = [
    ...(occurrence.recurring ? (['autorenew'] as const) : []),
    ...(occurrence.classification === 'public' ? [] : (['eye-off-outline'] as const)),
    ...(occurrence.reminds ? (['bell-outline'] as const) : []),
  ];
  const text =
    width < TAB
      ? null
      : cardText(
          title,
          [
            timeRangeText(occurrence.startWall, occurrence.endWall),
            zoneTime,
            endZoneTime,
            occurrence.location,
          ].filter(Boolean),
          selected ? width - 2 * (focusWidth - hairline) : width,
          height,
          icons.length,
        );
  const border = selected
    ? { borderColor: colours.accent, borderWidth: focusWidth, borderStyle: 'solid' }
    : text && !text.isBare
      ? null
      : { borderTopWidth: 3, borderTopColor: tones.band, borderStyle: 'solid' };
  return (
    <div
      role="button"
      aria-label={label}
      aria-pressed={selected}
      title={occurrence.title}
      tabIndex={tabbable ? 0 : -1}
      data-testid="card"
      data-key={occurrence.key}
      className={classes.card}
      style={{
        ...paper,
        ...border,
        top: top + 1,
        height: height - 2,
        left: across.left * columnWidth + 1,
        width,
        opacity: lifted ? 0.35 : faded ? 0.6 : undefined,
      }}
    >
      {text &&
      occurrence.availability === 'away' &&
      height > 36 &&
      width > 64 &&
      text.titleLines.length + text.detailLines.length < Math.floor((height - 3) / TEXT_LINE) ? (
        <div aria-hidden className={classes.away} style={{ color: tones.ink }}>
          {words.entry.away}
        </div>
      ) : null}
      {text ? (
        <>
          {text.isBare ? null : (
            <div
              aria-hidden
              className={`${classes.tab} ${selected ? classes.tabSelected : ''}`}
              style={{ backgroundColor: tones.band, color: tones.onBand }}
            >
              {selected ? <AppIcon name="check" size={14} color={tones.onBand} /> : calendar?.mark}
            </div>
          )}
          <div
            className={`${classes.title} ${occurrence.status === 'cancelled' ? classes.struck : ''}`}
            style={{ color: tones.ink, ...(text.isBare ? { textIndent: 0 } : null) }}
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
            <div className={classes.details} style={{ color: tones.ink }}>
              {text.detailLines.join('\n')}
            </div>
          ) : null}
        </>
      ) : width >= LEAST_MARKED ? (
        <div aria-hidden className={classes.mark} style={{ color: tones.ink }}>
          {calendar?.mark}
        </div>
      ) : null}
    </div>
  );
});

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
  tab: {
    position: 'absolute',
    left: -hairline,
    top: -hairline,
    width: 24,
    height: 18,
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: `${corner}px 0 ${corner}px 0`,
    fontFamily: line.fontFamily,
    fontSize: fontSizes.small,
    fontWeight: 700,
    lineHeight: '16px',
  },
  mark: {
    fontFamily: line.fontFamily,
    fontSize: fontSizes.small,
    fontWeight: 700,
    lineHeight: `${TEXT_LINE}px`,
    textAlign: 'center',
    letterSpacing: '-0.5px',
  },
  tabSelected: { left: -focusWidth, top: -focusWidth },
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
