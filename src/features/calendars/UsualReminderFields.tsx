import { StyleSheet, View } from 'react-native';
import type { UsualReminders } from '@/core/model/reminder';
import { useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { ReminderList } from '@/ui/reminders/ReminderList';
import { space } from '@/ui/theme/tokens';
import { reminderWords as said } from '@/ui/words/reminders';

const LISTS = [
  { kind: 'timed', label: said.usualTimed },
  { kind: 'wholeDays', label: said.usualWholeDays },
] as const;

/** What entries of a calendar remind by that have no reminders of their own: one list for hours, one for whole days. */
export function UsualReminderFields({
  value,
  onChange,
}: {
  value: UsualReminders;
  onChange: (usual: UsualReminders) => void;
}) {
  const { homeZone } = useSettings();
  return (
    <View role="group" aria-label={said.usual} style={styles.field}>
      <AppText size="small" tone="quiet" aria-hidden>
        {said.usual}
      </AppText>
      <AppText size="small" tone="quiet">
        {said.usualHint}
      </AppText>
      {LISTS.map(({ kind, label }) => (
        <View key={kind} role="group" aria-label={label} style={styles.list} testID={`usual-${kind}`}>
          <AppText>{label}</AppText>
          <ReminderList
            value={value[kind]}
            kind={kind}
            zone={homeZone}
            onChange={(reminders) => onChange({ ...value, [kind]: reminders })}
          />
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: space(2) },
  list: { gap: space(1) },
});
