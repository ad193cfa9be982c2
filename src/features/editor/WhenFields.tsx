import { type Control, Controller, type UseFormSetValue, useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Switch } from 'react-native-paper';
import { parseLocal } from '@/core/time/civil';
import { instantToWall, isKnownZone, wallToInstant } from '@/core/time/zones';
import { ZoneField } from '@/features/zones';
import { useSettings } from '@/store';
import { timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { PickField } from '@/ui/primitives/Field';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { zoneLabel } from '@/ui/zoneLabel';
import { endAfterStart, type EventForm, FLOATING, recurrenceAfterStart } from './formModel';

const NO_ZONE = { value: FLOATING, label: words.editor.floating };

/** When it is: whole days or hours, start and end, and the time zone of each. */
export function WhenFields({
  control,
  setValue,
  isNew,
}: {
  control: Control<EventForm>;
  setValue: UseFormSetValue<EventForm>;
  /** Whether nothing of the entry is kept yet: then its repeat follows its start. */
  isNew: boolean;
}) {
  const settings = useSettings();
  const { homeZone } = settings;
  const home = zoneLabel(settings, homeZone);
  const form = useWatch({ control }) as EventForm;
  const setStart = (start: { startDate: string; startTime: string }) => {
    const end = endAfterStart(form, start);
    setValue('startDate', start.startDate, { shouldDirty: true });
    setValue('startTime', start.startTime, { shouldDirty: true });
    setValue('endDate', end.endDate, { shouldDirty: true });
    setValue('endTime', end.endTime, { shouldDirty: true });
    if (isNew) setValue('recurrence', recurrenceAfterStart(form, { ...form, ...start }));
  };
  const local = (date: string, time: string, zone: string) => {
    const wall = parseLocal(`${date}T${time}`);
    if (zone === homeZone || zone === FLOATING || !isKnownZone(zone) || !Number.isFinite(wall))
      return undefined;
    return timeText(instantToWall(homeZone, wallToInstant(zone, wall)));
  };
  const startLocal = form.allDay ? undefined : local(form.startDate, form.startTime, form.zone);
  const endLocal = form.allDay ? undefined : local(form.endDate, form.endTime, form.endZone);
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
      <View style={styles.pair}>
        <Controller
          control={control}
          name="startDate"
          render={({ field, fieldState }) => (
            <PickField
              label={words.editor.startDate}
              type="date"
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
              <PickField
                label={words.editor.startTime}
                type="time"
                value={field.value}
                onChange={(startTime) => setStart({ startDate: form.startDate, startTime })}
                error={fieldState.error?.message}
              />
            )}
          />
        )}
      </View>
      <View style={styles.pair}>
        <Controller
          control={control}
          name="endDate"
          render={({ field, fieldState }) => (
            <PickField
              label={words.editor.endDate}
              type="date"
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
              <PickField
                label={words.editor.endTime}
                type="time"
                value={field.value}
                onChange={field.onChange}
                error={fieldState.error?.message}
              />
            )}
          />
        )}
      </View>
      {form.allDay ? null : (
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
                  hint={startLocal && words.editor.localTime(startLocal, home)}
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
                    hint={endLocal && words.editor.localTime(endLocal, home)}
                  />
                </View>
              )}
            />
          )}
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  fields: { gap: space(3) },
  pair: { flexDirection: 'row', gap: space(2) },
  half: { flex: 1, minWidth: 0 },
  switch: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: 40 },
});
