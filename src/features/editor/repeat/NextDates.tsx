import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { daysOffFor } from '@/core/change/target';
import type { CalendarEvent, Recurrence } from '@/core/model/entry';
import type { EventTime } from '@/core/model/eventTime';
import { makesItsStart } from '@/core/recurrence/ruleProblems';
import { readRules, Series } from '@/core/recurrence/series';
import { DAY } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { useSettings, useSnapshot } from '@/store';
import { shortDayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { recurrenceText } from '@/ui/recurrenceText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, space } from '@/ui/theme/tokens';
import { repeatWords } from '@/ui/words/repeat';

const SHOWN = 6;

/**
 * A repeat in words, and its next six dates, with those on days off struck or moved. Of a series that began earlier, the
 * dates from the looked-at one on.
 */
export function NextDates({
  recurrence,
  start,
  end,
  series: whole,
}: {
  recurrence: Recurrence;
  start: EventTime;
  end: EventTime;
  /** The series that it would make, where that began earlier. */
  series: CalendarEvent | undefined;
}) {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  const state = useSnapshot((snapshot) => snapshot.state);
  const dates = useMemo(() => {
    const event = whole ?? ({ id: 'next', start, end, recurrence } as CalendarEvent);
    const series = new Series(event);
    const daysOff = daysOffFor(state, event);
    const from = Math.floor(wallOf(start) / DAY) * DAY;
    return series.next(from, SHOWN, homeZone).map(({ wall }) => {
      const shown = series.shownWallOf(wall, homeZone, daysOff);
      return {
        day: Math.floor(wall / DAY),
        shown: shown === undefined ? undefined : Math.floor(shown / DAY),
      };
    });
  }, [whole, recurrence, start, end, state, homeZone]);
  const isOutside =
    !whole && readRules(recurrence.rules).rules.some((rule) => !makesItsStart(rule, wallOf(start)));
  return (
    <View
      style={[styles.box, { backgroundColor: colours.page, borderColor: colours.line }]}
      aria-live="polite"
      testID="next-dates"
    >
      <AppText weight="700">{recurrenceText(recurrence, start)}</AppText>
      {isOutside ? (
        <AppText size="small" tone="accent">
          {repeatWords.beginsOutside(shortDayText(Math.floor(wallOf(start) / DAY)))}
        </AppText>
      ) : null}
      <View style={styles.dates}>
        {dates.map(({ day, shown }) => (
          <NextDate key={day} shown={shown} day={day} />
        ))}
      </View>
    </View>
  );
}

/** A date, and what the days off make of it. */
function NextDate({ shown, day }: { shown: number | undefined; day: number }) {
  return (
    <View style={styles.date}>
      <AppText
        figures
        tone={shown === day ? 'ink' : 'quiet'}
        style={shown === day ? null : styles.struck}
        aria-label={
          shown === day
            ? undefined
            : `${shortDayText(day)}, ${shown === undefined ? repeatWords.leftOut : repeatWords.movedTo(shortDayText(shown))}`
        }
      >
        {shortDayText(day)}
      </AppText>
      {shown !== undefined && shown !== day ? (
        <AppText figures size="small" tone="accent" aria-hidden>
          {`→ ${shortDayText(shown)}`}
        </AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { paddingHorizontal: space(4), paddingVertical: space(3), gap: space(1), borderTopWidth: hairline },
  dates: { flexDirection: 'row', flexWrap: 'wrap' },
  date: { width: '33%', paddingVertical: 2 },
  struck: { textDecorationLine: 'line-through' },
});
