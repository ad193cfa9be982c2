import { Link } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

/** Says that an address leads nowhere, and where to go from there. */
export function NotFound() {
  const { colours } = useTheme();
  return (
    <View role="main" style={[styles.page, { backgroundColor: colours.page }]}>
      <TitleText>{words.notFound.title}</TitleText>
      <AppText>{words.notFound.text}</AppText>
      <Link href="/" style={{ color: colours.primary, textDecorationLine: 'underline' }}>
        {words.notFound.go}
      </Link>
    </View>
  );
}

const styles = StyleSheet.create({
  page: { flex: 1, alignItems: 'center', justifyContent: 'center', gap: space(3), padding: space(6) },
});
