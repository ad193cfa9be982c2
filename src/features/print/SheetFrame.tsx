import type { ReactNode } from 'react';
import type { SheetSize } from '@/core/layout/paper';
import { addMonths, type DayRange } from '@/core/layout/views';
import { monthGrid } from '@/core/layout/yearMonths';
import { civilDate } from '@/core/time/civil';
import { useSettings } from '@/store';
import { dayOfMonthText, monthText } from '@/ui/dates';
import { words } from '@/ui/words';
import { printWords } from '@/ui/words/print';
import { classes } from './printClasses';

/** Pixels of the head, plain and with small months, and of the foot. */
const HEAD = 46;
const HEAD_WITH_MONTHS = 92;
const FOOT = 18;

/** Where print goes on a sheet, in pixels. */
export function printArea(sheet: SheetSize, smallMonths: boolean) {
  const top = sheet.margin + (smallMonths ? HEAD_WITH_MONTHS : HEAD);
  return {
    left: sheet.margin,
    top,
    width: sheet.width - 2 * sheet.margin,
    height: sheet.height - sheet.margin - FOOT - top,
  };
}

/** A sheet of paper: title, small months, what it is about, and its number. */
export function SheetFrame({
  sheet,
  title,
  about,
  months,
  page,
  pages,
  children,
}: {
  sheet: SheetSize;
  title: string;
  /** What is left out, by a filter or hidden calendars. */
  about: string;
  /** The days whose months stand small in the head. */
  months?: DayRange | undefined;
  page: number;
  pages: number;
  children: ReactNode;
}) {
  const { margin } = sheet;
  return (
    <section
      className={`${classes.sheet} print-sheet`}
      data-testid="print-sheet"
      aria-label={printWords.page(page, pages)}
      style={{ width: sheet.width, height: sheet.height }}
    >
      <div
        className={classes.head}
        style={{ margin: `${margin}px ${margin}px 0`, height: months ? HEAD_WITH_MONTHS : HEAD }}
      >
        <div>
          <div className={classes.title}>{title}</div>
          {about ? (
            <div className={classes.about} data-testid="print-about">
              {about}
            </div>
          ) : null}
        </div>
        {months ? (
          <div className={classes.months} aria-hidden>
            <SmallMonth day={months.first} shown={months} />
            <SmallMonth day={addMonths(months.first, 1)} shown={months} />
          </div>
        ) : null}
      </div>
      {children}
      <div className={classes.foot} style={{ left: margin, right: margin, bottom: margin - 6 }}>
        <span>{words.product}</span>
        <span>{printWords.page(page, pages)}</span>
      </div>
    </section>
  );
}

function SmallMonth({ day, shown }: { day: number; shown: DayRange }) {
  const { weekStart } = useSettings();
  const { year, month } = civilDate(day);
  return (
    <div className={classes.month}>
      <div className={classes.monthName}>{monthText(day)}</div>
      {monthGrid(year, month, weekStart).weeks.map((week, row) => (
        <div key={row} className={classes.monthWeek}>
          {week.map((each, column) => (
            <span
              key={column}
              className={
                each !== undefined && each >= shown.first && each < shown.end
                  ? classes.monthShown
                  : classes.monthDay
              }
            >
              {each === undefined ? '' : dayOfMonthText(each)}
            </span>
          ))}
        </div>
      ))}
    </div>
  );
}
