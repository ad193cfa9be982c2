import { useRef } from 'react';
import { StyleSheet, type View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { useTheme } from '../../theme/theme';
import { corner, space } from '../../theme/tokens';
import { AppText } from '../AppText';
import { useAria } from '../useAria';

/** One of a list that is picked from. */
export function OptionRow({
  label,
  selected,
  onPress,
}: {
  label: string;
  selected: boolean;
  onPress: () => void;
}) {
  const { colours } = useTheme();
  const row = useRef<View>(null);
  useAria(row, { 'aria-selected': selected });
  return (
    <TouchableRipple
      ref={row}
      role="option"
      onPress={onPress}
      style={[styles.row, selected ? { backgroundColor: colours.accentTint } : null]}
    >
      <AppText figures weight={selected ? '700' : '400'}>
        {label}
      </AppText>
    </TouchableRipple>
  );
}

const styles = StyleSheet.create({
  row: { minHeight: 40, justifyContent: 'center', paddingHorizontal: space(3), borderRadius: corner },
});
