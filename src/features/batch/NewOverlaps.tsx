import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { NewOverlap } from '@/core/change/batch/newOverlaps';
import { DAY } from '@/core/time/civil';
import { dayText, timeRangeText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { batchWords } from '@/ui/words/batch';

const said = batchWords.preview;
const FEW = 3;
const MANY = 100;

/** The busy time that would be taken twice, and was not before. */
export function NewOverlaps({ overlaps }: { overlaps: readonly NewOverlap[] }) {
  const { colours } = useTheme();
  const [most, setMost] = useState(FEW);
  return (
    <View role="note" style={[styles.note, { backgroundColor: colours.accentTint }]} testID="new-overlaps">
      <View style={styles.head}>
        <AppIcon name="alert-circle-outline" size={18} color={colours.accentInk} />
        <AppText weight="700" tone="accent">
          {said.overlaps(overlaps.length)}
        </AppText>
      </View>
      {overlaps.slice(0, most).map(({ one, other }) => (
        <AppText key={`${one.key} ${other.key}`} size="small" figures>
          {said.overlap(
            `${dayText(Math.floor(one.startWall / DAY))}, ${timeRangeText(one.startWall, one.endWall)}`,
            one.title || words.entry.noTitle,
            other.title || words.entry.noTitle,
          )}
        </AppText>
      ))}
      {overlaps.length > most && most < MANY ? (
        <Button kind="quiet" label={said.more(overlaps.length - most)} onPress={() => setMost(MANY)} />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  note: { borderRadius: corner, padding: space(3), gap: space(1) },
  head: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
});
