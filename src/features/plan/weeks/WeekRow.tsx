import { memo } from 'react';
import { weekNumber } from '@/core/layout/views';
import { gatheredRowsOn, type WeekDay, type WeekRow as WeekRowLayout } from '@/core/layout/weekRows';
import type { Calendar } from '@/core/model/calendar';
import type { Detail } from '@/core/model/look';
import type { WorkingPattern } from '@/core/model/settings';
import type { DayLoad } from '@/core/schedule/load';
import type { Occurrence } from '@/core/schedule/occurrence';
import { MINUTE } from '@/core/time/civil';
import { isDayOff } from '@/core/time/workingPattern';
import type { TodoItem } from '@/core/todos/currentTodo';
import type { Degrees } from '@/core/forecast/forecast';
import { type DayWeather, useDueByDay, useSettings } from '@/store';
import { weatherSaid, weatherText } from '@/ui/weatherText';
import { dayText, lengthText, otherSystemText } from '@/ui/dates';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { focusWidth, fontFamilies, fontSizes, hairline, sizes } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { RibbonCard } from '../grid/RibbonCard';
import type { CardState } from '../grid/useCardFrame';
import { cellHead } from './cellHead';
import { dayBar } from './dayBar';
import { EntryLineCard } from './EntryLineCard';
import { GatheredLineCard } from './GatheredLineCard';
import { GATHERED, HEAD, WIDE_BAR } from './weekSizes';

/** How booked the days of a week are, by day number. */
export type DayLoads = Readonly<Record<number, DayLoad | undefined>>;

export interface WeekRowProps {
  layout: WeekRowLayout;
  height: number;
  columnWidth: number;
  /** The width of its number; zero where it is not shown. */
  numberWidth: number;
  detail: Detail;
  calendars: ReadonlyMap<string, Calendar>;
  loads: DayLoads | undefined;
  /** The weather of days, by day number, and the scale that it is said in. */
  weather: ReadonlyMap<number, DayWeather>;
  degrees: Degrees;
  pattern: WorkingPattern;
  today: number;
  selectedDay: number;
  range: { readonly first: number; readonly end: number };
  selected: ReadonlySet<string>;
  /** The entry that is being written, among the others. */
  draftKey: string | undefined;
  tabbableKey: string | undefined;
  fadeBefore: number | undefined;
  fontsLoaded: boolean;
  /** A second calendar system, whose date stands beside the first where there is room. */
  system: string | undefined;
  onOpenDay: (day: number) => void;
}

/** The width of a day's bar beside its titles. */
const NARROW_BAR = 7;

/** A week: its number and hours, its ribbons, and a cell for each day. */
export const WeekRow = memo(function WeekRow(props: WeekRowProps) {
  const { layout, height, columnWidth, numberWidth, calendars } = props;
  const { colours } = useTheme();
  const due = useDueByDay();
  return (
    <div role="row" className={classes.row} style={{ height, borderColor: colours.line }}>
      {numberWidth > 0 ? <WeekHead layout={layout} loads={props.loads} width={numberWidth} /> : null}
      {layout.days.map((day) => (
        <DayCell key={day.day} {...props} day={day} due={due.get(day.day)} />
      ))}
      {layout.gathered.length === 0 ? null : (
        <div role="gridcell" aria-label={words.weeks.gathered} className={classes.over}>
          {layout.gathered.map((line) => (
            <GatheredLineCard
              key={line.occurrences[0]!.key}
              line={line}
              left={numberWidth + line.from * columnWidth}
              top={HEAD + line.row * GATHERED + 1}
              columnWidth={columnWidth}
              calendar={calendars.get(line.occurrences[0]!.calendarId)}
              selected={props.selected}
              tabbableKey={props.tabbableKey}
              fadeBefore={props.fadeBefore}
              fontsLoaded={props.fontsLoaded}
            />
          ))}
        </div>
      )}
      {layout.ribbons.length === 0 ? null : (
        <div
          role="gridcell"
          aria-label={words.weeks.ribbons}
          className={classes.over}
          style={{ left: numberWidth }}
        >
          {layout.ribbons.map((ribbon) => (
            <RibbonCard
              key={ribbon.occurrence.key}
              ribbon={ribbon}
              top={HEAD + layout.gatheredRows * GATHERED}
              columnWidth={columnWidth}
              calendar={calendars.get(ribbon.occurrence.calendarId)}
              {...stateIn(props, ribbon.occurrence)}
            />
          ))}
        </div>
      )}
    </div>
  );
});

/** How an entry stands among the others of a row. */
const stateIn = (
  { selected, draftKey, tabbableKey, fadeBefore }: WeekRowProps,
  { key, end }: Occurrence,
): CardState => ({
  selected: selected.has(key),
  isDraft: draftKey === key,
  tabbable: tabbableKey === key,
  faded: fadeBefore !== undefined && end <= fadeBefore,
});

