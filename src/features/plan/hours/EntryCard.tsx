import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import type { DayCard } from '@/core/layout/hours';
import type { Calendar } from '@/core/model/calendar';
import type { Occurrence } from '@/core/schedule/occurrence';
import { instantToWall, cityOf } from '@/core/time/zones';
import { timeRangeText, timeText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
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

interface EntryCardProps {
  card: DayCard;
  columnWidth: number;
  calendar: Calendar | undefined;
  selected: boolean;
  tabbable: boolean;
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
  const title = `${occurrence.title || words.entry.noTitle}${occurrence.availability === 'tentative' ? ' ?' : ''}`;
  const lines = Math.max(1, Math.floor((height - 4) / TEXT_LINE));
  const narrow = width < 44;
  const zoneTime = occurrence.zone
    ? words.entry.inZone(timeText(instantToWall(occurrence.zone, occurrence.start)), cityOf(occurrence.zone))
    : '';
  const more = [timeRangeText(occurrence.startWall, occurrence.endWall), zoneTime, occurrence.location]
    .filter(Boolean)
    .join(' · ');
  // The title may wrap where the card is tall; details follow only if two lines remain for whole words.
  const titleLines = narrow
    ? lines
    : lines >= 3
      ? Math.min(3, lines - 1)
      : lines === 2 && width < 120
        ? 2
        : 1;
  const moreLines =
    narrow || width < 76 ? 0 : Math.min(4, lines - Math.min(titleLines, estimatedLines(title, width - 34)));
  const showIcons = width > 96;
  return (
    <View
      role="button"
      aria-label={label}
      aria-pressed={selected}
      tabIndex={tabbable ? 0 : -1}
      testID="card"
      {...webProps({ dataSet: { key: occurrence.key, title: occurrence.title } })}
      style={[
        styles.card,
        webStyle({ cursor: 'grab', userSelect: 'none', touchAction: 'pan-x pan-y' }),
        paper,
        {
          top: top + 1,
          height: height - 2,
          left: across.left * columnWidth + 1,
          width,
          opacity: lifted ? 0.35 : 1,
        },
        selected ? { borderColor: colours.accent, borderWidth: focusWidth, borderStyle: 'solid' } : null,
      ]}
    >
      {occurrence.availability === 'away' && lines > 1 && width > 64 ? (
        <AppText size="small" colour={tones.ink} style={styles.away} aria-hidden>
          {words.entry.away}
        </AppText>
      ) : null}
      {width >= 26 ? (
        <View style={selected ? styles.tabSelected : styles.tab}>
          <Mark small mark={calendar?.mark ?? ''} colour={colour} ticked={selected} />
        </View>
      ) : (
        <View style={[styles.sliver, { backgroundColor: tones.band }]} />
      )}
      {width >= 26 ? (
        <View style={[styles.text, narrow ? styles.textUnder : null]}>
          <AppText
            size="small"
            weight="700"
            colour={tones.ink}
            numberOfLines={titleLines}
            style={[
              styles.line,
              narrow ? null : styles.besideTab,
              webStyle({ overflowWrap: 'anywhere' }),
              occurrence.status === 'cancelled' ? styles.struck : null,
            ]}
          >
            {title}
            {showIcons && occurrence.recurring ? (
              <View style={styles.icon}>
                <AppIcon name="autorenew" size={13} color={tones.ink} />
                {occurrence.changed ? <View style={[styles.dot, { backgroundColor: tones.ink }]} /> : null}
              </View>
            ) : null}
            {showIcons && occurrence.classification !== 'public' ? (
              <View style={styles.icon}>
                <AppIcon name="eye-off-outline" size={13} color={tones.ink} />
              </View>
            ) : null}
          </AppText>
          {moreLines > 0 ? (
            <AppText size="small" figures colour={tones.ink} numberOfLines={moreLines} style={styles.line}>
              {more}
            </AppText>
          ) : null}
        </View>
      ) : null}
      {height >= 30 && !card.continuesBefore ? (
        <View {...webProps({ dataSet: { edge: 'start' } })} style={[styles.edge, styles.edgeTop, resize]} />
      ) : null}
      {height >= 24 && !card.continuesAfter ? (
        <View {...webProps({ dataSet: { edge: 'end' } })} style={[styles.edge, styles.edgeBottom, resize]} />
      ) : null}
    </View>
  );
});

/** About how many lines a title takes: the grid shows whole lines or none, and measuring each card would cost a frame. */
const estimatedLines = (text: string, width: number): number =>
  Math.max(1, Math.ceil((text.length * 6.9) / Math.max(20, width)));

const resize = webStyle({ cursor: 'ns-resize' });

const styles = StyleSheet.create({
  card: { position: 'absolute', borderWidth: hairline, borderRadius: corner, overflow: 'hidden' },
  tab: { position: 'absolute', left: -hairline, top: -hairline },
  tabSelected: { position: 'absolute', left: -focusWidth, top: -focusWidth },
  sliver: { position: 'absolute', left: 0, top: 0, bottom: 0, width: 5 },
  text: { paddingLeft: space(1) + 1, paddingRight: 2, paddingTop: 1, flexShrink: 1 },
  textUnder: { paddingTop: 18 },
  besideTab: { textIndent: 22 } as object,
  line: { lineHeight: TEXT_LINE },
  struck: { textDecorationLine: 'line-through' },
  icon: { flexDirection: 'row', marginLeft: 3, transform: [{ translateY: 2 }] },
  dot: { width: 4, height: 4, borderRadius: 2, marginLeft: -2 },
  away: { position: 'absolute', right: space(1), bottom: 1, fontStyle: 'italic' },
  edge: { position: 'absolute', left: 0, right: 0, height: 7 },
  edgeTop: { top: 0 },
  edgeBottom: { bottom: 0 },
});
