import { StyleSheet, View } from 'react-native';
import type { EntryFieldName } from '@/core/fields/fieldsOf';
import { AppText } from '@/ui/primitives/AppText';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { fieldValueText, type ValueNames } from '@/ui/fieldValueText';

/** A field as it was, struck through, and as it is or would be. */
export function FieldChangeRow({
  field,
  before,
  after,
  names,
}: {
  field: EntryFieldName;
  before: unknown;
  after: unknown;
  names: ValueNames;
}) {
  return (
    <View style={styles.change}>
      <AppText size="small" tone="quiet" style={styles.field}>
        {words.fields[field]}
      </AppText>
      <AppText size="small" figures style={styles.values}>
        <AppText size="small" tone="quiet" figures style={styles.before}>
          {fieldValueText(field, before, names)}
        </AppText>
        {' → '}
        {fieldValueText(field, after, names)}
      </AppText>
    </View>
  );
}

const styles = StyleSheet.create({
  change: { flexDirection: 'row', gap: space(2) },
  field: { width: 84 },
  values: { flex: 1 },
  before: { textDecorationLine: 'line-through' },
});
