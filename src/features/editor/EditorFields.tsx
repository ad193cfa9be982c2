import { type ReactElement, Suspense } from 'react';
import {
  type Control,
  Controller,
  type ControllerFieldState,
  type ControllerRenderProps,
  type FieldPath,
  type UseFormSetValue,
} from 'react-hook-form';
import { AVAILABILITIES, CLASSIFICATIONS, STATUSES } from '@/core/model/entry';
import type { PickedFiles } from '@/features/exchange';
import { useWritableCalendars } from '@/store';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { SelectField } from '@/ui/primitives/PlatformField';
import { TextField } from '@/ui/primitives/TextField';
import { words } from '@/ui/words';
import type { EventForm } from './formModel';
import { editorExtras } from './lazyExtras';
import { RemindersField } from './RemindersField';
import { RepeatRow } from './repeat/RepeatRow';
import { WhenFields } from './WhenFields';

interface EditorFieldsProps {
  control: Control<EventForm>;
  setValue: UseFormSetValue<EventForm>;
  form: EventForm;
  /** Whether nothing of the entry is kept yet. */
  isNew: boolean;
  repeatError: string | undefined;
  onRepeat: () => void;
  onCalendar: (calendarId: string) => void;
  onSubmit: () => void;
  pending: ReadonlyMap<string, string>;
  onAttach: (picked: PickedFiles) => void;
}

/** The fields of an entry, one below the other. */
export function EditorFields({
  control,
  setValue,
  form,
  isNew,
  repeatError,
  onRepeat,
  onCalendar,
  onSubmit,
  pending,
  onAttach,
}: EditorFieldsProps) {
  const calendars = useWritableCalendars();
  const of = <Name extends FieldPath<EventForm>>(
    name: Name,
    render: (
      field: ControllerRenderProps<EventForm, Name>,
      error: ControllerFieldState['error'],
    ) => ReactElement,
  ) => (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => render(field, fieldState.error)}
    />
  );
  const text = (name: 'location' | 'url' | 'categories' | 'notes', label: string, more: object = {}) =>
    of(name, (field, error) => (
      <TextField
        label={label}
        value={field.value}
        onChangeText={field.onChange}
        onBlur={field.onBlur}
        error={error?.message}
        {...more}
      />
    ));
  return (
    <>
      {of('title', (field, error) => (
        <TextField
          label={words.editor.title}
          value={field.value}
          onChangeText={field.onChange}
          error={error?.message}
          large
          onSubmit={onSubmit}
          testID="editor-title"
        />
      ))}
      {of('calendarId', (field, error) => (
        <SelectField
          label={words.editor.calendar}
          value={field.value}
          options={calendars.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={onCalendar}
          error={error?.message}
          testID="editor-calendar"
        />
      ))}
      <WhenFields control={control} setValue={setValue} isNew={isNew} />
      <RepeatRow form={form} error={repeatError} onPress={onRepeat} />
      {of('reminders', (field) => (
        <RemindersField value={field.value} onChange={field.onChange} />
      ))}
      {text('location', words.editor.place)}
      {of('availability', (field) => (
        <ChoiceRow
          label={words.editor.availability}
          choices={AVAILABILITIES.map((value) => ({ value, label: words.entry.availability[value] }))}
          value={field.value}
          onChange={field.onChange}
        />
      ))}
      {of('classification', (field) => (
        <ChoiceRow
          label={words.editor.visibility}
          choices={CLASSIFICATIONS.map((value) => ({ value, label: words.entry.classification[value] }))}
          value={field.value}
          onChange={field.onChange}
        />
      ))}
      {of('status', (field) => (
        <ChoiceRow
          label={words.editor.status}
          choices={STATUSES.map((value) => ({ value, label: words.entry.status[value] }))}
          value={field.value}
          onChange={field.onChange}
        />
      ))}
      {text('categories', words.editor.categories, { hint: words.editor.categoriesHint })}
      <Suspense fallback={null}>
        <editorExtras.Later
          colour={form.colour}
          onColour={(colour) => setValue('colour', colour)}
          attachments={form.attachments}
          pending={pending}
          onAdd={onAttach}
          onRemove={(id) =>
            setValue(
              'attachments',
              form.attachments.filter((attachment) => attachment.id !== id),
            )
          }
        />
      </Suspense>
      {text('url', words.editor.link, { inputMode: 'url' })}
      {text('notes', words.editor.notes, { multiline: true })}
    </>
  );
}
