import { StyleSheet, View } from 'react-native';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DAY, MINUTE } from '@/core/time/civil';
import { useCalendars, useNow } from '@/store';
import { dayText, lengthText, timeRangeText, timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { leaveText } from '@/ui/travelText';
import { words } from '@/ui/words';
import { smallWords as said } from '@/ui/words/small';

/** What is on, or what comes next, with the time until it. */
export function NextCard({
  occurrence,
  isOn,
  isToday,
}: {
  occurrence: Occurrence;
  isOn: boolean;
  isToday: boolean;
}) {
  const { colours } = useTheme();
  const now = useNow();
  const calendar = useCalendars().find(({ id }) => id === occurrence.calendarId);
  // Whole minutes, of which the one that has begun counts.
  const until = Math.ceil((occurrence.start - now) / MINUTE) * MINUTE;
  const when = isToday
    ? timeRangeText(occurrence.startWall, occurrence.endWall)
    : `${dayText(Math.floor(occurrence.startWall / DAY))}, ${timeText(occurrence.startWall)}`;
  return (
    <View
      testID={isOn ? 'small-now' : 'small-next'}
      style={[
        styles.card,
        { backgroundColor: colours.card, borderColor: isOn ? colours.accent : colours.line },
      ]}
    >
      <View style={styles.head}>
        <Mark mark={calendar?.mark ?? ''} colour={calendar?.colour ?? 'slate'} />
        <AppText weight="700" tone={isOn ? 'accent' : 'ink'} figures style={styles.grow}>
          {isOn ? said.now(timeText(occurrence.endWall)) : said.in(lengthText(until))}
        </AppText>
      </View>
      <AppText weight="700" numberOfLines={2}>
        {occurrence.title || words.entry.noTitle}
      </AppText>
      <AppText size="small" tone="quiet" figures>
        {[when, occurrence.location, leaveText(occurrence)].filter(Boolean).join(' · ')}
      </AppText>
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: hairline, borderRadius: corner, padding: space(2), gap: space(1) },
  head: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
  grow: { flexShrink: 1 },
});
