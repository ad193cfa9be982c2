import { type MouseEvent, useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { agendaOf, type AgendaPart } from '@/core/schedule/agenda';
import type { DayLoad } from '@/core/schedule/load';
import { DAY } from '@/core/time/civil';
import { type DaysAnswer, useNow, useNowWall, useSettings } from '@/store';
import { useKeptParts } from '@/ui/useKeptParts';
import { pageClasses } from '@/ui/pageClasses';
import { AppText } from '@/ui/primitives/AppText';
import { space } from '@/ui/theme/tokens';
import { viewRef, webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { type CardOrder, tabbableKeyOf } from '../grid/cardOrder';
import { useCardKeys } from '../grid/useCardKeys';
import { useDraftOnDay } from '../grid/useDraftOnDay';
import type { GridActions } from '../grid/useGridDrag';
import type { ViewProps } from '../viewProps';
import { AgendaSection } from './AgendaSection';
import { useAgendaBlocks } from './useAgendaBlocks';
import { useAgendaScroll } from './useAgendaScroll';
import { isTouch } from '../menus/planMenu';

/** Entries, free times and empty stretches of each day in the order in which the keys walk them. */
function orderOf(parts: readonly AgendaPart[]): CardOrder {
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
}

/** The days that have come so far as parts of the agenda, and how booked each is. */
function useAgendaParts(answers: readonly DaysAnswer[], zone: string) {
  const { homeZone, workingPattern } = useSettings();
  const now = useNow();
  const made = useMemo(() => {
    const context = { zone, homeZone, pattern: workingPattern, now };
    const [start] = answers;
    if (!start) return [];
    // An entry over several days is in the answer of each of them.
    const all = new Map(
      answers.flatMap(({ occurrences }) => occurrences.map((occurrence) => [occurrence.key, occurrence])),
    );
    return agendaOf([...all.values()], start.firstDay, answers.at(-1)!.endDay, context);
  }, [answers, zone, homeZone, workingPattern, now]);
  const parts = useKeptParts(made);
  const loads = useMemo(
    () => new Map(answers.flatMap((answer) => answer.loads.map((load) => [load.day, load] as const))),
    [answers],
  );
  const order = useMemo(() => orderOf(parts), [parts]);
  return { parts, loads, order };
}

/** Entries by day in order, with the free times between them in words; goes on in both directions. */
export function AgendaView(props: ViewProps) {
  const { address, range, options, selectedKeys, actions } = props;
  const frame = useRef<HTMLElement>(null);
  const [anchor, setAnchor] = useState(address.day);
  const bounds = address.periodSetId === undefined ? undefined : range;
  const start = bounds ? Math.min(Math.max(anchor, bounds.first), bounds.end - 1) : anchor;
  const blocks = useAgendaBlocks(start, bounds, options);
  const { answers, failed, isFetching } = blocks;
  const { parts, loads, order } = useAgendaParts(answers, address.zone);
  const tabbableKey = tabbableKeyOf(order, selectedKeys);
  const onCardKey = useCardKeys(frame, order, actions, answers);
  const { scroller, onScroll } = useAgendaScroll(start, {
    ...blocks,
    day: address.day,
    today: Math.floor(useNowWall(address.zone) / DAY),
    visits: props.visits,
    bounds,
    parts,
    onAnchor: setAnchor,
    onSelectDay: props.onSelectDay,
  });

  return (
    <View ref={viewRef(frame)} testID="agenda" style={styles.frame} {...webProps({ onKeyDown: onCardKey })}>
      {failed ? <AppText role="alert">{words.plan.failed}</AppText> : null}
      <div
        ref={scroller}
        className={classes.scroller}
        role="feed"
        aria-label={words.agenda.label}
        aria-busy={isFetching}
        onScroll={onScroll}
        {...pressesOn(actions)}
      >
        <Sections view={props} answers={answers} parts={parts} loads={loads} tabbableKey={tabbableKey} />
      </div>
    </View>
  );
}

interface SectionsProps {
  view: ViewProps;
  answers: readonly DaysAnswer[];
  parts: readonly AgendaPart[];
  loads: ReadonlyMap<number, DayLoad>;
  tabbableKey: string | undefined;
}

/** The days, and the stretches without entries, one after the other. */
function Sections({ view, answers, parts, loads, tabbableKey }: SectionsProps) {
  const { address, calendars, draftCalendar, selectedKeys, actions, onOpenDay } = view;
  const { homeZone, secondCalendarSystem } = useSettings();
  const now = useNow();
  const today = Math.floor(useNowWall(address.zone) / DAY);
  const calendarsById = useMemo(() => new Map(calendars.map((each) => [each.id, each])), [calendars]);
  const selected = useMemo(() => new Set(selectedKeys), [selectedKeys]);
  const draftOnDay = useDraftOnDay(address.zone, draftCalendar, actions);
  const taken = useMemo(
    () => answers.flatMap(({ occurrences, travelling }) => [...occurrences, ...travelling]),
    [answers],
  );
  return parts.map((part, index) => (
    <AgendaSection
      key={part.kind === 'day' ? part.day : -part.first}
      part={part}
      position={index + 1}
      system={secondCalendarSystem}
      load={part.kind === 'day' && address.zone === homeZone ? loads.get(part.day) : undefined}
      calendars={calendarsById}
      today={today}
      selected={selected}
      tabbableKey={tabbableKey}
      fadeBefore={address.fadePast ? now : undefined}
      onOpenDay={onOpenDay}
      onDraft={(day, gap) => draftOnDay(taken, day, gap)}
    />
  ));
}

/** Presses on the cards of a list: a held finger collects. */
const pressesOn = ({ press }: GridActions) => ({
  onClick: (event: MouseEvent) => {
    const key = keyAt(event.target);
    if (key !== undefined) press(key, { add: event.ctrlKey || event.metaKey });
  },
  onContextMenu: (event: MouseEvent) => {
    const key = keyAt(event.target);
    if (key === undefined || !isTouch(event.nativeEvent)) return;
    event.preventDefault();
    press(key, { add: true });
  },
});

const keyAt = (target: EventTarget): string | undefined =>
  target instanceof Element ? target.closest<HTMLElement>('[data-key]')?.dataset.key : undefined;

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
