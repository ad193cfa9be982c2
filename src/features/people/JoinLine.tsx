import { Linking, StyleSheet, View } from 'react-native';
import type { CalendarEvent } from '@/core/model/entry';
import { isTimeToJoin, joinLink } from '@/core/people/onlineMeeting';
import { instantOf } from '@/core/time/eventTime';
import { useNow, useSettings } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { space } from '@/ui/theme/tokens';
import { invitationWords } from '@/ui/words/invitations';

/** Where an entry is joined from afar; as a button from five minutes before on. */
export function JoinLine({ event }: { event: CalendarEvent }) {
  const now = useNow();
  const { homeZone } = useSettings();
  const link = joinLink({ ...event, url: '' });
  if (link === undefined) return null;
  const span = { start: instantOf(event.start, homeZone), end: instantOf(event.end, homeZone) };
  const isNow = isTimeToJoin(span, now);
  return (
    <View style={styles.line} testID="join">
      <Button
        kind={isNow ? 'primary' : 'plain'}
        icon="link-variant"
        label={isNow ? invitationWords.online.join : invitationWords.online.open}
        onPress={() => void Linking.openURL(link)}
      />
      <AppText size="small" tone="quiet" numberOfLines={1} style={styles.grow}>
        {link}
      </AppText>
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
  grow: { flex: 1, minWidth: 0 },
});
