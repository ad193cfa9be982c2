import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { lengthOfNew } from '@/core/change/calendarDefaults';
import { agendaOf, freeStartOn } from '@/core/schedule/agenda';
import { DAY, MINUTE } from '@/core/time/civil';
import { useNow, useNowWall, useSettings } from '@/store';
import { useKeptParts } from '@/ui/useKeptParts';
import { pageClasses } from '@/ui/pageClasses';
import { AppText } from '@/ui/primitives/AppText';
import { space } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { type CardOrder, tabbableKeyOf } from '../grid/cardOrder';
import { useCardKeys } from '../grid/useCardKeys';
import type { ViewProps } from '../viewProps';
import { AgendaSection } from './AgendaSection';
import { useAgendaBlocks } from './useAgendaBlocks';
import { isTouch } from '../menus/planMenu';

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
  const made = useMemo(() => {
    const context = { zone: address.zone, homeZone, pattern: workingPattern, now };
    const [start] = answers;
    if (!start) return [];
    // An entry over several days is in the answer of each of them.
    const all = new Map(
      answers.flatMap(({ occurrences }) => occurrences.map((occurrence) => [occurrence.key, occurrence])),
    );
    return agendaOf([...all.values()], start.firstDay, answers.at(-1)!.endDay, context);
  }, [answers, address.zone, homeZone, workingPattern, now]);
  const parts = useKeptParts(made);
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
          if (key === undefined || !isTouch(event.nativeEvent)) return;
          event.preventDefault();
          actions.press(key, { add: true });
        }}
      >
        {parts.map((part, index) => (
          <AgendaSection
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

const classes = pageClasses('agendalist', {
  scroller: {
    position: 'absolute',
    inset: 0,
    overflowY: 'auto',
    overflowAnchor: 'none',
    padding: `0 ${space(1)}px`,
    boxSizing: 'border-box',
  },
});

const styles = StyleSheet.create({ frame: { flex: 1, minHeight: 160 } });
