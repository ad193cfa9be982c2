import { dayOfMonthText, dayText, lengthText, shortMonthDayText } from '@/ui/dates';
import { MINUTE } from '@/core/time/civil';
import { pageClasses } from '@/ui/pageClasses';
import { corner, fontFamilies, fontSizes, hairline, type NeutralColours } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import type { TodoItem } from '@/core/todos/currentTodo';
import { DueFlag } from '../grid/DueFlag';
import { HEAD } from './weekSizes';

/** The least widths of a day with its booked hours, with the date of a second calendar, and with both. */
const WITH_HOURS = 118;
const WITH_OTHER_DATE = 96;
const WITH_BOTH = 190;
/** What the number of those that are not named takes of the head. */
const MORE = 36;
/** What the flag of to-dos takes, and the least width of a day that has it. */
const FLAG = 28;
/** What the weather takes, and the least width of a day that has it. */
const WEATHER = 70;
const WITH_WEATHER = 104;
const WITH_FLAG = 60;

/**
 * The head of a day in weeks: its date, how much of it is booked, and how many entries are not named. Not a component, nor
 * are its parts: a month has dozens of them.
 */
export function cellHead({
  colours,
  day,
  width,
  isToday,
  isOutside,
  isFirst,
  otherDate,
  booked,
  due,
  weather,
  hidden,
  onOpenDay,
}: {
  colours: NeutralColours;
  day: number;
  width: number;
  isToday: boolean;
  /** Whether the day is not of the shown period. */
  isOutside: boolean;
  /** Whether the shown period begins with it. */
  isFirst: boolean;
  otherDate: string | undefined;
  /** Booked minutes. */
  booked: number;
  /** The to-dos that are due on the day. */
  due: readonly TodoItem[] | undefined;
  /** The weather of the day in short. */
  weather: string | undefined;
  hidden: number;
  onOpenDay: (day: number) => void;
}) {
  const besides = (hidden > 0 ? MORE : 0) + (due ? FLAG : 0);
  const hasWeather =
    weather !== undefined && width > WITH_WEATHER + besides + (otherDate ? WITH_OTHER_DATE : 0);
  const hasHours =
    width > (otherDate ? WITH_BOTH : WITH_HOURS) + besides + (hasWeather ? WEATHER : 0) && booked > 0;
  return (
    <div className={classes.head}>
      {dateButton({ colours, day, onOpenDay, isToday, isOutside, width, isFirst })}
      {otherDate && width > WITH_OTHER_DATE ? (
        <span aria-hidden className={classes.other} style={{ color: colours.quietInk }}>
          {otherDate}
        </span>
      ) : null}
      {hasWeather ? (
        <span aria-hidden className={classes.weather} style={{ color: colours.quietInk }}>
          {weather}
        </span>
      ) : null}
      {hasHours ? (
        <span aria-hidden style={{ color: colours.quietInk }}>
          {lengthText(booked * MINUTE)}
        </span>
      ) : null}
      {due && width > WITH_FLAG ? <DueFlag due={due} /> : null}
      {hidden > 0 ? moreButton({ colours, hidden, day, onOpenDay }) : null}
    </div>
  );
}

/** The date, which opens the day. */
function dateButton({
  colours,
  day,
  onOpenDay,
  isToday,
  isOutside,
  width,
  isFirst,
}: {
  colours: NeutralColours;
  day: number;
  onOpenDay: (day: number) => void;
  isToday: boolean;
  isOutside: boolean;
  width: number;
  isFirst: boolean;
}) {
  return (
    <button
      type="button"
      tabIndex={-1}
      aria-label={words.weeks.open(dayText(day))}
      onClick={() => onOpenDay(day)}
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
      {width > 60 && (dayOfMonthText(day) === '1' || isFirst) ? shortMonthDayText(day) : dayOfMonthText(day)}
    </button>
  );
}

/** How many entries are not named. */
function moreButton({
  colours,
  hidden,
  day,
  onOpenDay,
}: {
  colours: NeutralColours;
  hidden: number;
  day: number;
  onOpenDay: (day: number) => void;
}) {
  return (
    <button
      type="button"
      tabIndex={-1}
      data-testid="more"
      aria-label={words.weeks.more(hidden, dayText(day))}
      onClick={() => onOpenDay(day)}
      className={classes.more}
      style={{ color: colours.ink, backgroundColor: colours.card, borderColor: colours.line }}
    >
      +{hidden}
    </button>
  );
}

const text = {
  fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
  fontSize: fontSizes.small,
} as const;

const classes = pageClasses('weekscell', {
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
  weather: { whiteSpace: 'nowrap' },
  other: {
    flexGrow: 1,
    minWidth: 0,
    marginLeft: 4,
    overflow: 'hidden',
    whiteSpace: 'nowrap',
    textOverflow: 'ellipsis',
  },
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
