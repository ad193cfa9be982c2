import { useState } from 'react';
import type { Control } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { type Reminder, REMINDER_WAYS } from '@/core/model/reminder';
import { FormDate } from '../forms/FormDate';
import { FormField } from '../forms/FormField';
import { FormSelect } from '../forms/FormSelect';
import { FormText } from '../forms/FormText';
import { useFormOf } from '../forms/useFormOf';
import { TimeField } from '../primitives/dates/TimeField';
import { Sheet } from '../primitives/Sheet';
import { space } from '../theme/tokens';
import { words } from '../words';
import { reminderWords } from '../words/reminders';
import { ANCHORS, formOfReminder, KINDS, reminderForm, type TypedReminder, UNITS } from './reminderForm';

const said = reminderWords.form;

const optionsOf = <Value extends string>(values: readonly Value[], labels: Readonly<Record<Value, string>>) =>
  values.map((value) => ({ value, label: labels[value] }));

/** One reminder in full: of whichever kind, and by what it comes. */
export function ReminderSheet({
  reminder,
  isDue,
  zone,
  onClose,
  onSave,
}: {
  reminder: Reminder;
  /** Whether it is of a to-do, whose end is when it is due. */
  isDue: boolean;
  zone: string;
  onClose: () => void;
  onSave: (reminder: Reminder) => void;
}) {
  const [schema] = useState(() => reminderForm(zone));
  const [start] = useState(() => formOfReminder(reminder, zone, Date.now()));
  const { control, typed, submit } = useFormOf(schema, start);
  // What this form does not show stays: what it says, and what its file said beyond it.
  const save = () => submit((changed) => onSave({ ...reminder, ...changed }));
  return (
    <Sheet
      title={said.title}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: words.actions.save, onPress: save }}
    >
      <FormSelect
        control={control}
        name="kind"
        label={said.kind}
        options={optionsOf(KINDS, said.kinds)}
        testID="reminder-kind"
      />
      <WhenFields control={control} kind={typed.kind} isDue={isDue} />
      <FormSelect
        control={control}
        name="by"
        label={said.by}
        options={optionsOf(REMINDER_WAYS, words.reminder.ways)}
        testID="reminder-by"
      />
    </Sheet>
  );
}

/** What says when it comes, by its kind. */
function WhenFields({
  control,
  kind,
  isDue,
}: {
  isDue: boolean;
  control: Control<TypedReminder, unknown, Reminder>;
  kind: TypedReminder['kind'];
}) {
  const time = (
    <FormField control={control} name="time">
      {({ value, onChange }, problem) => (
        <TimeField label={said.time} value={value} onChange={onChange} error={problem} />
      )}
    </FormField>
  );
  if (kind === 'fixed')
    return (
      <View style={styles.pair}>
        <FormDate control={control} name="date" label={said.date} />
        {time}
      </View>
    );
  if (kind === 'time-of-day')
    return (
      <View style={styles.pair}>
        <FormText control={control} name="daysBefore" label={said.daysBefore} inputMode="numeric" narrow />
        {time}
      </View>
    );
  return (
    <View style={styles.pair}>
      <FormText control={control} name="amount" label={said.amount} inputMode="numeric" narrow />
      <FormSelect
        control={control}
        name="unit"
        label={said.unit}
        options={optionsOf(UNITS, said.units)}
        testID="reminder-unit"
      />
      <FormSelect
        control={control}
        name="anchor"
        label={said.anchor}
        options={
          isDue
            ? optionsOf(
                ANCHORS.filter((anchor) => anchor !== 'before-leaving'),
                said.dueAnchors,
              )
            : optionsOf(ANCHORS, said.anchors)
        }
        testID="reminder-anchor"
      />
    </View>
  );
}

const styles = StyleSheet.create({
  pair: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
