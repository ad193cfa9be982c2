import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { useTheme } from '../theme/theme';
import { hairline, space } from '../theme/tokens';
import { webStyle } from '../web';

/** A row of buttons that stays in sight while what it belongs to scrolls. */
export function StickyActions({ label, children }: { label?: string; children: ReactNode }) {
  const { colours } = useTheme();
  return (
    <View
      {...(label === undefined ? {} : { role: 'group' as const, 'aria-label': label })}
      testID="sticky-actions"
      style={[
        styles.row,
        webStyle({ position: 'sticky', top: 0, bottom: 0 }),
        { backgroundColor: colours.card, borderColor: colours.line },
      ]}
    >
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: space(2),
    paddingVertical: space(2),
    borderTopWidth: hairline,
    zIndex: 1,
  },
});
