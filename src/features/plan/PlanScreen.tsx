import type { EventFields } from '@/core/model/entry';
import { Suspense, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { useShallow } from 'zustand/react/shallow';
import { targetCalendar } from '@/core/change/calendarChanges';
import { VIEW_DESCRIPTORS } from '@/core/layout/viewDescriptors';
import { yearOf } from '@/core/layout/views';
import { NO_FILTER } from '@/core/model/look';
import { isFilterEmpty } from '@/core/schedule/entryFilter';
import { DAY } from '@/core/time/civil';
import { withRough } from '@/core/forecast/withRough';
import { tiesOf } from '@/core/todos/todoTies';
import { withDone } from '@/core/todos/withDone';
import {
  DraftBar,
  sideOf,
  useColleagues,
  useCommands,
  usePlanAddress,
  useWorkspace,
  withColleagues,
  workspace,
} from '@/features/workspace';
import { ZoneBanner } from '@/features/zones';
import {
  type DaysOptions,
  useDays,
  useFolded,
  useLeftOut,
  useListedCalendars,
  useNowWall,
  usePreparedLoads,
  useSettings,
  useSnapshot,
  useWeather,
} from '@/store';
import { later } from '@/ui/later';
import { PartBoundary } from '@/ui/PartBoundary';
import { useTheme } from '@/ui/theme/theme';
import { ALL_TOOLS, DESK_BESIDE, sizes, space, WIDE } from '@/ui/theme/tokens';
import { useWindowHeight } from '@/ui/useWindowHeight';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { ChipRow } from './ChipRow';
import { preloadList } from './chips/CalendarChips';
import { EntryLine, type EntryLineHandle } from '@/features/line';
import { useWriteAtStart } from './line/useWriteAtStart';
import { FilterLine } from './filter/FilterLine';
import { FoldedRows } from './FoldedRows';
import { draftGhost } from './grid/draftGhost';
import { LoadStrip } from './strip/LoadStrip';
import { isTouch, openPlanMenu, subjectAt, usePlanMenu } from './menus/planMenu';
import { PlanSheets } from './PlanSheets';
import { PlanSide, preloadSides } from './PlanSide';
import { PlanView } from './PlanView';
import { TitleRow } from './TitleRow';
import { TroubleBanner } from './TroubleBanner';
import { usePlanActions } from './usePlanActions';
import { usePlanKeys } from './usePlanKeys';
import { usePlanRange } from './usePlanRange';
import { useTodosColumn } from './useTodosColumn';
import { useStartPreset } from './presets/useStartPreset';
import { useSwipe } from './useSwipe';
import { ViewState } from './ViewState';

const planMenu = later(() => import('./menus/PlanMenu').then((module) => module.PlanMenu));
const todosColumn = later(() => import('@/features/later').then((module) => module.TodosColumn));
const colleagueHost = later(() => import('@/features/later').then((module) => module.ColleagueHost));
export const preloadPanels = (): Promise<unknown> =>
  Promise.all([preloadSides(), planMenu.fetchAhead(), preloadList()]);

/** Goes somewhere, and folds the rows that a low window opens over the view. */
const closesRows =
  <Given extends unknown[]>(go: (...given: Given) => void) =>
  (...given: Given) => {
    workspace.openRows(false);
    go(...given);
  };

/** The calendar: title row, strip, chips, the view, the entry line, and the desk beside or over them. */
export function PlanScreen() {
  const { hourCycle } = useSettings();
  // Times stand on memoised cards: they are all drawn anew where the clock is chosen meanwhile.
  return <Plan key={hourCycle} />;
}

function Plan() {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const isLow = useWindowHeight() !== 'full';
  const rowsButton = useRef<View>(null);
  const { address, to } = usePlanAddress();
  const { zone, hidden, filter } = address;
  const calendars = useListedCalendars();
  const commands = useCommands(zone);
  const today = Math.floor(useNowWall(zone) / DAY);
  const folded = useFolded();
  const selected = useWorkspace((state) => state.selected);
  const editing = useWorkspace((state) => state.editing);
  const side = useWorkspace(useShallow(sideOf));
  const menuUsed = usePlanMenu((state) => state.isUsed);
  const line = useRef<EntryLineHandle>(null);
  const view = useRef<View>(null);
  const [lineDraft, setLineDraft] = useState<EventFields | null>(null);
  useStartPreset();
  const startsFolded = useRef(folded.includes('desk'));
  useEffect(() => {
    if (startsFolded.current) workspace.setDesk(false);
  }, []);

  const planRange = usePlanRange(address);
  const { days, range, stepped, neighbours } = planRange;
  const options = useMemo(
    (): DaysOptions => ({
      hiddenCalendarIds: hidden,
      filter,
      withoutCancelled: !address.showCancelled,
      zone,
    }),
    [hidden, filter, address.showCancelled, zone],
  );
  // The year asks for loads alone and the agenda for days itself: of their entries the selected day's are asked for here.
  const { asksItself } = VIEW_DESCRIPTORS[address.view];
  const shown = { first: days[0]!, end: days.at(-1)! + 1 };
  const asked = asksItself ? { first: address.day, end: address.day + 1 } : shown;
  const leavesOut = hidden.length > 0 || !isFilterEmpty(filter);
  const leftOut = useLeftOut(asksItself && leavesOut ? shown : undefined, options);
  const { answer, isLoading, failed, retry } = useDays(asked.first, asked.end, { ...options, neighbours });
  usePreparedLoads(yearOf(address.day), options);
  const target = useSnapshot(({ state }) => targetCalendar(state, new Set(hidden)));
  const actions = usePlanActions(address, stepped, commands, target);
  const keyActions = useMemo(
    () => ({
      step: actions.step,
      today: actions.today,
      todayNumber: actions.todayNumber,
      open: actions.open,
      moveByKey: actions.moveByKey,
      focusLine: () => {
        // Where a low window folds it, the line is there a moment later.
        workspace.openRows(true);
        requestAnimationFrame(() => line.current?.focus());
      },
    }),
    [actions.step, actions.today, actions.todayNumber, actions.open, actions.moveByKey],
  );
  const stripActions = useMemo(
    () => ({
      onWeek: closesRows(actions.toWeek),
      onDays: closesRows(actions.toDays),
      goToToday: closesRows(actions.today),
    }),
    [actions.toWeek, actions.toDays, actions.today],
  );
  const hide = useCallback((next: readonly string[]) => to({ hidden: [...next] }), [to]);
  usePlanKeys(commands, keyActions);
  useWriteAtStart(keyActions.focusLine);
  useSwipe(view as unknown as React.RefObject<HTMLElement | null>, address.view, actions.step);

  const colleagues = useColleagues();
  const showsThem = VIEW_DESCRIPTORS[address.view].hasHours || address.view === 'lanes';
  const ties = useSnapshot(({ state }) => tiesOf(state));
  const { weather: weatherSettings } = useSettings();
  const outdoors = weatherSettings?.outdoors;
  const weather = useWeather(days, answer?.occurrences);
  const inView = useMemo(() => {
    const own = answer && {
      ...answer,
      occurrences: withRough(withDone(answer.occurrences, ties.over), weather, outdoors),
    };
    return showsThem
      ? {
          answer: withColleagues(own, colleagues, hidden),
          calendars: [...calendars, ...colleagues.calendars],
        }
      : { answer: own, calendars };
  }, [showsThem, answer, ties, weather, outdoors, colleagues, calendars, hidden]);
  const draftFields = editing?.fields ?? lineDraft;
  const draft = useMemo(
    () => (draftFields ? draftGhost(draftFields, editing?.target, calendars, zone) : null),
    [draftFields, editing?.target, calendars, zone],
  );
  const wide = width >= WIDE;
  const [todosWanted, showTodos] = useTodosColumn();
  const todosBeside = todosWanted && width >= DESK_BESIDE;
  const planWidth = !wide
    ? width
    : width -
      sizes.rail -
      (side.kind !== 'none' && width >= DESK_BESIDE ? sizes.desk : 0) -
      (todosBeside ? sizes.todos : 0) -
      2 * space(4);
  const chipsFolded = folded.includes('chips');
  const toolsInTitle = wide && !isLow && (chipsFolded || planWidth >= ALL_TOOLS);
  const isEmpty = inView.answer?.occurrences.length === 0 && !draft && !asksItself;
  const allHidden = calendars.length > 0 && calendars.every(({ id }) => hidden.includes(id));
  const isFiltered = !isFilterEmpty(filter) && (answer?.filteredOut ?? 0) > 0;
  const rowsAbove = (
    <>
      <ZoneBanner />
      <TroubleBanner count={answer?.troubled ?? 0} />
      {(folded.includes('strip') && !isLow) || address.view === 'year' ? null : (
        <LoadStrip days={days} today={today} options={options} {...stripActions} visits={actions.visits} />
      )}
      {chipsFolded && !isLow ? null : (
        <ChipRow
          calendars={showsThem ? inView.calendars : calendars}
          hidden={hidden}
          asksItself={asksItself}
          answer={inView.answer}
          hide={hide}
          toolsInTitle={toolsInTitle}
          wide={wide}
          canHaveTodos={width >= DESK_BESIDE}
          todosBeside={todosBeside}
          showTodos={showTodos}
        />
      )}
      <FilterLine
        address={address}
        calendars={calendars}
        leftOut={asksItself ? leftOut : answer?.filteredOut}
      />
    </>
  );
  const entryLine = (
    <PartBoundary name={words.line.label}>
      <EntryLine
        ref={line}
        selectedDay={address.day}
        zone={zone}
        calendars={calendars}
        target={target}
        onDraft={setLineDraft}
      />
    </PartBoundary>
  );

  return (
    <View style={styles.screen}>
      {todosBeside ? (
        <PartBoundary
          name={words.places.todos}
          leave={{ label: words.actions.close, onPress: () => showTodos(false) }}
        >
          <Suspense fallback={null}>
            <todosColumn.Later onFold={() => showTodos(false)} />
          </Suspense>
        </PartBoundary>
      ) : null}
      <View
        role="main"
        style={[
          styles.main,
          wide ? styles.mainWide : null,
          isLow ? styles.mainLow : null,
          { backgroundColor: colours.page },
        ]}
      >
        <TitleRow
          address={address}
          planRange={planRange}
          planWidth={planWidth}
          withTools={toolsInTitle}
          rowsButton={isLow ? rowsButton : undefined}
          leavesOut={leavesOut}
          onStep={actions.step}
          onToday={actions.today}
          today={today}
        />
        {isLow ? null : rowsAbove}
        {address.colleagues.length > 0 ? (
          <PartBoundary name={words.look.colleagues}>
            <Suspense fallback={null}>
              <colleagueHost.Later address={address} days={shown} isShown={showsThem} />
            </Suspense>
          </PartBoundary>
        ) : null}
        <View
          ref={view}
          testID="plan-view"
          {...webProps({
            // What the grid has not answered itself: heads, days and gaps, cards of lists.
            onContextMenu: (event) => {
              const subject = event.defaultPrevented || isTouch(event) ? undefined : subjectAt(event.target);
              if (!subject) return;
              event.preventDefault();
              openPlanMenu(subject, { x: event.clientX, y: event.clientY });
            },
          })}
          style={[styles.view, isLow ? null : styles.viewRoomy]}
        >
          <PartBoundary name={words.plan.view[address.view]} showing={`${address.view} ${address.day}`}>
            <PlanView
              address={address}
              days={days}
              range={range}
              answer={inView.answer}
              options={options}
              calendars={inView.calendars}
              draftCalendar={target}
              draft={draft}
              selectedKeys={selected}
              actions={actions.gridActions}
              visits={actions.visits}
              onOpenDay={actions.openDay}
              onSelectDay={actions.selectDay}
            />
          </PartBoundary>
          <ViewStateOf
            isLoading={isLoading}
            failed={failed}
            isEmpty={isEmpty}
            allHidden={allHidden}
            isFiltered={isFiltered}
            retry={retry}
          />
          {isLow ? (
            <FoldedRows button={rowsButton}>
              {entryLine}
              {rowsAbove}
            </FoldedRows>
          ) : null}
        </View>
        <DraftBar />
        {isLow ? null : entryLine}
      </View>
      <PlanSide side={side} width={width} wide={wide} onOpen={actions.open} />
      <PlanSheets address={address} today={today} />
      {menuUsed ? (
        <Suspense fallback={null}>
          <planMenu.Later address={address} commands={commands} draftCalendar={target} actions={actions} />
        </Suspense>
      ) : null}
    </View>
  );
}

/** What is said over a view that has nothing to show. */
function ViewStateOf({
  isLoading,
  failed,
  isEmpty,
  allHidden,
  isFiltered,
  retry,
}: {
  isLoading: boolean;
  failed: boolean;
  isEmpty: boolean | undefined;
  allHidden: boolean;
  isFiltered: boolean;
  retry: () => void;
}) {
  const { to } = usePlanAddress();
  return (
    <ViewState
      isLoading={isLoading}
      failed={failed}
      empty={!isEmpty ? undefined : allHidden ? 'all-hidden' : isFiltered ? 'filtered' : 'nothing'}
      onRetry={retry}
      onShowAll={() => to({ hidden: [] })}
      onClearFilter={() => to({ filter: NO_FILTER })}
    />
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, flexDirection: 'row' },
  main: { flex: 1, paddingHorizontal: space(2), paddingBottom: space(2), minWidth: 0 },
  mainWide: { paddingHorizontal: space(4), paddingTop: space(2) },
  mainLow: { paddingTop: 0, paddingBottom: 0 },
  view: { flex: 1 },
  viewRoomy: { marginBottom: space(2) },
});
