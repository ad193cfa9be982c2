import { StyleSheet, View } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import type { Reminder } from '@/core/model/reminder';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { AddReminder, ReminderList } from '@/ui/reminders/ReminderList';
import { remindersText } from '@/ui/reminderText';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { reminderWords } from '@/ui/words/reminders';

const said = words.reminder;
const NONE: readonly Reminder[] = [];

/** The reminders of an entry: those that are usual in its calendar, or its own. */
export function RemindersField({
  value,
  calendar,
  allDay,
  zone,
  onChange,
}: {
  /** Null for an entry that follows its calendar. */
  value: readonly Reminder[] | null;
  calendar: Calendar | undefined;
  allDay: boolean;
  zone: string;
  onChange: (reminders: Reminder[] | null) => void;
}) {
  const usual = (allDay ? calendar?.usualReminders?.wholeDays : calendar?.usualReminders?.timed) ?? NONE;
  const name = calendar?.name ?? '';
  const kind = allDay ? 'wholeDays' : 'timed';
  return (
    <View role="group" aria-label={said.label} style={styles.field}>
      <AppText size="small" tone="quiet" aria-hidden>
        {said.label}
      </AppText>
      <AppText testID="reminders-from">
        {value === null
          ? `${said.asUsual(name)}: ${remindersText(usual, zone)}`
          : `${reminderWords.ownOnes}: ${value.length === 0 ? said.none : ''}`.trimEnd()}
      </AppText>
      {value === null ? (
        <View style={styles.row}>
          {/* What is usual stays beside what is added. */}
          <AddReminder value={usual} kind={kind} zone={zone} onChange={onChange} />
          {usual.length > 0 ? (
            <Button kind="quiet" label={said.without} onPress={() => onChange([])} testID="no-reminders" />
          ) : null}
        </View>
      ) : (
        <ReminderList value={value} kind={kind} zone={zone} onChange={onChange} />
      )}
      {value !== null ? (
        <Button
          kind="quiet"
          label={reminderWords.backToUsual(name)}
          onPress={() => onChange(null)}
          style={styles.start}
          testID="usual-reminders"
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: space(1) },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  start: { alignSelf: 'flex-start' },
});
