import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { civilDate, dayNumber, MINUTE, startOfWeek } from '@/core/time/civil';
import { useLoads, useSettings } from '@/store';
import { dayOfMonthText, dayText, lengthText, monthText, weekdayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { smallWords as said } from '@/ui/words/small';

const WEEKS = 6;
/** By how many days an arrow key leads. */
const STEPS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -7, ArrowDown: 7 };
const NO_OPTIONS = {};

/** The first day of the month so many months from that of a day. */
function monthStart(day: number, by: number): number {
  const { year, month } = civilDate(day);
  const months = year * 12 + month - 1 + by;
  return dayNumber(Math.floor(months / 12), (months % 12) + 1, 1);
}

/** A month to jump by: its days, with a bar as wide as they are booked. */
export function SmallMonth({
  day,
  today,
  onDay,
}: {
  day: number;
  today: number;
  onDay: (day: number) => void;
}) {
  const { colours } = useTheme();
  const { weekStart } = useSettings();
  const [first, setFirst] = useState(() => monthStart(day, 0));
  // The day that is shown leads: who goes to another month by it sees that month.
  const [shownFor, setShownFor] = useState(day);
  if (shownFor !== day) {
    setShownFor(day);
    setFirst(monthStart(day, 0));
  }
  const begin = startOfWeek(first, weekStart);
  const loads = useLoads(begin, WEEKS, NO_OPTIONS);
  const { month } = civilDate(first);
  const weeks = Array.from({ length: WEEKS }, (_, week) =>
    Array.from({ length: 7 }, (__, at) => begin + week * 7 + at),
  ).filter((days) => days.some((each) => civilDate(each).month === month));
  const isShown = weeks.some((days) => days.includes(day));
  const onKeyDown = (event: KeyboardEvent) => {
    const by = STEPS[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onDay(day + by);
    const grid = event.currentTarget as HTMLElement;
    requestAnimationFrame(() => grid.querySelector<HTMLElement>('[aria-pressed="true"]')?.focus());
  };
  return (
    <View role="group" aria-label={said.month} testID="small-month">
      <View style={styles.head}>
        <AppText weight="700" style={styles.grow} aria-live="polite">
          {monthText(first)}
        </AppText>
        <Button
          icon="arrow-left"
          iconOnly
          kind="quiet"
          label={said.monthBefore}
          onPress={() => setFirst(monthStart(first, -1))}
        />
        <Button
          icon="arrow-right"
          iconOnly
          kind="quiet"
          label={said.monthAfter}
          onPress={() => setFirst(monthStart(first, 1))}
        />
      </View>
      <View {...webProps({ onKeyDown })}>
        <View style={styles.week} aria-hidden>
          {weeks[0]!.map((each) => (
            <AppText key={each} size="small" tone="quiet" style={styles.name}>
              {weekdayText(each, 'narrow')}
            </AppText>
          ))}
        </View>
        {weeks.map((days) => (
          <View key={days[0]} style={styles.week}>
            {days.map((each) => {
              const load = loads.get(each);
              const share = load && load.working > 0 ? Math.min(1, load.booked / load.working) : 0;
              const isPressed = each === day;
              const isOutside = civilDate(each).month !== month;
              return (
                <Pressable
                  key={each}
                  role="button"
                  aria-label={said.booked(
                    dayText(each),
                    load && load.booked > 0 ? lengthText(load.booked * MINUTE) : '',
                  )}
                  {...{ 'aria-pressed': isPressed, 'aria-current': each === today ? 'date' : undefined }}
                  tabIndex={isPressed || (!isShown && each === first) ? 0 : -1}
                  onPress={() => onDay(each)}
                  style={[
                    styles.day,
                    each === today ? { backgroundColor: colours.primary } : null,
                    isPressed ? { borderColor: colours.accent } : null,
                  ]}
                >
                  <AppText
                    size="small"
                    figures
                    weight={isOutside ? '400' : '700'}
                    colour={each === today ? colours.onPrimary : isOutside ? colours.quietInk : colours.ink}
                  >
                    {dayOfMonthText(each)}
                  </AppText>
                  <View style={styles.bar}>
                    <View
                      style={{
                        height: 3,
                        width: `${share * 100}%`,
                        backgroundColor: each === today ? colours.onPrimary : colours.primary,
                      }}
                    />
                  </View>
                </Pressable>
              );
            })}
          </View>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  head: { flexDirection: 'row', alignItems: 'center' },
  grow: { flexGrow: 1 },
  week: { flexDirection: 'row' },
  name: { flex: 1, textAlign: 'center' },
  day: {
    flex: 1,
    minHeight: 32,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: corner,
    borderWidth: focusWidth,
    borderColor: 'transparent',
  },
  bar: { height: 3, alignSelf: 'stretch', marginHorizontal: space(1) },
});
