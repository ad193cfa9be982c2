import { StyleSheet, View } from 'react-native';
import { ActivityIndicator } from 'react-native-paper';
import { useTheme } from '../theme/theme';
import { space } from '../theme/tokens';
import { AppText } from './AppText';

/** What is being waited for, in words, with a ring that turns where motion is welcome. */
export function Waiting({ children }: { children: string }) {
  const { colours } = useTheme();
  return (
    <View style={styles.row}>
      <View aria-hidden>
        <ActivityIndicator
          size={18}
          color={colours.quietInk}
          animating={!window.matchMedia('(prefers-reduced-motion: reduce)').matches}
          hidesWhenStopped={false}
        />
      </View>
      <AppText tone="quiet">{children}</AppText>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
});
