import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { type LayoutChangeEvent, ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { sheetSize } from '@/core/layout/paper';
import { periodAt } from '@/core/time/periods';
import { patternHours } from '@/core/time/workingPattern';
import { usePlanAddress } from '@/features/workspace';
import { useListedCalendars, useDays, usePeriodSets, useSettings } from '@/store';
import { filterText } from '@/ui/filterText';
import { AppText } from '@/ui/primitives/AppText';
import { PanelHead } from '@/ui/primitives/PanelHead';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { printWords } from '@/ui/words/print';
import { isAcrossAtFirst, layoutOfView, pageRanges, type PrintOptions, rangeForLayout } from './printOptions';
import { PrintedSheets } from './PrintedSheets';
import { PrintFields } from './PrintFields';
import { PrintSheets } from './PrintSheets';

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
  const wide = width >= WIDE;
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
          options={options}
          change={change}
          periods={periods}
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

const styles = StyleSheet.create({
  screen: { flex: 1 },
  beside: { flexDirection: 'row' },
  options: { width: sizes.editor, borderRightWidth: hairline },
  optionsBelow: { maxHeight: '55%', borderBottomWidth: hairline },
  preview: { flex: 1 },
});
