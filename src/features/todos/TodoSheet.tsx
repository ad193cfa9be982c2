import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { todoFieldsSeenAt } from '@/core/change/entryChanges';
import { targetOfKey } from '@/core/change/target';
import { isReadOnly } from '@/core/model/calendar';
import { isTodo, REPEAT_UNITS, type TodoFields, TODO_STATUSES } from '@/core/model/entry';
import { DAY } from '@/core/time/civil';
import { EntryAttachments } from '@/features/attachments';
import { TableField } from '@/features/places';
import { useCommands, useWorkspace, workspace } from '@/features/workspace';
import { useCalendars, useNowWall, useOpenStore, useSettings, useSnapshot } from '@/store';
import { FormDate } from '@/ui/forms/FormDate';
import { FormField } from '@/ui/forms/FormField';
import { FormSelect } from '@/ui/forms/FormSelect';
import { FormText } from '@/ui/forms/FormText';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Check } from '@/ui/primitives/Check';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { TimeField } from '@/ui/primitives/dates/TimeField';
import { Sheet } from '@/ui/primitives/Sheet';
import { ReminderList } from '@/ui/reminders/ReminderList';
import { recurrenceText } from '@/ui/recurrenceText';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { todoWords } from '@/ui/words/todos';
import { DUES, REPEATS, TodoForm, todoFieldsOf, touchedOf, typedNow, typedTodo } from './todoForm';
import { formFieldsOf } from '@/core/fields/formFields';
import type { EntryFieldName } from '@/core/fields/fieldsOf';

const said = todoWords.sheet;

const FORM_FIELDS = formFieldsOf('todo');
/** What is written longest stands at the end. */
const LAST_FIELDS: readonly EntryFieldName[] = ['notes', 'url'];
/** The fields that stand elsewhere in the form than the others. */
const isApart = (name: EntryFieldName): boolean =>
  name === 'status' || name === 'priority' || LAST_FIELDS.includes(name);

/** A to-do in a form, with all that is to be said of it. */
export function TodoSheet({ todoKey, onClose }: { todoKey: string; onClose: () => void }) {
  const { store } = useOpenStore();
  const { context } = useCommands();
  // As it was when it was opened: what another page changes meanwhile is kept beside.
  const [fields] = useState(() => {
    const { state } = store.getSnapshot();
    const target = targetOfKey(todoKey);
    const seen = todoFieldsSeenAt(state, target, { ...context(), newId: () => todoKey });
    if (seen || !useWorkspace.getState().todo?.typed) return seen;
    // What was half-typed before a reload stays in sight, though another page put its to-do in the bin.
    const binned = [...state.bin.values()].find(({ entry }) => entry.id === target.entryId)?.entry;
    return binned && isTodo(binned) ? binned : undefined;
  });
  // One that is gone for good leaves nothing open.
  const isGone = fields === undefined;
  useEffect(() => {
    if (isGone) onClose();
  }, [isGone, onClose]);
  return fields ? <TodoFormSheet todoKey={todoKey} before={fields} onClose={onClose} /> : null;
}

