import { StyleSheet, View } from 'react-native';
import { DAY, MINUTE } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import type { Placing } from '@/core/todos/placeTodos';
import { useSettings } from '@/store';
import { dayText, lengthText, timeRangeText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { space } from '@/ui/theme/tokens';
import { timeWidth } from '@/ui/timeWidth';
import { words } from '@/ui/words';
import { todoWords } from '@/ui/words/todos';

const said = todoWords.place;

/** The times that are proposed, by their days, and what found none. */
export function PlacingPreview({
  placing,
  titleOf,
}: {
  /** Undefined while gaps are being looked for. */
  placing: Placing | undefined;
  titleOf: (key: string) => string;
}) {
  const { homeZone } = useSettings();
  const named = (key: string) => titleOf(key) || words.entry.noTitle;
  const pieces = (placing?.pieces ?? []).map((piece) => {
    const startWall = instantToWall(homeZone, piece.start);
    return { ...piece, startWall, endWall: instantToWall(homeZone, piece.end) };
  });
  const days = [...new Set(pieces.map(({ startWall }) => Math.floor(startWall / DAY)))];
  return (
    <View role="group" aria-label={said.proposal} aria-live="polite" testID="place-proposal">
      <TitleText level={2} size="large">
        {said.proposal}
      </TitleText>
      {placing ? null : <AppText tone="quiet">{said.looking}</AppText>}
      {placing && pieces.length === 0 && placing.left.length === 0 ? (
        <AppText tone="quiet">{said.noneChosen}</AppText>
      ) : null}
      {days.map((day) => (
        <View key={day} style={styles.day}>
          <AppText weight="700">{dayText(day)}</AppText>
          {pieces
            .filter(({ startWall }) => Math.floor(startWall / DAY) === day)
            .map(({ key, start, startWall, endWall, isLate }) => (
              <View key={start} style={styles.piece}>
                <AppText figures style={{ minWidth: 2 * timeWidth() }}>
                  {timeRangeText(startWall, endWall)}
                </AppText>
                <AppText style={styles.shrink}>{named(key)}</AppText>
                {isLate ? (
                  <AppText size="small" tone="accent">
                    {said.isLate}
                  </AppText>
                ) : null}
              </View>
            ))}
        </View>
      ))}
      {(placing?.left ?? []).map(({ key, minutes, why }) => (
        <View key={key} style={styles.day}>
          <AppText weight="700">{said.left(named(key), lengthText(minutes * MINUTE))}</AppText>
          <AppText tone="quiet">{said.why[why]}</AppText>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  day: { paddingVertical: space(1) },
  piece: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2), alignItems: 'baseline' },
  shrink: { flexShrink: 1 },
});
