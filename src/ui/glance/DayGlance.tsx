import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { dayText } from '../dates';
import { AppText, TitleText } from '../primitives/AppText';
import { Mark } from '../primitives/Mark';
import { useTheme } from '../theme/theme';
import { sizes, space } from '../theme/tokens';
import { timeWidth } from '../timeWidth';
import { words } from '../words';
import { keptGlance } from './keptGlance';

/** Today as it was last seen, until the data is open; what is waited for, where that is not known. */
export function DayGlance() {
  const { colours } = useTheme();
  const [glance] = useState(() => keptGlance(location.search, Date.now));
  return (
    <ScrollView
      style={[styles.screen, { backgroundColor: colours.page }]}
      contentContainerStyle={styles.content}
    >
      {glance ? (
        <>
          <TitleText level={1} size="large">
            {dayText(glance.day)}
          </TitleText>
          <View role="list" testID="glance">
            {glance.rows.map(({ title, time, mark, colour, isStruck, start }) => (
              <View key={`${start} ${title}`} role="listitem" style={styles.row}>
                <AppText figures size="small" style={{ width: timeWidth() }}>
                  {time}
                </AppText>
                <Mark mark={mark} colour={colour} />
                <AppText numberOfLines={2} style={[styles.grow, isStruck ? styles.struck : null]}>
                  {title || words.entry.noTitle}
                </AppText>
              </View>
            ))}
          </View>
        </>
      ) : null}
      <AppText tone="quiet" role="status">
        {words.opening}
      </AppText>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  content: { padding: space(2), gap: space(2) },
  row: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: sizes.target - 8 },
  grow: { flex: 1, minWidth: 0 },
  struck: { textDecorationLine: 'line-through' },
});
