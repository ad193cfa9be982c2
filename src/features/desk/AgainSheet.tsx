import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import {
  civilDate,
  DAY,
  dateString,
  dayNumber,
  daysInMonth,
  startOfWeek,
  weekdaysFrom,
} from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import type { CalendarEvent } from '@/core/model/entry';
import { useCommands } from '@/features/workspace';
import { useSettings } from '@/store';
import { dayText, monthText, weekdayName } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Sheet } from '@/ui/primitives/Sheet';
import { useTheme } from '@/ui/theme/theme';
import { corner, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';

const said = exchangeWords.again;
/** How many small months stand beside each other. */
const MONTHS = 4;

/** The first day of the month that lies some months after another. */
function monthAfter(first: number, months: number): number {
  const { year, month } = civilDate(first);
  const index = year * 12 + (month - 1) + months;
  return dayNumber(Math.floor(index / 12), (index % 12) + 1, 1);
}

/** The same entry on other days, picked on small months. */
export function AgainSheet({
  occurrenceKey,
  event,
  onClose,
}: {
  occurrenceKey: string;
  event: CalendarEvent;
  onClose: () => void;
}) {
  const commands = useCommands();
  const day = Math.floor(wallOf(event.start) / DAY);
  const { year, month } = civilDate(day);
  const [first, setFirst] = useState(dayNumber(year, month, 1));
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const toggle = (pressed: number) => {
    const next = new Set(chosen);
    if (!next.delete(pressed)) next.add(pressed);
    setChosen(next);
  };
  const go = () => {
    commands.againOn(occurrenceKey, [...chosen]);
    onClose();
  };
  return (
    <Sheet
      title={said.title(event.title || words.entry.noTitle)}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: said.go(chosen.size), onPress: go, disabled: chosen.size === 0 }}
    >
      <View style={styles.head}>
        <Button
          icon="chevron-left"
          iconOnly
          label={said.earlier}
          onPress={() => setFirst(monthAfter(first, -MONTHS))}
        />
        <AppText role="status" style={styles.count}>
          {chosen.size > 0 ? said.chosen(chosen.size) : said.none}
        </AppText>
        <Button
          icon="chevron-right"
          iconOnly
          label={said.later}
          onPress={() => setFirst(monthAfter(first, MONTHS))}
        />
      </View>
      <View style={styles.months}>
        {Array.from({ length: MONTHS }, (_, index) => monthAfter(first, index)).map((month_) => (
          <SmallMonth key={month_} first={month_} there={day} chosen={chosen} onPress={toggle} />
        ))}
      </View>
    </Sheet>
  );
}

function SmallMonth({
  first,
  there,
  chosen,
  onPress,
}: {
  first: number;
  there: number;
  chosen: ReadonlySet<number>;
  onPress: (day: number) => void;
}) {
  const { colours } = useTheme();
  const { year, month } = civilDate(first);
  const days = Array.from({ length: daysInMonth(year, month) }, (_, index) => first + index);
  const { weekStart } = useSettings();
  const blanks = first - startOfWeek(first, weekStart);
  return (
    <View role="group" aria-label={monthText(first)} style={styles.month}>
      <AppText weight="700">{monthText(first)}</AppText>
      <View style={styles.days}>
        {weekdaysFrom(weekStart).map((weekday) => (
          <View key={weekday} style={styles.day} aria-hidden>
            <AppText size="small" tone="quiet">
              {weekdayName(weekday, 'narrow')}
            </AppText>
          </View>
        ))}
        {Array.from({ length: blanks }, (_, index) => (
          <View key={`blank ${index}`} style={styles.day} />
        ))}
        {days.map((day) => {
          const isThere = day === there;
          const isChosen = chosen.has(day);
          return (
            <Pressable
              key={day}
              role="checkbox"
              aria-checked={isChosen}
              aria-disabled={isThere}
              disabled={isThere}
              aria-label={isThere ? `${dayText(day)}, ${said.isThere}` : dayText(day)}
              testID={`again-${dateString(day)}`}
              onPress={() => onPress(day)}
              style={[
                styles.day,
                {
                  backgroundColor: isChosen ? colours.primary : isThere ? colours.accentTint : 'transparent',
                },
              ]}
            >
              <AppText figures colour={isChosen ? colours.onPrimary : colours.ink}>
                {String(civilDate(day).day)}
              </AppText>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}

const CELL = 36;
const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center', gap: space(3) },
  count: { flex: 1, textAlign: 'center' },
  months: { flexDirection: 'row', flexWrap: 'wrap', gap: space(4), justifyContent: 'center' },
  month: { gap: space(1), width: CELL * 7 },
  days: { flexDirection: 'row', flexWrap: 'wrap' },
  day: { width: CELL, height: CELL, alignItems: 'center', justifyContent: 'center', borderRadius: corner },
});
