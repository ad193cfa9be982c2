import { StyleSheet, View } from 'react-native';
import type { SeriesSlot } from '@/core/people/gaps/findSeriesSlots';
import { DAY, weekdayOf } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { useSettings } from '@/store';
import { shortDayText, timeRangeText, weekdayName } from '@/ui/dates';
import { space } from '@/ui/theme/tokens';
import { and, peopleWords as said } from '@/ui/words/people';
import { Rung } from './Rung';

/** Weekdays and hours for something that is held again and again, those that suit the most dates first; exceptions are named. */
export function SeriesLadder({
  slots,
  nameOf,
  isBehind,
  onTake,
}: {
  slots: readonly SeriesSlot[];
  nameOf: (id: string) => string;
  isBehind: boolean;
  onTake: (slot: SeriesSlot) => void;
}) {
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
          <Rung
            key={slot.start}
            testID="series-slot"
            title={when}
            when={when}
            details={details.filter(Boolean).join(' · ')}
            isBehind={isBehind}
            isBest={at === 0}
            isWhole={slot.exceptions.length === 0}
            takeWords={said.take}
            onTake={() => onTake(slot)}
          />
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({ ladder: { gap: space(2) } });
