import { useMemo } from 'react';
import { type Control, Controller, type UseFormSetValue, useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { Switch } from 'react-native-paper';
import { parseLocal } from '@/core/time/civil';
import { allZones, cityOf, instantToWall, isKnownZone, wallToInstant } from '@/core/time/zones';
import { useSettings } from '@/store';
import { timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { PickField, SelectField } from '@/ui/primitives/Field';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { endAfterStart, type EventForm, FLOATING } from './formModel';

/** When it is: whole days or hours, start and end, and the time zone of each. */
export function WhenFields({
  control,
  setValue,
}: {
  control: Control<EventForm>;
  setValue: UseFormSetValue<EventForm>;
}) {
  const { homeZone } = useSettings();
  const form = useWatch({ control }) as EventForm;
  const zones = useMemo(
    () => [
      { value: homeZone, label: words.editor.homeZone(cityOf(homeZone)) },
      { value: FLOATING, label: words.editor.floating },
      ...[...new Set([...allZones(), form.zone, form.endZone])]
        .filter((zone) => zone !== homeZone && zone !== FLOATING)
        .map((zone) => ({ value: zone, label: zone.replaceAll('_', ' ').replaceAll('/', ' / ') })),
    ],
    [homeZone, form.zone, form.endZone],
  );
  const setStart = (start: { startDate: string; startTime: string }) => {
    const end = endAfterStart(form, start);
    setValue('startDate', start.startDate, { shouldDirty: true });
    setValue('startTime', start.startTime, { shouldDirty: true });
    setValue('endDate', end.endDate, { shouldDirty: true });
    setValue('endTime', end.endTime, { shouldDirty: true });
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
        <>
          <Controller
            control={control}
            name="zone"
            render={({ field, fieldState }) => (
              <SelectField
                label={words.editor.zone}
                value={field.value}
                options={zones}
                testID="zone"
                onChange={(zone) => {
                  if (form.endZone === form.zone || zone === FLOATING) setValue('endZone', zone);
                  field.onChange(zone);
                }}
                error={fieldState.error?.message}
                hint={startLocal && words.editor.localTime(startLocal, cityOf(homeZone))}
              />
            )}
          />
          {form.zone === FLOATING || (form.zone === homeZone && form.endZone === homeZone) ? null : (
            <Controller
              control={control}
              name="endZone"
              render={({ field, fieldState }) => (
                <SelectField
                  label={words.editor.endZone}
                  value={field.value}
                  options={zones.filter(({ value }) => value !== FLOATING)}
                  onChange={field.onChange}
                  error={fieldState.error?.message}
                  hint={endLocal && words.editor.localTime(endLocal, cityOf(homeZone))}
                />
              )}
            />
          )}
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  fields: { gap: space(3) },
  pair: { flexDirection: 'row', gap: space(2) },
  switch: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: 40 },
});
