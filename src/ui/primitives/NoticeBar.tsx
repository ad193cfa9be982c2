import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { useTheme } from '../theme/theme';
import { hairline, space } from '../theme/tokens';

/** A line over every place about something that is due, with what can be done about it; it stays until it is answered. */
export function NoticeBar({
  label,
  children,
  testID,
}: {
  label: string;
  children: ReactNode;
  testID?: string;
}) {
  const { colours } = useTheme();
  return (
    <View
      role="region"
      aria-label={label}
      testID={testID}
      style={[styles.bar, { backgroundColor: colours.accentTint, borderColor: colours.accent }]}
    >
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    flexWrap: 'wrap',
    gap: space(2),
    padding: space(2),
    paddingLeft: space(3),
    borderBottomWidth: hairline,
  },
});
