import { type Control, Controller, type UseFormSetValue, useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { MINUTE } from '@/core/time/civil';
import type { EventTime } from '@/core/model/eventTime';
import { instantOf, zoneOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { TravelProposals } from '@/features/places';
import { useSettings } from '@/store';
import { timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { travelWords } from '@/ui/words/reminders';
import { type EventForm, timesOf } from './formModel';

/** What the clock of a time shows so many minutes after it: exact minutes, also over a clock change. */
const clockAfter = (time: EventTime, minutes: number): string => {
  const zone = zoneOf(time, 'UTC');
  return timeText(instantToWall(zone, instantOf(time, zone) + minutes * MINUTE));
};

/** The way there and back, in minutes, and when one leaves and is back. */
export function TravelFields({
  control,
  setValue,
  entryId,
}: {
  control: Control<EventForm>;
  setValue: UseFormSetValue<EventForm>;
  /** The entry that is written, where it is kept already. */
  entryId: string | undefined;
}) {
  const { homeZone } = useSettings();
  const form = useWatch({ control }) as EventForm;
  const times = form.allDay ? undefined : timesOf(form);
  const [there, back] = [Number(form.there) || 0, Number(form.back) || 0];
  const said = times
    ? [
        there > 0 ? travelWords.leaveAt(clockAfter(times.start, -there)) : '',
        back > 0 ? travelWords.homeAt(clockAfter(times.end, back)) : '',
      ].filter(Boolean)
    : [];
  return (
    <View role="group" aria-label={words.editor.travel} style={styles.field}>
      <View style={styles.pair}>
        {(['there', 'back'] as const).map((name) => (
          <Controller
            key={name}
            control={control}
            name={name}
            render={({ field, fieldState }) => (
              <View style={styles.half}>
                <TextField
                  label={travelWords[name]}
                  value={field.value}
                  onChangeText={field.onChange}
                  onBlur={field.onBlur}
                  inputMode="numeric"
                  maxLength={5}
                  error={fieldState.error?.message}
                  testID={`editor-${name}`}
                />
              </View>
            )}
          />
        ))}
      </View>
      {times && there + back === 0 && form.location.trim() !== '' ? (
        <TravelProposals
          place={form.location}
          at={instantOf(times.start, homeZone)}
          entryId={entryId}
          onTake={(minutesThere, minutesBack) => {
            setValue('there', String(minutesThere), { shouldDirty: true });
            setValue('back', minutesBack === 0 ? '' : String(minutesBack), { shouldDirty: true });
          }}
        />
      ) : null}
      {said.length > 0 ? (
        <AppText size="small" tone="quiet" figures testID="travel-said">
          {said.join(' ')}
        </AppText>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: space(1) },
  pair: { flexDirection: 'row', gap: space(2) },
  half: { flex: 1, minWidth: 0 },
});
