import { StyleSheet, View } from 'react-native';
import type { Colour } from '@/core/model/colour';
import { space } from '../theme/tokens';
import { AppText } from './AppText';
import { Mark } from './Mark';

/** The first line of a panel: the mark of a calendar and what is said beside it, with room for what closes the panel. */
export function MarkedLine({
  calendar,
  text,
}: {
  calendar: { readonly mark: string; readonly colour: Colour } | undefined;
  text: string;
}) {
  return (
    <View style={styles.line}>
      <Mark mark={calendar?.mark ?? ''} colour={calendar?.colour ?? 'slate'} />
      <AppText tone="quiet" numberOfLines={1} style={styles.shrink}>
        {text}
      </AppText>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: space(2), paddingRight: space(10), minHeight: 28 },
  shrink: { flexShrink: 1 },
});
