import { Pressable, StyleSheet, View } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import type { SearchHit } from '@/core/search/entrySearch';
import { DAY } from '@/core/time/civil';
import { dateText, timeText, weekdayText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

/** An entry that was found: title, when, where; of a series the next date. */
export function SearchHitRow({
  id,
  hit,
  calendar,
  active,
  onPress,
}: {
  id: string;
  hit: SearchHit;
  calendar: Calendar | undefined;
  active: boolean;
  onPress: () => void;
}) {
  const { colours } = useTheme();
  const { occurrence } = hit;
  const day = Math.floor(occurrence.startWall / DAY);
  const when = [
    `${weekdayText(day)} ${dateText(day)}`,
    occurrence.allDay ? words.entry.allDayLabel : timeText(occurrence.startWall),
    occurrence.location,
  ].filter(Boolean);
  return (
    <Pressable
      id={id}
      role={'option' as never}
      aria-selected={active}
      tabIndex={-1}
      onPress={onPress}
      testID="search-hit"
      style={[
        styles.row,
        { borderColor: colours.line, backgroundColor: active ? colours.accentTint : colours.card },
      ]}
    >
      <Mark mark={calendar?.mark ?? ''} colour={calendar?.colour ?? 'slate'} />
      <View style={styles.texts}>
        <View style={styles.title}>
          <AppText weight="700" numberOfLines={2} style={styles.shrink}>
            {occurrence.title || words.entry.noTitle}
          </AppText>
          {occurrence.recurring ? <AppIcon name="autorenew" size={14} color={colours.quietInk} /> : null}
        </View>
        <AppText size="small" tone="quiet" figures numberOfLines={2}>
          {when.join(' · ')}
        </AppText>
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(3),
    paddingHorizontal: space(3),
    paddingVertical: space(2),
    minHeight: 52,
    borderBottomWidth: hairline,
  },
  texts: { flex: 1, minWidth: 0 },
  title: { flexDirection: 'row', alignItems: 'center', gap: space(1) },
  shrink: { flexShrink: 1 },
});
