import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { BusyTimes } from '@/core/model/busyTimes';
import { type Person, PERSON_KINDS, type PersonKind } from '@/core/model/person';
import { AppText, TitleText } from '@/ui/primitives/AppText';
import { TextField } from '@/ui/primitives/TextField';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, space } from '@/ui/theme/tokens';
import { peopleWords as said } from '@/ui/words/people';
import { PersonRow } from './PersonRow';

interface PeopleListProps {
  people: readonly Person[];
  times: ReadonlyMap<string, BusyTimes>;
  chosen: readonly string[];
  shown: string | undefined;
  onChoose: (id: string, isChosen: boolean) => void;
  onShow: (id: string) => void;
}

const TITLES: Readonly<Record<PersonKind, string>> = { colleague: said.colleagues, room: said.rooms };

/** Whether somebody is meant by some words. */
function isMeant({ name, role, place, groups, addresses, equipment }: Person, text: string): boolean {
  const whole = [name, role, place, ...groups, ...addresses, ...equipment].join('\n').toLocaleLowerCase();
  return text
    .toLocaleLowerCase()
    .split(/\s+/)
    .every((word) => whole.includes(word));
}

/** All colleagues and rooms: looked for, chosen, and opened. */
export function PeopleList({ people, times, chosen, shown, onChoose, onShow }: PeopleListProps) {
  const { colours } = useTheme();
  const [find, setFind] = useState('');
  const found = people.filter((person) => isMeant(person, find.trim()));
  return (
    <View style={styles.list}>
      <TextField
        label={said.findLabel}
        hideLabel
        value={find}
        placeholder={said.find}
        onChangeText={setFind}
        testID="find-person"
      />
      {found.length === 0 && people.length > 0 ? <AppText tone="quiet">{said.noneFound}</AppText> : null}
      {PERSON_KINDS.map((kind) => {
        const own = found.filter((person) => person.kind === kind);
        return own.length === 0 ? null : (
          <View key={kind} role="group" aria-label={TITLES[kind]} style={styles.kind}>
            <TitleText level={2} size="large">
              {TITLES[kind]}
            </TitleText>
            <View style={[styles.rows, { borderColor: colours.line }]}>
              {own.map((person) => (
                <PersonRow
                  key={person.id}
                  person={person}
                  times={times.get(person.id)}
                  isChosen={chosen.includes(person.id)}
                  isShown={shown === person.id}
                  onChoose={(isChosen) => onChoose(person.id, isChosen)}
                  onShow={() => onShow(person.id)}
                />
              ))}
            </View>
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  list: { gap: space(3) },
  kind: { gap: space(2) },
  rows: { borderWidth: hairline, borderBottomWidth: 0, borderRadius: corner, overflow: 'hidden' },
});
