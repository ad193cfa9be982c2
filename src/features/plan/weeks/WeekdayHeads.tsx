import { StyleSheet, View } from 'react-native';
import { weekdayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { WEEKDAYS } from './weekSizes';

/** From this width on weekdays are written out. */
const WRITTEN_OUT = 96;

/** The weekdays over the columns. */
export function WeekdayHeads({
  week,
  numberWidth,
  columnWidth,
}: {
  week: readonly number[];
  numberWidth: number;
  columnWidth: number;
}) {
  const { colours } = useTheme();
  return (
    <View
      role="row"
      {...webProps({ dataSet: { inert: 'true' } })}
      style={[styles.weekdays, { borderColor: colours.line }]}
    >
      {numberWidth > 0 ? (
        <View role="columnheader" aria-label={words.weeks.numberHead} style={{ width: numberWidth }} />
      ) : null}
      {week.map((day) => (
        <View key={day} role="columnheader" style={{ width: columnWidth }}>
          <AppText size="small" tone="quiet" numberOfLines={1} style={styles.weekday}>
            {weekdayText(day, columnWidth > WRITTEN_OUT ? 'long' : 'short')}
          </AppText>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  weekdays: { flexDirection: 'row', height: WEEKDAYS, alignItems: 'center', borderBottomWidth: hairline },
  weekday: { paddingLeft: space(2) },
});
