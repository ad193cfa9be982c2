import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import type { CalendarUser } from '@/core/model/calendarUser';
import { answerOf, nameOfUser } from '@/core/people/guests';
import { useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Mark } from '@/ui/primitives/Mark';
import { sizes, space } from '@/ui/theme/tokens';
import { peopleWords } from '@/ui/words/people';
import { hueOf, initialsOf } from './personMark';

const said = peopleWords.guests;

/** Somebody who is invited, with what they answered and how. */
export function GuestRow({
  guest,
  says,
  words = '',
  children,
}: {
  guest: CalendarUser;
  /** What is said of their answer, where more is known of it. */
  says?: string;
  /** Their own words. */
  words?: string;
  children?: ReactNode;
}) {
  const people = useSnapshot(({ state }) => state.people);
  const name = nameOfUser(people, guest);
  const answer = answerOf(guest);
  return (
    <View style={styles.row} testID="guest">
      <Mark small mark={initialsOf({ name })} colour={hueOf({ name })} />
      <View style={styles.words}>
        <AppText numberOfLines={1}>{name}</AppText>
        <AppText size="small" tone="quiet">
          {says ?? said.answers[answer] ?? said.answers['NEEDS-ACTION']}
        </AppText>
        {words === '' ? null : <AppText size="small">{`“${words}”`}</AppText>}
      </View>
      {children}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: space(2), minHeight: sizes.target },
  words: { flex: 1, minWidth: 0 },
});
