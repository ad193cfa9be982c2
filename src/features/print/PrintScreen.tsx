import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { periodAt } from '@/core/time/periods';
import { patternHours } from '@/core/time/workingPattern';
import { usePlanAddress } from '@/features/workspace';
import { useListedCalendars, useDays, usePeriodSets, useSettings } from '@/store';
import { filterText } from '@/ui/filterText';
import { words } from '@/ui/words';
import { printWords } from '@/ui/words/print';
import { isAcrossAtFirst, layoutOfView, pageRanges, type PrintOptions, rangeForLayout } from './printOptions';
import { PrintFields } from './PrintFields';
import { PrintSheets } from './PrintSheets';
import { PrintStage } from './PrintStage';

/** What is printed and how, beside the sheets as they will be. The browser prints them, or saves them as a file. */
export function PrintScreen() {
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
  return (
    <PrintStage
      paper={options.paper}
      isAcross={options.isAcross}
      sheets={sheets}
      isReady={!!answer && !isStale}
      failed={failed}
      onClose={back}
      fields={
        <PrintFields
          options={options}
          change={change}
          periods={periods}
          calendars={calendars}
          hidden={hidden}
          setHidden={setHidden}
        />
      }
    />
  );
}
