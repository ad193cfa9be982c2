import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { inCalendar } from '@/core/change/calendarDefaults';
import { seriesAsEdited } from '@/core/change/entryChanges';
import { isRefusal } from '@/core/change/shift';
import { masterOf } from '@/core/change/target';
import { isEvent, type Recurrence } from '@/core/model/entry';
import type { PickedFiles } from '@/features/attachments';
import { failureText, useCommands, useWorkspace, workspace } from '@/features/workspace';
import { useOpenStore, useSettings, useWritableCalendars } from '@/store';
import { useBackCloses } from '@/ui/backCloses';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { PanelHead } from '@/ui/primitives/PanelHead';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { useFocusBack } from '@/ui/useFocusBack';
import { isOwnKey, webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { EditorFields } from './EditorFields';
import { EventForm, fieldsOfForm, formOfFields, sameForm, timesOf, typedForm } from './formModel';
import { RepeatEditor } from './repeat/RepeatEditor';

/**
 * All fields of an entry. The view goes on showing it, as it would be, while it is edited. What stands in the fields is
 * kept until it is saved or thrown away: another place, a reload or a fault of the editor lose nothing of it.
 */
export function Editor() {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const settings = useSettings();
  const calendars = useWritableCalendars();
  const commands = useCommands();
  const { store } = useOpenStore();
  const editing = useWorkspace((state) => state.editing);
  const [{ before, fields, target, typed, pending: begunWith }] = useState(() => editing!);
  const box = useRef<View>(null);
  const [asking, setAsking] = useState(false);
  const [repeating, setRepeating] = useState(false);
  const [refused, setRefused] = useState(0);
  const focused = useRef(0);
  const blank = useMemo(() => formOfFields(before, settings.homeZone), [before, settings.homeZone]);
  const { control, handleSubmit, setValue, getValues, formState } = useForm<EventForm>({
    // What was written beside the view goes on here.
    defaultValues: typedForm(typed) ?? formOfFields(fields, settings.homeZone),
    resolver: zodResolver(EventForm),
  });
  const form = useWatch({ control }) as EventForm;
  const { errors } = formState;
  const [pending, setPending] = useState<ReadonlyMap<string, string>>(begunWith ?? new Map());
  const isWritten = target === undefined && form.title.trim() !== '';
  const changed = isWritten || !sameForm(form, blank);

  useEffect(() => {
    const fields = EventForm.safeParse(form).success ? fieldsOfForm(form, before) : undefined;
    workspace.goOn({ typed: form, changed, ...(fields ? { fields } : {}) });
  }, [form, before, changed]);

  useEffect(() => {
    const opener = document.activeElement;
    (box.current as unknown as HTMLElement | null)?.querySelector<HTMLElement>('input')?.focus();
    return () => {
      if (opener instanceof HTMLElement && opener.isConnected) opener.focus({ preventScroll: true });
    };
  }, []);

  // The first field with a problem takes the focus, once its words stand beside it.
  useEffect(() => {
    if (refused === focused.current || Object.keys(errors).length === 0) return;
    focused.current = refused;
    (box.current as unknown as HTMLElement | null)
      ?.querySelector<HTMLElement>('[aria-invalid="true"]')
      ?.focus();
  }, [refused, errors]);

  useFocusBack(repeating, () => document.querySelector<HTMLElement>('[data-testid="repeat"]'));

  const leave = () => {
    if (changed && !asking) setAsking(true);
    else workspace.finishEditing();
  };
  useBackCloses(() => {
    if (repeating) setRepeating(false);
    else if (asking) setAsking(false);
    else leave();
  });
  const save = handleSubmit(
    async (valid) => {
      const fields = fieldsOfForm(valid, before);
      if (!fields) return;
      const added = new Map(
        [...pending].filter(([id]) => valid.attachments.some((attachment) => attachment.id === id)),
      );
      const failure = await store.files.write(added);
      if (failure) commands.refuse(failureText(failure));
      else if (target ? await commands.change(target, fields, before) : commands.create(fields))
        workspace.finishEditing();
    },
    () => setRefused((times) => times + 1),
  );
  const attach = (picked: PickedFiles) => {
    setPending(new Map([...pending, ...picked.files]));
    setValue('attachments', [...getValues('attachments'), ...picked.attachments]);
    // They are found again after a reload; what no entry names is swept away later.
    void store.files.write(picked.files);
  };
  const chooseCalendar = (calendarId: string) => {
    setValue('calendarId', calendarId);
    const now = timesOf(form);
    if (!now || target !== undefined) return;
    const { end } = inCalendar({ ...now, calendarId: form.calendarId }, calendarId, calendars, settings);
    if (!end) return;
    const { endDate, endTime } = formOfFields({ ...before, ...now, end }, settings.homeZone);
    setValue('endDate', endDate);
    setValue('endTime', endTime);
  };

  const times = timesOf(form);
  if (repeating && times) {
    const { state } = store.getSnapshot();
    const isSeries = target !== undefined && masterOf(state, target)?.recurrence !== undefined;
    const seriesOf = (recurrence: Recurrence) => {
      const fields = fieldsOfForm({ ...form, recurrence }, before);
      const series = fields && seriesAsEdited(state, target!, fields, commands.context());
      return series === undefined || isRefusal(series) || !isEvent(series) ? undefined : series;
    };
    return (
      <RepeatEditor
        title={form.title}
        calendar={calendars.find(({ id }) => id === form.calendarId)}
        start={times.start}
        end={times.end}
        value={form.recurrence}
        seriesOf={isSeries ? seriesOf : undefined}
        onDone={(recurrence) => {
          setValue('recurrence', recurrence, { shouldValidate: formState.isSubmitted });
          setRepeating(false);
        }}
        onCancel={() => setRepeating(false)}
      />
    );
  }

  const title = target ? words.editor.editTitle : words.editor.newTitle;
  return (
    <View
      ref={box}
      role="dialog"
      aria-label={title}
      testID="editor"
      {...webProps({
        onKeyDownCapture: (event) => {
          if (!isOwnKey(event)) return;
          if (event.key === 'Escape') {
            event.stopPropagation();
            if (asking) setAsking(false);
            else leave();
          } else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) void save();
        },
      })}
      style={[
        width >= WIDE ? styles.side : styles.full,
        { backgroundColor: colours.card, borderColor: colours.line },
      ]}
    >
      <PanelHead
        title={title}
        onClose={leave}
        action={{ label: words.actions.save, onPress: () => void save() }}
      />
      {asking ? <LeaveQuestion onStay={() => setAsking(false)} /> : null}
      <ScrollView contentContainerStyle={styles.form} keyboardShouldPersistTaps="handled">
        <EditorFields
          control={control}
          setValue={setValue}
          form={form}
          entryId={target?.entryId}
          invitedBy={fields.ownAnswer === undefined ? undefined : fields.organizer}
          repeatError={errors.recurrence?.message}
          onRepeat={() => setRepeating(true)}
          onCalendar={chooseCalendar}
          onSubmit={() => void save()}
          pending={pending}
          onAttach={attach}
        />
      </ScrollView>
    </View>
  );
}

/** Asks what is to become of what was written. */
function LeaveQuestion({ onStay }: { onStay: () => void }) {
  const { colours } = useTheme();
  return (
    <View role="alert" style={[styles.asking, { backgroundColor: colours.accentTint }]}>
      <AppText style={styles.grow}>
        {words.editor.discard} {words.editor.discardText}
      </AppText>
      <Button label={words.editor.discardNo} onPress={onStay} />
      <Button label={words.editor.discardKeep} onPress={() => workspace.putAside()} />
      <Button kind="danger" label={words.editor.discardYes} onPress={() => workspace.finishEditing()} />
    </View>
  );
}

const styles = StyleSheet.create({
  side: { width: sizes.editor, borderLeftWidth: hairline },
  full: { position: 'absolute', left: 0, right: 0, top: 0, bottom: 0, zIndex: 20 },
  asking: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2), padding: space(3), alignItems: 'center' },
  grow: { flex: 1, minWidth: 180 },
  form: { padding: space(4), gap: space(4), paddingBottom: space(8) },
});