function TodoFormSheet({
  todoKey,
  before,
  onClose,
}: {
  todoKey: string;
  before: TodoFields;
  onClose: () => void;
}) {
  const { homeZone } = useSettings();
  const today = Math.floor(useNowWall(homeZone) / DAY);
  const commands = useCommands();
  const calendars = useCalendars();
  const [start] = useState(() => typedTodo(before, today, homeZone));
  // What was half-typed before a reload stands there again.
  const [left] = useState(() => typedNow(useWorkspace.getState().todo?.typed));
  const { control, typed, submit } = useFormOf(TodoForm, { ...start, ...left });
  const touched = JSON.stringify(touchedOf(typed, start));
  useEffect(() => workspace.keepTodo(JSON.parse(touched) as Record<string, unknown>), [touched]);
  const [target] = useState(() => targetOfKey(todoKey));
  const todo = useSnapshot(({ state }) => state.entries.get(target.entryId));
  const closed = isReadOnly(calendars.find(({ id }) => id === before.calendarId));
  const save = () =>
    submit(async (form) => {
      const written = todoFieldsOf(form, before, homeZone);
      if (JSON.stringify(form) === JSON.stringify(start)) onClose();
      else if (await commands.changeTodo(target, written, before)) onClose();
    });
  const bin = async () => {
    if (await commands.bin([todoKey])) onClose();
  };
  const kept =
    before.recurrence && before.start ? recurrenceText(before.recurrence, before.start) : said.repeats.kept;
  const isRepeated = todo?.recurrence !== undefined || todo?.seriesId !== undefined;
  const repeats = REPEATS.filter((each) => each !== 'kept' || start.repeats === 'kept');
  const tableField = (name: EntryFieldName) => (
    <FormField key={name} control={control} name={name as keyof TodoForm}>
      {({ value, onChange, onBlur }, problem) => (
        <TableField
          kind="todo"
          name={name}
          value={value}
          onChange={onChange}
          onBlur={onBlur}
          error={problem}
        />
      )}
    </FormField>
  );
  return (
    <Sheet
      title={said.title}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: said.save, onPress: save, disabled: closed }}
    >
      <FormText
        control={control}
        name="title"
        label={said.titleField}
        maxLength={1000}
        onSubmit={save}
        large
      />
      <FormSelect
        control={control}
        name="calendarId"
        label={said.calendar}
        options={calendars
          .filter((calendar) => !isReadOnly(calendar) || calendar.id === before.calendarId)
          .map(({ id, name }) => ({ value: id, label: name }))}
        testID="todo-calendar"
      />
      <FormField control={control} name="due">
        {({ value, onChange }) => (
          <ChoiceRow
            label={said.due}
            choices={DUES.map((due) => ({ value: due, label: said.dues[due] }))}
            value={value}
            onChange={onChange}
          />
        )}
      </FormField>
      {typed.due === 'none' ? null : (
        <View style={styles.row}>
          <FormDate control={control} name="dueDate" label={said.dueDate} testID="todo-due-date" />
          {typed.due === 'time' ? (
            <FormField control={control} name="dueTime">
              {({ value, onChange }, problem) => (
                <TimeField
                  label={said.dueTime}
                  value={value}
                  onChange={onChange}
                  error={problem}
                  testID="todo-due-time"
                />
              )}
            </FormField>
          ) : null}
        </View>
      )}
      <FormField control={control} name="hasStart">
        {({ value, onChange }) => <Check label={said.hasStart} checked={value} onChange={onChange} />}
      </FormField>
      {typed.hasStart ? <FormDate control={control} name="start" label={said.start} /> : null}
      <FormText control={control} name="estimate" label={said.estimate} inputMode="numeric" />
      {tableField('priority')}
      {/* How far a date of a series is belongs to it alone, and is said in the list. */}
      {isRepeated ? null : (
        <>
          <FormSelect
            control={control}
            name="status"
            label={words.fields.status}
            options={TODO_STATUSES.map((each) => ({ value: each, label: todoWords.status[each] }))}
            testID="todo-status"
          />
          <FormText control={control} name="percent" label={said.percent} inputMode="numeric" />
        </>
      )}
      {/* A changed date of a series repeats with it. */}
      {todo?.seriesId !== undefined ? null : (
        <FormSelect
          control={control}
          name="repeats"
          label={said.repeat}
          options={repeats.map((each) => ({
            value: each,
            label: each === 'kept' ? kept : said.repeats[each],
          }))}
          testID="todo-repeats"
        />
      )}
      {typed.repeats === 'after' ? (
        <View style={styles.row}>
          <FormText control={control} name="every" label={said.every} inputMode="numeric" />
          <FormSelect
            control={control}
            name="unit"
            label={said.unit}
            options={REPEAT_UNITS.map((unit) => ({ value: unit, label: said.units[unit] }))}
          />
        </View>
      ) : null}
      {FORM_FIELDS.filter((name) => !isApart(name)).map(tableField)}
      <FormText control={control} name="parts" label={said.parts} multiline />
      <FormField control={control} name="reminders">
        {({ value, onChange }) => (
          <View role="group" aria-label={words.reminder.label} style={styles.part}>
            <AppText size="small" tone="quiet" aria-hidden>
              {words.reminder.label}
            </AppText>
            {typed.due === 'none' && !typed.hasStart ? (
              <AppText tone="quiet">{said.remindersNeedDate}</AppText>
            ) : (
              <ReminderList
                value={value}
                kind={typed.due === 'time' ? 'due' : 'dueDays'}
                zone={homeZone}
                onChange={onChange}
              />
            )}
          </View>
        )}
      </FormField>
      {LAST_FIELDS.map(tableField)}
      {todo ? <EntryAttachments target={target} entry={todo} /> : null}
      <View style={styles.end}>
        <Button
          icon="delete-outline"
          kind="quiet"
          label={said.bin}
          disabled={closed}
          onPress={() => void bin()}
        />
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  part: { gap: space(1) },
  end: { flexDirection: 'row' },
});
