import { Pressable, StyleSheet, View } from 'react-native';
import { isSettled } from '@/core/schedule/standing';
import type { Occurrence } from '@/core/schedule/occurrence';
import { useReveal } from '@/features/workspace';
import { useCalendars, useNow } from '@/store';
import { timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { sizes, space } from '@/ui/theme/tokens';
import { timeWidth } from '@/ui/timeWidth';
import { words } from '@/ui/words';
import { smallWords as said } from '@/ui/words/small';

/** The entries of a day, in the order of their times; pressed, each is opened in Plan. */
export function SmallDay({ occurrences, name }: { occurrences: readonly Occurrence[]; name: string }) {
  const now = useNow();
  const reveal = useReveal();
  const calendars = useCalendars();
  const ordered = [...occurrences].sort(
    (a, b) => Number(b.allDay) - Number(a.allDay) || a.start - b.start || a.end - b.end,
  );
  return (
    <View role="list" aria-label={said.entriesOf(name)} testID="small-day">
      {ordered.length === 0 ? <AppText tone="quiet">{said.none}</AppText> : null}
      {ordered.map((occurrence) => {
        const calendar = calendars.find(({ id }) => id === occurrence.calendarId);
        const isOver = occurrence.end <= now;
        return (
          <View key={occurrence.key} role="listitem">
            <Pressable role="button" onPress={() => reveal(occurrence.key)} style={styles.row}>
              <AppText figures size="small" tone={isOver ? 'quiet' : 'ink'} style={{ width: timeWidth() }}>
                {occurrence.allDay ? words.entry.allDayLabel : timeText(occurrence.startWall)}
              </AppText>
              <Mark mark={calendar?.mark ?? ''} colour={calendar?.colour ?? 'slate'} />
              <AppText
                tone={isOver ? 'quiet' : 'ink'}
                numberOfLines={2}
                style={[styles.grow, isSettled(occurrence) ? styles.struck : null]}
              >
                {occurrence.title || words.entry.noTitle}
              </AppText>
            </Pressable>
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: sizes.target - 8 },
  grow: { flex: 1, minWidth: 0 },
  struck: { textDecorationLine: 'line-through' },
});
