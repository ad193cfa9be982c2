import { Suspense } from 'react';
import { Pressable, StyleSheet, useWindowDimensions, View } from 'react-native';
import { gapsBetween } from '@/core/schedule/load';
import { DAY, MINUTE } from '@/core/time/civil';
import { workingDay } from '@/core/time/workingPattern';
import { instantToWall, wallToInstant } from '@/core/time/zones';
import { useCommands, useKeepGlance } from '@/features/workspace';
import { ZoneClock } from '@/features/zones';
import { useCalendars, useDays, useNow, useSettings, useSnapshot } from '@/store';
import { dayText, lengthText, timeText } from '@/ui/dates';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { openSmallWindow } from '@/ui/openSmallWindow';
import { Mark } from '@/ui/primitives/Mark';
import { DESK_BESIDE, space } from '@/ui/theme/tokens';
import { timeWidth } from '@/ui/timeWidth';
import { later } from '@/ui/later';
import { leaveText } from '@/ui/travelText';
import { words } from '@/ui/words';
import type { Occurrence } from '@/core/schedule/occurrence';
import type { Calendar } from '@/core/model/calendar';

const dueTodos = later(() => import('@/features/later').then((module) => module.DueTodos));

/** The rest of today: what is on and what comes, with the gaps of half an hour or more between. */
export function RunDown({ onOpen }: { onOpen: (key: string) => void }) {
  const { homeZone, workingPattern } = useSettings();
  const calendars = useCalendars();
  // Where they stand beside the calendar they need not stand here, too.
  const isWide = useWindowDimensions().width >= DESK_BESIDE;
  const todosBeside = useSnapshot(({ state }) => !!state.sessions.get('session')?.todosBeside) && isWide;
  const now = useNow();
  const today = Math.floor(instantToWall(homeZone, now) / DAY);
  const { answer } = useDays(today, today + 1);
  const spans = workingDay(workingPattern, today).spans;
  const endOfWork = wallToInstant(homeZone, today * DAY + (spans.at(-1)?.to ?? 0) * MINUTE);
  useKeepGlance(answer?.occurrences, today);
  const occurrences = answer?.occurrences ?? [];
  const coming = occurrences.filter((occurrence) => occurrence.end > now && !occurrence.allDay);
  const wholeDay = occurrences.filter((occurrence) => occurrence.allDay);
  const items = [
    ...coming.map((occurrence) => ({ at: occurrence.start, occurrence })),
    ...gapsBetween([...coming, ...(answer?.travelling ?? [])], now, endOfWork).map((gap) => ({
      at: gap.start,
      gap,
    })),
  ].sort((a, b) => a.at - b.at);
  const markOf = (id: string) => calendars.find((calendar) => calendar.id === id);
  return (
    <View style={styles.panel}>
      <View>
        <AppText tone="quiet">{dayText(today)}</AppText>
        <TitleText>{words.desk.restOfToday}</TitleText>
      </View>
      {wholeDay.map((occurrence) => (
        <WholeDayRow key={occurrence.key} onOpen={onOpen} occurrence={occurrence} markOf={markOf} />
      ))}
      {items.length === 0 && wholeDay.length === 0 ? (
        <AppText tone="quiet">{words.desk.nothingMore}</AppText>
      ) : null}
      {items.map((item) => {
        const wall = instantToWall(homeZone, item.at);
        if ('gap' in item)
          return (
            <View key={`gap${item.at}`} style={styles.item}>
              <AppText figures weight="700" tone="quiet" style={{ width: timeWidth() }}>
                {timeText(wall)}
              </AppText>
              <AppText tone="quiet">{words.desk.free(lengthText(item.gap.end - item.gap.start))}</AppText>
            </View>
          );
        const { occurrence } = item;
        const isOn = occurrence.start <= now;
        return (
          <ComingRow key={occurrence.key} onOpen={onOpen} occurrence={occurrence} wall={wall} isOn={isOn} />
        );
      })}
      {todosBeside ? null : (
        <Suspense fallback={null}>
          <dueTodos.Later />
        </Suspense>
      )}
      <ZoneClock />
      {isWide ? <SmallWindowButton /> : null}
    </View>
  );
}

/** Opens today in a small window beside other work. */
function SmallWindowButton() {
  const { refuse } = useCommands();
  return (
    <Button
      kind="quiet"
      icon="picture-in-picture-bottom-right"
      label={words.desk.smallWindow}
      onPress={() =>
        void openSmallWindow(window).then((opened) => {
          if (!opened) refuse(words.desk.smallWindowBlocked);
        })
      }
    />
  );
}

/** An entry of the whole day. */
function WholeDayRow({
  onOpen,
  occurrence,
  markOf,
}: {
  onOpen: (key: string) => void;
  occurrence: Occurrence;
  markOf: (id: string) => Calendar | undefined;
}) {
  return (
    <Pressable role="button" onPress={() => onOpen(occurrence.key)} style={styles.item}>
      <View style={{ width: timeWidth() }}>
        <Mark
          mark={markOf(occurrence.calendarId)?.mark ?? ''}
          colour={markOf(occurrence.calendarId)?.colour ?? 'slate'}
        />
      </View>
      <AppText style={styles.shrink}>{occurrence.title || words.entry.noTitle}</AppText>
    </Pressable>
  );
}

/** An entry that is on or comes. */
function ComingRow({
  onOpen,
  occurrence,
  wall,
  isOn,
}: {
  onOpen: (key: string) => void;
  occurrence: Occurrence;
  wall: number;
  isOn: boolean;
}) {
  const { homeZone } = useSettings();
  return (
    <Pressable role="button" onPress={() => onOpen(occurrence.key)} style={styles.item}>
      <AppText figures weight="700" style={{ width: timeWidth() }}>
        {timeText(wall)}
      </AppText>
      <View style={styles.shrink}>
        <AppText weight={isOn ? '700' : '400'}>{occurrence.title || words.entry.noTitle}</AppText>
        <AppText size="small" tone={isOn ? 'accent' : 'quiet'} figures>
          {isOn
            ? words.desk.nowUntil(timeText(instantToWall(homeZone, occurrence.end)))
            : [lengthText(occurrence.end - occurrence.start), leaveText(occurrence)]
                .filter(Boolean)
                .join(' · ')}
        </AppText>
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  panel: { gap: space(2) },
  item: { flexDirection: 'row', gap: space(2), minHeight: 32, alignItems: 'flex-start' },
  shrink: { flexShrink: 1 },
});
