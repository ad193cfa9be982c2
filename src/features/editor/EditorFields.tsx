import { Fragment, type ReactElement } from 'react';
import {
  type Control,
  Controller,
  type ControllerFieldState,
  type ControllerRenderProps,
  type FieldPath,
  type UseFormSetValue,
} from 'react-hook-form';
import { FORM_FIELDS, type FormFieldName } from '@/core/fields/eventFields';
import type { CalendarUser } from '@/core/model/calendarUser';
import { TableField } from '@/features/places';
import { GuestsField, OnlineField, ownMeeting } from '@/features/people';
import type { PickedFiles } from '@/features/attachments';
import { useSettings, useWritableCalendars } from '@/store';
import { SelectField } from '@/ui/primitives/PlatformField';
import { TextField } from '@/ui/primitives/TextField';
import { words } from '@/ui/words';
import type { EventForm } from './formModel';
import { EditorExtras } from './EditorExtras';
import { RemindersField } from './RemindersField';
import { RepeatRow } from './repeat/RepeatRow';
import { TravelFields } from './TravelFields';
import { WhenFields } from './WhenFields';

interface EditorFieldsProps {
  control: Control<EventForm>;
  setValue: UseFormSetValue<EventForm>;
  form: EventForm;
  /** The entry that is written; undefined where nothing of it is kept yet. */
  entryId: string | undefined;
  /** Who else invites to it, where somebody does. */
  invitedBy: CalendarUser | undefined;
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
  entryId,
  invitedBy,
  repeatError,
  onRepeat,
  onCalendar,
  onSubmit,
  pending,
  onAttach,
}: EditorFieldsProps) {
  const calendars = useWritableCalendars();
  const { homeZone, onlineWithGuests } = useSettings();
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
  const fieldOf = (name: FormFieldName) => (
    <Fragment key={name}>
      {of(name, (field, error) => (
        <TableField
          name={name}
          value={field.value}
          onChange={field.onChange}
          onBlur={field.onBlur}
          error={error?.message}
        />
      ))}
    </Fragment>
  );
  // What is of the look and the files of an entry stands before what is written longest.
  const isLast = (name: FormFieldName): boolean => name === 'url' || name === 'notes';
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
      <WhenFields control={control} setValue={setValue} isNew={entryId === undefined} />
      <RepeatRow form={form} error={repeatError} onPress={onRepeat} />
      {of('attendees', (field) => (
        <GuestsField
          guests={field.value}
          invitedBy={invitedBy}
          may={form.guestsMay}
          onChange={(guests) => {
            // Where all that is held with others is online, too, it is from the first guest on.
            const isFirst = guests.length > 0 && field.value.length === 0 && form.conferences.length === 0;
            if (isFirst && onlineWithGuests) setValue('conferences', [ownMeeting()]);
            field.onChange(guests);
          }}
          onMay={(may) => setValue('guestsMay', may, { shouldDirty: true })}
        />
      ))}
      {of('conferences', (field) => (
        <OnlineField meetings={field.value} onChange={field.onChange} />
      ))}
      <TravelFields control={control} setValue={setValue} entryId={entryId} />
      {of('reminders', (field) => (
        <RemindersField
          value={field.value}
          calendar={calendars.find(({ id }) => id === form.calendarId)}
          allDay={form.allDay}
          zone={homeZone}
          onChange={field.onChange}
        />
      ))}
      {FORM_FIELDS.filter((name) => !isLast(name)).map(fieldOf)}
      <EditorExtras
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
      {FORM_FIELDS.filter(isLast).map(fieldOf)}
    </>
  );
}
