import { StyleSheet, View } from 'react-native';
import { MOST_COLLEAGUES } from '@/core/model/look';
import { colleagueLaneId } from '@/core/people/busy/colleagueOccurrences';
import { type PlanAddress, usePlanAddress } from '@/features/workspace';
import { usePeople } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Check } from '@/ui/primitives/Check';
import { ChoiceRow } from '@/ui/primitives/ChoiceRow';
import { Mark } from '@/ui/primitives/Mark';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { colleagueWords as said } from '@/ui/words/colleagues';
import { hueOf, initialsOf } from '../personMark';

/** Whose times stand in Plan, and how. */
export function ColleaguesSheet({ address, onClose }: { address: PlanAddress; onClose: () => void }) {
  const people = usePeople();
  const { to } = usePlanAddress();
  const { colleagues, colleaguesOver, hidden } = address;
  const isFull = colleagues.length >= MOST_COLLEAGUES;
  const choose = (id: string, isChosen: boolean) =>
    to({
      colleagues: isChosen
        ? [...colleagues, id].slice(0, MOST_COLLEAGUES)
        : colleagues.filter((other) => other !== id),
      // Who is chosen anew is in sight.
      hidden: hidden.filter((other) => other !== colleagueLaneId(id)),
    });
  return (
    <Sheet title={words.look.colleagues} closeLabel={words.actions.close} onClose={onClose}>
      <ChoiceRow
        label={said.how}
        choices={[
          { value: 'beside', label: said.beside },
          { value: 'over', label: said.over },
        ]}
        value={colleaguesOver ? 'over' : 'beside'}
        onChange={(how) => to({ colleaguesOver: how === 'over' })}
      />
      <AppText size="small" tone="quiet">
        {said.about}
      </AppText>
      {people.length === 0 ? <AppText>{said.nobody}</AppText> : null}
      {isFull ? <AppText role="status">{said.full(MOST_COLLEAGUES)}</AppText> : null}
      <View style={styles.people}>
        {people.map((person) => {
          const isChosen = colleagues.includes(person.id);
          return isFull && !isChosen ? null : (
            <Check
              key={person.id}
              label={person.name}
              checked={isChosen}
              onChange={(next) => choose(person.id, next)}
            >
              <View style={styles.person}>
                <Mark mark={initialsOf(person)} colour={hueOf(person)} />
                <AppText>{person.name}</AppText>
              </View>
            </Check>
          );
        })}
      </View>
    </Sheet>
  );
}

const styles = StyleSheet.create({
  people: { gap: space(1) },
  person: { flexDirection: 'row', alignItems: 'center', gap: space(2) },
});
