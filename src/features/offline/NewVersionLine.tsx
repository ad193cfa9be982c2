import { useEffect, useState, useSyncExternalStore } from 'react';
import { StyleSheet } from 'react-native';
import { useWorkspace } from '@/features/workspace';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { NoticeBar } from '@/ui/primitives/NoticeBar';
import { offlineWords as said } from '@/ui/words/offline';
import { keepApplication, keptApplication } from './newVersion';

/** Offers a new version of the application; not while something is being edited. */
export function NewVersionLine() {
  const { take } = useSyncExternalStore(keptApplication.subscribe, keptApplication.get);
  const isEditing = useWorkspace((state) => state.editing !== null);
  const [isPutOff, setPutOff] = useState(false);
  useEffect(keepApplication, []);
  if (!take || isEditing || isPutOff) return null;
  return (
    <NoticeBar label={said.newVersion} testID="new-version">
      <AppText style={styles.text}>{said.newVersion}</AppText>
      <Button kind="primary" label={said.take} onPress={take} />
      <Button label={said.later} onPress={() => setPutOff(true)} />
    </NoticeBar>
  );
}

const styles = StyleSheet.create({ text: { flexGrow: 1, flexShrink: 1 } });
