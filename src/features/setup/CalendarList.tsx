import { useGlobalSearchParams } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { changeSettings } from '@/core/change/calendarChanges';
import type { Calendar } from '@/core/model/calendar';
import { exportCalendar } from '@/features/interchange';
import { useCommands } from '@/features/workspace';
import { useCalendars, useSettings, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { CalendarSheet } from './CalendarSheet';
import { DeleteCalendarSheet } from './DeleteCalendarSheet';

/** All calendars, with what can be done to each. */
export function CalendarList() {
  const { colours } = useTheme();
  const calendars = useCalendars();
  const { targetCalendarId } = useSettings();
  const state = useSnapshot((snapshot) => snapshot.state);
  const { commit, context } = useCommands();
  const { calendar: asked } = useGlobalSearchParams<{ calendar?: string }>();
  const [editing, setEditing] = useState<{ calendar: Calendar | undefined } | null>(() => {
    const calendar = calendars.find(({ id }) => id === asked);
    return calendar ? { calendar } : null;
  });
  const [deleting, setDeleting] = useState<Calendar | null>(null);
  const counts = useMemo(() => {
    const found = new Map<string, number>();
    for (const entry of state.entries.values())
      found.set(entry.calendarId, (found.get(entry.calendarId) ?? 0) + 1);
    return found;
  }, [state.entries]);

  return (
    <View style={styles.list}>
      {calendars.length === 0 ? <AppText>{words.calendars.none}</AppText> : null}
      {calendars.map((calendar) => {
        const isTarget = calendar.id === targetCalendarId;
        return (
          <View
            key={calendar.id}
            role="group"
            aria-label={calendar.name}
            style={[styles.calendar, { backgroundColor: colours.card, borderColor: colours.line }]}
          >
            <View style={styles.name}>
              <Mark mark={calendar.mark} colour={calendar.colour} />
              <View style={styles.shrink}>
                <AppText size="large" weight="700" numberOfLines={1}>
                  {calendar.name}
                </AppText>
                <AppText size="small" tone="quiet" numberOfLines={2}>
                  {[
                    words.calendars.entries(counts.get(calendar.id) ?? 0),
                    calendar.description,
                    isTarget ? words.calendars.target : '',
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </AppText>
              </View>
            </View>
            <View style={styles.actions}>
              <Button
                icon="pencil-outline"
                iconOnly
                label={words.calendars.edit(calendar.name)}
                onPress={() => setEditing({ calendar })}
              />
              <Button
                icon="check"
                iconOnly
                selected={isTarget}
                label={words.calendars.makeTarget}
                onPress={() => commit(changeSettings(state, { targetCalendarId: calendar.id }, context()))}
              />
              <Button
                icon="download-outline"
                iconOnly
                label={`${words.calendars.export}: ${calendar.name}`}
                onPress={() => void exportCalendar(state, calendar, context().now)}
              />
              <Button
                icon="delete-outline"
                iconOnly
                kind="danger"
                label={`${words.calendars.delete}: ${calendar.name}`}
                onPress={() => setDeleting(calendar)}
              />
            </View>
          </View>
        );
      })}
      <View style={styles.new}>
        <Button
          kind="primary"
          icon="plus"
          label={words.calendars.new}
          onPress={() => setEditing({ calendar: undefined })}
        />
      </View>
      {editing ? <CalendarSheet calendar={editing.calendar} onClose={() => setEditing(null)} /> : null}
      {deleting ? (
        <DeleteCalendarSheet
          calendar={deleting}
          count={counts.get(deleting.id) ?? 0}
          onClose={() => setDeleting(null)}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: space(2) },
  calendar: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: space(2),
    padding: space(3),
    borderWidth: hairline,
    borderRadius: corner,
  },
  name: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(3),
    flexGrow: 1,
    flexBasis: 220,
    flexShrink: 1,
  },
  shrink: { flexShrink: 1 },
  actions: { flexDirection: 'row', gap: space(2) },
  new: { flexDirection: 'row', paddingTop: space(1) },
});
