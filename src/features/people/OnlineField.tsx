import { StyleSheet, View } from 'react-native';
import type { Conference } from '@/core/model/calendarUser';
import { newMeeting } from '@/core/people/onlineMeeting';
import { meetingRooms } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { invitationWords } from '@/ui/words/invitations';

const said = invitationWords.online;

/** A new room for an online meeting, at the server that this page comes from. */
export const ownMeeting = (): Conference => newMeeting(meetingRooms());

/** Whether an entry is held online, and where. */
export function OnlineField({
  meetings,
  onChange,
}: {
  meetings: readonly Conference[];
  onChange: (meetings: Conference[]) => void;
}) {
  return (
    <View role="group" aria-label={said.title} style={styles.field} testID="online">
      <AppText size="small" tone="quiet">
        {said.title}
      </AppText>
      {meetings.map((meeting) => (
        <View key={meeting.uri} style={styles.row}>
          <AppText style={styles.grow} numberOfLines={1}>
            {meeting.uri}
          </AppText>
          <Button
            icon="close"
            iconOnly
            kind="quiet"
            label={said.remove}
            onPress={() => onChange(meetings.filter((other) => other !== meeting))}
          />
        </View>
      ))}
      {meetings.length === 0 ? (
        <Button
          icon="link-variant"
          label={said.add}
          style={styles.start}
          onPress={() => onChange([ownMeeting()])}
        />
      ) : (
        <AppText size="small" tone="quiet">
          {said.about}
        </AppText>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: space(1) },
  row: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
  grow: { flex: 1, minWidth: 0 },
  start: { alignSelf: 'flex-start' },
});
