import { useRef } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Checkbox } from 'react-native-paper';
import { useTheme } from '../theme/theme';
import { sizes, space } from '../theme/tokens';
import { AppText } from './AppText';
import { useAria } from './useAria';

/** Yes or no, with its words beside it: a press on them counts too. */
export function Check({
  label,
  hideLabel,
  checked,
  onChange,
}: {
  label: string;
  /** Read out only, where what stands around says it. */
  hideLabel?: boolean;
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
        {...{ accessibilityLabel: label, style: styles.box }}
      />
      {hideLabel ? null : (
        <Pressable aria-hidden tabIndex={-1} onPress={() => onChange(!checked)} style={styles.words}>
          <AppText>{label}</AppText>
        </Pressable>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center' },
  box: {
    width: sizes.target,
    height: sizes.target,
    padding: 8,
    alignItems: 'center',
    justifyContent: 'center',
  },
  words: { flexShrink: 1, minHeight: sizes.target, justifyContent: 'center', paddingRight: space(2) },
});
