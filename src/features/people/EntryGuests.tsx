import { StyleSheet, View } from 'react-native';
import type { CalendarEvent } from '@/core/model/entry';
import { AppText } from '@/ui/primitives/AppText';
import { space } from '@/ui/theme/tokens';
import { peopleWords } from '@/ui/words/people';
import { isOptional } from '@/core/people/guests';
import { GuestRow } from './GuestRow';

const said = peopleWords.guests;

/** Who is invited to an entry, and what each answered. */
export function EntryGuests({ event }: { event: Pick<CalendarEvent, 'attendees'> }) {
  const { attendees = [] } = event;
  if (attendees.length === 0) return null;
  return (
    <View role="group" aria-label={said.title} style={styles.guests} testID="entry-guests">
      <AppText size="small" tone="quiet">
        {said.title}
      </AppText>
      {attendees.map((guest) => (
        <GuestRow key={guest.address} guest={guest}>
          {isOptional(guest) ? (
            <AppText size="small" tone="quiet">
              {said.optional}
            </AppText>
          ) : null}
        </GuestRow>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ guests: { gap: space(1) } });
