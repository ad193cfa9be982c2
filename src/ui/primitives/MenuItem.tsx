import { StyleSheet } from 'react-native';
import { Menu } from 'react-native-paper';
import type { IconName } from '../icons/paths';
import { useTheme } from '../theme/theme';
import { corner, sizes, space } from '../theme/tokens';

/** One thing that can be done, in a popover's list. */
export function MenuItem({
  label,
  icon,
  kind = 'plain',
  disabled,
  opens,
  onPress,
}: {
  label: string;
  icon?: IconName;
  kind?: 'plain' | 'danger';
  disabled?: boolean;
  /** Whether it opens a further list. */
  opens?: boolean;
  onPress: () => void;
}) {
  const { colours } = useTheme();
  return (
    <Menu.Item
      title={label}
      leadingIcon={icon}
      trailingIcon={opens ? 'chevron-right' : undefined}
      disabled={disabled}
      onPress={onPress}
      accessibilityLabel={label}
      style={styles.item}
      contentStyle={styles.content}
      titleStyle={{ color: disabled ? colours.quietInk : kind === 'danger' ? colours.error : colours.ink }}
    />
  );
}

const styles = StyleSheet.create({
  item: { height: sizes.target, maxWidth: undefined, paddingHorizontal: space(2), borderRadius: corner },
  content: { minWidth: 0, maxWidth: 240 },
});
