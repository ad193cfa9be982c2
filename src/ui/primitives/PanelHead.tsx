import { StyleSheet, View } from 'react-native';
import { useTheme } from '../theme/theme';
import { space } from '../theme/tokens';
import { words } from '../words';
import { TitleText } from './AppText';
import { Button } from './Button';

/** The dark head of a panel over or beside the view: close, its title, and what it ends with. */
export function PanelHead({
  title,
  onClose,
  action,
}: {
  title: string;
  onClose: () => void;
  action?: { label: string; onPress: () => void; disabled?: boolean };
}) {
  const { colours } = useTheme();
  return (
    <View style={[styles.head, { backgroundColor: colours.primary }]}>
      <Button
        icon="close"
        iconOnly
        kind="onDark"
        label={words.actions.close}
        onPress={onClose}
        style={styles.bare}
      />
      <TitleText colour={colours.onPrimary} style={styles.title} numberOfLines={1}>
        {title}
      </TitleText>
      {action ? <Button label={action.label} onPress={action.onPress} disabled={action.disabled} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: space(2), padding: space(2), minHeight: 56 },
  title: { flex: 1 },
  bare: { borderColor: 'transparent' },
});
