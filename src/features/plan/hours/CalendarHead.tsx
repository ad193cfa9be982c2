import { StyleSheet, View } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

/** The head of a calendar's column, where the calendars of a day stand side by side. */
export function CalendarHead({ calendar, width }: { calendar: Calendar | undefined; width: number }) {
  const { colours } = useTheme();
  const name = calendar?.name ?? '';
  return (
    <View
      role="heading"
      aria-level={2}
      aria-label={words.entry.calendarNamed(name)}
      testID="calendar-head"
      style={[styles.head, { width, borderColor: colours.line }]}
    >
      <Mark small mark={calendar?.mark ?? ''} colour={calendar?.colour ?? 'slate'} />
      {width > 70 ? (
        <AppText weight="700" size="small" numberOfLines={1} style={styles.name}>
          {name}
        </AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  head: {
    height: '100%',
    borderLeftWidth: hairline,
    flexDirection: 'row',
    alignItems: 'center',
    paddingHorizontal: space(1),
    gap: space(1),
  },
  name: { flex: 1 },
});
