import { Linking, StyleSheet, View } from 'react-native';
import { isEvent, isTodo } from '@/core/model/entry';
import type { ReminderTrigger } from '@/core/model/reminder';
import { isTimeToJoin, joinLink } from '@/core/people/onlineMeeting';
import { useCommands } from '@/features/workspace';
import { useNow, useSettings, useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Mark } from '@/ui/primitives/Mark';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { reminderWords } from '@/ui/words/reminders';
import { dueText } from './dueText';
import { SnoozeMenu } from './SnoozeMenu';
import type { Heard } from './useHeardReminders';

const said = reminderWords.due;

/** One reminder that is due: what it says, and what can be done about it. */
export function DueRow({
  heard,
  onSnooze,
  onDismiss,
  onOpen,
}: {
  heard: Heard;
  onSnooze: (trigger: ReminderTrigger) => void;
  onDismiss: () => void;
  onOpen: () => void;
}) {
  const now = useNow();
  const { homeZone } = useSettings();
  const calendar = useSnapshot(({ state }) => state.calendars.get(heard.entry.calendarId));
  const title = heard.entry.title || words.entry.noTitle;
  const commands = useCommands();
  const link = isEvent(heard.entry) ? joinLink(heard.entry) : undefined;
  return (
    <View role="group" aria-label={title} style={styles.row} testID="due-reminder">
      <Mark mark={calendar?.mark ?? ''} colour={calendar?.colour ?? 'slate'} />
      <View style={styles.words}>
        <AppText weight="700" numberOfLines={1}>
          {title}
        </AppText>
        <AppText size="small" figures numberOfLines={2}>
          {dueText(heard, now, homeZone)}
        </AppText>
      </View>
      <View style={styles.actions}>
        {link === undefined || !isTimeToJoin(heard.span, now) ? null : (
          <Button
            kind="primary"
            label={said.joinOf(title)}
            shown={said.join}
            onPress={() => void Linking.openURL(link)}
          />
        )}
        {isTodo(heard.entry) ? (
          <Button
            label={said.doneOf(title)}
            shown={said.done}
            onPress={() => commands.setDone(heard.came.occurrenceKey, true)}
          />
        ) : null}
        <Button label={said.openOf(title)} shown={words.actions.show} onPress={onOpen} />
        <SnoozeMenu heard={heard} onSnooze={onSnooze} />
        <Button label={said.dismissOf(title)} shown={words.actions.dismiss} onPress={onDismiss} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: space(2), rowGap: space(1) },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 180, minWidth: 0 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) },
});