/** The number of a week, and under it how much of it is booked. */
function WeekHead({
  layout,
  loads,
  width,
}: {
  layout: WeekRowLayout;
  loads: DayLoads | undefined;
  width: number;
}) {
  const { colours } = useTheme();
  const { weekStart } = useSettings();
  const number = weekNumber(layout.days[0]!.day, weekStart);
  const booked = layout.days.reduce((sum, { day }) => sum + (loads?.[day]?.booked ?? 0), 0);
  return (
    <div
      role="rowheader"
      aria-label={words.weeks.week(number, lengthText(booked * MINUTE))}
      className={classes.number}
      style={{ width, color: colours.quietInk }}
    >
      <div>{words.weeks.number(number)}</div>
      {booked > 0 && width > 40 ? <div>{lengthText(booked * MINUTE)}</div> : null}
    </div>
  );
}

/** How much of a day is booked, as it is read out. */
const bookedText = (load: DayLoad | undefined): string =>
  load && load.working > 0
    ? words.plan.dayLoad(lengthText(load.booked * MINUTE), lengthText(load.working * MINUTE))
    : words.plan.dayOff;

/** A day of a week: its date, its bar, and as many of its entries as have room. */
function DayCell({
  day: cell,
  due,
  ...props
}: WeekRowProps & { day: WeekDay; due: readonly TodoItem[] | undefined }) {
  const { columnWidth, layout, loads, calendars, detail, selectedDay, range, pattern } = props;
  const theme = useTheme();
  const { colours } = theme;
  const { day } = cell;
  const otherDate = props.system && otherSystemText(props.system, day);
  const load = loads?.[day];
  const weather = props.weather.get(day);
  const isOutside = day < range.first || day >= range.end;
  const isSelected = day === selectedDay;
  const isBars = detail === 'bars' || columnWidth < WIDE_BAR;
  const top = topOfCell(layout, layout.days.indexOf(cell));
  return (
    <div
      role="gridcell"
      data-testid="week-day"
      data-day={day}
      tabIndex={isSelected ? 0 : -1}
      aria-selected={isSelected}
      aria-label={words.weeks.day(
        [dayText(day), otherDate].filter(Boolean).join(', '),
        cell.count,
        [bookedText(load), due && words.plan.due(due.length), weather && weatherSaid(weather, props.degrees)]
          .filter(Boolean)
          .join(', '),
      )}
      className={classes.cell}
      style={{
        width: columnWidth,
        borderColor: colours.line,
        backgroundColor: isOutside || isDayOff(pattern, day) || load?.taken ? colours.page : colours.card,
        ...(isSelected ? { boxShadow: `inset 0 0 0 ${focusWidth}px ${colours.primary}` } : null),
      }}
    >
      {cellHead({
        colours,
        day,
        width: columnWidth,
        isToday: day === props.today,
        isOutside,
        isFirst: day === range.first,
        otherDate,
        booked: load?.booked ?? 0,
        due,
        weather: weather && weatherText(weather, props.degrees),
        hidden: isBars ? 0 : cell.hidden,
        onOpenDay: props.onOpenDay,
      })}
      {dayBar({
        theme,
        pieces: cell.bar,
        calendars,
        top: top + 2,
        width: isBars ? columnWidth - 8 : NARROW_BAR,
        height: Math.max(12, props.height - top - 5),
        isOutside,
        isMarked: isBars,
      })}
      {isBars ? null : cellLines(cell, top, props)}
    </div>
  );
}

/** The entries of a day that have room. */
function cellLines(cell: WeekDay, top: number, row: WeekRowProps) {
  const { columnWidth, detail, calendars, fontsLoaded } = row;
  return (
    <div className={classes.lines} style={{ top: top + 1 }}>
      {cell.lines.map((occurrence) => (
        <EntryLineCard
          key={occurrence.key}
          occurrence={occurrence}
          day={cell.day}
          calendar={calendars.get(occurrence.calendarId)}
          width={columnWidth - 20}
          isFull={detail === 'full'}
          {...stateIn(row, occurrence)}
          fontsLoaded={fontsLoaded}
        />
      ))}
    </div>
  );
}

/** Where a cell's own part begins: under its head, what is gathered over it, and its ribbons. */
function topOfCell(layout: WeekRowLayout, index: number): number {
  const over = layout.ribbons.filter(({ from, to }) => from <= index && index < to);
  const taken = Math.max(0, ...over.map(({ row }) => row + 1));
  const gathered = taken > 0 ? layout.gatheredRows : gatheredRowsOn(layout.gathered, index);
  return HEAD + gathered * GATHERED + taken * sizes.ribbon;
}

const text = {
  fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
  fontSize: fontSizes.small,
} as const;

const classes = pageClasses('weeks', {
  row: {
    ...text,
    display: 'flex',
    position: 'relative',
    borderBottomWidth: hairline,
    borderBottomStyle: 'solid',
    boxSizing: 'border-box',
  },
  number: {
    flexShrink: 0,
    textAlign: 'center',
    paddingTop: 5,
    lineHeight: '15px',
    fontVariantNumeric: 'tabular-nums',
    boxSizing: 'border-box',
  },
  cell: {
    position: 'relative',
    flexShrink: 0,
    boxSizing: 'border-box',
    borderLeftWidth: hairline,
    borderLeftStyle: 'solid',
    overflow: 'hidden',
  },
  over: { position: 'absolute', left: 0, top: 0, width: 0, height: 0, pointerEvents: 'none' },
  lines: { position: 'absolute', left: 16, right: 2, bottom: 0, overflow: 'hidden' },
});
