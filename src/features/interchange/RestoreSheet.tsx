import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Backup } from '@/core/interchange/backup/backupFile';
import {
  effectsOf,
  restoreBackup,
  RESTORE_MODES,
  type RestoreMode,
  type Effect,
} from '@/core/interchange/backup/restoreBackup';
import { filesNamed } from '@/core/change/attachmentChanges';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { useCommands } from '@/features/workspace';
import { useOpenStore, useSettings } from '@/store';
import { dateText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { RadioList } from '@/ui/primitives/RadioList';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { backupWords } from '@/ui/words/backup';
import { useImport } from './useImport';

const said = backupWords;

/** What restoring a backup would do, replacing or adding, before it is done. */
export function RestoreSheet({ backup }: { backup: Backup }) {
  const { store } = useOpenStore();
  const { close, saving } = useImport();
  const { commitWithFiles, context } = useCommands();
  const [mode, setMode] = useState<RestoreMode>('add');
  const patch = useMemo(
    () => restoreBackup(store.getSnapshot().state, backup, mode, context()),
    [store, backup, mode, context],
  );
  const effects = effectsOf(patch);
  const go = async () => {
    saving();
    const named = filesNamed(patch);
    const here = await store.files.readAll(named);
    const files = new Map([...backup.files].filter(([id]) => named.has(id) && !here.has(id)));
    await commitWithFiles(patch, files);
    await store.keepAside(backup.setAside);
    close();
  };
  return (
    <Sheet
      title={said.previewTitle}
      closeLabel={words.actions.cancel}
      onClose={close}
      go={{
        label: said.go,
        onPress: () => void go(),
        disabled: effects.length === 0 && backup.setAside.size === 0,
      }}
    >
      <BackupAbout backup={backup} />
      <RadioList
        label={said.mode}
        choices={RESTORE_MODES.map((value) => ({
          value,
          label: said.modes[value],
          hint: said.modeHints[value],
        }))}
        value={mode}
        onChange={setMode}
      />
      {effects.length === 0 ? <AppText>{said.nothing}</AppText> : null}
      <Effects effects={effects} />
      {backup.problems.length > 0 ? <BackupProblems backup={backup} /> : null}
      {effects.length > 0 ? <AppText tone="quiet">{said.undo}</AppText> : null}
    </Sheet>
  );
}

/** What of a backup could not be read. */
function BackupProblems({ backup }: { backup: Backup }) {
  return (
    <View role="alert">
      <AppText tone="error">{said.problems(backup.problems.length)}</AppText>
      {backup.problems.slice(0, 10).map(({ collection, id, name, detail }) => (
        <AppText key={`${collection} ${id}`} size="small" tone="quiet" numberOfLines={2}>
          {said.problem(said.collections[collection], name ?? id, detail)}
        </AppText>
      ))}
    </View>
  );
}

/** What restoring does to each collection. */
function Effects({ effects }: { effects: readonly Effect[] }) {
  return (
    <View style={styles.list} testID="restore-effects">
      {effects.map(({ collection, added, changed, removed }) => (
        <View key={collection} style={styles.row}>
          <AppText style={styles.name}>{said.collections[collection]}</AppText>
          <AppText figures weight="500" style={styles.effect}>
            {said.effect(added, changed, removed)}
          </AppText>
        </View>
      ))}
    </View>
  );
}

/** When a backup was saved, and what it holds. */
function BackupAbout({ backup }: { backup: Backup }) {
  const { homeZone } = useSettings();
  return (
    <View>
      <AppText weight="700">
        {said.of(dateText(Math.floor(instantToWall(homeZone, backup.saved) / DAY)))}
      </AppText>
      <AppText tone="quiet">
        {[
          words.calendars.entries(backup.records.entries.length),
          backup.files.size > 0 ? said.files(backup.files.size) : '',
          backup.setAside.size > 0 ? said.setAside(backup.setAside.size) : '',
        ]
          .filter(Boolean)
          .join(' · ')}
      </AppText>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: space(1) },
  row: { flexDirection: 'row', gap: space(3) },
  name: { width: 150 },
  effect: { flex: 1 },
});
