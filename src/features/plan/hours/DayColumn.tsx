import { memo, useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  type Crowd,
  type DayCard,
  drawnMinutes,
  hoursHeight,
  type HoursScale,
  minuteToY,
} from '@/core/layout/hours';
import type { Calendar } from '@/core/model/calendar';
import { useTheme } from '@/ui/theme/theme';
import { hairline } from '@/ui/theme/tokens';
import { webStyle } from '@/ui/web';
import { words } from '@/ui/words';
import { CrowdButton } from './CrowdButton';
import { EntryCard } from './EntryCard';
import { cardsWidth } from './columnSizes';
import { TravelMarks } from './TravelMarks';
import { useLiftedKeys } from '../grid/ghost';

interface DayColumnProps {
  cards: readonly DayCard[];
  /** What has no room beside the others. */
  crowds: readonly Crowd[];
  day: number;
  width: number;
  scale: HoursScale;
  calendars: ReadonlyMap<string, Calendar>;
  /** The colour of the calendar whose all-day entry takes the day. */
  wash: string | undefined;
  dayOff: boolean;
  /** Minutes that the day has not: its clock skips them, or only another shown day has them. */
  missing: { readonly from: number; readonly to: number } | undefined;
  /** Minutes between the finer lines. */
  gridStep: number;
  /** Entries that end before this instant are shown faded. */
  fadeBefore: number | undefined;
  /** Minutes of the day that are over, of today only. */
  nowMinute: number | undefined;
  selected: ReadonlySet<string>;
  tabbableKey: string | undefined;
  zoneName: (zone: string) => string;
  fontsLoaded: boolean;
}

/** One day of the hours: lines, the day's wash, what is over, and its cards. */
export const DayColumn = memo(function DayColumn({
  cards,
  crowds,
  day,
  width,
  scale,
  calendars,
  wash,
  dayOff,
  missing,
  gridStep,
  fadeBefore,
  nowMinute,
  selected,
  tabbableKey,
  zoneName,
  fontsLoaded,
}: DayColumnProps) {
  const { colours, calendar } = useTheme();
  const lifted = useLiftedKeys();
  const drawn = drawnMinutes(scale);
  const top = minuteToY(scale, drawn.from);
  const lines = useMemo(
    () =>
      webStyle({
        backgroundImage: [
          `linear-gradient(to bottom, ${colours.line} ${hairline}px, transparent ${hairline}px)`,
          ...(gridStep < 60
            ? [`linear-gradient(to bottom, ${colours.shade} ${hairline}px, transparent ${hairline}px)`]
            : []),
        ].join(', '),
        backgroundSize: [scale.hourHeight, (scale.hourHeight * gridStep) / 60]
          .map((height) => `100% ${height}px`)
          .join(', '),
      }),
    [colours.line, colours.shade, scale.hourHeight, gridStep],
  );
  return (
    <View style={[styles.column, { width, height: hoursHeight(scale), borderColor: colours.line }]}>
      <View
        pointerEvents="none"
        style={[
          styles.fill,
          {
            top,
            height: minuteToY(scale, drawn.to) - top,
            backgroundColor: wash ? calendar(wash).tint : dayOff ? colours.page : colours.card,
          },
        ]}
      />
      {nowMinute === undefined ? null : (
        <View
          pointerEvents="none"
          testID="elapsed"
          style={[
            styles.fill,
            { top, height: Math.max(0, minuteToY(scale, nowMinute) - top), backgroundColor: colours.shade },
          ]}
        />
      )}
      <View
        pointerEvents="none"
        style={[styles.fill, lines, { top, height: minuteToY(scale, drawn.to) - top }]}
      />
      {missing && missing.to > drawn.from && missing.from < drawn.to ? (
        <MissingHour scale={scale} missing={missing} />
      ) : null}
      <TravelMarks cards={cards} scale={scale} day={day} width={cardsWidth(width)} />
      {cards.map((card) => (
        <EntryCard
          key={card.occurrence.key}
          card={card}
          columnWidth={cardsWidth(width)}
          calendar={calendars.get(card.occurrence.calendarId)}
          selected={selected.has(card.occurrence.key)}
          tabbable={tabbableKey === card.occurrence.key}
          lifted={lifted.has(card.occurrence.key)}
          faded={fadeBefore !== undefined && card.occurrence.end <= fadeBefore}
          zoneName={zoneName}
          fontsLoaded={fontsLoaded}
        />
      ))}
      {crowds.map((crowd) => (
        <CrowdButton key={crowd.top} crowd={crowd} day={day} width={width} calendars={calendars} />
      ))}
      {nowMinute === undefined ? null : (
        <View
          pointerEvents="none"
          style={[styles.now, { top: minuteToY(scale, nowMinute) - 1, backgroundColor: colours.accent }]}
        />
      )}
    </View>
  );
});

/** A time that the day has not. */
function MissingHour({
  scale,
  missing,
}: {
  scale: HoursScale;
  missing: { readonly from: number; readonly to: number };
}) {
  const { colours } = useTheme();
  return (
    <View
      testID="missing-hour"
      aria-label={words.plan.missingHour}
      role="note"
      style={[
        styles.fill,
        {
          top: minuteToY(scale, missing.from),
          height: minuteToY(scale, missing.to) - minuteToY(scale, missing.from),
          backgroundColor: colours.page,
        },
        webStyle({
          backgroundImage: `repeating-linear-gradient(135deg, transparent 0 6px, ${colours.line} 6px 8px)`,
        }),
      ]}
    />
  );
}

const styles = StyleSheet.create({
  column: { borderLeftWidth: hairline },
  fill: { position: 'absolute', left: 0, right: 0 },
  now: { position: 'absolute', left: 0, right: 0, height: 2 },
});
