import { ScrollView, StyleSheet, View } from 'react-native';
import { PAPER_NAMES } from '@/core/layout/paper';
import type { DayRange } from '@/core/layout/views';
import type { Calendar } from '@/core/model/calendar';
import type { PeriodSet } from '@/core/model/periodSet';
import { dateString, isRealDate, MINUTE, parseDate } from '@/core/time/civil';
import { useSettings } from '@/store';
import { timeText } from '@/ui/dates';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { DateField } from '@/ui/primitives/dates/DateField';
import { SelectField } from '@/ui/primitives/PlatformField';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { printWords } from '@/ui/words/print';
import { isAcrossAtFirst, MOST_DAYS, PRINT_LAYOUTS, type PrintOptions, rangeForLayout } from './printOptions';

const HOURS = Array.from({ length: 25 }, (_, hour) => hour * 60);
const SWITCHES = ['notes', 'smallMonths', 'blackAndWhite', 'isAcross'] as const;

/** Full hours of a day to choose from, both ends included. */
const hourOptions = (from: number, to: number) =>
  HOURS.filter((minute) => minute >= from && minute <= to).map((minute) => ({
    value: String(minute),
    label: minute === 1440 ? '24:00' : timeText(minute * MINUTE),
  }));

interface PrintFieldsProps {
  options: PrintOptions;
  change: (fields: Partial<PrintOptions>) => void;
  /** The periods that hold the day, each to be printed whole. */
  periods: readonly { set: PeriodSet; range: DayRange }[];
  calendars: readonly Calendar[];
  hidden: readonly string[];
  setHidden: (next: readonly string[]) => void;
}

type OptionFieldProps = Pick<PrintFieldsProps, 'options' | 'change'>;

/** What is printed, and how. */
export function PrintFields({ options, change, periods, calendars, hidden, setHidden }: PrintFieldsProps) {
  const { layout } = options;
  const hasHours = layout === 'day' || layout === 'workdays' || layout === 'week';
  return (
    <ScrollView contentContainerStyle={styles.fields}>
      <LayoutField options={options} change={change} />
      <RangeFields options={options} change={change} />
      {periods.length > 0 ? (
        <View style={styles.row}>
          {periods.map((period) => (
            <Button
              key={period.set.id}
              label={words.presets.thisPeriod(period.set.name)}
              onPress={() => change({ range: period.range })}
            />
          ))}
        </View>
      ) : null}
      {hasHours ? <HoursFields options={options} change={change} /> : null}
      <CalendarsField calendars={calendars} hidden={hidden} setHidden={setHidden} />
      <SwitchesField options={options} change={change} />
      <ChoiceRow
        label={printWords.paper}
        choices={PAPER_NAMES.map((value) => ({ value, label: value }))}
        value={options.paper}
        onChange={(paper) => change({ paper })}
      />
    </ScrollView>
  );
}

/** How the days are laid out. */
function LayoutField({ options: { layout, range }, change }: OptionFieldProps) {
  const { weekStart } = useSettings();
  return (
    <ChoiceRow
      label={printWords.layout}
      choices={PRINT_LAYOUTS.map((value) => ({ value, label: printWords.layouts[value] }))}
      value={layout}
      onChange={(chosen) =>
        change({
          layout: chosen,
          range: rangeForLayout(chosen, range.first, weekStart),
          isAcross: isAcrossAtFirst(chosen),
        })
      }
    />
  );
}

/** What else is printed. */
function SwitchesField({ options, change }: OptionFieldProps) {
  return (
    <ToggleRow
      label={printWords.with}
      choices={SWITCHES.map((value) => ({ value, label: printWords.switches[value] }))}
      values={SWITCHES.filter((value) => options[value])}
      onChange={(values) => {
        const changed = SWITCHES.find((value) => values.includes(value) !== options[value]);
        if (changed) change({ [changed]: !options[changed] });
      }}
    />
  );
}

/** Which calendars are printed. */
function CalendarsField({
  calendars,
  hidden,
  setHidden,
}: Pick<PrintFieldsProps, 'calendars' | 'hidden' | 'setHidden'>) {
  return (
    <ToggleRow
      label={words.chips.label}
      choices={calendars.map(({ id, name }) => ({ value: id, label: name }))}
      values={calendars.filter(({ id }) => !hidden.includes(id)).map(({ id }) => id)}
      onChange={(values) => setHidden(calendars.filter(({ id }) => !values.includes(id)).map(({ id }) => id))}
    />
  );
}

/** The hours that are printed. */
function HoursFields({ options, change }: OptionFieldProps) {
  return (
    <View style={styles.row}>
      <SelectField
        label={printWords.fromHour}
        value={String(options.fromMinute)}
        options={hourOptions(0, options.toMinute - 60)}
        onChange={(value) => change({ fromMinute: Number(value) })}
      />
      <SelectField
        label={printWords.toHour}
        value={String(options.toMinute)}
        options={hourOptions(options.fromMinute + 60, 1440)}
        onChange={(value) => change({ toMinute: Number(value) })}
      />
    </View>
  );
}

/** The days that are printed. */
function RangeFields({ options: { range }, change }: OptionFieldProps) {
  const setDate = (edge: 'first' | 'end', value: string) => {
    if (!/^\d{4}-\d{2}-\d{2}$/.test(value) || !isRealDate(value)) return;
    const day = parseDate(value);
    change({
      range:
        edge === 'first'
          ? { first: day, end: Math.max(range.end, day + 1) }
          : { first: Math.min(range.first, day), end: day + 1 },
    });
  };
  return (
    <View style={styles.row}>
      <DateField
        label={printWords.from}
        value={dateString(range.first)}
        onChange={(value) => setDate('first', value)}
      />
      <DateField
        label={printWords.to}
        value={dateString(range.end - 1)}
        onChange={(value) => setDate('end', value)}
        error={range.end - range.first > MOST_DAYS ? printWords.tooLong : undefined}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  fields: { padding: space(3), gap: space(4) },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(3) },
});
