import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import type { DayFit } from '@/core/people/gaps/gapQuery';
import { dayOfMonthText, shortDayText, weekdayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes, space } from '@/ui/theme/tokens';
import { peopleWords as said } from '@/ui/words/people';

const HEIGHT = 28;

/** How well days suit those who meet: a bar as tall as the part of the day that is open. Pressed, the day is shown. */
export function DayFitStrip({
  days,
  shown,
  onShow,
}: {
  days: readonly DayFit[];
  shown: number | undefined;
  onShow: (day: number) => void;
}) {
  const { colours } = useTheme();
  return (
    <ScrollView horizontal showsHorizontalScrollIndicator={false}>
      <View role="group" aria-label={said.days} style={styles.strip} testID="day-fit">
        {days.map(({ day, share }) => (
          <Pressable
            key={day}
            role="button"
            aria-label={said.dayFit(shortDayText(day), share)}
            aria-pressed={shown === day}
            onPress={() => onShow(day)}
            style={[styles.day, { borderColor: shown === day ? colours.accent : 'transparent' }]}
          >
            <View style={styles.bar}>
              {share > 0 ? (
                <View
                  style={{
                    height: Math.max(3, share * HEIGHT),
                    borderRadius: corner,
                    backgroundColor: colours.primary,
                  }}
                />
              ) : (
                <AppText size="small" tone="quiet" style={styles.none}>
                  –
                </AppText>
              )}
            </View>
            <AppText size="small" tone="quiet" figures>
              {weekdayText(day, 'narrow')}
            </AppText>
            <AppText size="small" figures>
              {dayOfMonthText(day)}
            </AppText>
          </Pressable>
        ))}
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  strip: { flexDirection: 'row', gap: space(1) },
  day: {
    width: sizes.target,
    paddingVertical: space(1),
    alignItems: 'center',
    borderWidth: 2,
    borderRadius: corner,
  },
  bar: { height: HEIGHT, width: 16, justifyContent: 'flex-end' },
  none: { textAlign: 'center', borderTopWidth: hairline, borderTopColor: 'transparent' },
});
