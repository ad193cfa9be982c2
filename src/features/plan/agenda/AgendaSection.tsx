import { memo, useMemo } from 'react';
import type { Calendar } from '@/core/model/calendar';
import type { AgendaItem, AgendaPart } from '@/core/schedule/agenda';
import type { DayLoad } from '@/core/schedule/load';
import { MINUTE } from '@/core/time/civil';
import { agendaDayText, dayText, lengthText, otherSystemText, shortDayText, timeRangeText } from '@/ui/dates';
import { pageClasses } from '@/ui/pageClasses';
import { useDueByDay, useSettings, useWeather } from '@/store';
import { weatherSaid, weatherText } from '@/ui/weatherText';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontFamilies, fontSizes, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { DueFlag } from '../grid/DueFlag';
import { AgendaCard } from './AgendaCard';

interface AgendaSectionProps {
  part: AgendaPart;
  position: number;
  system: string | undefined;
  load: DayLoad | undefined;
  calendars: ReadonlyMap<string, Calendar>;
  today: number;
  selected: ReadonlySet<string>;
  tabbableKey: string | undefined;
  fadeBefore: number | undefined;
  onOpenDay: (day: number) => void;
  /** Drafts an entry on a day, in a free time of it if one is given (wall times). */
  onDraft: (day: number, gap?: { startWall: number; endWall: number }) => void;
}

/** A day of the agenda, or days without entries: drawn anew only where it changes. */
export const AgendaSection = memo(function AgendaSection(props: AgendaSectionProps) {
  const { part, position, load, today } = props;
  const { colours } = useTheme();
  if (part.kind === 'empty') {
    const { first, end } = part;
    return (
      <article
        className={classes.empty}
        data-first={first}
        data-end={end}
        aria-posinset={position}
        aria-setsize={-1}
        style={{ color: colours.quietInk }}
      >
        <button
          type="button"
          data-testid="agenda-empty"
          data-slot={`empty ${first}`}
          tabIndex={-1}
          aria-label={words.agenda.draft(dayText(first))}
          onClick={() => props.onDraft(first)}
          className={classes.draft}
        >
          {words.agenda.nothing(shortDayText(first), end - 1 > first ? shortDayText(end - 1) : undefined)}
        </button>
      </article>
    );
  }
  const isToday = part.day === today;
  const name = agendaDayText(part.day);
  return (
    <article
      className={classes.day}
      data-first={part.day}
      data-end={part.day + 1}
      aria-posinset={position}
      aria-setsize={-1}
      aria-label={isToday ? words.agenda.today(name) : name}
    >
      <DayHeading name={name} props={props} part={part} isToday={isToday} load={load} />
      {part.items.map((item) => (
        <Item key={keyOf(item)} item={item} {...props} day={part.day} />
      ))}
      {part.items.every((item) => item.kind === 'now') ? (
        <button
          type="button"
          data-slot={`empty ${part.day}`}
          tabIndex={-1}
          aria-label={words.agenda.draft(dayText(part.day))}
          onClick={() => props.onDraft(part.day)}
          className={`${classes.line} ${classes.draft}`}
          style={{ color: colours.quietInk }}
        >
          {words.agenda.nothingToday}
        </button>
      ) : null}
    </article>
  );
});

/** A day of the agenda: its date, and how much of it is booked. */
function DayHeading({
  name,
  props,
  part,
  isToday,
  load,
}: {
  name: string;
  props: AgendaSectionProps;
  part: { readonly kind: 'day'; readonly day: number; readonly items: readonly AgendaItem[] };
  isToday: boolean;
  load: DayLoad | undefined;
}) {
  const { colours } = useTheme();
  const due = useDueByDay().get(part.day);
  const { weather: settings } = useSettings();
  const degrees = settings?.degrees ?? 'celsius';
  const days = useMemo(() => [part.day], [part.day]);
  const occurrences = useMemo(
    () => part.items.flatMap((item) => (item.kind === 'entry' ? item.occurrence : [])),
    [part.items],
  );
  const weather = useWeather(days, occurrences).get(part.day);
  return (
    <h2 className={classes.head}>
      <button
        type="button"
        aria-label={words.weeks.open(name)}
        onClick={() => props.onOpenDay(part.day)}
        className={classes.date}
        style={
          isToday
            ? { backgroundColor: colours.primary, color: colours.onPrimary }
            : { backgroundColor: 'transparent', color: colours.ink, paddingLeft: 0 }
        }
      >
        {isToday ? words.agenda.today(name) : name}
      </button>
      {props.system ? (
        <span className={classes.system} style={{ color: colours.quietInk }}>
          {otherSystemText(props.system, part.day)}
        </span>
      ) : null}
      {due ? (
        <span className={classes.due}>
          <span className={classes.unseen}>{words.plan.due(due.length)}</span>
          <DueFlag due={due} />
        </span>
      ) : null}
      {weather ? (
        <span className={classes.weather} style={{ color: colours.quietInk }}>
          <span className={classes.unseen}>{weatherSaid(weather, degrees)}</span>
          <span aria-hidden>{weatherText(weather, degrees)}</span>
        </span>
      ) : null}
      {load && load.working > 0 ? (
        <span className={classes.load} style={{ color: colours.quietInk }}>
          {words.agenda.load(lengthText(load.booked * MINUTE), lengthText(load.working * MINUTE))}
        </span>
      ) : null}
    </h2>
  );
}

