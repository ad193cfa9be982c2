import { useEffect, useMemo, useRef } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { overridesOf } from '@/core/change/overrides';
import { daysOffFor, targetKey } from '@/core/change/target';
import { type CalendarEvent, isEvent, type SkipDaysOff } from '@/core/model/entry';
import { problemsOfRule, type RuleProblem } from '@/core/recurrence/ruleProblems';
import { readRules, Series, type SeriesDate } from '@/core/recurrence/series';
import { exceptionsOf, type SeriesException } from '@/core/schedule/seriesExceptions';
import { DAY } from '@/core/time/civil';
import { instantOf, wallOf, zoneOf } from '@/core/time/eventTime';
import { instantToWall } from '@/core/time/zones';
import { useCommands, usePlanAddress, workspace } from '@/features/workspace';
import { useNow, useSettings, useSnapshot } from '@/store';
import { useBackCloses } from '@/ui/backCloses';
import { dateText, shortDayText, timeRangeText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { PanelHead } from '@/ui/primitives/PanelHead';
import { recurrenceText } from '@/ui/recurrenceText';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space, WIDE } from '@/ui/theme/tokens';
import { webProps } from '@/ui/web';
import { words } from '@/ui/words';
import { seriesWords } from '@/ui/words/series';
import { ExceptionRow } from './ExceptionRow';
import type { Calendar } from '@/core/model/calendar';

/** The kinds of exceptions, in the order of the page. */
const KINDS = ['changed', 'left-out', 'day-off', 'further'] as const;
const NEXT = 6;
const YEAR = 366 * DAY;
/** Rows of a kind that are shown at once. */
const SHOWN = 40;

/** A series: what it says, its next dates, and everything in which single dates differ from it. */
export function SeriesPage({ seriesId }: { seriesId: string }) {
  const { colours } = useTheme();
  const { width } = useWindowDimensions();
  const state = useSnapshot((snapshot) => snapshot.state);
  const box = useRef<View>(null);
  const close = () => workspace.showSeries(null);
  useBackCloses(close);
  const entry = state.entries.get(seriesId);
  const event = entry && isEvent(entry) ? entry : undefined;
  const calendar = event && state.calendars.get(event.calendarId);
  const wide = width >= WIDE;

  useEffect(() => {
    const opener = document.activeElement;
    (box.current as unknown as HTMLElement | null)?.querySelector<HTMLElement>('[role="button"]')?.focus();
    return () => {
      if (opener instanceof HTMLElement && opener.isConnected) opener.focus({ preventScroll: true });
    };
  }, []);
  // Undone, or deleted in another tab: there is no such series any more.
  const isGone = !event?.recurrence;
  useEffect(() => {
    if (isGone) workspace.showSeries(null);
  }, [isGone]);
  if (isGone) return null;

  return (
    <View
      ref={box}
      tabIndex={-1}
      role="dialog"
      aria-label={`${words.series.title}: ${event.title || words.entry.noTitle}`}
      testID="series-page"
      {...webProps({
        onKeyDownCapture: (key) => {
          if (key.key !== 'Escape') return;
          key.stopPropagation();
          close();
        },
      })}
      style={[wide ? styles.side : styles.full, { backgroundColor: colours.card, borderColor: colours.line }]}
    >
      <PanelHead title={words.series.title} onClose={close} />
      <SeriesHead calendar={calendar} event={event} />
      <ScrollView contentContainerStyle={styles.content}>
        <SeriesContent
          event={event}
          onActed={() => (box.current as unknown as HTMLElement | null)?.focus()}
        />
      </ScrollView>
    </View>
  );
}

