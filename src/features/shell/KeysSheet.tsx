import { StyleSheet, View } from 'react-native';
import { useWorkspace, workspace } from '@/features/workspace';
import { AppText } from '@/ui/primitives/AppText';
import { Sheet } from '@/ui/primitives/Sheet';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

const KEYS: { keys: string[]; does: string }[] = [
  { keys: ['1', '…', '8'], does: words.keys.list.views },
  { keys: ['[', ']'], does: words.keys.list.steps },
  { keys: ['.'], does: words.keys.list.today },
  { keys: ['N', 'M'], does: words.keys.list.next },
  { keys: ['T'], does: words.keys.list.goto },
  { keys: ['/'], does: words.keys.list.search },
  { keys: ['F'], does: words.keys.list.filter },
  { keys: ['G', '1…9'], does: words.keys.list.preset },
  { keys: ['Space'], does: words.keys.list.line },
  { keys: ['↑', '↓', '←', '→'], does: words.keys.list.slots },
  { keys: ['Ctrl + arrows'], does: words.keys.list.jump },
  { keys: ['Enter'], does: words.keys.list.open },
  { keys: ['Alt + arrows'], does: words.keys.list.move },
  { keys: ['Alt + Shift + arrows'], does: words.keys.list.stretch },
  { keys: ['X'], does: words.keys.list.select },
  { keys: ['Shift + drag'], does: words.keys.list.lasso },
  { keys: ['Delete'], does: words.keys.list.bin },
  { keys: ['Ctrl + Z', 'Ctrl + Shift + Z'], does: words.keys.list.undo },
  { keys: ['Escape'], does: words.keys.list.escape },
  { keys: ['?'], does: words.keys.list.help },
];

/** All keys. */
export function KeysSheet() {
  const { colours } = useTheme();
  const shown = useWorkspace((state) => state.keysShown);
  if (!shown) return null;
  return (
    <Sheet
      title={words.keys.title}
      closeLabel={words.actions.close}
      onClose={() => workspace.showKeys(false)}
    >
      {KEYS.map(({ keys, does }) => (
        <View key={does} style={styles.row}>
          <View style={styles.keys}>
            {keys.map((key) => (
              <View
                key={key}
                style={[styles.key, { borderColor: colours.line, backgroundColor: colours.page }]}
              >
                <AppText size="small" weight="700">
                  {key}
                </AppText>
              </View>
            ))}
          </View>
          <AppText style={styles.does}>{does}</AppText>
        </View>
      ))}
    </Sheet>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space(3) },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: space(1), width: 180 },
  key: { borderWidth: hairline, borderRadius: corner, paddingHorizontal: space(2), paddingVertical: 3 },
  does: { flex: 1 },
});
