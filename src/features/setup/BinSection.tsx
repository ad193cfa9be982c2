import { StyleSheet, View } from 'react-native';
import { restoreFromBin } from '@/core/change/binChanges';
import { useCommands } from '@/features/workspace';
import { useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

const SHOWN = 20;

/** Deleted entries, the latest first. */
export function BinSection() {
  const { commit, context } = useCommands();
  const state = useSnapshot((snapshot) => snapshot.state);
  const bin = [...state.bin.values()].sort((a, b) => b.deleted - a.deleted);
  return (
    <>
      <AppText tone="quiet">{bin.length > 0 ? words.data.binHint : words.data.binEmpty}</AppText>
      {bin.slice(0, SHOWN).map(({ id, entry }) => {
        const calendar = state.calendars.get(entry.calendarId);
        return (
          <View key={id} style={styles.item}>
            <Mark mark={calendar?.mark ?? '–'} colour={calendar?.colour ?? 'slate'} />
            <AppText numberOfLines={1} style={styles.grow}>
              {entry.title || words.entry.noTitle}
            </AppText>
            <Button
              label={words.actions.restore}
              onPress={() => commit(restoreFromBin(state, [id], context()))}
            />
          </View>
        );
      })}
      {bin.length > SHOWN ? <AppText tone="quiet">{words.data.binMore(bin.length - SHOWN)}</AppText> : null}
    </>
  );
}

const styles = StyleSheet.create({
  item: { flexDirection: 'row', alignItems: 'center', gap: space(3) },
  grow: { flex: 1 },
});
