import { zodResolver } from '@hookform/resolvers/zod';
import { Suspense, useEffect, useRef, useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import type { Attachment } from '@/core/model/attachment';
import { AVAILABILITIES, CLASSIFICATIONS, STATUSES } from '@/core/model/entry';
import { useCommands, useWorkspace, workspace } from '@/features/workspace';
import { useOpenStore, useSettings, useWritableCalendars } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { SelectField, TextField } from '@/ui/primitives/Field';
import { PanelHead } from '@/ui/primitives/PanelHead';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { useBackCloses } from '@/ui/backCloses';
import { useFocusBack } from '@/ui/useFocusBack';
import { isOwnKey, webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { EventForm, fieldsOfForm, formOfFields, timesOf } from './formModel';
import { editorExtras } from './lazyExtras';
import { RepeatEditor } from './repeat/RepeatEditor';
import { RepeatRow } from './repeat/RepeatRow';
import { WhenFields } from './WhenFields';

const NONE: Attachment[] = [];
const LEADS = [0, 5, 10, 15, 30, 60, 120, 1440, 2880, 10080];

/** All fields of an entry. The view goes on showing it, as it would be, while it is edited. */
export function Editor() {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const { homeZone } = useSettings();
  const calendars = useWritableCalendars();
  const commands = useCommands();
  const editing = useWorkspace((state) => state.editing);
  const [before] = useState(() => editing!.fields);
  const [target] = useState(() => editing!.target);
  const box = useRef<View>(null);
  const [asking, setAsking] = useState(false);
  const [repeating, setRepeating] = useState(false);
  const [refused, setRefused] = useState(0);
  const focused = useRef(0);
  const { control, handleSubmit, setValue, formState } = useForm<EventForm>({
    defaultValues: formOfFields(before, homeZone),
    resolver: zodResolver(EventForm),
  });
  const form = useWatch({ control }) as EventForm;
  const { errors } = formState;
  const [colour, setColour] = useState(before.colour);
  const [attachments, setAttachments] = useState(before.attachments ?? NONE);
  const [pending, setPending] = useState<ReadonlyMap<string, string>>(new Map());
  const { store } = useOpenStore();
  const isDirty =
    formState.isDirty || colour !== before.colour || attachments !== (before.attachments ?? NONE);

  useEffect(() => {
    if (EventForm.safeParse(form).success) workspace.editFields(fieldsOfForm(form, before));
  }, [form, before]);

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

  const close = () => workspace.edit(null);
  const leave = () => {
    if (isDirty && !asking) setAsking(true);
    else close();
  };
  useBackCloses(() => {
    if (repeating) setRepeating(false);
    else if (asking) setAsking(false);
    else leave();
  });
  const save = handleSubmit(
    async (valid) => {
      const fields = {
        ...fieldsOfForm(valid, before),
        colour,
        attachments: attachments.length > 0 ? attachments : undefined,
      };
      const added = new Map([...pending].filter(([id]) => attachments.some((known) => known.id === id)));
      const failure = await store.files.write(added);
      if (failure) commands.refuse(words.failures[failure]);
      else if (target ? await commands.change(target, fields) : commands.create(fields)) close();
    },
    () => setRefused((times) => times + 1),
  );

  const wide = width >= WIDE;
  const leads = [...new Set([...LEADS, ...(form.reminder === '' ? [] : [Number(form.reminder)])])].sort(
    (a, b) => a - b,
  );
  const text = (name: 'location' | 'url' | 'categories' | 'notes', label: string, more: object = {}) => (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <TextField
          label={label}
          value={field.value}
          onChangeText={field.onChange}
          onBlur={field.onBlur}
          error={fieldState.error?.message}
          {...more}
        />
      )}
    />
  );

  if (repeating) {
    const { start, end } = timesOf(form);
    return (
      <RepeatEditor
        title={form.title}
        calendar={calendars.find(({ id }) => id === form.calendarId)}
        start={start}
        end={end}
        value={form.recurrence}
        onDone={(recurrence) => {
          setValue('recurrence', recurrence, { shouldDirty: true, shouldValidate: formState.isSubmitted });
          setRepeating(false);
        }}
        onCancel={() => setRepeating(false)}
      />
    );
  }

  return (
    <View
      ref={box}
      role="dialog"
      aria-label={target ? words.editor.editTitle : words.editor.newTitle}
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
      style={[wide ? styles.side : styles.full, { backgroundColor: colours.card, borderColor: colours.line }]}
    >
      <PanelHead
        title={target ? words.editor.editTitle : words.editor.newTitle}
        onClose={leave}
        action={{ label: words.actions.save, onPress: () => void save() }}
      />
      {asking ? (
        <View role="alert" style={[styles.asking, { backgroundColor: colours.accentTint }]}>
          <AppText style={styles.grow}>
            {words.editor.discard} {words.editor.discardText}
          </AppText>
          <Button label={words.editor.discardYes} onPress={close} />
          <Button label={words.editor.discardNo} onPress={() => setAsking(false)} />
        </View>
      ) : null}
      <ScrollView contentContainerStyle={styles.form} keyboardShouldPersistTaps="handled">
        <Controller
          control={control}
          name="title"
          render={({ field, fieldState }) => (
            <TextField
              label={words.editor.title}
              value={field.value}
              onChangeText={field.onChange}
              error={fieldState.error?.message}
              large
              onSubmit={() => void save()}
              testID="editor-title"
            />
          )}
        />
        <Controller
          control={control}
          name="calendarId"
          render={({ field, fieldState }) => (
            <SelectField
              label={words.editor.calendar}
              value={field.value}
              options={calendars.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={field.onChange}
              error={fieldState.error?.message}
              testID="editor-calendar"
            />
          )}
        />
        <WhenFields control={control} setValue={setValue} isNew={target === undefined} />
        {before.recurrence || target === undefined || !isChangedOccurrence(target.entryId) ? (
          <RepeatRow form={form} error={errors.recurrence?.message} onPress={() => setRepeating(true)} />
        ) : null}
        <Controller
          control={control}
          name="reminder"
          render={({ field }) => (
            <SelectField
              label={words.reminder.label}
              value={field.value}
              options={[
                { value: '', label: words.reminder.none },
                ...leads.map((minutes) => ({
                  value: String(minutes),
                  label:
                    minutes === 0
                      ? words.reminder.atStart
                      : words.reminder.before(words.reminder.minutes(minutes)),
                })),
              ]}
              onChange={field.onChange}
              testID="editor-reminder"
            />
          )}
        />
        {text('location', words.editor.place)}
        <Controller
          control={control}
          name="availability"
          render={({ field }) => (
            <ChoiceRow
              label={words.editor.availability}
              choices={AVAILABILITIES.map((value) => ({ value, label: words.entry.availability[value] }))}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
        <Controller
          control={control}
          name="classification"
          render={({ field }) => (
            <ChoiceRow
              label={words.editor.visibility}
              choices={CLASSIFICATIONS.map((value) => ({ value, label: words.entry.classification[value] }))}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
        <Controller
          control={control}
          name="status"
          render={({ field }) => (
            <ChoiceRow
              label={words.editor.status}
              choices={STATUSES.map((value) => ({ value, label: words.entry.status[value] }))}
              value={field.value}
              onChange={field.onChange}
            />
          )}
        />
        {text('categories', words.editor.categories, { hint: words.editor.categoriesHint })}
        <Suspense fallback={null}>
          <editorExtras.Later
            colour={colour}
            onColour={setColour}
            attachments={attachments}
            pending={pending}
            onAdd={(picked) => {
              setPending(new Map([...pending, ...picked.files]));
              setAttachments([...attachments, ...picked.attachments]);
            }}
            onRemove={(id) => setAttachments(attachments.filter((attachment) => attachment.id !== id))}
          />
        </Suspense>
        {text('url', words.editor.link, { inputMode: 'url' })}
        {text('notes', words.editor.notes, { multiline: true })}
      </ScrollView>
    </View>
  );

  function isChangedOccurrence(entryId: string): boolean {
    return commands.entry(entryId)?.seriesId !== undefined;
  }
}

const styles = StyleSheet.create({
  side: { width: sizes.editor, borderLeftWidth: hairline },
  full: { position: 'absolute', left: 0, right: 0, top: 0, bottom: 0, zIndex: 20 },
  asking: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2), padding: space(3), alignItems: 'center' },
  grow: { flex: 1, minWidth: 180 },
  form: { padding: space(4), gap: space(4), paddingBottom: space(8) },
});
