import { StyleSheet, View } from 'react-native';
import type { DueReminder } from '@/core/reminders/dueReminders';
import { DAY, MINUTE } from '@/core/time/civil';
import { useReveal } from '@/features/workspace';
import { useNow, useNowWall } from '@/store';
import { shortDayText, timeText } from '@/ui/dates';
import { AppIcon } from '@/ui/icons/AppIcon';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { NoticeBar } from '@/ui/primitives/NoticeBar';
import { useTheme } from '@/ui/theme/theme';
import { words } from '@/ui/words';
import { useDueReminders } from './useDueReminders';

function notifyInBrowser(reminder: DueReminder): void {
  if (typeof Notification === 'undefined' || Notification.permission !== 'granted') return;
  const { title, location, startWall } = reminder.occurrence;
  new Notification(title || words.entry.noTitle, {
    body: [timeText(startWall), location].filter(Boolean).join(' · '),
    tag: reminder.key,
  });
}

/** The reminders that are due, over every place: oldest first, each until it is dismissed. */
export function ReminderHost() {
  const { colours } = useTheme();
  const now = useNow();
  const nowWall = useNowWall();
  const { due, dismiss } = useDueReminders(notifyInBrowser);
  const reveal = useReveal();
  const [first, ...others] = due;
  if (!first) return null;
  const { occurrence } = first;
  const minutes = Math.round((occurrence.start - now) / MINUTE);
  const day = Math.floor(occurrence.startWall / DAY);
  const today = Math.floor(nowWall / DAY);
  return (
    <NoticeBar label={words.reminder.region}>
      <AppIcon name="bell-outline" size={20} color={colours.ink} />
      <View style={styles.text} aria-live="assertive">
        <AppText weight="700" numberOfLines={1}>
          {occurrence.title || words.entry.noTitle}
        </AppText>
        <AppText size="small" figures numberOfLines={1}>
          {[
            day === today ? '' : shortDayText(day),
            occurrence.allDay ? words.entry.allDayLabel : timeText(occurrence.startWall),
            words.reminder.startsIn(minutes),
            occurrence.location,
            others.length > 0 ? words.reminder.others(others.length) : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </AppText>
      </View>
      <Button label={words.actions.show} onPress={() => reveal(occurrence.key)} />
      <Button label={words.actions.dismiss} onPress={() => dismiss([first.key])} />
      {others.length > 0 ? (
        <Button
          kind="quiet"
          label={words.reminder.dismissAll}
          onPress={() => dismiss(due.map(({ key }) => key))}
        />
      ) : null}
    </NoticeBar>
  );
}

const styles = StyleSheet.create({
  text: { flex: 1, minWidth: 120 },
});
