import { StyleSheet, View } from 'react-native';
import { Switch } from 'react-native-paper';
import { DAY_OFF_HANDLINGS, eventsOf, type SkipDaysOff } from '@/core/model/entry';
import { useCalendars, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { SelectField } from '@/ui/primitives/PlatformField';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { repeatWords } from '@/ui/words/repeat';

/** Whether the series skips the days that a calendar marks as off, and what becomes of an occurrence there. */
export function SkipDaysOffField({
  value,
  onChange,
}: {
  value: SkipDaysOff | undefined;
  onChange: (value: SkipDaysOff | undefined) => void;
}) {
  const { colours } = useTheme();
  const calendars = useCalendars();
  const proposed = useSnapshot(({ state }) => calendarOfMostWholeDays(eventsOf(state.entries.values())));
  const first = proposed ?? calendars.at(-1)?.id;
  if (first === undefined) return null;
  return (
    <View style={[styles.box, { borderColor: colours.line }]}>
      <View style={styles.row}>
        <AppText weight="700" style={styles.grow} aria-hidden>
          {words.repeat.skip}
        </AppText>
        <Switch
          value={value !== undefined}
          aria-label={words.repeat.skip}
          onValueChange={(on: boolean) => onChange(on ? { calendarId: first, handling: 'omit' } : undefined)}
        />
      </View>
      {value ? (
        <View style={styles.pair}>
          <SelectField
            label={repeatWords.skipCalendar}
            value={value.calendarId}
            options={calendars.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(calendarId) => onChange({ ...value, calendarId })}
            testID="skip-calendar"
          />
          <SelectField
            label={repeatWords.handling}
            value={value.handling}
            options={DAY_OFF_HANDLINGS.map((handling) => ({
              value: handling,
              label: words.repeat.handlings[handling],
            }))}
            onChange={(handling) =>
              onChange({ ...value, handling: DAY_OFF_HANDLINGS.find((known) => known === handling)! })
            }
            testID="skip-handling"
          />
        </View>
      ) : null}
    </View>
  );
}

/** The calendar that days off are most likely in: of those with whole days alone, the one that has most of them. */
function calendarOfMostWholeDays(
  entries: Iterable<{ calendarId: string; start: { kind: string }; recurrence?: unknown }>,
): string | undefined {
  const counts = new Map<string, { whole: number; timed: number }>();
  for (const entry of entries) {
    const count = counts.get(entry.calendarId) ?? { whole: 0, timed: 0 };
    if (entry.start.kind === 'date') count.whole++;
    else count.timed++;
    counts.set(entry.calendarId, count);
  }
  return [...counts]
    .filter(([, { whole, timed }]) => whole > 0 && timed === 0)
    .sort(([, a], [, b]) => b.whole - a.whole)[0]?.[0];
}

const styles = StyleSheet.create({
  box: {
    borderWidth: hairline,
    borderRadius: corner,
    padding: space(3),
    paddingVertical: space(2),
    gap: space(2),
  },
  row: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: 40 },
  grow: { flex: 1 },
  pair: { flexDirection: 'row', gap: space(2) },
});
