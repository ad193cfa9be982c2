import { StyleSheet, View } from 'react-native';
import type { Reminder } from '@/core/model/entry';
import { Button } from '@/ui/primitives/Button';
import { SelectField } from '@/ui/primitives/PlatformField';
import { AppText } from '@/ui/primitives/AppText';
import { space } from '@/ui/theme/tokens';
import { reminderText } from '@/ui/reminderText';
import { words } from '@/ui/words';

const LEADS = [0, 5, 10, 15, 30, 60, 120, 1440, 2880, 10080];
/** What a further reminder is at first: the quarter of an hour, or the first that is not there. */
const FIRST = 15;

/** The reminders of an entry: each changed or removed by itself, and more of them. */
export function RemindersField({
  value,
  onChange,
}: {
  value: readonly Reminder[];
  onChange: (reminders: Reminder[]) => void;
}) {
  const leads = [...new Set([...LEADS, ...value.map(({ minutesBefore }) => minutesBefore)])].sort(
    (a, b) => a - b,
  );
  const taken = new Set(value.map(({ minutesBefore }) => minutesBefore));
  const next = taken.has(FIRST) ? LEADS.find((minutes) => !taken.has(minutes)) : FIRST;
  return (
    <View role="group" aria-label={words.reminder.label} style={styles.field}>
      <AppText size="small" tone="quiet" aria-hidden>
        {words.reminder.label}
      </AppText>
      {value.map((reminder, index) => (
        <View key={index} style={styles.row}>
          <SelectField
            hideLabel
            label={words.reminder.numbered(index + 1)}
            value={String(reminder.minutesBefore)}
            options={leads.map((minutes) => ({ value: String(minutes), label: reminderText(minutes) }))}
            onChange={(minutes) =>
              onChange(
                value.map((other, at) =>
                  at === index ? { ...reminder, minutesBefore: Number(minutes) } : other,
                ),
              )
            }
            testID={index === 0 ? 'editor-reminder' : undefined}
          />
          <Button
            icon="close"
            iconOnly
            kind="quiet"
            label={words.reminder.remove(index + 1)}
            onPress={() => onChange(value.filter((_, at) => at !== index))}
          />
        </View>
      ))}
      {next === undefined ? null : (
        <Button
          icon="bell-outline"
          label={value.length === 0 ? words.reminder.add : words.reminder.another}
          onPress={() => onChange([...value, { minutesBefore: next }])}
          style={styles.add}
          testID="add-reminder"
        />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: space(1) },
  row: { flexDirection: 'row', alignItems: 'center', gap: space(1) },
  add: { alignSelf: 'flex-start' },
});
