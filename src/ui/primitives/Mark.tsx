import { type StyleProp, StyleSheet, View, type ViewStyle } from 'react-native';
import { AppIcon } from '../icons/AppIcon';
import { useTheme } from '../theme/theme';
import { corner, hairline } from '../theme/tokens';
import { AppText } from './AppText';

/** A calendar's two letters on its colour: the index tab. With a tick, when what it stands on is selected. */
export function Mark({
  mark,
  colour,
  ticked,
  small,
  off,
  style,
}: {
  mark: string;
  colour: string;
  ticked?: boolean;
  small?: boolean;
  /** Of a calendar that is hidden: an outline, struck through. */
  off?: boolean;
  style?: StyleProp<ViewStyle>;
}) {
  const { colours, calendar } = useTheme();
  const tones = calendar(colour);
  return (
    <View
      aria-hidden
      style={[
        styles.mark,
        small ? styles.small : null,
        off ? [styles.off, { borderColor: tones.band }] : { backgroundColor: tones.band },
        style,
      ]}
    >
      {ticked ? (
        <AppIcon name="check" size={14} color={tones.onBand} />
      ) : (
        <AppText
          size="small"
          weight="700"
          colour={off ? colours.quietInk : tones.onBand}
          style={[styles.letters, off ? styles.struck : null]}
        >
          {mark}
        </AppText>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  mark: { width: 28, height: 24, borderRadius: corner, alignItems: 'center', justifyContent: 'center' },
  small: { width: 24, height: 18, borderTopRightRadius: 0, borderBottomLeftRadius: 0 },
  off: { borderWidth: hairline },
  struck: { textDecorationLine: 'line-through' },
  letters: { lineHeight: 16 },
});
