import { DayPicker } from 'react-day-picker';
import { civilDate, dayNumber } from '@/core/time/civil';
import { dayOfMonthText, fullDayText, monthText, weekdayText, weeksBeginOn, writtenToday } from '../../dates';
import { pageClasses } from '../../pageClasses';
import { corner, fontFamilies, fontSizes, hairline, space } from '../../theme/tokens';
import { useTheme } from '../../theme/theme';
import { words } from '../../words';

const CELL = 40;
const button = {
  width: CELL,
  height: CELL,
  border: 'none',
  borderRadius: corner,
  background: 'none',
  color: 'inherit',
  font: 'inherit',
  cursor: 'pointer',
} as const;

const classes = pageClasses('day-grid', {
  root: {
    position: 'relative',
    fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.body,
    fontVariantNumeric: 'tabular-nums',
  },
  nav: { position: 'absolute', right: 0, top: 0, display: 'flex' },
  turn: { ...button, display: 'inline-flex', alignItems: 'center', justifyContent: 'center' },
  caption: { height: CELL, display: 'flex', alignItems: 'center', paddingLeft: space(2), fontWeight: 700 },
  grid: { borderCollapse: 'collapse' },
  weekday: { width: CELL, height: space(6), fontSize: fontSizes.small, fontWeight: 400 },
  day: { padding: 0, textAlign: 'center', borderRadius: corner },
  button,
  outside: { opacity: 0.6 },
});

const dateOf = (day: number): Date => {
  const { year, month, day: dayOfMonth } = civilDate(day);
  return new Date(year, month - 1, dayOfMonth, 12);
};
const dayOf = (date: Date): number => dayNumber(date.getFullYear(), date.getMonth() + 1, date.getDate());

/** A month of days to pick one from: arrow keys walk, Page Up and Page Down turn the month. */
export function DayGrid({
  day,
  near,
  onPick,
}: {
  day: number | undefined;
  near: number;
  onPick: (day: number) => void;
}) {
  const { colours } = useTheme();
  return (
    <DayPicker
      mode="single"
      required
      autoFocus
      fixedWeeks
      showOutsideDays
      selected={day === undefined ? undefined : dateOf(day)}
      defaultMonth={dateOf(day ?? near)}
      onSelect={(picked: Date) => onPick(dayOf(picked))}
      weekStartsOn={(weeksBeginOn() % 7) as 0}
      classNames={{
        root: classes.root,
        nav: classes.nav,
        button_previous: classes.turn,
        button_next: classes.turn,
        month_caption: classes.caption,
        month_grid: classes.grid,
        weekday: classes.weekday,
        day: classes.day,
        day_button: classes.button,
        outside: classes.outside,
      }}
      styles={{ root: { color: colours.ink }, chevron: { fill: colours.ink } }}
      modifiersStyles={{
        selected: { backgroundColor: colours.primary, color: colours.onPrimary },
        today: { boxShadow: `inset 0 0 0 ${hairline}px ${colours.accent}` },
      }}
      today={dateOf(writtenToday())}
      formatters={{
        formatCaption: (month) => monthText(dayOf(month)),
        formatDay: (date) => dayOfMonthText(dayOf(date)),
        formatWeekdayName: (date) => weekdayText(dayOf(date), 'narrow'),
      }}
      labels={{
        labelDayButton: (date) => fullDayText(dayOf(date)),
        labelGrid: (month) => monthText(dayOf(month)),
        labelNext: () => words.dates.nextMonth,
        labelPrevious: () => words.dates.previousMonth,
        labelNav: () => words.dates.months,
        labelWeekday: (date) => weekdayText(dayOf(date), 'long'),
      }}
    />
  );
}
