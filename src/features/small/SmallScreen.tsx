import { useRouter } from 'expo-router';
import { useEffect, useMemo, useRef, useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { targetCalendar } from '@/core/change/calendarChanges';
import { comingUp } from '@/core/schedule/comingUp';
import { daysOf } from '@/core/schedule/occurrence';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { tiesOf } from '@/core/todos/todoTies';
import { withDone } from '@/core/todos/withDone';
import { EntryLine } from '@/features/line';
import { DueTodos } from '@/features/todos';
import { useKeepGlance, useWorkspace } from '@/features/workspace';
import { useCalendars, useDays, useNow, useSettings, useSnapshot } from '@/store';
import { dayText, timeText } from '@/ui/dates';
import { DayGlance } from '@/ui/glance/DayGlance';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { space } from '@/ui/theme/tokens';
import { smallWords as said } from '@/ui/words/small';
import { NextCard } from './NextCard';
import { SmallDay } from './SmallDay';
import { SmallMonth } from './SmallMonth';

const NONE_HIDDEN: ReadonlySet<string> = new Set();
/** What comes next is looked for within so many days. */
const AHEAD = 8;
const nothing = () => undefined;

/** Today at a glance, for a narrow window beside other work: what is on and next, what is due, a month, and a line to add. */
export function SmallScreen() {
  const { colours } = useTheme();
  const router = useRouter();
  const { homeZone } = useSettings();
  const calendars = useCalendars();
  const target = useSnapshot(({ state }) => targetCalendar(state, NONE_HIDDEN));
  const ties = useSnapshot(({ state }) => tiesOf(state));
  const now = useNow();
  const today = Math.floor(instantToWall(homeZone, now) / DAY);
  const dayHead = useRef<View>(null);
  const [chosen, setChosen] = useState<number>();
  const day = chosen ?? today;
  const ahead = useDays(today, today + AHEAD);
  const other = useDays(day, day + 1);
  const coming = ahead.answer ? comingUp(ahead.answer.occurrences, now) : undefined;
  useKeepGlance(ahead.answer?.occurrences, today);
  const listed = useMemo(() => {
    const inReach = day >= today && day < today + AHEAD;
    const answer = inReach ? ahead.answer : other.isStale ? undefined : other.answer;
    const ofDay = answer?.occurrences.filter((each) => daysOf(each).first <= day && daysOf(each).end > day);
    return ofDay && withDone(ofDay, ties.over);
  }, [day, today, ahead.answer, other.answer, other.isStale, ties]);
  // All fields of an entry are written where there is room for them.
  const isFull = useWorkspace((state) => state.editing?.panel === 'full');
  useEffect(() => {
    if (isFull) router.push('/');
  }, [isFull, router]);
  const jump = (next: number) => {
    setChosen(next === today ? undefined : next);
    (dayHead.current as unknown as HTMLElement | null)?.scrollIntoView({ block: 'start' });
  };
  if (!ahead.answer && !ahead.failed) return <DayGlance />;
  return (
    <View style={[styles.screen, { backgroundColor: colours.page }]}>
      <ScrollView role="main" contentContainerStyle={styles.content}>
        <View style={styles.head}>
          <View style={styles.grow}>
            <TitleText level={1} size="large">
              {dayText(today)}
            </TitleText>
            <AppText tone="quiet" figures>
              {timeText(instantToWall(homeZone, now))}
            </AppText>
          </View>
          <Button
            icon="calendar-blank-outline"
            iconOnly
            kind="quiet"
            label={said.whole}
            onPress={() => router.push('/')}
          />
        </View>
        {ahead.failed ? (
          <View role="alert" style={styles.part}>
            <AppText>{said.failed}</AppText>
            <Button label={said.again} onPress={ahead.retry} />
          </View>
        ) : null}
        {coming?.isOn.map((occurrence) => (
          <NextCard key={occurrence.key} occurrence={occurrence} isOn isToday />
        ))}
        {coming?.next ? (
          <NextCard
            occurrence={coming.next}
            isOn={false}
            isToday={Math.floor(coming.next.startWall / DAY) === today}
          />
        ) : null}
        {coming && !coming.next ? <AppText tone="quiet">{said.nothingNext}</AppText> : null}
        <View ref={dayHead} style={styles.dayHead}>
          <TitleText level={2} size="body" style={styles.grow}>
            {day === today ? said.today : dayText(day)}
          </TitleText>
          {day === today ? null : (
            <Button kind="quiet" label={said.backToToday} onPress={() => setChosen(undefined)} />
          )}
        </View>
        {listed ? <SmallDay occurrences={listed} name={day === today ? said.today : dayText(day)} /> : null}
        <DueTodos />
        <SmallMonth day={day} today={today} onDay={jump} />
      </ScrollView>
      <EntryLine selectedDay={day} zone={homeZone} calendars={calendars} target={target} onDraft={nothing} />
    </View>
  );
}

const styles = StyleSheet.create({
  screen: { flex: 1, padding: space(2), gap: space(2) },
  content: { gap: space(2), paddingBottom: space(2) },
  head: { flexDirection: 'row', alignItems: 'flex-start' },
  dayHead: { flexDirection: 'row', alignItems: 'center', minHeight: 32 },
  grow: { flexGrow: 1, flexShrink: 1 },
  part: { gap: space(2) },
});
