import { type Control, Controller, type UseFormSetValue, useWatch } from 'react-hook-form';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Switch } from 'react-native-paper';
import type { EventTime } from '@/core/model/eventTime';
import { parseLocal } from '@/core/time/civil';
import { instantToWall, isKnownZone, wallToInstant } from '@/core/time/zones';
import { ZoneField } from '@/features/zones';
import { useSettings } from '@/store';
import { clockNote } from '@/ui/clockNotes';
import { lengthText, timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { DateField } from '@/ui/primitives/dates/DateField';
import { TimeField } from '@/ui/primitives/dates/TimeField';
import { SelectField } from '@/ui/primitives/PlatformField';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';
import {
  endAfterLength,
  endAfterStart,
  type EventForm,
  FLOATING,
  lengthsOf,
  recurrenceAfterStart,
  timesOf,
} from './formModel';

const NO_ZONE = { value: FLOATING, label: words.editor.floating };

interface WhenFieldsProps {
  control: Control<EventForm>;
  setValue: UseFormSetValue<EventForm>;
  /** Whether nothing of the entry is kept yet: then its repeat follows its start. */
  isNew: boolean;
}

/** When it is: whole days or hours, start and end, and the time zone of each. */
export function WhenFields({ control, setValue, isNew }: WhenFieldsProps) {
  const { homeZone } = useSettings();
  const form = useWatch({ control }) as EventForm;
  // While a start is half-typed, the length is that of the last one that could be read.
  const isRead = timesOf(form) !== undefined;
  const [readStart, setReadStart] = useState({ startDate: form.startDate, startTime: form.startTime });
  if (isRead && (readStart.startDate !== form.startDate || readStart.startTime !== form.startTime))
    setReadStart({ startDate: form.startDate, startTime: form.startTime });
  const setStart = (start: { startDate: string; startTime: string }) => {
    const end = endAfterStart(isRead ? form : { ...form, ...readStart }, start);
    setValue('startDate', start.startDate, { shouldDirty: true });
    setValue('startTime', start.startTime, { shouldDirty: true });
    setValue('endDate', end.endDate, { shouldDirty: true });
    setValue('endTime', end.endTime, { shouldDirty: true });
    if (isNew) setValue('recurrence', recurrenceAfterStart(form, { ...form, ...start }));
  };
  const times = timesOf(form);
  const lengths = lengthsOf(form, homeZone);
  const takeInstead = (edge: 'start' | 'end') => (time: EventTime) => {
    if (time.kind !== 'zoned') return;
    const [date, clock] = [time.local.slice(0, 10), time.local.slice(11, 16)];
    if (edge === 'start') {
      setStart({ startDate: date, startTime: clock });
      if (time.zone !== form.zone) setValue('zone', time.zone);
    } else {
      setValue('endDate', date);
      setValue('endTime', clock);
      if (time.zone !== form.zone) setValue('endZone', time.zone);
    }
  };
  return (
    <View style={styles.fields}>
      <Controller
        control={control}
        name="allDay"
        render={({ field }) => (
          <View style={styles.switch}>
            <Switch value={field.value} onValueChange={field.onChange} aria-label={words.editor.allDay} />
            <AppText aria-hidden>{words.editor.allDay}</AppText>
          </View>
        )}
      />
      <StartFields control={control} setStart={setStart} form={form} />
      <EndFields control={control} form={form} lengths={lengths} setValue={setValue} />
      {times ? (
        <>
          <ClockNoteRow time={times.start} onTake={takeInstead('start')} />
          <ClockNoteRow time={times.end} onTake={takeInstead('end')} />
        </>
      ) : null}
      {form.allDay ? null : <ZoneFields control={control} form={form} setValue={setValue} />}
    </View>
  );
}

/** What the clock at home shows at a time of another zone; nothing while that can't be read. */
function localTime(form: EventForm, local: string, zone: string, homeZone: string): string | undefined {
  if (zone === homeZone || zone === FLOATING || !isKnownZone(zone) || !timesOf(form)) return undefined;
  return timeText(instantToWall(homeZone, wallToInstant(zone, parseLocal(local))));
}

/** The zones of its start and its end. */
function ZoneFields({
  control,
  form,
  setValue,
}: {
  control: Control<EventForm>;
  form: EventForm;
  setValue: UseFormSetValue<EventForm>;
}) {
  const settings = useSettings();
  const hintOf = (date: string, time: string, zone: string): string | undefined => {
    const local = localTime(form, `${date}T${time}`, zone, settings.homeZone);
    return local && words.editor.localTime(local, zoneLabel(settings, settings.homeZone));
  };
  return (
    <View style={styles.pair}>
      <Controller
        control={control}
        name="zone"
        render={({ field, fieldState }) => (
          <View style={styles.half}>
            <ZoneField
              label={words.editor.zone}
              value={field.value}
              none={NO_ZONE}
              testID="zone"
              onChange={(zone) => {
                if (form.endZone === form.zone || zone === FLOATING) setValue('endZone', zone);
                field.onChange(zone);
              }}
              error={fieldState.error?.message}
              hint={hintOf(form.startDate, form.startTime, form.zone)}
            />
          </View>
        )}
      />
      {form.zone === FLOATING ? null : (
        <Controller
          control={control}
          name="endZone"
          render={({ field, fieldState }) => (
            <View style={styles.half}>
              <ZoneField
                label={words.editor.endZone}
                value={field.value}
                testID="end-zone"
                onChange={field.onChange}
                error={fieldState.error?.message}
                hint={hintOf(form.endDate, form.endTime, form.endZone)}
              />
            </View>
          )}
        />
      )}
    </View>
  );
}

/** When it ends, or how long it takes. */
function EndFields({
  control,
  form,
  lengths,
  setValue,
}: {
  control: Control<EventForm>;
  form: EventForm;
  lengths: ReturnType<typeof lengthsOf>;
  setValue: UseFormSetValue<EventForm>;
}) {
  return (
    <View style={styles.pair}>
      <Controller
        control={control}
        name="endDate"
        render={({ field, fieldState }) => (
          <DateField
            label={words.editor.endDate}
            value={field.value}
            onChange={field.onChange}
            error={fieldState.error?.message}
          />
        )}
      />
      {form.allDay ? null : (
        <Controller
          control={control}
          name="endTime"
          render={({ field, fieldState }) => (
            <TimeField
              label={words.editor.endTime}
              value={field.value}
              onChange={field.onChange}
              error={fieldState.error?.message}
            />
          )}
        />
      )}
      {lengths ? (
        <SelectField
          label={words.editor.length}
          narrow
          value={String(lengths.length)}
          options={lengths.offered.map((length) => ({ value: String(length), label: lengthText(length) }))}
          onChange={(length) => {
            const end = endAfterLength(form, Number(length));
            setValue('endDate', end.endDate, { shouldDirty: true });
            setValue('endTime', end.endTime, { shouldDirty: true });
          }}
          testID="editor-length"
        />
      ) : null}
    </View>
  );
}

/** When it begins. */
function StartFields({
  control,
  setStart,
  form,
}: {
  control: Control<EventForm>;
  setStart: (start: { startDate: string; startTime: string }) => void;
  form: EventForm;
}) {
  return (
    <View style={styles.pair}>
      <Controller
        control={control}
        name="startDate"
        render={({ field, fieldState }) => (
          <DateField
            label={words.editor.startDate}
            value={field.value}
            onChange={(startDate) => setStart({ startDate, startTime: form.startTime })}
            error={fieldState.error?.message}
          />
        )}
      />
      {form.allDay ? null : (
        <Controller
          control={control}
          name="startTime"
          render={({ field, fieldState }) => (
            <TimeField
              label={words.editor.startTime}
              value={field.value}
              onChange={(startTime) => setStart({ startDate: form.startDate, startTime })}
              error={fieldState.error?.message}
            />
          )}
        />
      )}
    </View>
  );
}

/** What a clock change makes of a time, with what can be taken instead. */
function ClockNoteRow({ time, onTake }: { time: EventTime; onTake: (time: EventTime) => void }) {
  const note = clockNote(time);
  if (!note) return null;
  const { instead } = note;
  return (
    <View role="status" style={styles.note}>
      <AppText size="small" tone="accent" style={styles.half}>
        {note.text}
      </AppText>
      {instead ? <Button label={instead.label} onPress={() => onTake(instead.time)} /> : null}
    </View>
  );
}

const styles = StyleSheet.create({
  note: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
  fields: { gap: space(3) },
  pair: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
  half: { flex: 1, minWidth: 0 },
  switch: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: 40 },
});
