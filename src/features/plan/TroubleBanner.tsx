import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

/** Says that entries can't be shown in whole, wherever they are, with the way to them. */
export function TroubleBanner({ count }: { count: number }) {
  const { colours } = useTheme();
  const router = useRouter();
  if (count === 0) return null;
  const see = () => {
    const params = Object.fromEntries(new URLSearchParams(window.location.search));
    router.push({ pathname: '/setup', params: { ...params, section: 'aside' } });
  };
  return (
    <View
      role="status"
      testID="trouble-banner"
      style={[styles.banner, { backgroundColor: colours.card, borderColor: colours.line }]}
    >
      <AppIcon name="alert-circle-outline" size={18} color={colours.error} />
      <AppText style={styles.text} numberOfLines={2}>
        {words.plan.troubled(count)}
      </AppText>
      <Button label={words.plan.seeTroubled} onPress={see} />
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
