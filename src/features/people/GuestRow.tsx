import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import type { CalendarUser } from '@/core/model/calendarUser';
import { answerOf, guestName } from '@/core/people/guests';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { sizes, space } from '@/ui/theme/tokens';
import { peopleWords } from '@/ui/words/people';
import { hueOf, initialsOf } from './personMark';

const said = peopleWords.guests;

/** Somebody who is invited, with what they answered. */
export function GuestRow({ guest, children }: { guest: CalendarUser; children?: ReactNode }) {
  const name = guestName(guest);
  const answer = answerOf(guest);
  return (
    <View style={styles.row} testID="guest">
      <Mark small mark={initialsOf({ name })} colour={hueOf({ name })} />
      <View style={styles.words}>
        <AppText numberOfLines={1}>{name}</AppText>
        <AppText size="small" tone="quiet">
          {said.answers[answer] ?? said.answers['NEEDS-ACTION']}
        </AppText>
      </View>
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: sizes.target },
  words: { flex: 1, minWidth: 0 },
});
