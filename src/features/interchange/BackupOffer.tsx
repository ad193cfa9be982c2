import { StyleSheet, View } from 'react-native';
import { isBackupDue } from '@/core/change/backupOffer';
import { useNow, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { useBackup } from './useBackup';

/** Once a month, over every place: the offer to save a backup. */
export function BackupOffer() {
  const { colours } = useTheme();
  const now = useNow();
  const isDue = useSnapshot(({ state }) => isBackupDue(state, now));
  const { save, putOff } = useBackup();
  if (!isDue) return null;
  return (
    <View
      role="region"
      aria-label={words.data.backupOffer}
      style={[styles.bar, { backgroundColor: colours.accentTint, borderColor: colours.accent }]}
    >
      <AppText style={styles.text}>{words.data.backupOffer}</AppText>
      <Button label={words.data.backupSave} onPress={() => void save()} />
      <Button kind="quiet" label={words.data.backupLater} onPress={putOff} />
    </View>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    flexWrap: 'wrap',
    gap: space(2),
    padding: space(2),
    paddingLeft: space(3),
    borderBottomWidth: hairline,
  },
  text: { flex: 1, minWidth: 160 },
});
