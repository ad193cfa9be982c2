import { OFFERED_LENGTHS } from '@/core/change/calendarDefaults';
import type { Control } from 'react-hook-form';
import type { z } from 'zod';
import { clashes, proposeColour, proposeMark, saveCalendar } from '@/core/change/calendarChanges';
import type { Calendar } from '@/core/model/calendar';
import { MINUTE } from '@/core/time/civil';
import { FeedFields } from '@/features/feeds';
import { useCommands } from '@/features/workspace';
import { ZoneField } from '@/features/zones';
import { useCalendars, useSnapshot } from '@/store';
import { lengthText } from '@/ui/dates';
import { FormField } from '@/ui/forms/FormField';
import { FormSelect } from '@/ui/forms/FormSelect';
import { FormText } from '@/ui/forms/FormText';
import { useFormOf } from '@/ui/forms/useFormOf';
import { AppText } from '@/ui/primitives/AppText';
import { TextField } from '@/ui/primitives/TextField';
import { Sheet } from '@/ui/primitives/Sheet';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { AS_EVERYWHERE, CalendarForm, formOfCalendar } from './calendarForm';
import { HuePicker } from './HuePicker';
import { UsualReminderFields } from './UsualReminderFields';

const said = exchangeWords.calendars;

/** All that is set of a calendar, new or there already. A free pair of colour and mark is proposed. */
export function CalendarSheet({
  calendar,
  onClose,
}: {
  calendar: Calendar | undefined;
  onClose: () => void;
}) {
  const calendars = useCalendars();
  const state = useSnapshot((snapshot) => snapshot.state);
  const { commit, context } = useCommands();
  const taken = calendars.filter(({ id }) => id !== calendar?.id).map(({ mark }) => mark);
  const proposed = (name: string) => proposeMark(name || words.calendars.title, taken);
  const { control, typed, set, submit } = useFormOf(
    CalendarForm,
    formOfCalendar(calendar, {
      colour: proposeColour(calendars.map((other) => other.colour)),
      mark: proposed(''),
    }),
  );
  const { mark, colour } = typed;
  const clashing = clashes(state, { ...(calendar ? { id: calendar.id } : {}), mark, colour });
  const sameMark = clashing.find((other) => other.mark === mark);
  const sameColour = clashing.find((other) => other.colour === colour);

  const save = () =>
    submit(({ fields, feed }) => {
      const source = calendar?.feed && feed ? { feed: { ...calendar.feed, ...feed } } : {};
      commit(saveCalendar(state, calendar?.id, { ...fields, ...source }, context()));
      onClose();
    });

  return (
    <Sheet
      title={calendar ? words.calendars.edit(calendar.name) : words.calendars.new}
      closeLabel={words.actions.cancel}
      onClose={onClose}
      go={{ label: words.actions.save, onPress: save }}
    >
      <FormField control={control} name="name">
        {({ value, onChange, ref }, problem) => (
          <TextField
            ref={ref}
            label={words.calendars.name}
            value={value}
            onChangeText={(name) => {
              // The mark follows the name until it is the person's own.
              if (!calendar && mark === proposed(value)) set('mark', proposed(name));
              onChange(name);
            }}
            maxLength={120}
            onSubmit={save}
            error={problem}
            large
          />
        )}
      </FormField>
      <FormText control={control} name="description" label={words.calendars.description} maxLength={2000} />
      <FormField control={control} name="mark">
        {({ value, onChange, ref }, problem) => (
          <TextField
            ref={ref}
            label={words.calendars.mark}
            value={value}
            onChangeText={(text) => onChange(text.toUpperCase())}
            maxLength={2}
            hint={sameMark ? words.calendars.clashMark(sameMark.name) : words.calendars.markHint}
            error={problem}
          />
        )}
      </FormField>
      <FormField control={control} name="colour">
        {({ value, onChange }) => (
          <HuePicker label={words.calendars.colour} colour={value} mark={mark} onChange={onChange} />
        )}
      </FormField>
      {sameColour ? (
        <AppText size="small" tone="accent">
          {words.calendars.clashColour(sameColour.name)}
        </AppText>
      ) : null}
      {calendar?.feed ? (
        <>
          <AppText size="small" tone="quiet" numberOfLines={2}>
            {calendar.feed.address}
          </AppText>
          <FormField control={control} name="feed">
            {({ value, onChange }) => <FeedFields options={value!} onChange={onChange} />}
          </FormField>
        </>
      ) : (
        <OwnTimeFields control={control} />
      )}
      <FormField control={control} name="usual">
        {({ value, onChange }) => <UsualReminderFields value={value} onChange={onChange} />}
      </FormField>
      <FormField control={control} name="kinds">
        {({ value, onChange }) => (
          <ToggleRow
            label={said.options}
            choices={[
              { value: 'busy' as const, label: said.busy },
              { value: 'listed' as const, label: said.listed },
              ...(calendar?.feed ? [] : [{ value: 'readOnly' as const, label: said.readOnly }]),
            ]}
            values={value}
            onChange={onChange}
          />
        )}
      </FormField>
    </Sheet>
  );
}

/** The zone and the length of what is made in a calendar, where they are its own. */
function OwnTimeFields({
  control,
}: {
  control: Control<z.input<typeof CalendarForm>, unknown, z.output<typeof CalendarForm>>;
}) {
  return (
    <>
      <FormField control={control} name="zone">
        {({ value, onChange }) => (
          <ZoneField
            label={said.zone}
            value={value}
            none={{ value: AS_EVERYWHERE, label: said.zoneHome }}
            onChange={onChange}
          />
        )}
      </FormField>
      <FormSelect
        control={control}
        name="length"
        label={said.length}
        options={[
          { value: AS_EVERYWHERE, label: said.lengthUsual },
          ...OFFERED_LENGTHS.map((minutes) => ({
            value: String(minutes),
            label: lengthText(minutes * MINUTE),
          })),
        ]}
        testID="calendar-length"
      />
    </>
  );
}
