import { fitWords } from '@/core/layout/fitWords';
import { fairHeights, type SheetSize } from '@/core/layout/paper';
import type { DayRange } from '@/core/layout/views';
import { weekNumber } from '@/core/layout/views';
import { byShownDay, weeksOf } from '@/core/layout/weekRows';
import { isRibbon, type Occurrence } from '@/core/schedule/occurrence';
import { dayOfMonthText, shortMonthDayText, timeText, weekdayText } from '@/ui/dates';
import { measureSmallText } from '@/ui/measureText';
import { words } from '@/ui/words';
import { printWords } from '@/ui/words/print';
import { classes } from './printClasses';
import { PrintLine } from './HoursSheet';
import { printArea } from './SheetFrame';
import type { PrintPaper } from './usePrintPaper';

const NUMBER = 30;
const WEEKDAYS = 18;
const DAY_HEAD = 19;
const LINE = 16;
/** The height of a week without any entry. */
const LEAST_WEEK = 48;

interface WeeksPage {
  days: readonly number[];
  occurrences: readonly Occurrence[];
  sheet: SheetSize;
  smallMonths: boolean;
  weekStart: number;
}

/** How many lines an entry takes in a cell, its words whole. */
function linesOf(occurrence: Occurrence, width: number): number {
  const time = occurrence.allDay ? '' : `${timeText(occurrence.startWall)} `;
  const text = `${time}${occurrence.title || words.entry.noTitle} ?`;
  const line = Math.max(20, width - 34) * (12 / 11);
  const most = Array.from({ length: 12 }, () => line);
  return Math.max(1, fitWords(text, most, (said) => measureSmallText(said, '700')).filter(Boolean).length);
}

/** What each day of a page of weeks shows, and what has no room there. */
function layoutPage({ days, occurrences, sheet, smallMonths, weekStart }: WeeksPage) {
  const area = printArea(sheet, smallMonths);
  const weeks = weeksOf(days, weekStart);
  const onDays = byShownDay(occurrences, days);
  const width = (area.width - NUMBER) / 7;
  const inOrder = (day: number) =>
    [...(onDays.get(day) ?? [])].sort((a, b) => Number(isRibbon(b)) - Number(isRibbon(a)));
  const needs = weeks.map((week) =>
    Math.max(
      LEAST_WEEK,
      ...week.map((day) =>
        inOrder(day).reduce((sum, entry) => sum + linesOf(entry, width) * LINE, DAY_HEAD + 2),
      ),
    ),
  );
  const heights = fairHeights(needs, area.height - WEEKDAYS);
  const tops = heights.map((_, row) => heights.slice(0, row).reduce((sum, each) => sum + each, WEEKDAYS));
  const heightOf = new Map(weeks.flatMap((week, row) => week.map((day) => [day, heights[row]!] as const)));
  const cells = new Map(
    days.map((day) => {
      const all = inOrder(day);
      const shown: Occurrence[] = [];
      let room = (heightOf.get(day) ?? 0) - DAY_HEAD - 2;
      for (const [index, occurrence] of all.entries()) {
        const takes = linesOf(occurrence, width) * LINE;
        // Where others are left out, their number takes a line.
        if (takes > room - (index < all.length - 1 ? LINE : 0)) break;
        room -= takes;
        shown.push(occurrence);
      }
      return [day, { shown, left: all.slice(shown.length) }] as const;
    }),
  );
  return { area, weeks, width, heights, tops, cells };
}

/** The entries of a page of weeks that have no room in their days: they are printed in a list. */
export const leftOutOfWeeks = (page: WeeksPage): Occurrence[] => [
  ...new Map(
    [...layoutPage(page).cells.values()].flatMap(({ left }) =>
      left.map((occurrence) => [occurrence.key, occurrence] as const),
    ),
  ).values(),
];

/** Weeks under each other with each day's entries, words whole; days with more say how many, and a list has them. */
export function WeeksSheet({
  range,
  paperOf,
  ...page
}: WeeksPage & { range: DayRange; paperOf: (occurrence: Occurrence) => PrintPaper }) {
  const { weekStart } = page;
  const { area, weeks, width, heights, tops, cells } = layoutPage(page);
  return (
    <div
      className={classes.columns}
      style={{ left: area.left, top: area.top, width: area.width, height: area.height }}
    >
      {weeks[0]!.map((day, index) => (
        <div key={day} className={classes.dayHead} style={{ left: NUMBER + index * width, width, top: 0 }}>
          {weekdayText(day, 'long')}
        </div>
      ))}
      {weeks.map((week, row) => (
        <div key={week[0]}>
          <div className={classes.hourLine} style={{ top: tops[row] }} />
          <div
            className={classes.dayNumber}
            style={{ position: 'absolute', top: tops[row], fontWeight: 400, fontSize: 10 }}
          >
            {words.weeks.number(weekNumber(week[0]!, weekStart))}
          </div>
          {week.map((day, index) => {
            const { shown, left } = cells.get(day)!;
            const isOutside = day < range.first || day >= range.end;
            return (
              <div
                key={day}
                className={classes.column}
                style={{
                  left: NUMBER + index * width,
                  width,
                  top: tops[row],
                  bottom: 'auto',
                  height: heights[row],
                  overflow: 'hidden',
                  color: isOutside ? '#6B756F' : undefined,
                }}
              >
                <div className={classes.dayNumber}>
                  {dayOfMonthText(day) === '1' || index === 0 ? shortMonthDayText(day) : dayOfMonthText(day)}
                </div>
                <div style={{ padding: '0 3px' }}>
                  {shown.map((occurrence) => (
                    <PrintLine key={occurrence.key} occurrence={occurrence} paper={paperOf(occurrence)} />
                  ))}
                </div>
                {left.length > 0 ? <div className={classes.more}>{printWords.more(left.length)}</div> : null}
              </div>
            );
          })}
        </div>
      ))}
    </div>
  );
}
