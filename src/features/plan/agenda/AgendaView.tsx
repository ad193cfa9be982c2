import { memo, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { lengthOfNew } from '@/core/change/calendarDefaults';
import { agendaOf, type AgendaItem, type AgendaPart, freeStartOn } from '@/core/schedule/agenda';
import type { Calendar } from '@/core/model/calendar';
import type { DayLoad } from '@/core/schedule/load';
import { DAY, MINUTE } from '@/core/time/civil';
import { useNow, useNowWall, useSettings } from '@/store';
import { agendaDayText, dayText, lengthText, otherSystemText, shortDayText, timeRangeText } from '@/ui/dates';
import { pageClasses } from '@/ui/pageClasses';
import { AppText } from '@/ui/primitives/AppText';
import { useTheme } from '@/ui/theme/theme';
import { corner, fontFamilies, fontSizes, space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { type CardOrder, tabbableKeyOf } from '../grid/cardOrder';
import { useCardKeys } from '../grid/useCardKeys';
import type { ViewProps } from '../viewProps';
import { AgendaCard } from './AgendaCard';
import { useAgendaBlocks } from './useAgendaBlocks';

/** So near to an end of the list, in pixels, the next days are fetched. */
const NEAR = 900;
/** The selected day follows when scrolling has rested so long, in milliseconds. */
const REST = 180;
/** Days out of sight are fetched when nothing has come for so long, in milliseconds. */
const QUIET = 700;

/** Entries by day in order, with the free times between them in words; goes on in both directions. */
export function AgendaView({
  address,
  range,
  options,
  calendars,
  draftCalendar,
  selectedKeys,
  actions,
  visits,
  onOpenDay,
  onSelectDay,
}: ViewProps) {
  const settings = useSettings();
  const now = useNow();
  const today = Math.floor(useNowWall(address.zone) / DAY);
  const frame = useRef<View>(null);
  const scroller = useRef<HTMLDivElement>(null);
  // A day that scrolling selected is in sight already; any other is gone to.
  const ownDay = useRef<number | undefined>(undefined);
  const [anchor, setAnchor] = useState(address.day);
  const bounds = address.periodSetId === undefined ? undefined : range;
  const start = bounds ? Math.min(Math.max(anchor, bounds.first), bounds.end - 1) : anchor;
  const { answers, failed, extend, hasBefore, hasAfter, isFetching } = useAgendaBlocks(
    start,
    bounds,
    options,
  );

  const { homeZone, workingPattern } = settings;
  const parts = useMemo(() => {
    const context = { zone: address.zone, homeZone, pattern: workingPattern, now };
    const [start] = answers;
    if (!start) return [];
    // An entry over several days is in the answer of each of them.
    const all = new Map(
      answers.flatMap(({ occurrences }) => occurrences.map((occurrence) => [occurrence.key, occurrence])),
    );
    return agendaOf([...all.values()], start.firstDay, answers.at(-1)!.endDay, context);
  }, [answers, address.zone, homeZone, workingPattern, now]);
  const loads = useMemo(
    () => new Map(answers.flatMap((answer) => answer.loads.map((load) => [load.day, load] as const))),
    [answers],
  );
  const calendarsById = useMemo(() => new Map(calendars.map((each) => [each.id, each])), [calendars]);
  const selected = useMemo(() => new Set(selectedKeys), [selectedKeys]);
  const order = useMemo((): CardOrder => {
    const lists = parts.map((part) =>
      part.kind === 'empty'
        ? [`empty ${part.first}`]
        : part.items.flatMap((item) =>
            item.kind === 'entry'
              ? item.continues
                ? []
                : [item.occurrence.key]
              : item.kind === 'gap'
                ? [`gap ${item.startWall}`]
                : [],
          ),
    );
    return { lists, along: 'down', runsOn: 1 };
  }, [parts]);
  const tabbableKey = tabbableKeyOf(order, selectedKeys);
  const onCardKey = useCardKeys(
    frame as unknown as React.RefObject<HTMLElement | null>,
    order,
    actions,
    answers,
  );

  const draftAt = (day: number, gap?: { startWall: number; endWall: number }) => {
    const length = lengthOfNew(draftCalendar, settings) * MINUTE;
    const context = { zone: address.zone, homeZone, pattern: workingPattern, now };
    const own = answers.flatMap(({ occurrences }) => occurrences);
    const start = gap?.startWall ?? freeStartOn(own, day, length, context);
    actions.draft(start, Math.min(start + length, gap?.endWall ?? Infinity), false);
  };

  // What stands at the top stays there when days come before it.
  const top = useRef<{ day: number; offset: number }>({ day: start, offset: 0 });
  const placedAt = useRef<number | undefined>(undefined);
  const keepInPlace = () => {
    const section = scroller.current && sectionOf(scroller.current, top.current.day);
    if (!scroller.current || !section) return;
    scroller.current.scrollTop = section.offsetTop + top.current.offset;
    placedAt.current = scroller.current.scrollTop;
  };
  const rest = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  useEffect(() => () => clearTimeout(rest.current), []);
  const visited = useRef(visits);
  useLayoutEffect(() => {
    if (address.day === ownDay.current && visits === visited.current) return;
    visited.current = visits;
    ownDay.current = address.day;
    // Where scrolling came to rest a moment ago counts no more.
    clearTimeout(rest.current);
    top.current = {
      day: bounds ? Math.min(Math.max(address.day, bounds.first), bounds.end - 1) : address.day,
      offset: 0,
    };
    const box = scroller.current;
    if (box && sectionOf(box, address.day)) keepInPlace();
    else setAnchor(address.day);
  }, [address.day, bounds, visits]);
  useLayoutEffect(keepInPlace, [parts]);
  useEffect(() => {
    const box = scroller.current;
    if (!box || isFetching) return;
    // Days in sight at once; then, in a quiet moment, those below and those above.
    const below = box.scrollHeight - box.scrollTop - box.clientHeight;
    if (below <= 0 && hasAfter) return extend(1);
    const direction = below < NEAR && hasAfter ? 1 : box.scrollTop < NEAR && hasBefore ? -1 : 0;
    if (direction === 0) return;
    const handle = setTimeout(() => extend(direction), QUIET);
    return () => clearTimeout(handle);
  }, [parts, isFetching, hasAfter, hasBefore, extend]);
  const onScroll = () => {
    const box = scroller.current;
    // Nobody has scrolled where the list itself has put what is seen, or has gone already.
    if (!box || box.scrollTop === placedAt.current) return;
    placedAt.current = undefined;
    const section = [...box.querySelectorAll<HTMLElement>('[data-first]')].findLast(
      (each) => each.offsetTop <= box.scrollTop + 1,
    );
    if (!section) return;
    const day = Number(section.dataset.first);
    top.current = { day, offset: box.scrollTop - section.offsetTop };
    if (!isFetching && hasAfter && box.scrollHeight - box.scrollTop - box.clientHeight < NEAR) extend(1);
    if (!isFetching && hasBefore && box.scrollTop < NEAR) extend(-1);
    clearTimeout(rest.current);
    rest.current = setTimeout(() => {
      const day = top.current.day;
      if (day === ownDay.current) return;
      ownDay.current = day;
      onSelectDay(day);
    }, REST);
  };

  return (
    <View ref={frame} testID="agenda" style={styles.frame} {...webProps({ onKeyDown: onCardKey })}>
      {failed ? <AppText role="alert">{words.plan.failed}</AppText> : null}
      <div
        ref={scroller}
        className={classes.scroller}
        role="feed"
        aria-label={words.agenda.label}
        aria-busy={isFetching}
        onScroll={onScroll}
        onClick={(event) => {
          const key = keyAt(event.target);
          if (key !== undefined) actions.press(key, { add: event.ctrlKey || event.metaKey });
        }}
        onContextMenu={(event) => {
          // A held finger collects.
          const key = keyAt(event.target);
          if (key === undefined) return;
          event.preventDefault();
          actions.press(key, { add: true });
        }}
      >
        {parts.map((part, index) => (
          <Part
            key={part.kind === 'day' ? part.day : -part.first}
            part={part}
            position={index + 1}
            system={settings.secondCalendarSystem}
            load={part.kind === 'day' && address.zone === homeZone ? loads.get(part.day) : undefined}
            calendars={calendarsById}
            today={today}
            selected={selected}
            tabbableKey={tabbableKey}
            fadeBefore={address.fadePast ? now : undefined}
            onOpenDay={onOpenDay}
            onDraft={draftAt}
          />
        ))}
      </div>
    </View>
  );
}

const keyAt = (target: EventTarget): string | undefined =>
  target instanceof Element ? target.closest<HTMLElement>('[data-key]')?.dataset.key : undefined;

/** The section that shows a day, alone or among others without entries. */
const sectionOf = (box: HTMLElement, day: number): HTMLElement | undefined =>
  [...box.querySelectorAll<HTMLElement>('[data-first]')].find(
    (section) => Number(section.dataset.first) <= day && day < Number(section.dataset.end),
  );

interface PartProps {
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

const Part = memo(function Part(props: PartProps) {
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
        {load && load.working > 0 ? (
          <span className={classes.load} style={{ color: colours.quietInk }}>
            {words.agenda.load(lengthText(load.booked * MINUTE), lengthText(load.working * MINUTE))}
          </span>
        ) : null}
      </h2>
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

const keyOf = (item: AgendaItem): string =>
  item.kind === 'entry' ? item.occurrence.key : item.kind === 'gap' ? `gap ${item.startWall}` : 'now';

function Item({ item, day, ...props }: PartProps & { item: AgendaItem; day: number }) {
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

const classes = pageClasses('agendalist', {
  scroller: {
    position: 'absolute',
    inset: 0,
    overflowY: 'auto',
    overflowAnchor: 'none',
    padding: `0 ${space(1)}px`,
    boxSizing: 'border-box',
  },
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
    border: 0,
    borderRadius: corner,
    padding: `${space(1)}px ${space(2)}px`,
    minHeight: 36,
    cursor: 'pointer',
    textAlign: 'left',
  },
  load: { ...text, whiteSpace: 'nowrap' },
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

const styles = StyleSheet.create({ frame: { flex: 1, minHeight: 160 } });
