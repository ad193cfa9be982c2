import { memo, useId } from 'react';
import type { DayRange } from '@/core/layout/views';
import { loadLevel, type LoadLevel, type MonthGrid } from '@/core/layout/yearMonths';
import type { DayLoad } from '@/core/schedule/load';
import { MINUTE } from '@/core/time/civil';
import { dayOfMonthText, dayText, lengthText, monthName } from '@/ui/dates';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, fontFamilies, fontSizes } from '@/ui/theme/tokens';
import { words } from '@/ui/words';

interface MonthHeatProps {
  grid: MonthGrid;
  width: number;
  weekHeight: number;
  /** A letter for each weekday, in the order of the week. */
  weekdays: readonly string[];
  loads: ReadonlyMap<number, DayLoad>;
  today: number;
  selectedDay: number;
  /** The period whose days are marked, if one is shown. */
  period: DayRange | undefined;
  onOpenDay: (day: number) => void;
}

/** What of the props a month shows: it is drawn anew only when one of its own days changes. */
function sameMonth(before: MonthHeatProps, after: MonthHeatProps): boolean {
  if (before.grid !== after.grid || before.width !== after.width || before.weekHeight !== after.weekHeight)
    return false;
  if (before.onOpenDay !== after.onOpenDay || before.weekdays !== after.weekdays) return false;
  if (before.period !== after.period) return false;
  return after.grid.weeks.every((week) =>
    week.every(
      (day) =>
        day === undefined ||
        (before.loads.get(day) === after.loads.get(day) &&
          (before.today === day) === (after.today === day) &&
          (before.selectedDay === day) === (after.selectedDay === day)),
    ),
  );
}

/** The room between two days, and what a month's name and the weekdays take above its weeks, in pixels. */
const GAP = 3;
export const HEAD = 26;
export const WEEKDAYS = 18;

/** The line under the days of the shown period, in pixels. */
const PERIOD_LINE = 2;

/** A month of the year: a button for each day, tinted by its load. */
export const MonthHeat = memo(function MonthHeat({
  grid,
  width,
  weekHeight,
  weekdays,
  loads,
  today,
  selectedDay,
  period,
  onOpenDay,
}: MonthHeatProps) {
  const { colours } = useTheme();
  const id = useId();
  const days = grid.weeks.flat().filter((day) => day !== undefined);
  const booked = days.reduce((sum, day) => sum + (loads.get(day)?.booked ?? 0), 0);
  const cell = Math.floor(width / 7);
  return (
    <section aria-labelledby={id} style={{ width }}>
      <MonthHead id={id} grid={grid} booked={booked} />
      <div aria-hidden className={classes.weekdays} style={{ color: colours.quietInk }}>
        {weekdays.map((letter, column) => (
          <span key={column} style={{ width: cell - GAP }}>
            {letter}
          </span>
        ))}
      </div>
      {grid.weeks.map((week, row) => (
        <div key={row} className={classes.week}>
          {week.map((day, column) => {
            if (day === undefined) return <span key={column} style={{ width: cell }} />;
            const load = loads.get(day);
            const level = load ? loadLevel(load) : 'none';
            const heat = colours.heat[level];
            const inPeriod = period !== undefined && period.first <= day && day < period.end;
            const lines = [
              ...(inPeriod ? [`0 ${PERIOD_LINE}px 0 ${colours.ink}`] : []),
              ...(day === selectedDay ? [`0 0 0 ${focusWidth}px ${colours.ink}`] : []),
            ];
            return (
              <HeatDay
                key={column}
                day={day}
                selectedDay={selectedDay}
                level={level}
                today={today}
                load={load}
                inPeriod={inPeriod}
                onOpenDay={onOpenDay}
                cell={cell}
                weekHeight={weekHeight}
                heat={heat}
                lines={lines}
              />
            );
          })}
        </div>
      ))}
    </section>
  );
}, sameMonth);

/** The month, and its booked hours. */
function MonthHead({ id, grid, booked }: { id: string; grid: MonthGrid; booked: number }) {
  const { colours } = useTheme();
  return (
    <div className={classes.head}>
      <h2 id={id} className={classes.name} style={{ color: colours.ink }}>
        {monthName(grid.month)}
      </h2>
      <span className={classes.hours} style={{ color: colours.quietInk }}>
        {booked > 0 ? words.year.hours(Math.round(booked / 60)) : ''}
      </span>
    </div>
  );
}

/** A day, tinted by how booked it is. */
function HeatDay({
  day,
  selectedDay,
  level,
  today,
  load,
  inPeriod,
  onOpenDay,
  cell,
  weekHeight,
  heat,
  lines,
}: {
  day: number;
  selectedDay: number;
  level: LoadLevel;
  today: number;
  load: DayLoad | undefined;
  inPeriod: boolean;
  onOpenDay: (day: number) => void;
  cell: number;
  weekHeight: number;
  heat: { background: string; ink: string };
  lines: readonly string[];
}) {
  return (
    <button
      type="button"
      tabIndex={day === selectedDay ? 0 : -1}
      data-testid="year-day"
      data-day={day}
      data-level={level}
      aria-current={day === today ? 'date' : undefined}
      aria-label={words.year.day(
        dayText(day),
        words.year.levels[level],
        load && load.working > 0
          ? words.plan.dayLoad(lengthText(load.booked * MINUTE), lengthText(load.working * MINUTE))
          : words.plan.dayOff,
        inPeriod,
      )}
      onClick={() => onOpenDay(day)}
      className={classes.day}
      style={{
        width: cell - GAP,
        height: weekHeight - GAP,
        backgroundColor: heat.background,
        color: heat.ink,
        ...(day === today ? { fontWeight: 700, textDecorationLine: 'underline' } : null),
        ...(lines.length > 0 ? { boxShadow: lines.join(', ') } : null),
        ...(day === selectedDay ? { zIndex: 1 } : null),
      }}
    >
      {dayOfMonthText(day)}
    </button>
  );
}

const text = {
  fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
  fontSize: fontSizes.small,
} as const;

const classes = pageClasses('year', {
  head: { display: 'flex', justifyContent: 'space-between', alignItems: 'baseline', height: HEAD },
  weekdays: { ...text, display: 'flex', columnGap: GAP, height: WEEKDAYS, textAlign: 'center' },
  name: {
    fontFamily: `${fontFamilies.title}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.large,
    fontWeight: 600,
    margin: 0,
  },
  hours: { ...text, fontVariantNumeric: 'tabular-nums', paddingRight: 3 },
  week: { display: 'flex' },
  day: {
    ...text,
    margin: `0 ${GAP}px ${GAP}px 0`,
    padding: 0,
    border: 0,
    borderRadius: corner,
    cursor: 'pointer',
    position: 'relative',
    flexShrink: 0,
    fontVariantNumeric: 'tabular-nums',
  },
});
