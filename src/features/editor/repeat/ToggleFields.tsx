import { StyleSheet, View } from 'react-native';
import { weekdaysFrom } from '@/core/time/civil';
import { monthName, weekdayName } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { repeatWords } from '@/ui/words/repeat';

interface ToggleGridProps<Value extends number> {
  label: string;
  values: readonly Value[];
  chosen: readonly Value[];
  columns: number;
  /** What stands on a toggle, and what is read out. */
  text: (value: Value) => string;
  name: (value: Value) => string;
  onChange: (chosen: Value[]) => void;
  error?: string;
  hideLabel?: boolean;
}

/** Several of a few, each pressed on or off. */
export function ToggleGrid<Value extends number>({
  label,
  values,
  chosen,
  columns,
  text,
  name,
  onChange,
  error,
  hideLabel,
}: ToggleGridProps<Value>) {
  const toggle = (value: Value) =>
    onChange(chosen.includes(value) ? chosen.filter((other) => other !== value) : [...chosen, value]);
  return (
    <View role="group" aria-label={label} style={styles.group}>
      {hideLabel ? null : (
        <AppText size="small" tone="quiet" aria-hidden>
          {label}
        </AppText>
      )}
      <View style={styles.grid}>
        {values.map((value) => (
          <View key={value} style={[styles.cell, { width: `${100 / columns}%` }]}>
            <Button
              label={name(value)}
              shown={text(value)}
              selected={chosen.includes(value)}
              onPress={() => toggle(value)}
              style={styles.toggle}
            />
          </View>
        ))}
      </View>
      {error ? (
        <AppText size="small" tone="error" role="alert">
          {error}
        </AppText>
      ) : null}
    </View>
  );
}

const MONTHS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

interface FieldProps {
  value: readonly number[];
  onChange: (value: readonly number[]) => void;
  error?: string;
}

export function WeekdaysField({ value, weekStart, onChange, error }: FieldProps & { weekStart: number }) {
  return (
    <ToggleGrid
      label={repeatWords.weekdays}
      values={weekdaysFrom(weekStart)}
      chosen={value}
      columns={7}
      text={(weekday) => weekdayName(weekday).slice(0, 2)}
      name={(weekday) => weekdayName(weekday, 'long')}
      onChange={onChange}
      error={error}
      hideLabel
    />
  );
}

/** The months of a rule; where they are optional, none means all of them. */
export function MonthsField({ value, optional, onChange, error }: FieldProps & { optional: boolean }) {
  return (
    <ToggleGrid
      label={
        optional && value.length === 0
          ? `${repeatWords.inMonths}: ${repeatWords.allMonths}`
          : repeatWords.inMonths
      }
      values={MONTHS}
      chosen={value}
      columns={6}
      text={(month) => monthName(month, 'short')}
      name={(month) => monthName(month)}
      onChange={onChange}
      error={error}
    />
  );
}

const styles = StyleSheet.create({
  group: { gap: space(1) },
  grid: { flexDirection: 'row', flexWrap: 'wrap', marginHorizontal: -2 },
  cell: { padding: 2 },
  toggle: { minWidth: 0, paddingHorizontal: 0 },
});
