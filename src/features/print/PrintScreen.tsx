import { useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import { type LayoutChangeEvent, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import type { PeriodSet } from '@/core/model/periodSet';
import { PAPER_NAMES, sheetSize } from '@/core/layout/paper';
import { dateString, isRealDate, MINUTE, parseDate } from '@/core/time/civil';
import { periodAt } from '@/core/time/periods';
import { patternHours } from '@/core/time/workingPattern';
import { usePlanAddress } from '@/features/workspace';
import { useListedCalendars, useDays, usePeriodSets, useSettings } from '@/store';
import { timeText } from '@/ui/dates';
import { filterText } from '@/ui/filterText';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { DateField } from '@/ui/primitives/dates/DateField';
import { SelectField } from '@/ui/primitives/PlatformField';
import { PanelHead } from '@/ui/primitives/PanelHead';
import { ToggleRow } from '@/ui/primitives/ToggleRow';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { printWords } from '@/ui/words/print';
import {
  isAcrossAtFirst,
  layoutOfView,
  MOST_DAYS,
  pageRanges,
  PRINT_LAYOUTS,
  type PrintLayout,
  type PrintOptions,
  rangeForLayout,
} from './printOptions';
import { PrintSheets } from './PrintSheets';
import type { DayRange } from '@/core/layout/views';
import type { Calendar } from '@/core/model/calendar';

const HOURS = Array.from({ length: 25 }, (_, hour) => hour * 60);
const SWITCHES = ['notes', 'smallMonths', 'blackAndWhite', 'isAcross'] as const;

/** What is printed and how, beside the sheets as they will be. The browser prints them, or saves them as a file. */
export function PrintScreen() {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const router = useRouter();
  const { address } = usePlanAddress();
  const { workingPattern, weekStart } = useSettings();
  const calendars = useListedCalendars();
  const [hidden, setHidden] = useState<readonly string[]>(address.hidden);
  const sets = usePeriodSets();
  const periods = sets.flatMap((set) => {
    const period = periodAt(set.rule, address.day);
    return period ? [{ set, range: { first: period.first, end: period.end } }] : [];
  });
  const rangeOfView = periods.find(({ set }) => set.id === address.periodSetId)?.range;
  const [options, setOptions] = useState((): PrintOptions => {
    const layout = layoutOfView(address.view);
    const hours = patternHours(workingPattern);
    return {
      layout,
      range: rangeOfView ?? rangeForLayout(layout, address.day, weekStart),
      fromMinute: Math.max(0, hours.from - 60),
      toMinute: Math.min(1440, hours.to + 60),
      notes: false,
      smallMonths: false,
      blackAndWhite: false,
      paper: 'A4',
      isAcross: isAcrossAtFirst(layout),
    };
  });
  const change = (fields: Partial<PrintOptions>) => setOptions((before) => ({ ...before, ...fields }));
  const { layout, range } = options;
  const ranges = pageRanges(layout, range, weekStart);
  const { answer, failed, isStale } = useDays(ranges[0]!.first, ranges.at(-1)!.end, {
    hiddenCalendarIds: hidden,
    filter: address.filter,
    withoutCancelled: !address.showCancelled,
    zone: address.zone,
  });
  const [room, setRoom] = useState(0);
  const sheet = sheetSize(options.paper, options.isAcross);
  const scale = room === 0 ? 0 : Math.min(1, (room - 2 * space(4)) / sheet.width);
  const back = () => (router.canGoBack() ? router.back() : router.replace('/'));
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
  const only = filterText(address.filter);
  const off = calendars.filter(({ id }) => hidden.includes(id)).map(({ name }) => name);
  const about = [
    only.length > 0 ? words.filter.only(only.join(' · ')) : '',
    off.length > 0 ? printWords.without(off.join(', ')) : '',
  ]
    .filter(Boolean)
    .join(' · ');
  const sheets = useMemo(
    () =>
      answer ? <PrintSheets options={options} answer={answer} calendars={calendars} about={about} /> : null,
    [options, answer, calendars, about],
  );
  const hasHours = layout === 'day' || layout === 'workdays' || layout === 'week';
  const wide = width >= WIDE;
  const hourOptions = (from: number, to: number) =>
    HOURS.filter((minute) => minute >= from && minute <= to).map((minute) => ({
      value: String(minute),
      label: minute === 1440 ? '24:00' : timeText(minute * MINUTE),
    }));
  return (
    <View role="main" style={[styles.screen, wide ? styles.beside : null, { backgroundColor: colours.page }]}>
      <View
        style={[
          wide ? styles.options : styles.optionsBelow,
          { backgroundColor: colours.card, borderColor: colours.line },
        ]}
      >
        <PanelHead
          title={printWords.open}
          onClose={back}
          action={{
            label: printWords.now,
            onPress: () => window.print(),
            disabled: !answer || isStale,
          }}
        />
        <PrintFields
          layout={layout}
          change={change}
          range={range}
          setDate={setDate}
          periods={periods}
          hasHours={hasHours}
          options={options}
          hourOptions={hourOptions}
          calendars={calendars}
          hidden={hidden}
          setHidden={setHidden}
        />
      </View>
      <ScrollView
        role="region"
        aria-label={printWords.preview}
        tabIndex={0}
        testID="print-preview"
        style={styles.preview}
        onLayout={(event: LayoutChangeEvent) => setRoom(event.nativeEvent.layout.width)}
      >
        {failed ? <AppText role="alert">{words.plan.failed}</AppText> : null}
        {scale > 0 && sheets ? <div style={{ zoom: scale, padding: space(4) / scale }}>{sheets}</div> : null}
      </ScrollView>
      <PrintedSheets paper={options.paper} isAcross={options.isAcross}>
        {sheets}
      </PrintedSheets>
    </View>
  );
}

/** What is printed, and how. */
function PrintFields({
  layout,
  change,
  range,
  setDate,
  periods,
  hasHours,
  options,
  hourOptions,
  calendars,
  hidden,
  setHidden,
}: {
  layout: PrintLayout;
  change: (fields: Partial<PrintOptions>) => void;
  range: DayRange;
  setDate: (edge: 'first' | 'end', value: string) => void;
  periods: readonly { set: PeriodSet; range: DayRange }[];
  hasHours: boolean;
  options: PrintOptions;
  hourOptions: (from: number, to: number) => readonly { value: string; label: string }[];
  calendars: readonly Calendar[];
  hidden: readonly string[];
  setHidden: (next: readonly string[]) => void;
}) {
  return (
    <ScrollView contentContainerStyle={styles.fields}>
      <LayoutField layout={layout} change={change} range={range} />
      <RangeFields range={range} setDate={setDate} />
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
      {hasHours ? <HoursFields options={options} hourOptions={hourOptions} change={change} /> : null}
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
function LayoutField({
  layout,
  change,
  range,
}: {
  layout: PrintLayout;
  change: (fields: Partial<PrintOptions>) => void;
  range: DayRange;
}) {
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
function SwitchesField({
  options,
  change,
}: {
  options: PrintOptions;
  change: (fields: Partial<PrintOptions>) => void;
}) {
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
}: {
  calendars: readonly Calendar[];
  hidden: readonly string[];
  setHidden: (next: readonly string[]) => void;
}) {
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
function HoursFields({
  options,
  hourOptions,
  change,
}: {
  options: PrintOptions;
  hourOptions: (from: number, to: number) => readonly { value: string; label: string }[];
  change: (fields: Partial<PrintOptions>) => void;
}) {
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
function RangeFields({
  range,
  setDate,
}: {
  range: DayRange;
  setDate: (edge: 'end' | 'first', value: string) => void;
}) {
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

/** The sheets as the printer sees them: beside the application, which is left out of print. */
function PrintedSheets({
  paper,
  isAcross,
  children,
}: Pick<PrintOptions, 'paper' | 'isAcross'> & { children: React.ReactNode }) {
  const [host] = useState(() => {
    const made = document.createElement('div');
    made.className = 'printed-sheets';
    return made;
  });
  useEffect(() => {
    const style = document.createElement('style');
    style.textContent = `
      .print-sheet { margin-bottom: 24px; box-shadow: 0 1px 6px rgba(0,0,0,.3); }
      .printed-sheets { position: absolute; left: 0; top: 0; height: 0; overflow: hidden; visibility: hidden; }
      @page { size: ${paper} ${isAcross ? 'landscape' : 'portrait'}; margin: 0; }
      @media print {
        html, body { height: auto !important; overflow: visible !important; background: #fff !important; }
        body > :not(.printed-sheets) { display: none !important; }
        .printed-sheets { position: static; height: auto; overflow: visible; visibility: visible; }
        .printed-sheets .print-sheet { margin: 0; box-shadow: none; break-after: page; break-inside: avoid;
          -webkit-print-color-adjust: exact; print-color-adjust: exact; }
        .printed-sheets .print-sheet:last-child { break-after: auto; }
      }`;
    document.head.append(style);
    document.body.append(host);
    return () => {
      style.remove();
      host.remove();
    };
  }, [host, paper, isAcross]);
  return createPortal(children, host);
}

const styles = StyleSheet.create({
  screen: { flex: 1 },
  beside: { flexDirection: 'row' },
  options: { width: sizes.editor, borderRightWidth: hairline },
  optionsBelow: { maxHeight: '55%', borderBottomWidth: hairline },
  fields: { padding: space(3), gap: space(4) },
  row: { flexDirection: 'row', flexWrap: 'wrap', gap: space(3) },
  preview: { flex: 1 },
});
