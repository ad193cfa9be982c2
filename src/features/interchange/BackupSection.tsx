import { StyleSheet, View } from 'react-native';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { hasPageStorage, useSettings, useSnapshot, useStoragePersists } from '@/store';
import { dateText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { backupWords } from '@/ui/words/backup';
import { chooseFiles } from './files';
import { useBackup } from './useBackup';
import { useImport } from './useImport';

const said = backupWords;

/** Saves everything to one file, and brings it back. */
export function BackupSection() {
  const { homeZone } = useSettings();
  const backedUp = useSnapshot(({ state }) => state.sessions.get('session')?.backedUp);
  const { save } = useBackup();
  const { read } = useImport();
  const persists = useStoragePersists();
  return (
    <View style={styles.section}>
      <AppText tone="quiet">{said.hint}</AppText>
      <AppText size="small" tone="quiet">
        {backedUp === undefined
          ? said.never
          : said.last(dateText(Math.floor(instantToWall(homeZone, backedUp) / DAY)))}
      </AppText>
      {persists === undefined ? null : (
        <AppText size="small" tone="quiet">
          {persists ? said.persists : said.persistsNot}
        </AppText>
      )}
      {hasPageStorage() ? null : (
        <AppText size="small" tone="quiet">
          {said.noDrafts}
        </AppText>
      )}
      <View style={styles.actions}>
        <Button icon="download-outline" label={said.save} onPress={() => void save()} />
        <Button
          icon="upload-outline"
          label={said.restore}
          onPress={() => void chooseFiles('.json,application/json').then(read)}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  section: { gap: space(3) },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