/** What the series is called, in its calendar’s colour. */
function SeriesHead({ calendar, event }: { calendar: Calendar | undefined; event: CalendarEvent }) {
  const { calendar: tonesOf } = useTheme();
  return (
    <View style={[styles.entry, { backgroundColor: tonesOf(calendar?.colour ?? 'slate').tint }]}>
      <Mark mark={calendar?.mark ?? ''} colour={calendar?.colour ?? 'slate'} />
      <AppText
        weight="700"
        size="large"
        colour={tonesOf(calendar?.colour ?? 'slate').ink}
        style={styles.grow}
        numberOfLines={2}
      >
        {event.title || words.entry.noTitle}
      </AppText>
    </View>
  );
}

function SeriesContent({ event, onActed }: { event: CalendarEvent; onActed: () => void }) {
  const { homeZone } = useSettings();
  const state = useSnapshot((snapshot) => snapshot.state);
  const commands = useCommands();
  const { to } = usePlanAddress();
  const now = useNow();
  const today = Math.floor(instantToWall(homeZone, now) / DAY);
  const facts = useMemo(() => {
    const daysOff = daysOffFor(state, event);
    const series = new Series(event);
    const zone = zoneOf(event.start, homeZone);
    const window = { start: (today - 31) * DAY, end: (today - 31) * DAY + YEAR };
    return {
      exceptions: exceptionsOf(
        event,
        overridesOf(state, event.id).filter(isEvent),
        daysOff,
        window,
        homeZone,
      ),
      next: series.next(instantToWall(zone, today * DAY), NEXT, homeZone, daysOff),
      key: (wall: number) => targetKey({ entryId: event.id, recurrenceKey: series.keyOf(wall) }),
    };
  }, [state, event, homeZone, today]);
  const of = (kind: SeriesException['kind']) => facts.exceptions.filter((found) => found.kind === kind);
  const problems = useMemo(
    () =>
      readRules(event.recurrence?.rules ?? []).rules.flatMap((rule) =>
        problemsOfRule(rule, wallOf(event.start)),
      ),
    [event],
  );
  const skip = event.recurrence?.skipDaysOff;
  const skipName = skip && state.calendars.get(skip.calendarId)?.name;
  const go = (wall: number, key?: string) => {
    to({ day: Math.floor(wall / DAY) });
    if (key !== undefined) workspace.select(key);
  };
  const changed = new Map(
    of('changed').map((found) => [found.wall, found.kind === 'changed' ? found.event : undefined]),
  );
  const editAll = () => {
    const target = { entryId: event.id };
    workspace.edit({ target, fields: event, before: event, panel: 'full', changed: false });
  };

  /** What can be done with an exception: a button that goes with its row leaves the focus to the page. */
  const actionOn = (found: SeriesException) => {
    const day = dateText(Math.floor(found.wall / DAY));
    const acting = (act: () => void) => () => {
      act();
      onActed();
    };
    if (found.kind === 'changed')
      return {
        label: seriesWords.setBackNamed(day),
        shown: seriesWords.setBack,
        onPress: acting(() => commands.reset(found.event.id)),
      };
    if (found.kind === 'left-out')
      return {
        label: seriesWords.bringBackNamed(day),
        shown: seriesWords.bringBack,
        onPress: acting(() => commands.bringBack(event.id, found.date)),
      };
    return undefined;
  };

  return (
    <>
      <RuleFacts event={event} problems={problems} skip={skip} skipName={skipName} editAll={editAll} />
      <NextOccurrences facts={facts} changed={changed} go={go} />
      {facts.exceptions.length === 0 ? <AppText tone="quiet">{seriesWords.noExceptions}</AppText> : null}
      {KINDS.map((kind) => (
        <Exceptions key={kind} title={seriesWords.kinds[kind]} found={of(kind)}>
          {(found) => (
            <ExceptionRow
              key={found.wall}
              exception={found}
              series={event}
              onGo={go}
              action={actionOn(found)}
            />
          )}
        </Exceptions>
      ))}
    </>
  );
}

