import { lazy, Suspense, useCallback, useMemo, useRef, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { targetCalendar } from '@/core/change/calendarChanges';
import { blankFields, type EventFields } from '@/core/change/eventFields';
import { eventAt, targetOfKey } from '@/core/change/target';
import { shownDays, stepRange } from '@/core/layout/views';
import { DAY, MINUTE, dateString, localString, startOfWeek, weekdayOf } from '@/core/time/civil';
import { instantOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { Desk } from '@/features/desk';
import { SeriesPage } from '@/features/series';
import { useCommands, usePlanAddress, useWorkspace, workspace } from '@/features/workspace';
import { ZoneBanner } from '@/features/zones';
import { useCalendars, useDays, useNowWall, useOpenStore, useSettings, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { DESK_BESIDE, space, WIDE } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { CalendarChips } from './CalendarChips';
import { EntryLine, type EntryLineHandle } from './EntryLine';
import type { Ghost } from './hours/ghost';
import { HoursView } from './hours/HoursView';
import type { GridActions } from './hours/useGridDrag';
import { LoadStrip } from './strip/LoadStrip';
import { TitleRow } from './TitleRow';
import { usePlanKeys } from './usePlanKeys';

const Editor = lazy(() => import('@/features/editor').then((module) => ({ default: module.Editor })));

/** The calendar: title row, chips, the view, the entry line, and the desk beside or over them. */
export function PlanScreen() {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const { store, clock } = useOpenStore();
  const { workingPattern, defaultLengthMinutes } = useSettings();
  const { address, to } = usePlanAddress();
  const { zone } = address;
  const calendars = useCalendars();
  const commands = useCommands(zone);
  const nowWall = useNowWall(zone);
  const selected = useWorkspace((state) => state.selected);
  const deskOpen = useWorkspace((state) => state.deskOpen);
  const editing = useWorkspace((state) => state.editing);
  const seriesShown = useWorkspace((state) => state.seriesShown);
  const line = useRef<EntryLineHandle>(null);
  const [lineDraft, setLineDraft] = useState<EventFields | null>(null);

  const days = useMemo(() => shownDays(address, workingPattern), [address, workingPattern]);
  const stepDays = address.view === 'day' ? 1 : address.view === 'days' ? address.dayCount : 7;
  const { answer, isLoading, failed, retry } = useDays(days[0]!, days.at(-1)! + 1, {
    hiddenCalendarIds: address.hidden,
    stepDays,
    zone,
  });
  const state = useSnapshot((snapshot) => snapshot.state);
  const target = useMemo(() => targetCalendar(state, new Set(address.hidden)), [state, address.hidden]);

  const step = useCallback(
    (direction: 1 | -1) => to({ day: stepRange(address, direction).day }),
    [address, to],
  );
  const today = useCallback(
    () => to({ day: Math.floor(instantToWall(zone, clock()) / DAY) }),
    [to, zone, clock],
  );
  // The weekday stays, so that the selected day follows through the weeks; a view of days begins with the pressed one.
  const toWeek = useCallback(
    (day: number) =>
      to({
        day:
          address.view === 'week' || address.view === 'workdays'
            ? startOfWeek(day) + weekdayOf(address.day) - 1
            : day,
      }),
    [to, address.view, address.day],
  );
  const open = useCallback(
    (key: string) => {
      const event = eventAt(store.getSnapshot().state, targetOfKey(key), commands.context());
      if (!event) return;
      const master =
        event.recurrence ?? store.getSnapshot().state.entries.get(targetOfKey(key).entryId)?.recurrence;
      workspace.select(key);
      workspace.edit({ target: targetOfKey(key), fields: { ...event, recurrence: master }, panel: 'full' });
    },
    [store, commands],
  );
  const keyActions = useMemo(
    () => ({ step, today, focusLine: () => line.current?.focus(), open }),
    [step, today, open],
  );
  usePlanKeys(commands, keyActions);

  const startDraft = useCallback(
    (startWall: number, endWall: number, allDay: boolean) => {
      if (!target) return;
      const zoned = (wall: number) => ({ kind: 'zoned' as const, local: localString(wall), zone });
      const whole = (wall: number) => ({ kind: 'date' as const, date: dateString(Math.floor(wall / DAY)) });
      const fields = allDay
        ? blankFields(target.id, whole(startWall), whole(endWall))
        : blankFields(target.id, zoned(startWall), zoned(endWall));
      workspace.clearSelection();
      workspace.edit({ fields, panel: 'quick' });
      workspace.setDesk(true);
    },
    [target, zone],
  );
  const gridActions = useMemo(
    (): GridActions => ({
      press: (key, { add }) => {
        if (add) workspace.collect(key);
        else workspace.select(key);
        if (useWorkspace.getState().editing?.panel === 'quick') workspace.edit(null);
      },
      pressEmpty: (startWall, allDay) => {
        const busy = useWorkspace.getState();
        if (busy.editing?.panel === 'full') return;
        if (busy.selected.length > 0 || busy.editing) {
          workspace.clearSelection();
          workspace.edit(null);
          return;
        }
        startDraft(startWall, allDay ? startWall + DAY : startWall + defaultLengthMinutes * MINUTE, allDay);
      },
      draft: startDraft,
      move: (key, move) => commands.move(targetOfKey(key), move),
      copy: (key, move) => void commands.copy(targetOfKey(key), move),
    }),
    [commands, startDraft, defaultLengthMinutes],
  );

  const draftFields = editing?.fields ?? lineDraft;
  const draft = useMemo((): Ghost | null => {
    if (!draftFields) return null;
    const calendar = calendars.find(({ id }) => id === draftFields.calendarId);
    const start = instantOf(draftFields.start, zone);
    const end = instantOf(draftFields.end, zone);
    const allDay = draftFields.start.kind === 'date';
    return {
      key: undefined,
      title: draftFields.title,
      colour: calendar?.colour ?? 'slate',
      mark: calendar?.mark ?? '',
      startWall: instantToWall(zone, start),
      endWall: instantToWall(zone, end),
      allDay: allDay || end - start >= DAY,
      copy: false,
      settling: false,
    };
  }, [draftFields, calendars, zone]);

  const wide = width >= WIDE;
  const isEmpty = answer && answer.occurrences.length === 0 && !draft;
  const allHidden = calendars.length > 0 && calendars.every(({ id }) => address.hidden.includes(id));
  const showsEditor = editing?.panel === 'full';

  return (
    <View style={styles.screen}>
      <View
        role="main"
        style={[styles.main, wide ? styles.mainWide : null, { backgroundColor: colours.page }]}
      >
        <TitleRow address={address} days={days} onStep={step} onToday={today} />
        <ZoneBanner />
        <LoadStrip
          days={days}
          today={Math.floor(nowWall / DAY)}
          hidden={address.hidden}
          onWeek={toWeek}
          onDays={(first, dayCount) => to({ view: 'days', day: first, dayCount })}
        />
        <CalendarChips
          calendars={calendars}
          hidden={address.hidden}
          minutes={answer?.calendarMinutes}
          onHiddenChange={(hidden) => to({ hidden })}
        />
        <View style={styles.view}>
          <HoursView
            days={days}
            zone={zone}
            answer={answer}
            calendars={calendars}
            draftCalendar={target}
            draft={draft}
            selectedKeys={selected}
            actions={gridActions}
          />
          {isLoading || failed || isEmpty ? (
            <View pointerEvents="box-none" style={styles.overlay}>
              <View style={[styles.card, { backgroundColor: colours.card, borderColor: colours.line }]}>
                {failed ? (
                  <>
                    <AppText role="alert">{words.plan.failed}</AppText>
                    <Button label={words.actions.retry} onPress={retry} />
                  </>
                ) : isLoading ? (
                  <AppText tone="quiet">{words.plan.loading}</AppText>
                ) : allHidden ? (
                  <>
                    <AppText>{words.plan.allHidden}</AppText>
                    <Button label={words.plan.showAll} onPress={() => to({ hidden: [] })} />
                  </>
                ) : (
                  <>
                    <AppText weight="700">{words.plan.empty}</AppText>
                    <AppText tone="quiet">{words.plan.emptyHint}</AppText>
                  </>
                )}
              </View>
            </View>
          ) : null}
        </View>
        <EntryLine
          ref={line}
          selectedDay={address.day}
          zone={zone}
          calendars={calendars}
          target={target}
          onDraft={setLineDraft}
        />
      </View>
      {showsEditor ? (
        <Suspense fallback={null}>
          <Editor key={editing.target?.entryId ?? 'new'} />
        </Suspense>
      ) : seriesShown !== null ? (
        <SeriesPage key={seriesShown} seriesId={seriesShown} />
      ) : deskOpen ? (
        <Desk beside={width >= DESK_BESIDE} wide={wide} onOpen={open} />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, flexDirection: 'row' },
  main: { flex: 1, paddingHorizontal: space(2), paddingBottom: space(2), minWidth: 0 },
  mainWide: { paddingHorizontal: space(4), paddingTop: space(2) },
  view: { flex: 1, marginBottom: space(2) },
  overlay: {
    position: 'absolute',
    left: 0,
    right: 0,
    top: 0,
    bottom: 0,
    alignItems: 'center',
    justifyContent: 'center',
  },
  card: {
    padding: space(4),
    gap: space(2),
    borderWidth: 1,
    borderRadius: 4,
    alignItems: 'center',
    maxWidth: 300,
  },
});
