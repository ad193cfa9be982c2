import { useMemo, useState } from 'react';
import { sheetSize } from '@/core/layout/paper';
import { shownDays } from '@/core/layout/viewDescriptors';
import type { DayRange } from '@/core/layout/views';
import type { Calendar } from '@/core/model/calendar';
import { initialLook } from '@/core/model/look';
import type { Occurrence } from '@/core/schedule/occurrence';
import type { DaysAnswer } from '@/store';
import { useSettings, useSnapshot } from '@/store';
import { fullDayText, rangeText } from '@/ui/dates';
import { agendaBlocks, tableBlocks, tableHead } from './flowBlocks';
import { FlowSheets } from './FlowSheets';
import { withoutRoom } from './hoursPage';
import { HoursSheet } from './HoursSheet';
import { pageRanges, type PrintOptions } from './printOptions';
import { SheetFrame } from './SheetFrame';
import { usePrintPaper } from './usePrintPaper';
import { printWords } from '@/ui/words/print';
import { leftOutOfWeeks, WeeksSheet } from './WeeksSheet';

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

interface PrintSheetsProps {
  options: PrintOptions;
  answer: DaysAnswer;
  calendars: readonly Calendar[];
  /** What is left out, in words. */
  about: string;
}

/** All sheets of what is printed. */
export function PrintSheets({ options, answer, calendars, about }: PrintSheetsProps) {
  const { workingPattern, weekStart } = useSettings();
  const entries = useSnapshot(({ state }) => state.entries);
  const { layout, range, smallMonths, fromMinute, toMinute } = options;
  const sheet = useMemo(() => sheetSize(options.paper, options.isAcross), [options.paper, options.isAcross]);
  const paperOf = usePrintPaper(calendars, options.blackAndWhite);
  const notesOf = useMemo(
    () => (occurrence: Occurrence) => (options.notes ? (entries.get(occurrence.entryId)?.notes ?? '') : ''),
    [options.notes, entries],
  );
  const ranges = useMemo(() => pageRanges(layout, range, weekStart), [layout, range, weekStart]);
  const whole = ranges[0]!;
  const [listPages, setListPages] = useState(0);
  const pages = useMemo(
    () =>
      layout === 'agenda' || layout === 'table'
        ? []
        : ranges.map((page) => ({
            page,
            days:
              layout === 'workdays'
                ? shownDays(
                    { ...initialLook, view: 'workdays', day: page.first },
                    { workingPattern, weekStart },
                  )
                : Array.from({ length: page.end - page.first }, (_, day) => page.first + day),
          })),
    [layout, ranges, workingPattern, weekStart],
  );
  const hours = useMemo(() => ({ from: fromMinute, to: toMinute }), [fromMinute, toMinute]);
  // What has no room in its place is printed in a list behind the pages.
  const listed = useMemo(() => {
    const { occurrences } = answer;
    const left = pages.flatMap(({ days }) => {
      const shared = { days, occurrences, sheet, smallMonths };
      return layout === 'weeks'
        ? leftOutOfWeeks({ ...shared, weekStart })
        : withoutRoom({ ...shared, hours, notesOf });
    });
    return [...new Map(left.map((occurrence) => [occurrence.key, occurrence])).values()];
  }, [answer, pages, sheet, smallMonths, layout, weekStart, hours, notesOf]);
  const listBlocks = useMemo(() => {
    const days = pages.flatMap((page) => page.days);
    return listed.length === 0
      ? []
      : agendaBlocks({ days, occurrences: listed, paperOf, notesOf, calendars });
  }, [listed, pages, paperOf, notesOf, calendars]);
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
        title={rangeText(whole.first, whole.end - 1, true)}
        about={about}
        months={smallMonths ? whole : undefined}
      />
    );
  const total = pages.length + (listBlocks.length > 0 ? listPages : 0);
  return (
    <>
      {pages.map(({ page, days }, index) => (
        <SheetFrame
          key={page.first}
          sheet={sheet}
          title={titleOf(layout, page, days, range)}
          about={about}
          months={smallMonths ? page : undefined}
          page={index + 1}
          pages={total}
        >
          {layout === 'weeks' ? (
            <WeeksSheet
              days={days}
              occurrences={answer.occurrences}
              range={range}
              sheet={sheet}
              smallMonths={smallMonths}
              weekStart={weekStart}
              paperOf={paperOf}
            />
          ) : (
            <HoursSheet
              days={days}
              occurrences={answer.occurrences}
              hours={hours}
              sheet={sheet}
              smallMonths={smallMonths}
              paperOf={paperOf}
              notesOf={notesOf}
            />
          )}
        </SheetFrame>
      ))}
      {listBlocks.length > 0 ? (
        <FlowSheets
          blocks={listBlocks}
          sheet={sheet}
          title={printWords.list}
          about={about}
          months={smallMonths ? pages[0]!.page : undefined}
          before={pages.length}
          onPages={setListPages}
        />
      ) : null}
    </>
  );
}