/** The next dates, to be gone to. */
function NextOccurrences({
  facts,
  changed,
  go,
}: {
  facts: { exceptions: SeriesException[]; next: SeriesDate[]; key: (wall: number) => string };
  changed: ReadonlyMap<number, CalendarEvent | undefined>;
  go: (wall: number, key?: string) => void;
}) {
  return (
    <Section title={seriesWords.next}>
      {facts.next.length === 0 ? <AppText tone="quiet">{seriesWords.ended}</AppText> : null}
      <View style={styles.dates}>
        {facts.next.map(({ wall, shownWall }) => {
          const override = changed.get(wall);
          const shown = override ? wallOf(override.start) : shownWall;
          return (
            <Button
              key={wall}
              kind="quiet"
              label={seriesWords.go(dateText(Math.floor(shown / DAY)))}
              shown={shortDayText(Math.floor(shown / DAY))}
              onPress={() => go(shown, override?.id ?? facts.key(wall))}
              style={styles.date}
            />
          );
        })}
      </View>
    </Section>
  );
}

/** What the series says, and what is wrong with it. */
function RuleFacts({
  event,
  problems,
  skip,
  skipName,
  editAll,
}: {
  event: CalendarEvent;
  problems: readonly RuleProblem[];
  skip: SkipDaysOff | undefined;
  skipName: string | undefined;
  editAll: () => void;
}) {
  const { homeZone } = useSettings();
  return (
    <View style={styles.rule}>
      <AppText weight="700">{recurrenceText(event.recurrence!, event.start)}</AppText>
      <AppText tone="quiet" figures>
        {timesOf(event, homeZone)}
      </AppText>
      {problems.map((problem) => (
        <AppText key={problem} tone="error">
          {words.ruleProblems[problem]}
        </AppText>
      ))}
      {skip ? (
        <AppText tone="quiet">
          {`${words.repeat.skip} (${skipName ?? '–'}): ${words.repeat.handlings[skip.handling].toLowerCase()}`}
        </AppText>
      ) : null}
      <Button label={seriesWords.editAll} icon="pencil-outline" onPress={editAll} style={styles.start} />
    </View>
  );
}

/** The first occurrence's times, in words. */
function timesOf(event: CalendarEvent, homeZone: string): string {
  if (event.start.kind === 'date') return words.entry.allDayLabel;
  const start = instantToWall(homeZone, instantOf(event.start, homeZone));
  return timeRangeText(start, instantToWall(homeZone, instantOf(event.end, homeZone)));
}

function Section({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <View role="group" aria-label={title} style={styles.section}>
      <TitleText size="large" level={3}>
        {title}
      </TitleText>
      {children}
    </View>
  );
}

function Exceptions({
  title,
  found,
  children,
}: {
  title: string;
  found: readonly SeriesException[];
  children: (found: SeriesException) => React.ReactNode;
}) {
  if (found.length === 0) return null;
  // The latest are what one comes for.
  const shown = found.slice(-SHOWN);
  return (
    <Section title={`${title} (${found.length})`}>
      {shown.map(children)}
      {found.length > shown.length ? (
        <AppText tone="quiet">{seriesWords.more(found.length - shown.length)}</AppText>
      ) : null}
    </Section>
  );
}

const styles = StyleSheet.create({
  side: { width: sizes.editor, borderLeftWidth: hairline },
  full: { position: 'absolute', left: 0, right: 0, top: 0, bottom: 0, zIndex: 20 },
  entry: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    minHeight: 48,
    paddingHorizontal: space(4),
    paddingVertical: space(1),
  },
  grow: { flex: 1 },
  content: { padding: space(4), gap: space(4), paddingBottom: space(8) },
  rule: { gap: space(1) },
  start: { alignSelf: 'flex-start', marginTop: space(2) },
  section: { gap: space(1) },
  dates: { flexDirection: 'row', flexWrap: 'wrap', marginHorizontal: -space(2) },
  date: { width: '33%', paddingHorizontal: space(2), justifyContent: 'flex-start' },
});
