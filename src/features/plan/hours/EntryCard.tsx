import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { DayCard } from '@/core/layout/hours';
import type { Calendar } from '@/core/model/calendar';
import type { Occurrence } from '@/core/schedule/occurrence';
import { fitWords } from '@/core/layout/fitWords';
import { cityOf, instantToWall } from '@/core/time/zones';
import { timeRangeText, timeText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import type { IconName } from '@/ui/icons/paths';
import { measureSmallText } from '@/ui/measureText';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, hairline, space } from '@/ui/theme/tokens';
import { webProps, webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { useGhost } from './ghost';
import { occurrenceLabel } from './occurrenceLabel';

/** How an occurrence's availability looks: its paper (filled, dashed, outline). */
export function usePaper(occurrence: Pick<Occurrence, 'availability' | 'status'>, colour: string) {
  const { colours, calendar } = useTheme();
  const tones = calendar(colour);
  const isEmpty = occurrence.availability === 'free' || occurrence.status === 'cancelled';
  return {
    tones,
    paper: {
      backgroundColor: isEmpty ? colours.card : tones.tint,
      borderColor: isEmpty || occurrence.availability === 'tentative' ? tones.band : tones.tint,
      borderStyle: occurrence.availability === 'tentative' ? ('dashed' as const) : ('solid' as const),
    },
  };
}

const TEXT_LINE = 17;
/** The width that the index tab takes from the first line, and the card's own padding. */
const TAB = 26;
const PADDING = 8;
const ICON = 17;

const bold = (text: string): number => measureSmallText(text, '700');
const regular = (text: string): number => measureSmallText(text, '400');

/** What a card says in the room that it has: title lines of whole words, then details in whole lines. */
function cardText(title: string, details: readonly string[], width: number, height: number, icons: number) {
  const lines = Math.max(1, Math.floor((height - 3) / TEXT_LINE));
  const inner = width - PADDING;
  const besideTab = inner - TAB + 4;
  const titleWidths = [besideTab, ...Array.from({ length: Math.min(lines - 1, 3) }, () => inner)];
  const titleLines = fitWords(title, titleWidths, bold);
  const lastWidth = (titleLines.length === 1 ? besideTab : inner) - bold(titleLines.at(-1) ?? '');
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
  return { titleLines, detailLines, icons: Math.max(0, Math.min(icons, Math.floor(lastWidth / ICON))) };
}

interface EntryCardProps {
  card: DayCard;
  columnWidth: number;
  calendar: Calendar | undefined;
  selected: boolean;
  tabbable: boolean;
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
}: EntryCardProps) {
  const { occurrence, across, top, height } = card;
  const { colours } = useTheme();
  const colour = calendar?.colour ?? 'slate';
  const { tones, paper } = usePaper(occurrence, colour);
  const lifted = useGhost(({ ghost }) => ghost?.key === occurrence.key && !ghost.copy);
  const width = Math.max(4, across.width * columnWidth - 3);
  const label = occurrenceLabel(occurrence, calendar);
  const title = `${occurrence.title || words.entry.noTitle}${occurrence.availability === 'tentative' ? '\u00a0?' : ''}`;
  const zoneTime = occurrence.zone
    ? words.entry.inZone(timeText(instantToWall(occurrence.zone, occurrence.start)), cityOf(occurrence.zone))
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
          [timeRangeText(occurrence.startWall, occurrence.endWall), zoneTime, occurrence.location].filter(
            Boolean,
          ),
          width,
          height,
          icons.length,
        );
  return (
    <View
      role="button"
      aria-label={label}
      aria-pressed={selected}
      tabIndex={tabbable ? 0 : -1}
      testID="card"
      {...webProps({ dataSet: { key: occurrence.key } })}
      style={[
        styles.card,
        surface,
        paper,
        {
          top: top + 1,
          height: height - 2,
          left: across.left * columnWidth + 1,
          width,
          opacity: lifted ? 0.35 : 1,
        },
        text
          ? null
          : { borderLeftWidth: Math.min(5, width), borderLeftColor: tones.band, borderStyle: 'solid' },
        selected ? { borderColor: colours.accent, borderWidth: focusWidth, borderStyle: 'solid' } : null,
      ]}
    >
      {text &&
      occurrence.availability === 'away' &&
      height > 36 &&
      width > 64 &&
      text.titleLines.length + text.detailLines.length < Math.floor((height - 3) / TEXT_LINE) ? (
        <AppText size="small" colour={tones.ink} style={styles.away} aria-hidden>
          {words.entry.away}
        </AppText>
      ) : null}
      {text ? (
        <>
          <Mark
            small
            mark={calendar?.mark ?? ''}
            colour={colour}
            ticked={selected}
            style={selected ? styles.tabSelected : styles.tab}
          />
          <AppText
            size="small"
            weight="700"
            colour={tones.ink}
            style={[
              styles.line,
              styles.title,
              asSet,
              occurrence.status === 'cancelled' ? styles.struck : null,
            ]}
          >
            {text.titleLines.join('\n')}
            {icons.slice(0, text.icons).map((icon) => (
              <View key={icon} style={styles.icon}>
                <AppIcon name={icon} size={13} color={tones.ink} />
                {icon === 'autorenew' && occurrence.changed ? (
                  <View style={[styles.dot, { backgroundColor: tones.ink }]} />
                ) : null}
              </View>
            ))}
          </AppText>
          {text.detailLines.length > 0 ? (
            <AppText size="small" figures colour={tones.ink} style={[styles.line, asSet]}>
              {text.detailLines.join('\n')}
            </AppText>
          ) : null}
        </>
      ) : null}
    </View>
  );
});

const surface = webStyle({ cursor: 'grab', userSelect: 'none', touchAction: 'pan-x pan-y' });
const asSet = webStyle({ whiteSpace: 'pre' });

const styles = StyleSheet.create({
  card: {
    position: 'absolute',
    borderWidth: hairline,
    borderRadius: corner,
    overflow: 'hidden',
    paddingTop: 1,
  },
  tab: { position: 'absolute', left: -hairline, top: -hairline },
  tabSelected: { position: 'absolute', left: -focusWidth, top: -focusWidth },
  title: { textIndent: TAB - 4 } as object,
  line: { lineHeight: TEXT_LINE, marginLeft: space(1) + 1 },
  struck: { textDecorationLine: 'line-through' },
  icon: { flexDirection: 'row', marginLeft: 3, transform: [{ translateY: 2 }] },
  dot: { width: 4, height: 4, borderRadius: 2, marginLeft: -2 },
  away: { position: 'absolute', right: space(1), bottom: 1, fontStyle: 'italic' },
});
