import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { AppIcon } from '../icons/AppIcon';
import type { IconName } from '../icons/paths';
import { useTheme } from '../theme/theme';
import { corner, hairline, space } from '../theme/tokens';
import { AppText } from './AppText';
import { Button } from './Button';

/** A line above a view that says how it is seen, or what is wrong with it, and what can be done about that. */
export function Banner({
  icon,
  tone,
  action,
  testID,
  children,
}: {
  icon: IconName;
  tone: 'accent' | 'error';
  action: { label: string; onPress: () => void };
  testID: string;
  children: ReactNode;
}) {
  const { colours } = useTheme();
  const isAccent = tone === 'accent';
  return (
    <View
      role="status"
      testID={testID}
      style={[
        styles.banner,
        {
          backgroundColor: isAccent ? colours.accentTint : colours.card,
          borderColor: isAccent ? colours.accent : colours.line,
        },
      ]}
    >
      <AppIcon name={icon} size={18} color={colours[tone]} />
      <AppText style={styles.text} numberOfLines={2}>
        {children}
      </AppText>
      <Button label={action.label} onPress={action.onPress} />
    </View>
  );
}

const styles = StyleSheet.create({
  banner: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    borderWidth: hairline,
    borderRadius: corner,
    paddingLeft: space(3),
    paddingRight: space(1),
    paddingVertical: 2,
    marginBottom: space(1),
  },
  text: { flex: 1 },
});
