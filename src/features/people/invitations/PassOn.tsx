import { StyleSheet, View } from 'react-native';
import type { CalendarEvent } from '@/core/model/entry';
import { guestOf } from '@/core/people/guests';
import { isAt } from '@/core/people/invitations/itipMessage';
import { usePeople } from '@/store';
import { SelectField } from '@/ui/primitives/PlatformField';
import { invitationWords } from '@/ui/words/invitations';
import { useInvitationDeeds } from './useInvitationDeeds';

const said = invitationWords.own;
const NOBODY = '';

/** Passes an invitation on to somebody else, where guests may invite others. */
export function PassOn({ event }: { event: CalendarEvent }) {
  const people = usePeople();
  const deeds = useInvitationDeeds();
  const others = people.filter(
    ({ kind, addresses }) =>
      kind === 'colleague' &&
      addresses.length > 0 &&
      ![event.organizer, ...(event.attendees ?? [])].some((user) => isAt(user, addresses)),
  );
  if (others.length === 0) return null;
  return (
    <View style={styles.field}>
      <SelectField
        label={said.passOn}
        value={NOBODY}
        options={[
          { value: NOBODY, label: said.passOnTo },
          ...others.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={(id) => {
          const person = others.find((other) => other.id === id);
          if (person) void deeds.passOn(event.uid, guestOf(person, true));
        }}
        testID="pass-on"
      />
    </View>
  );
}

const styles = StyleSheet.create({ field: { maxWidth: 280 } });
