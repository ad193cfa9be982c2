import { useQuery } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import type { Calendar } from '@/core/model/calendar';
import { initialLook } from '@/core/model/look';
import type { SeenCalendars } from '@/core/people/sharing/access';
import type { Occurrence } from '@/core/schedule/occurrence';
import { DAY, startOfWeek } from '@/core/time/civil';
import { HoursView } from '@/features/plan/later';
import { ownersName, textOf } from '@/features/publish';
import {
  useSnapshot,
  calendarFiles,
  type DaysAnswer,
  followingData,
  useNowWall,
  useOpenStore,
  useSettings,
} from '@/store';
import { rangeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space, WIDE } from '@/ui/theme/tokens';
import { viewRef } from '@/ui/web';
import { sharingWords as said } from '@/ui/words/sharing';
import { initialsOf } from '../personMark';
import { useShield } from './useShield';

/** The one calendar that their eyes see: they are told of no other. */
const SEEN = {
  id: '',
  name: '',
  description: '',
  colour: 'lagoon',
  order: 0,
  created: 0,
  modified: 0,
} satisfies Partial<Calendar>;
const NOTHING = () => undefined;
const LOOKED_AT = {
  press: NOTHING,
  walkTo: NOTHING,
  pressEmpty: NOTHING,
  draft: NOTHING,
  move: () => Promise.resolve(false),
  copy: () => Promise.resolve(false),
  giveTime: () => undefined,
};
const HEIGHT = 520;

/** Plan as somebody sees it: from the very file that is served, and nothing in it can be changed. */
export function SeenPlan({ name, seen }: { name: string; seen: SeenCalendars }) {
  const { colours } = useTheme();
  const { store, clock } = useOpenStore();
  const { homeZone, weekStart } = useSettings();
  const wide = useWindowDimensions().width >= WIDE;
  const count = wide ? 5 : 3;
  const today = Math.floor(useNowWall(homeZone) / DAY);
  const [first, setFirst] = useState(wide ? startOfWeek(today, weekStart) : today);
  const shield = useRef<HTMLElement>(null);
  useShield(shield);
  const { data: occurrences, isError } = useQuery({
    queryKey: ['as they see it', [...seen.calendars], seen.withPrivate, first, count, homeZone],
    ...followingData(store, ['entries', 'calendars'], async () => {
      const { state } = store.getSnapshot();
      const now = clock();
      const bytes = new TextEncoder().encode(await textOf(state, { name: '', seen }, now));
      const read = await calendarFiles().read(
        bytes,
        { zone: homeZone, now, calendars: [] },
        async () => true,
      );
      if (!('file' in read)) throw new Error('not read');
      const range = { first, end: first + count };
      const days = await calendarFiles().publishedDays(read.file.events, range, homeZone);
      return [
        ...new Map(
          days.flatMap(({ items }) => items).map(({ occurrence }) => [occurrence.key, occurrence]),
        ).values(),
      ].map((occurrence): Occurrence => ({ ...occurrence, calendarId: SEEN.id }));
    }),
  });
  const answer = useMemo(
    (): DaysAnswer | undefined =>
      occurrences && {
        firstDay: first,
        endDay: first + count,
        occurrences,
        travelling: [],
        loads: [],
        filteredOut: 0,
        calendarMinutes: {},
        troubled: 0,
      },
    [occurrences, first, count],
  );
  const columns = useMemo(
    () => Array.from({ length: count }, (_, index) => ({ day: first + index })),
    [first, count],
  );
  const owner = useSnapshot(({ state }) => ownersName(state));
  const calendars = useMemo(() => [{ ...SEEN, name: owner, mark: initialsOf({ name: owner }) }], [owner]);
  const step = (by: number) => setFirst(first + by * (wide ? 7 : count));
  return (
    <View role="region" aria-label={said.asSeen(name)} testID="seen-plan" style={styles.seen}>
      <View style={styles.head}>
        <Button icon="chevron-left" iconOnly label={said.earlier} onPress={() => step(-1)} />
        <Button icon="chevron-right" iconOnly label={said.later} onPress={() => step(1)} />
        <AppText weight="700" aria-live="polite" style={styles.grow}>
          {rangeText(first, first + count - 1, true)}
        </AppText>
      </View>
      <AppText size="small" tone="quiet">
        {isError ? said.unread : answer?.occurrences.length === 0 ? said.seesNone : said.asSeenAbout}
      </AppText>
      <View
        ref={viewRef(shield)}
        style={[styles.plan, { borderColor: colours.line, backgroundColor: colours.page }]}
      >
        <HoursView
          address={{
            ...initialLook,
            view: wide ? 'workdays' : 'days',
            day: first,
            zone: homeZone,
            presetId: undefined,
          }}
          columns={columns}
          isOthers
          answer={answer}
          calendars={calendars}
          draftCalendar={undefined}
          draft={null}
          selectedKeys={[]}
          actions={LOOKED_AT}
          onOpenDay={NOTHING}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  seen: { gap: space(2) },
  head: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
  grow: { flex: 1, minWidth: 0 },
  plan: { height: HEIGHT, borderWidth: hairline, borderRadius: corner, overflow: 'hidden' },
});
