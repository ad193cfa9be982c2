import { useMemo } from 'react';
import { sheetSize } from '@/core/layout/paper';
import { type DayRange, shownDays } from '@/core/layout/views';
import type { Calendar } from '@/core/model/calendar';
import { initialLook } from '@/core/model/look';
import type { Occurrence } from '@/core/schedule/occurrence';
import type { DaysAnswer } from '@/store';
import { useSettings, useSnapshot } from '@/store';
import { fullDayText, rangeText } from '@/ui/dates';
import { agendaBlocks, tableBlocks, tableHead } from './flowBlocks';
import { FlowSheets } from './FlowSheets';
import { HoursSheet } from './HoursSheet';
import { pageRanges, type PrintOptions } from './printOptions';
import { SheetFrame } from './SheetFrame';
import { usePrintPaper } from './usePrintPaper';
import { WeeksSheet } from './WeeksSheet';

/** What a page is about: for weeks, the days that were asked for rather than the whole weeks that hold them. */
function titleOf(
  layout: PrintOptions['layout'],
  page: DayRange,
  shown: readonly number[],
  range: DayRange,
): string {
  if (layout === 'day') return fullDayText(page.first);
  const first = layout === 'weeks' ? Math.max(shown[0]!, range.first) : shown[0]!;
  const last = layout === 'weeks' ? Math.min(shown.at(-1)!, range.end - 1) : shown.at(-1)!;
  return rangeText(first, last, true);
}

/** All sheets of what is printed. */
export function PrintSheets({
  options,
  answer,
  calendars,
}: {
  options: PrintOptions;
  answer: DaysAnswer;
  calendars: readonly Calendar[];
}) {
  const { workingPattern, weekStart } = useSettings();
  const entries = useSnapshot(({ state }) => state.entries);
  const { layout, range, smallMonths } = options;
  const sheet = sheetSize(options.paper, options.isAcross);
  const paperOf = usePrintPaper(calendars, options.blackAndWhite);
  const notesOf = useMemo(
    () => (occurrence: Occurrence) => (options.notes ? (entries.get(occurrence.entryId)?.notes ?? '') : ''),
    [options.notes, entries],
  );
  const ranges = useMemo(() => pageRanges(layout, range, weekStart), [layout, range, weekStart]);
  const whole = ranges[0]!;
  const blocks = useMemo(() => {
    const { first, end } = ranges[0]!;
    const days = Array.from({ length: end - first }, (_, index) => first + index);
    const context = { days, occurrences: answer.occurrences, paperOf, notesOf, calendars };
    return layout === 'agenda' ? agendaBlocks(context) : layout === 'table' ? tableBlocks(context) : [];
  }, [layout, ranges, answer, paperOf, notesOf, calendars]);
  if (layout === 'agenda' || layout === 'table')
    return (
      <FlowSheets
        blocks={blocks}
        head={layout === 'table' ? tableHead : undefined}
        sheet={sheet}
        smallMonths={smallMonths}
        title={rangeText(whole.first, whole.end - 1, true)}
        range={whole}
      />
    );
  return ranges.map((page, index) => {
    const shown =
      layout === 'workdays'
        ? shownDays({ ...initialLook, view: 'workdays', day: page.first }, { workingPattern, weekStart })
        : Array.from({ length: page.end - page.first }, (_, day) => page.first + day);
    const occurrences = answer.occurrences;
    return (
      <SheetFrame
        key={page.first}
        sheet={sheet}
        title={titleOf(layout, page, shown, range)}
        range={page}
        smallMonths={smallMonths}
        page={index + 1}
        pages={ranges.length}
      >
        {layout === 'weeks' ? (
          <WeeksSheet
            days={shown}
            occurrences={occurrences}
            range={range}
            sheet={sheet}
            smallMonths={smallMonths}
            paperOf={paperOf}
          />
        ) : (
          <HoursSheet
            days={shown}
            occurrences={occurrences}
            hours={{ from: options.fromMinute, to: options.toMinute }}
            sheet={sheet}
            smallMonths={smallMonths}
            paperOf={paperOf}
            notesOf={notesOf}
          />
        )}
      </SheetFrame>
    );
  });
}
