import { memo } from 'react';
import { View } from 'react-native';
import { weekNumber } from '@/core/layout/views';
import { gatheredRowsOn, type WeekDay, type WeekRow as WeekRowLayout } from '@/core/layout/weekRows';
import type { Calendar } from '@/core/model/calendar';
import type { Detail } from '@/core/model/look';
import type { WorkingPattern } from '@/core/model/settings';
import type { DayLoad } from '@/core/schedule/load';
import { MINUTE } from '@/core/time/civil';
import { isDayOff } from '@/core/time/workingPattern';
import { useSettings } from '@/store';
import { dayOfMonthText, dayText, lengthText, otherSystemText, shortMonthDayText } from '@/ui/dates';
import { pageClasses } from '@/ui/pageClasses';
import { useTheme } from '@/ui/theme/theme';
import { corner, focusWidth, fontFamilies, fontSizes, hairline, sizes } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { RibbonCard } from '../grid/RibbonCard';
import { EntryLineCard } from './EntryLineCard';
import { GatheredLineCard } from './GatheredLineCard';
import { GATHERED, HEAD, WIDE_BAR } from './weekSizes';

/** How booked the days of a week are, by day number. */
export type DayLoads = Readonly<Record<number, DayLoad | undefined>>;

export interface WeekRowProps {
  layout: WeekRowLayout;
  height: number;
  columnWidth: number;
  numberWidth: number;
  showsNumber: boolean;
  detail: Detail;
  calendars: ReadonlyMap<string, Calendar>;
  loads: DayLoads | undefined;
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

/** The least widths of a day with its booked hours, with the date of a second calendar, and with both. */
const WITH_HOURS = 118;
const WITH_OTHER_DATE = 96;
const WITH_BOTH = 190;
/** What the number of those that are not named takes of the head. */
const MORE = 36;

/** A week: its number and hours, its ribbons, and a cell for each day. */
export const WeekRow = memo(function WeekRow(props: WeekRowProps) {
  const { layout, height, columnWidth, numberWidth, showsNumber, loads, calendars } = props;
  const { colours } = useTheme();
  const { weekStart } = useSettings();
  const number = weekNumber(layout.days[0]!.day, weekStart);
  const booked = layout.days.reduce((sum, { day }) => sum + (loads?.[day]?.booked ?? 0), 0);
  return (
    <div role="row" className={classes.row} style={{ height, borderColor: colours.line }}>
      {showsNumber ? (
        <div
          role="rowheader"
          aria-label={words.weeks.week(number, lengthText(booked * MINUTE))}
          className={classes.number}
          style={{ width: numberWidth, color: colours.quietInk }}
        >
          <div>{words.weeks.number(number)}</div>
          {booked > 0 && numberWidth > 40 ? <div>{lengthText(booked * MINUTE)}</div> : null}
        </div>
      ) : null}
      {layout.days.map((day) => (
        <DayCell key={day.day} {...props} day={day} />
      ))}
      {layout.gathered.length === 0 ? null : (
        <div role="gridcell" aria-label={words.weeks.gathered} className={classes.over}>
          {layout.gathered.map((line) => (
            <GatheredLineCard
              key={line.occurrences[0]!.key}
              line={line}
              left={(showsNumber ? numberWidth : 0) + line.from * columnWidth}
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
        <View
          role={'gridcell' as never}
          aria-label={words.weeks.ribbons}
          pointerEvents="box-none"
          style={{ position: 'absolute', left: showsNumber ? numberWidth : 0, right: 0, top: 0, height: 0 }}
        >
          {layout.ribbons.map((ribbon) => (
            <RibbonCard
              key={ribbon.occurrence.key}
              ribbon={ribbon}
              top={HEAD + layout.gatheredRows * GATHERED}
              columnWidth={columnWidth}
              calendar={calendars.get(ribbon.occurrence.calendarId)}
              selected={props.selected.has(ribbon.occurrence.key)}
              isDraft={props.draftKey === ribbon.occurrence.key}
              tabbable={props.tabbableKey === ribbon.occurrence.key}
              faded={props.fadeBefore !== undefined && ribbon.occurrence.end <= props.fadeBefore}
            />
          ))}
        </View>
      )}
    </div>
  );
});

function DayCell({ day: cell, ...props }: WeekRowProps & { day: WeekDay }) {
  const { columnWidth, layout, loads, calendars, detail, today, selectedDay, range, pattern } = props;
  const { colours, calendar: tonesOf } = useTheme();
  const { day } = cell;
  const otherDate = props.system && otherSystemText(props.system, day);
  const load = loads?.[day];
  const index = layout.days.indexOf(cell);
  const taken = Math.max(
    0,
    ...layout.ribbons.filter(({ from, to }) => from <= index && index < to).map(({ row }) => row + 1),
  );
  const gathered = taken > 0 ? layout.gatheredRows : gatheredRowsOn(layout.gathered, index);
  const isOutside = day < range.first || day >= range.end;
  const isToday = day === today;
  const isSelected = day === selectedDay;
  const bars = detail === 'bars' || columnWidth < WIDE_BAR;
  const top = HEAD + gathered * GATHERED + taken * sizes.ribbon;
  const barWidth = bars ? columnWidth - 8 : 7;
  const hasMore = !bars && cell.hidden > 0;
  const barHeight = Math.max(12, props.height - top - 5);
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
        load && load.working > 0
          ? words.plan.dayLoad(lengthText(load.booked * MINUTE), lengthText(load.working * MINUTE))
          : words.plan.dayOff,
      )}
      className={classes.cell}
      style={{
        width: columnWidth,
        borderColor: colours.line,
        backgroundColor: isOutside || isDayOff(pattern, day) || load?.taken ? colours.page : colours.card,
        ...(isSelected ? { boxShadow: `inset 0 0 0 ${focusWidth}px ${colours.primary}` } : null),
      }}
    >
      <div className={classes.head}>
        <button
          type="button"
          tabIndex={-1}
          aria-label={words.weeks.open(dayText(day))}
          onClick={() => props.onOpenDay(day)}
          className={classes.date}
          style={
            isToday
              ? { backgroundColor: colours.primary, color: colours.onPrimary }
              : {
                  backgroundColor: 'transparent',
                  color: isOutside ? colours.quietInk : colours.ink,
                  fontWeight: isOutside ? 400 : 700,
                }
          }
        >
          {columnWidth > 60 && (dayOfMonthText(day) === '1' || day === range.first)
            ? shortMonthDayText(day)
            : dayOfMonthText(day)}
        </button>
        {otherDate && columnWidth > WITH_OTHER_DATE ? (
          <span aria-hidden className={classes.other} style={{ color: colours.quietInk }}>
            {otherDate}
          </span>
        ) : null}
        {columnWidth > (otherDate ? WITH_BOTH : WITH_HOURS) + (hasMore ? MORE : 0) &&
        load &&
        load.booked > 0 ? (
          <span aria-hidden style={{ color: colours.quietInk }}>
            {lengthText(load.booked * MINUTE)}
          </span>
        ) : null}
        {hasMore ? (
          <button
            type="button"
            tabIndex={-1}
            data-testid="more"
            aria-label={words.weeks.more(cell.hidden, dayText(day))}
            onClick={() => props.onOpenDay(day)}
            className={classes.more}
            style={{ color: colours.ink, backgroundColor: colours.card, borderColor: colours.line }}
          >
            +{cell.hidden}
          </button>
        ) : null}
      </div>
      <div
        aria-hidden
        className={classes.bar}
        style={{
          top: top + 2,
          left: 4,
          width: barWidth,
          height: barHeight,
          backgroundColor: colours.shade,
          opacity: isOutside ? 0.55 : 1,
        }}
      >
        {cell.bar.map((piece) => {
          const calendar = calendars.get(piece.calendarId);
          const tones = tonesOf(piece.colour ?? calendar?.colour ?? 'slate');
          const isEmpty = piece.paper === 'free';
          const width = piece.across.width * barWidth;
          return (
            <div
              key={`${piece.calendarId} ${piece.colour ?? ''} ${piece.paper} ${piece.from}`}
              className={classes.piece}
              style={{
                top: piece.from * barHeight,
                height: (piece.to - piece.from) * barHeight,
                left: piece.across.left * barWidth,
                width: Math.max(2, width - (bars ? 1 : 0)),
                backgroundColor: isEmpty ? colours.card : tones.band,
                color: isEmpty ? tones.ink : tones.onBand,
                borderColor: tones.band,
                borderStyle: piece.paper === 'tentative' ? 'dashed' : 'solid',
              }}
            >
              {bars && width >= 22 && (piece.to - piece.from) * barHeight >= 15 ? calendar?.mark : null}
            </div>
          );
        })}
      </div>
      {bars ? null : (
        <div className={classes.lines} style={{ top: top + 1 }}>
          {cell.lines.map((occurrence) => (
            <EntryLineCard
              key={occurrence.key}
              occurrence={occurrence}
              day={day}
              calendar={calendars.get(occurrence.calendarId)}
              width={columnWidth - 20}
              isFull={detail === 'full'}
              selected={props.selected.has(occurrence.key)}
              isDraft={props.draftKey === occurrence.key}
              tabbable={props.tabbableKey === occurrence.key}
              faded={props.fadeBefore !== undefined && occurrence.end <= props.fadeBefore}
              fontsLoaded={props.fontsLoaded}
            />
          ))}
        </div>
      )}
    </div>
  );
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
  head: {
    display: 'flex',
    height: HEAD,
    alignItems: 'center',
    justifyContent: 'space-between',
    paddingRight: 6,
    fontVariantNumeric: 'tabular-nums',
  },
  date: {
    ...text,
    fontSize: fontSizes.body,
    fontWeight: 700,
    lineHeight: '20px',
    minWidth: 24,
    padding: '0 5px',
    marginLeft: 2,
    border: 0,
    borderRadius: corner,
    cursor: 'pointer',
    fontVariantNumeric: 'tabular-nums',
  },
  other: {
    flexGrow: 1,
    minWidth: 0,
    marginLeft: 4,
    overflow: 'hidden',
    whiteSpace: 'nowrap',
    textOverflow: 'ellipsis',
  },
  bar: { position: 'absolute', borderRadius: 2, overflow: 'hidden', pointerEvents: 'none' },
  piece: {
    position: 'absolute',
    boxSizing: 'border-box',
    borderWidth: hairline,
    borderRadius: 2,
    overflow: 'hidden',
    textAlign: 'center',
    fontWeight: 700,
    lineHeight: '13px',
  },
  over: { position: 'absolute', left: 0, top: 0, width: 0, height: 0, pointerEvents: 'none' },
  lines: { position: 'absolute', left: 16, right: 2, bottom: 0, overflow: 'hidden' },
  more: {
    ...text,
    flexShrink: 0,
    height: 18,
    minWidth: 28,
    padding: '0 4px',
    borderWidth: hairline,
    borderStyle: 'solid',
    borderRadius: corner,
    fontWeight: 700,
    lineHeight: '15px',
    cursor: 'pointer',
  },
});