const keyOf = (item: AgendaItem): string =>
  item.kind === 'entry' ? item.occurrence.key : item.kind === 'gap' ? `gap ${item.startWall}` : 'now';

function Item({ item, day, ...props }: AgendaSectionProps & { item: AgendaItem; day: number }) {
  const { colours } = useTheme();
  if (item.kind === 'entry') {
    const { occurrence } = item;
    return (
      <AgendaCard
        occurrence={occurrence}
        day={day}
        calendar={props.calendars.get(occurrence.calendarId)}
        selected={props.selected.has(occurrence.key)}
        tabbable={props.tabbableKey === occurrence.key && !item.continues}
        faded={props.fadeBefore !== undefined && occurrence.end <= props.fadeBefore}
      />
    );
  }
  const isNow = item.kind === 'now';
  if (!isNow) {
    const times = timeRangeText(item.startWall, item.endWall);
    return (
      <button
        type="button"
        className={`${classes.line} ${classes.draft}`}
        data-testid="agenda-gap"
        data-slot={`gap ${item.startWall}`}
        tabIndex={-1}
        aria-label={words.lanes.freeFrom(times)}
        onClick={() => props.onDraft(day, item)}
        style={{ color: colours.quietInk }}
      >
        <span className={classes.dash} style={{ borderColor: colours.line }} />
        <span>{words.agenda.free(lengthText(item.endWall - item.startWall), times)}</span>
        <span className={classes.dashes} style={{ borderColor: colours.line }} />
      </button>
    );
  }
  return (
    <div className={classes.line} data-testid="agenda-now" style={{ color: colours.ink }}>
      <span className={classes.dash} style={{ borderColor: colours.accent }} />
      <span>{words.agenda.now(item.next === undefined ? undefined : lengthText(item.next))}</span>
      <span className={classes.dashes} style={{ borderColor: colours.accent }} />
    </div>
  );
}

const text = {
  fontFamily: `${fontFamilies.text}, ${fontFamilies.fallback}`,
  fontSize: fontSizes.small,
  fontVariantNumeric: 'tabular-nums',
} as const;

const classes = pageClasses('agendapart', {
  day: { paddingBottom: space(3), maxWidth: 820 },
  head: {
    display: 'flex',
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: space(2),
    margin: `${space(1)}px 0 ${space(2)}px`,
    minHeight: 40,
    fontWeight: 400,
  },
  date: {
    fontFamily: `${fontFamilies.title}, ${fontFamilies.fallback}`,
    fontSize: fontSizes.large + 1,
    fontWeight: 600,
    // This type draws a figure close to the word beside it.
    wordSpacing: '0.12em',
    border: 0,
    borderRadius: corner,
    padding: `${space(1)}px ${space(2)}px`,
    minHeight: 36,
    cursor: 'pointer',
    textAlign: 'left',
  },
  load: { ...text, whiteSpace: 'nowrap' },
  weather: { ...text, position: 'relative', whiteSpace: 'nowrap' },
  due: { position: 'relative', marginLeft: 'auto' },
  unseen: { position: 'absolute', width: 1, height: 1, overflow: 'hidden', opacity: 0 },
  system: { ...text, flexGrow: 1 },
  line: {
    ...text,
    display: 'flex',
    alignItems: 'center',
    gap: space(2),
    margin: `0 0 ${space(2)}px 48px`,
    minHeight: 20,
  },
  dash: { width: 12, borderTopWidth: 1, borderTopStyle: 'solid' },
  dashes: { flexGrow: 1, borderTopWidth: 1, borderTopStyle: 'dashed' },
  draft: {
    ...text,
    border: 0,
    background: 'transparent',
    color: 'inherit',
    textAlign: 'left',
    cursor: 'pointer',
    minHeight: 28,
    width: 'calc(100% - 48px)',
    borderRadius: corner,
  },
  empty: { ...text, fontSize: fontSizes.body, padding: `${space(2)}px 0`, marginBottom: space(2) },
});
