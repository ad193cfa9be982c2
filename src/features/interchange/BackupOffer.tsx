import { StyleSheet } from 'react-native';
import { isBackupDue } from '@/core/change/backupOffer';
import { useNow, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { NoticeBar } from '@/ui/primitives/NoticeBar';
import { words } from '@/ui/words';
import { useBackup } from './useBackup';

/** Once a month, over every place: the offer to save a backup. */
export function BackupOffer() {
  const now = useNow();
  const isDue = useSnapshot(({ state }) => isBackupDue(state, now));
  const { save, putOff } = useBackup();
  if (!isDue) return null;
  return (
    <NoticeBar label={words.data.backupOffer}>
      <AppText style={styles.text}>{words.data.backupOffer}</AppText>
      <Button label={words.data.backupSave} onPress={() => void save()} />
      <Button kind="quiet" label={words.data.backupLater} onPress={putOff} />
    </NoticeBar>
  );
}

const styles = StyleSheet.create({
  text: { flex: 1, minWidth: 160 },
});
