import { StyleSheet, View } from 'react-native';
import { isRecurring, targetOfKey } from '@/core/change/target';
import { useCommands, workspace } from '@/features/workspace';
import { useWritableCalendars, useSnapshot } from '@/store';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { SelectField } from '@/ui/primitives/PlatformField';
import { StickyActions } from '@/ui/primitives/StickyActions';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import type { ReminderChange } from '@/core/change/batchChanges';
import { QUICK } from '@/ui/reminders/quickReminders';
import { triggerText } from '@/ui/reminderText';
import type { Entry } from '@/core/model/entry';
import type { State } from '@/core/model/state';

const SHOWN = 8;

/** Several selected entries, and the changes that take them all in one step. */
export function SeveralPanel({ keys }: { keys: readonly string[] }) {
  const state = useSnapshot((snapshot) => snapshot.state);
  const calendars = useWritableCalendars();
  const commands = useCommands();
  const entries = keys.flatMap((key) => {
    const entry = state.entries.get(targetOfKey(key).entryId);
    return entry ? [{ key, entry }] : [];
  });
  const hasSeries = keys.some((key) => isRecurring(state, targetOfKey(key)));
  return (
    <View style={styles.panel}>
      <TitleText style={styles.title}>{words.desk.several(entries.length)}</TitleText>
      <EntryList entries={entries} state={state} />
      <SelectField
        label={words.desk.moveToCalendar}
        value=""
        options={[
          { value: '', label: '…' },
          ...calendars.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(id) => id && commands.toCalendar(keys, id)}
        testID="move-to-calendar"
      />
      <SelectField
        label={words.desk.copyToCalendar}
        value=""
        options={[
          { value: '', label: '…' },
          ...calendars.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(id) => id && commands.copyTo(keys, id)}
        testID="copy-to-calendar"
      />
      <SelectField
        label={words.reminder.label}
        value=""
        options={[
          { value: '', label: '…' },
          ...REMINDER_CHANGES.map(({ label }, index) => ({ value: String(index), label })),
        ]}
        onChange={(index) => index && void commands.remind(keys, REMINDER_CHANGES[Number(index)]!.change)}
        testID="several-reminders"
      />
      <Shifts keys={keys} />
      {hasSeries ? (
        <AppText size="small" tone="quiet">
          {words.desk.seriesMoveWhole}
        </AppText>
      ) : null}
      <StickyActions>
        <Button
          kind="primary"
          label={words.desk.change}
          onPress={() => workspace.beginBatch()}
          testID="begin-batch"
        />
        <Button label={words.actions.bin} icon="delete-outline" onPress={() => void commands.bin(keys)} />
        <Button label={words.desk.clear} kind="quiet" onPress={workspace.clearSelection} />
      </StickyActions>
    </View>
  );
}

/** What several entries can be given or lose; none of these is a moment, so the zone says nothing. */
const REMINDER_CHANGES: readonly { readonly label: string; readonly change: ReminderChange }[] = [
  { label: words.reminder.usualAgain, change: { kind: 'usual' } },
  { label: words.reminder.without, change: { kind: 'none' } },
  ...QUICK.timed.map((trigger) => ({
    label: words.reminder.more(triggerText(trigger, 'UTC')),
    change: { kind: 'add', reminder: { trigger, by: 'notice' } } as const,
  })),
];

const SHIFTS = [
  { label: words.desk.weekEarlier, days: -7 },
  { label: words.desk.dayEarlier, days: -1 },
  { label: words.desk.dayLater, days: 1 },
  { label: words.desk.weekLater, days: 7 },
];

/** By how much the entries can be shifted. */
function Shifts({ keys }: { keys: readonly string[] }) {
  const commands = useCommands();
  return (
    <View role="group" aria-label={words.desk.shift} style={styles.actions}>
      {SHIFTS.map(({ label, days }) => (
        <Button
          key={days}
          label={label}
          onPress={() => commands.shiftDays(keys, days)}
          style={styles.shift}
        />
      ))}
    </View>
  );
}

/** The first of the selected entries. */
function EntryList({ entries, state }: { entries: readonly { key: string; entry: Entry }[]; state: State }) {
  return (
    <View style={styles.list}>
      {entries.slice(0, SHOWN).map(({ key, entry }) => {
        const calendar = state.calendars.get(entry.calendarId);
        return (
          <View key={key} style={styles.entry}>
            <Mark mark={calendar?.mark ?? ''} colour={calendar?.colour ?? 'slate'} />
            <AppText numberOfLines={1} style={styles.shrink}>
              {entry.title || words.entry.noTitle}
            </AppText>
          </View>
        );
      })}
      {entries.length > SHOWN ? (
        <AppText tone="quiet">{words.reminder.others(entries.length - SHOWN)}</AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { gap: space(3) },
  title: { paddingRight: space(10) },
  list: { gap: space(1) },
  entry: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
  shrink: { flexShrink: 1 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  shift: { flexGrow: 1, flexBasis: '40%' },
});
