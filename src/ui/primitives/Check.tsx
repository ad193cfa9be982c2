import { type ReactNode, useRef } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Checkbox } from 'react-native-paper';
import { useTheme } from '../theme/theme';
import { sizes, space } from '../theme/tokens';
import { AppText } from './AppText';
import { useAria } from './useAria';

/** Yes or no, with its words beside it: a press on them counts too. */
export function Check({
  label,
  children,
  checked,
  onChange,
}: {
  label: string;
  /** What stands beside it, where that is more than the words it is read out with. */
  children?: ReactNode;
  checked: boolean;
  onChange: (checked: boolean) => void;
}) {
  const { colours } = useTheme();
  const row = useRef<View>(null);
  useAria(row, { 'aria-checked': checked }, (element) => element.querySelector('[role="checkbox"]'));
  return (
    <View ref={row} style={styles.row}>
      <Checkbox.Android
        status={checked ? 'checked' : 'unchecked'}
        uncheckedColor={colours.quietInk}
        onPress={() => onChange(!checked)}
        {...{ accessibilityLabel: label }}
      />
      <Pressable aria-hidden tabIndex={-1} onPress={() => onChange(!checked)} style={styles.words}>
        {children ?? <AppText>{label}</AppText>}
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center' },
  words: {
    flexShrink: 1,
    flexGrow: 1,
    minHeight: sizes.target,
    justifyContent: 'center',
    paddingRight: space(2),
  },
});
