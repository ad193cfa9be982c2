import { Pressable, StyleSheet, View } from 'react-native';
import type { BusyTimes } from '@/core/model/busyTimes';
import type { Person } from '@/core/model/person';
import { stateNow } from '@/core/people/busy/stateNow';
import { instantToWall } from '@/core/time/zones';
import { useNow, useSettings } from '@/store';
import { timeText } from '@/ui/dates';
import { AppText } from '@/ui/primitives/AppText';
import { Check } from '@/ui/primitives/Check';
import { Mark } from '@/ui/primitives/Mark';
import { useTheme } from '@/ui/theme/theme';
import { hairline, sizes, space } from '@/ui/theme/tokens';
import { peopleWords as said } from '@/ui/words/people';
import { hueOf, initialsOf } from './personMark';

interface PersonRowProps {
  person: Person;
  times: BusyTimes | undefined;
  isChosen: boolean;
  isShown: boolean;
  onChoose: (isChosen: boolean) => void;
  onShow: () => void;
}

/** Somebody in the list: who they are, what their clock shows, and what they are at. */
export function PersonRow({ person, times, isChosen, isShown, onChoose, onShow }: PersonRowProps) {
  const { colours } = useTheme();
  const { homeZone } = useSettings();
  const now = useNow();
  const zone = person.zone ?? homeZone;
  const state = stateNow({ zone, workingPattern: person.workingPattern }, times, now);
  const until =
    state.until === undefined || state.until === Infinity
      ? ''
      : timeText(instantToWall(homeZone, state.until));
  const clock =
    zone === homeZone ? '' : said.theirTime(timeText(instantToWall(zone, now)), person.place || zone);
  return (
    <View
      testID="person"
      style={[
        styles.row,
        { borderColor: colours.line, backgroundColor: isShown ? colours.accentTint : colours.card },
      ]}
    >
      <Check label={said.select(person.name)} checked={isChosen} onChange={onChoose}>
        <Mark mark={initialsOf(person)} colour={hueOf(person)} />
      </Check>
      <Pressable role="button" onPress={onShow} style={styles.words}>
        <AppText weight="700" numberOfLines={1}>
          {person.name}
        </AppText>
        <AppText size="small" tone="quiet" figures>
          {[
            person.role,
            person.seats === undefined ? person.place : `${person.place} · ${person.seats}`,
            clock,
          ]
            .filter(Boolean)
            .join(' · ')}
        </AppText>
        <AppText size="small" figures>
          {said.stateNow(state, until)}
        </AppText>
      </Pressable>
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space(2),
    paddingRight: space(3),
    borderBottomWidth: hairline,
    minHeight: sizes.target,
  },
  words: { flex: 1, minWidth: 0, paddingVertical: space(2) },
});
