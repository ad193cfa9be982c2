import { useMemo } from 'react';
import { type Control, Controller, useWatch } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { ruleOfChoice } from '@/core/recurrence/choices';
import { Series } from '@/core/recurrence/series';
import type { EventFields } from '@/core/change/entryChanges';
import { DAY, parseDate } from '@/core/time/civil';
import { wallOf } from '@/core/time/eventTime';
import { choiceText } from '@/features/desk';
import { useSettings } from '@/store';
import { shortDayText, weekdayText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { PickField, TextField } from '@/ui/primitives/Field';
import { useTheme } from '@/ui/theme/theme';
import { corner, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { choiceOfForm, type EventForm, fieldsOfForm, REPEATS } from './formModel';

const MONDAY = parseDate('2027-03-08');

/** How the entry repeats: how often, on which weekdays, until when, with the next dates shown. */
export function RepeatFields({ control, before }: { control: Control<EventForm>; before: EventFields }) {
  const form = useWatch({ control }) as EventForm;
  const choices = REPEATS.filter((repeat) => repeat !== 'custom' || form.repeat === 'custom').map(
    (value) => ({
      value,
      label:
        value === 'none' ? words.repeat.none : value === 'custom' ? words.repeat.custom : words.repeat[value],
    }),
  );
  return (
    <View style={styles.fields}>
      <Controller
        control={control}
        name="repeat"
        render={({ field }) => (
          <ChoiceRow
            label={words.repeat.label}
            choices={choices}
            value={field.value}
            onChange={field.onChange}
          />
        )}
      />
      {form.repeat === 'none' || form.repeat === 'custom' ? null : (
        <>
          <Controller
            control={control}
            name="interval"
            render={({ field, fieldState }) => (
              <TextField
                label={words.repeat.interval[form.repeat as 'DAILY']}
                value={field.value}
                onChangeText={field.onChange}
                inputMode="numeric"
                error={fieldState.error?.message}
              />
            )}
          />
          {form.repeat === 'WEEKLY' ? <Weekdays control={control} /> : null}
          <Controller
            control={control}
            name="ends"
            render={({ field }) => (
              <ChoiceRow
                label={words.repeat.ends}
                choices={[
                  { value: 'never', label: words.repeat.never },
                  { value: 'count', label: words.repeat.count },
                  { value: 'until', label: words.repeat.until },
                ]}
                value={field.value}
                onChange={field.onChange}
              />
            )}
          />
          {form.ends === 'count' ? (
            <Controller
              control={control}
              name="count"
              render={({ field, fieldState }) => (
                <TextField
                  label={words.repeat.times}
                  value={field.value}
                  onChangeText={field.onChange}
                  inputMode="numeric"
                  error={fieldState.error?.message}
                />
              )}
            />
          ) : null}
          {form.ends === 'until' ? (
            <Controller
              control={control}
              name="until"
              render={({ field, fieldState }) => (
                <PickField
                  label={words.repeat.lastDate}
                  type="date"
                  value={field.value}
                  onChange={field.onChange}
                  error={fieldState.error?.message}
                />
              )}
            />
          ) : null}
          <NextDates form={form} before={before} />
        </>
      )}
    </View>
  );
}

function Weekdays({ control }: { control: Control<EventForm> }) {
  return (
    <Controller
      control={control}
      name="weekdays"
      render={({ field, fieldState }) => (
        <View role="group" aria-label={words.repeat.on} style={styles.group}>
          <View style={styles.weekdays}>
            {[1, 2, 3, 4, 5, 6, 7].map((weekday) => {
              const chosen = field.value.includes(weekday);
              return (
                <Button
                  key={weekday}
                  label={weekdayText(MONDAY + weekday - 1)}
                  selected={chosen}
                  style={styles.weekday}
                  onPress={() =>
                    field.onChange(
                      chosen
                        ? field.value.filter((other) => other !== weekday)
                        : [...field.value, weekday].sort(),
                    )
                  }
                />
              );
            })}
          </View>
          {fieldState.error ? (
            <AppText size="small" tone="error" role="alert">
              {fieldState.error.message}
            </AppText>
          ) : null}
        </View>
      )}
    />
  );
}

/** The rule in words, and its next six dates. */
function NextDates({ form, before }: { form: EventForm; before: EventFields }) {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  const choice = choiceOfForm(form);
  const rule = choice && ruleOfChoice(choice);
  const dates = useMemo(() => {
    if (rule === undefined) return [];
    const fields = fieldsOfForm(form, before);
    const event = {
      ...fields,
      kind: 'event',
      id: 'next',
      uid: 'next',
      sequence: 0,
      created: 0,
      modified: 0,
    } as const;
    const start = wallOf(fields.start);
    return Number.isFinite(start)
      ? new Series({ ...event, recurrence: { rules: [rule], dates: [], exceptionDates: [] } }).next(
          start,
          6,
          homeZone,
        )
      : [];
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the form's other fields do not change the dates
  }, [rule, form.startDate, form.startTime, form.allDay, homeZone]);
  if (!choice) return null;
  const text = choiceText(choice);
  return (
    <View style={[styles.next, { backgroundColor: colours.page }]} aria-live="polite">
      <AppText weight="700">{text.slice(0, 1).toUpperCase() + text.slice(1)}</AppText>
      {dates.length === 0 ? <AppText tone="quiet">{words.repeat.nothing}</AppText> : null}
      <View style={styles.dates}>
        {dates.map(({ wall }) => (
          <AppText key={wall} figures style={styles.date}>
            {shortDayText(Math.floor(wall / DAY))}
          </AppText>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  fields: { gap: space(3) },
  group: { gap: space(1) },
  weekdays: { flexDirection: 'row', gap: space(1) },
  weekday: { flex: 1, minWidth: 0, paddingHorizontal: 0 },
  next: { padding: space(3), borderRadius: corner, gap: space(1) },
  dates: { flexDirection: 'row', flexWrap: 'wrap' },
  date: { width: '33%', paddingVertical: 2 },
});
