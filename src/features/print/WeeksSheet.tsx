import { useSettings } from '@/store';
import type { SheetSize } from '@/core/layout/paper';
import type { DayRange } from '@/core/layout/views';
import { weekNumber } from '@/core/layout/views';
import { byShownDay, weeksOf } from '@/core/layout/weekRows';
import { isRibbon, type Occurrence } from '@/core/schedule/occurrence';
import { dayOfMonthText, shortMonthDayText, weekdayText } from '@/ui/dates';
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

/** Weeks under each other with a line for each entry of a day; days with more say how many. */
export function WeeksSheet({
  days,
  occurrences,
  range,
  sheet,
  smallMonths,
  paperOf,
}: {
  days: readonly number[];
  occurrences: readonly Occurrence[];
  range: DayRange;
  sheet: SheetSize;
  smallMonths: boolean;
  paperOf: (occurrence: Occurrence) => PrintPaper;
}) {
  const area = printArea(sheet, smallMonths);
  const { weekStart } = useSettings();
  const weeks = weeksOf(days, weekStart);
  const onDays = byShownDay(occurrences, days);
  const width = (area.width - NUMBER) / 7;
  const height = (area.height - WEEKDAYS) / weeks.length;
  const lines = Math.floor((height - DAY_HEAD - 2) / LINE);
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
          <div className={classes.hourLine} style={{ top: WEEKDAYS + row * height }} />
          <div
            className={classes.dayNumber}
            style={{ position: 'absolute', top: WEEKDAYS + row * height, fontWeight: 400, fontSize: 10 }}
          >
            {words.weeks.number(weekNumber(week[0]!, weekStart))}
          </div>
          {week.map((day, index) => {
            const all = [...(onDays.get(day) ?? [])].sort(
              (a, b) => Number(isRibbon(b)) - Number(isRibbon(a)),
            );
            const shown = all.length <= lines ? all : all.slice(0, Math.max(0, lines - 1));
            const isOutside = day < range.first || day >= range.end;
            return (
              <div
                key={day}
                className={classes.column}
                style={{
                  left: NUMBER + index * width,
                  width,
                  top: WEEKDAYS + row * height,
                  bottom: 'auto',
                  height,
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
                {all.length > shown.length ? (
                  <div className={classes.more}>{printWords.more(all.length - shown.length)}</div>
                ) : null}
              </div>
            );
          })}
        </div>
      ))}
    </div>
  );
}
