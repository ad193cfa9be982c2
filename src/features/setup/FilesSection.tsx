import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { chooseFiles, IMPORTABLE, useImport } from '@/features/interchange';
import { ExportSheet } from '@/features/interchange/later';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

/** Entries from files, and to files. */
export function FilesSection() {
  const { read } = useImport();
  const [exporting, setExporting] = useState(false);
  return (
    <>
      <AppText tone="quiet">{words.data.importHint}</AppText>
      <View style={styles.actions}>
        <Button
          kind="primary"
          icon="upload-outline"
          label={words.data.import}
          onPress={() => void chooseFiles(IMPORTABLE).then(read)}
        />
        <Button icon="download-outline" label={words.data.exportAll} onPress={() => setExporting(true)} />
      </View>
      {exporting ? <ExportSheet onClose={() => setExporting(false)} /> : null}
    </>
  );
}

const styles = StyleSheet.create({ actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) } });
