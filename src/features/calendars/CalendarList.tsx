import { useGlobalSearchParams } from 'expo-router';
import { useMemo, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { changeSettings, placeCalendar } from '@/core/change/calendarChanges';
import { type Calendar, CALENDAR_GROUPS, groupOf } from '@/core/model/calendar';
import type { Entry } from '@/core/model/entry';
import { SubscribeSheet } from '@/features/feeds';
import { ExportSheet } from '@/features/interchange/later';
import { PublishSheet } from '@/features/publish';
import { useCommands } from '@/features/workspace';
import { useCalendars, useSettings, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { exchangeWords } from '@/ui/words/exchange';
import { type CalendarAction, CalendarRow } from './CalendarRow';
import { CalendarSheet } from './CalendarSheet';
import { DeleteCalendarSheet } from './DeleteCalendarSheet';
import { MergeSheet } from './MergeSheet';
import { useReorder } from './useReorder';

/** The sheet that is open over the list. */
type Open =
  | { sheet: 'edit'; calendar: Calendar | undefined }
  | { sheet: 'export' | 'publish' | 'merge' | 'delete'; calendar: Calendar }
  | { sheet: 'subscribe' };

/** How many entries each calendar has. */
function countsOf(entries: Iterable<Entry>): ReadonlyMap<string, number> {
  const found = new Map<string, number>();
  for (const { calendarId } of entries) found.set(calendarId, (found.get(calendarId) ?? 0) + 1);
  return found;
}

/** Where among all calendars one stands that is given a place in its group. */
function indexInAll(
  calendars: readonly Calendar[],
  id: string,
  group: readonly Calendar[],
  at: number,
): number {
  const others = group.filter((calendar) => calendar.id !== id);
  const rest = calendars.filter((calendar) => calendar.id !== id);
  const before = others[at];
  const last = others.at(-1);
  return before ? rest.indexOf(before) : last ? rest.indexOf(last) + 1 : rest.length;
}

/** All calendars in the person's order, in their groups, with what can be done to each. */
export function CalendarList() {
  const calendars = useCalendars();
  const { targetCalendarId } = useSettings();
  const state = useSnapshot((snapshot) => snapshot.state);
  const { commit, context } = useCommands();
  const { calendar: asked } = useGlobalSearchParams<{ calendar?: string }>();
  const [open, setOpen] = useState<Open | null>(() => {
    const calendar = calendars.find(({ id }) => id === asked);
    return calendar ? { sheet: 'edit', calendar } : null;
  });
  const counts = useMemo(() => countsOf(state.entries.values()), [state.entries]);
  const groups = CALENDAR_GROUPS.map((group) => ({
    group,
    members: calendars.filter((calendar) => groupOf(calendar) === group),
  })).filter(({ members }) => members.length > 0);

  const place = (id: string, group: readonly Calendar[], at: number) => {
    const index = indexInAll(calendars, id, group, at);
    const patch = placeCalendar(state, id, index, context());
    if (patch) commit(patch);
  };
  const act = (calendar: Calendar, group: readonly Calendar[]) => (action: CalendarAction) => {
    const at = group.indexOf(calendar);
    switch (action) {
      case 'up':
        return at > 0 ? place(calendar.id, group, at - 1) : undefined;
      case 'down':
        return at < group.length - 1 ? place(calendar.id, group, at + 1) : undefined;
      case 'target':
        return commit(changeSettings(state, { targetCalendarId: calendar.id }, context()));
      case 'edit':
      case 'export':
      case 'publish':
      case 'merge':
      case 'delete':
        return setOpen({ sheet: action, calendar });
    }
  };

  return (
    <View style={styles.list}>
      {calendars.length === 0 ? <AppText>{words.calendars.none}</AppText> : null}
      {groups.map(({ group, members }) => (
        <Group
          key={group}
          label={exchangeWords.calendars.groups[group]}
          members={members}
          counts={counts}
          targetId={targetCalendarId}
          onPlace={(id, at) => place(id, members, at)}
          actionsOf={(calendar) => act(calendar, members)}
        />
      ))}
      <NewCalendars setOpen={setOpen} />
      <OpenSheet open={open} counts={counts} close={() => setOpen(null)} />
    </View>
  );
}

/** The sheet that is open over the list. */
function OpenSheet({
  open,
  counts,
  close,
}: {
  open: Open | null;
  counts: ReadonlyMap<string, number>;
  close: () => void;
}) {
  return (
    <>
      {open?.sheet === 'export' ? <ExportSheet calendarId={open.calendar.id} onClose={close} /> : null}
      {open?.sheet === 'subscribe' ? <SubscribeSheet onClose={close} /> : null}
      {open?.sheet === 'publish' ? <PublishSheet calendarId={open.calendar.id} onClose={close} /> : null}
      {open?.sheet === 'edit' ? <CalendarSheet calendar={open.calendar} onClose={close} /> : null}
      {open?.sheet === 'delete' ? (
        <DeleteCalendarSheet
          calendar={open.calendar}
          count={counts.get(open.calendar.id) ?? 0}
          onClose={close}
        />
      ) : null}
      {open?.sheet === 'merge' ? <MergeSheet calendar={open.calendar} onClose={close} /> : null}
    </>
  );
}

/** The ways to another calendar. */
function NewCalendars({ setOpen }: { setOpen: (next: Open | null) => void }) {
  return (
    <View style={styles.new}>
      <Button
        kind="primary"
        icon="plus"
        label={words.calendars.new}
        onPress={() => setOpen({ sheet: 'edit', calendar: undefined })}
      />
      <Button
        icon="rss"
        label={exchangeWords.feeds.subscribe}
        onPress={() => setOpen({ sheet: 'subscribe' })}
      />
    </View>
  );
}

function Group({
  label,
  members,
  counts,
  targetId,
  onPlace,
  actionsOf,
}: {
  label: string;
  members: readonly Calendar[];
  counts: ReadonlyMap<string, number>;
  targetId: string | undefined;
  onPlace: (id: string, place: number) => void;
  actionsOf: (calendar: Calendar) => (action: CalendarAction) => void;
}) {
  const list = useRef<View>(null);
  const dragged = useReorder(list as unknown as React.RefObject<HTMLElement | null>, onPlace);
  return (
    <View role="region" aria-label={label} style={styles.group}>
      <AppText weight="700" tone="quiet">
        {label}
      </AppText>
      <View ref={list} style={styles.rows}>
        {members.map((calendar) => (
          <CalendarRow
            key={calendar.id}
            calendar={calendar}
            count={counts.get(calendar.id) ?? 0}
            isTarget={calendar.id === targetId}
            offset={dragged?.id === calendar.id ? dragged.offset : 0}
            onAction={actionsOf(calendar)}
          />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: space(4) },
  group: { gap: space(2) },
  rows: { gap: space(2) },
  new: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
