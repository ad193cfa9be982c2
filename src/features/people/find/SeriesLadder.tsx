import { StyleSheet, View } from 'react-native';
import type { SeriesSlot } from '@/core/people/gaps/findSeriesSlots';
import { DAY, weekdayOf } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { useSettings } from '@/store';
import { shortDayText, timeRangeText, weekdayName } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { and, peopleWords as said } from '@/ui/words/people';

/** Weekdays and hours for something that is held again and again, those that suit the most dates first; exceptions are named. */
export function SeriesLadder({
  slots,
  nameOf,
  onTake,
}: {
  slots: readonly SeriesSlot[];
  nameOf: (id: string) => string;
  onTake: (slot: SeriesSlot) => void;
}) {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  return (
    <View role="list" aria-label={said.proposals} style={styles.ladder}>
      {slots.map((slot, at) => {
        const [start, end] = [slot.start, slot.end].map((instant) => instantToWall(homeZone, instant));
        const day = Math.floor(start! / DAY);
        const when = `${weekdayName(weekdayOf(day), 'long')}, ${timeRangeText(start!, end!)}`;
        const details = [
          said.firstDate(shortDayText(day)),
          said.suitsDates(slot.suits, slot.dates),
          ...slot.exceptions.map((exception) =>
            said.exception(
              shortDayText(Math.floor(instantToWall(homeZone, exception.start) / DAY)),
              and(exception.missing.map(nameOf)),
            ),
          ),
          slot.unknown > 0 ? said.unknownDates(slot.unknown) : '',
        ];
        return (
          <View
            key={slot.start}
            role="listitem"
            testID="series-slot"
            style={[
              styles.rung,
              {
                borderColor: colours.line,
                borderLeftColor: slot.exceptions.length > 0 ? colours.line : colours.primary,
                backgroundColor: colours.card,
              },
            ]}
          >
            <View style={styles.words}>
              <AppText weight="700" figures>
                {when}
              </AppText>
              <AppText size="small" tone="quiet" figures>
                {details.filter(Boolean).join(' · ')}
              </AppText>
            </View>
            <Button
              kind={at === 0 ? 'primary' : 'plain'}
              label={said.takeLabel(when)}
              shown={said.take}
              onPress={() => onTake(slot)}
            />
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  ladder: { gap: space(2) },
  rung: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    justifyContent: 'flex-end',
    gap: space(2),
    padding: space(2),
    borderWidth: hairline,
    borderLeftWidth: 4,
    borderRadius: corner,
  },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 220, gap: space(1) },
});
