import { StyleSheet, View } from 'react-native';
import { CHOICE_ORDINALS, type MonthDays, placeInMonth } from '@/core/recurrence/choices';
import { civilDate, weekdayOf } from '@/core/time/civil';
import { weekdayName } from '@/ui/dates';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { SelectField } from '@/ui/primitives/PlatformField';
import { space } from '@/ui/theme/tokens';
import { repeatWords } from '@/ui/words/repeat';
import { ToggleGrid } from './ToggleFields';

const DAYS = [...Array.from({ length: 31 }, (_, index) => index + 1), -1];
const ORDINALS = CHOICE_ORDINALS.map((ordinal) => ({
  value: String(ordinal),
  label: repeatWords.ordinals[`${ordinal}`],
}));

/** Which days of a month: by their numbers, or the nth of a weekday. */
export function MonthDaysField({
  value,
  startDay,
  onChange,
  error,
}: {
  value: MonthDays;
  startDay: number;
  onChange: (value: MonthDays) => void;
  error?: string;
}) {
  const { ordinal, fromEnd } = placeInMonth(startDay);
  const nthOfStart: MonthDays = {
    kind: 'nth',
    ordinal: ordinal > 4 ? fromEnd : ordinal,
    weekday: weekdayOf(startDay),
  };
  const daysOfStart: MonthDays = { kind: 'days', days: [civilDate(startDay).day] };
  return (
    <View style={styles.field}>
      <ChoiceRow
        label={repeatWords.onDays}
        hideLabel
        choices={[
          { value: 'days', label: repeatWords.onDays },
          { value: 'nth', label: repeatWords.onNth },
        ]}
        value={value.kind}
        onChange={(kind) => kind !== value.kind && onChange(kind === 'nth' ? nthOfStart : daysOfStart)}
      />
      {value.kind === 'days' ? (
        <ToggleGrid
          label={repeatWords.onDays}
          hideLabel
          values={DAYS}
          chosen={value.days}
          columns={8}
          text={(day) => (day === -1 ? repeatWords.lastDay : String(day))}
          name={repeatWords.dayOfMonth}
          onChange={(days) => onChange({ kind: 'days', days })}
          error={error}
        />
      ) : (
        <NthFields value={value} onChange={onChange} />
      )}
    </View>
  );
}

/** The nth of a weekday, or of the working days. */
function NthFields({
  value,
  onChange,
}: {
  value: { readonly kind: 'nth'; readonly ordinal: number; readonly weekday: number | 'workday' };
  onChange: (value: MonthDays) => void;
}) {
  return (
    <View style={styles.pair}>
      <SelectField
        label={repeatWords.ordinal}
        value={String(value.ordinal)}
        options={ORDINALS}
        onChange={(chosen) => onChange({ ...value, ordinal: Number(chosen) })}
        testID="repeat-ordinal"
      />
      <SelectField
        label={repeatWords.weekday}
        value={String(value.weekday)}
        options={[
          ...[1, 2, 3, 4, 5, 6, 7].map((weekday) => ({
            value: String(weekday),
            label: weekdayName(weekday, 'long'),
          })),
          { value: 'workday', label: repeatWords.workday },
        ]}
        onChange={(chosen) =>
          onChange({ ...value, weekday: chosen === 'workday' ? 'workday' : Number(chosen) })
        }
        testID="repeat-weekday"
      />
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: space(2) },
  pair: { flexDirection: 'row', gap: space(2) },
});
