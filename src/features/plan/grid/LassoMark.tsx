import { StyleSheet, View } from 'react-native';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline } from '@/ui/theme/tokens';
import { webStyle } from '@/ui/web';
import { useLassoBox } from './useLasso';

/** What a lasso goes over, while it is drawn. */
export function LassoMark() {
  const { colours } = useTheme();
  const box = useLassoBox((state) => state.box);
  if (!box) return null;
  return (
    <View
      pointerEvents="none"
      testID="lasso"
      style={[
        styles.lasso,
        webStyle({ position: 'fixed' }),
        {
          left: box.left,
          top: box.top,
          width: box.right - box.left,
          height: box.bottom - box.top,
          borderColor: colours.accent,
          backgroundColor: colours.shade,
        },
      ]}
    />
  );
}

const styles = StyleSheet.create({
  lasso: { borderWidth: hairline, borderRadius: corner, borderStyle: 'dashed', zIndex: 6 },
});
