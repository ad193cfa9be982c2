import { type ReactNode, useRef } from 'react';
import { StyleSheet, type View } from 'react-native';
import { List } from 'react-native-paper';
import { useTheme } from '../theme/theme';
import { corner, fontSizes, hairline, sizes, space } from '../theme/tokens';
import { useAria } from './useAria';

/** One of a list that a field walks: its name, what tells it from others, and what stands at its end. */
export function ListRow({
  id,
  name,
  detail,
  label,
  end,
  selected,
  current,
  onPress,
}: {
  id: string;
  name: string;
  detail?: string;
  /** What it is read out as. */
  label: string;
  end?: ReactNode;
  selected: boolean;
  /** Whether the keys have reached it. */
  current: boolean;
  onPress: () => void;
}) {
  const { colours } = useTheme();
  const row = useRef<View>(null);
  useAria(row, { 'aria-selected': selected });
  return (
    <List.Item
      ref={row}
      id={id}
      role="option"
      tabIndex={-1}
      accessibilityLabel={label}
      title={name}
      description={detail || undefined}
      descriptionNumberOfLines={1}
      right={end ? () => end : undefined}
      onPress={onPress}
      style={[
        styles.row,
        { borderColor: colours.line, backgroundColor: current ? colours.accentTint : 'transparent' },
      ]}
      containerStyle={styles.inside}
      contentStyle={styles.names}
      titleStyle={[styles.name, { color: colours.ink, fontWeight: selected ? '700' : '500' }]}
      descriptionStyle={[styles.detail, { color: colours.quietInk }]}
    />
  );
}

const styles = StyleSheet.create({
  row: {
    minHeight: sizes.touchTarget,
    justifyContent: 'center',
    paddingVertical: space(1),
    paddingRight: space(2),
    borderBottomWidth: hairline,
    borderRadius: corner,
  },
  inside: { marginVertical: 0, alignItems: 'center', gap: space(3) },
  names: { paddingLeft: space(2) },
  name: { fontSize: fontSizes.body },
  detail: { fontSize: fontSizes.small },
});
