import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { hasReminder, MOST_REMINDERS, type Reminder, reminderKey } from '@/core/model/reminder';
import { AppText } from '../primitives/AppText';
import { Button } from '../primitives/Button';
import { reminderText, triggerText } from '../reminderText';
import { space } from '../theme/tokens';
import { reminderWords } from '../words/reminders';
import { QUICK } from './quickReminders';
import { ReminderSheet } from './ReminderSheet';

interface ReminderListProps {
  value: readonly Reminder[];
  /** Of which kind of entry: what is offered at a press follows it. */
  kind: keyof typeof QUICK;
  /** The zone that moments are read in. */
  zone: string;
  onChange: (reminders: Reminder[]) => void;
}

const isOfDue = (kind: ReminderListProps['kind']): boolean => kind === 'due' || kind === 'dueDays';

/** Reminders: each changed or removed by itself, and more of them. */
export function ReminderList({ value, kind, zone, onChange }: ReminderListProps) {
  /** The place of the one whose form is open. */
  const [edited, setEdited] = useState<number>();
  const one = edited === undefined ? undefined : value[edited];
  return (
    <View style={styles.list}>
      {value.map((reminder, index) => (
        <ReminderRow
          key={`${reminderKey(reminder)}${index}`}
          text={reminderText(reminder, zone, isOfDue(kind))}
          onEdit={() => setEdited(index)}
          onRemove={() => onChange(value.filter((_, at) => at !== index))}
        />
      ))}
      <AddReminder value={value} kind={kind} zone={zone} onChange={onChange} />
      {one ? (
        <ReminderSheet
          reminder={one}
          isDue={isOfDue(kind)}
          zone={zone}
          onClose={() => setEdited(undefined)}
          onSave={(reminder) => {
            const others = value.filter((_, index) => index !== edited);
            // Two that say the same are one.
            const isThere = hasReminder(others, reminder);
            onChange(isThere ? others : value.map((other) => (other === one ? reminder : other)));
            setEdited(undefined);
          }}
        />
      ) : null}
    </View>
  );
}

/** Adds a reminder to others: by a press on what is usual, or with all that can be said. */
export function AddReminder({ value, kind, zone, onChange }: ReminderListProps) {
  const [step, setStep] = useState<'closed' | 'quick' | 'form'>('closed');
  const add = (reminder: Reminder) => {
    onChange(hasReminder(value, reminder) ? [...value] : [...value, reminder]);
    setStep('closed');
  };
  if (value.length >= MOST_REMINDERS)
    return (
      <AppText size="small" tone="quiet">
        {reminderWords.tooMany(MOST_REMINDERS)}
      </AppText>
    );
  if (step === 'closed')
    return (
      <Button
        icon="bell-outline"
        label={value.length === 0 ? reminderWords.add : reminderWords.another}
        onPress={() => setStep('quick')}
        style={styles.add}
        testID="add-reminder"
      />
    );
  return (
    <>
      <QuickReminders value={value} kind={kind} zone={zone} onPick={add} onOther={() => setStep('form')} />
      {step === 'form' ? (
        <ReminderSheet
          reminder={{ trigger: QUICK[kind][1]!, by: 'notice' }}
          isDue={isOfDue(kind)}
          zone={zone}
          onClose={() => setStep('quick')}
          onSave={add}
        />
      ) : null}
    </>
  );
}

/** One reminder: a press changes it, another removes it. */
function ReminderRow({ text, onEdit, onRemove }: { text: string; onEdit: () => void; onRemove: () => void }) {
  return (
    <View style={styles.row} testID="reminder">
      <View style={styles.shrink}>
        <Button kind="quiet" label={reminderWords.edit(text)} shown={text} align="start" onPress={onEdit} />
      </View>
      <Button icon="close" iconOnly kind="quiet" label={reminderWords.remove(text)} onPress={onRemove} />
    </View>
  );
}

/** What is offered at a press, but for what is there. */
function QuickReminders({
  value,
  kind,
  zone,
  onPick,
  onOther,
}: Pick<ReminderListProps, 'value' | 'kind' | 'zone'> & {
  onPick: (reminder: Reminder) => void;
  onOther: () => void;
}) {
  const offered = QUICK[kind]
    .map((trigger): Reminder => ({ trigger, by: 'notice' }))
    .filter((reminder) => !hasReminder(value, reminder));
  return (
    <View role="group" aria-label={reminderWords.quick} style={styles.quick}>
      {offered.map((reminder) => (
        <Button
          key={reminderKey(reminder)}
          label={triggerText(reminder.trigger, zone, isOfDue(kind))}
          onPress={() => onPick(reminder)}
        />
      ))}
      <Button label={reminderWords.other} kind="quiet" onPress={onOther} testID="other-reminder" />
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: space(1) },
  row: { flexDirection: 'row', alignItems: 'center', gap: space(1) },
  shrink: { flexShrink: 1, flexGrow: 1, alignItems: 'flex-start' },
  add: { alignSelf: 'flex-start' },
  // Beside something else it shrinks to what is there, and wraps.
  quick: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2), flexShrink: 1 },
});
