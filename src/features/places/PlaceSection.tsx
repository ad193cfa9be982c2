import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { placesOf, suggestedPlaces } from '@/core/places/placeBook';
import { samePlace } from '@/core/places/placeName';
import { workspace } from '@/features/workspace';
import { useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { TextField } from '@/ui/primitives/TextField';
import { useTheme } from '@/ui/theme/theme';
import { corner, hairline, sizes, space } from '@/ui/theme/tokens';
import { placeWords as said } from '@/ui/words/places';
import { roomNamed } from './roomNamed';

/** So many are listed at first, and so many more at a press. */
const PAGE = 12;

/** The place book: all places that entries name, each with its page. */
export function PlaceSection() {
  const { colours } = useTheme();
  const book = useSnapshot(({ state }) => placesOf(state.entries));
  const people = useSnapshot(({ state }) => state.people);
  const [find, setFind] = useState('');
  const [most, setMost] = useState(PAGE);
  const looked = samePlace(find);
  const found =
    looked === ''
      ? book
      : [
          ...book.filter(({ name }) => samePlace(name) === looked),
          ...suggestedPlaces(book, find, book.length),
        ];
  const left = found.length - most;
  return (
    <View style={styles.section}>
      <AppText tone="quiet">{book.length === 0 ? said.noneYet : said.learned}</AppText>
      {book.length > PAGE ? (
        <TextField
          label={said.find}
          value={find}
          onChangeText={setFind}
          maxLength={200}
          testID="find-place"
        />
      ) : null}
      <View role="list" style={[styles.rows, { borderColor: colours.line }]}>
        {found.slice(0, most).map(({ name, address, count, coordinates }) => {
          const seats = roomNamed(people, name)?.seats;
          const facts = [
            said.entries(count),
            address ?? '',
            seats ? said.seats(seats) : '',
            coordinates ? said.located : '',
          ].filter(Boolean);
          return (
            <View key={name} role="listitem" style={[styles.item, { borderColor: colours.line }]}>
              <Pressable
                role="button"
                aria-label={said.open(name)}
                testID="known-place"
                onPress={() => workspace.showPlace(name)}
                style={[styles.row, { backgroundColor: colours.card }]}
              >
                <AppText weight="700" numberOfLines={1}>
                  {name}
                </AppText>
                <AppText size="small" tone="quiet" figures numberOfLines={1}>
                  {facts.join(' · ')}
                </AppText>
              </Pressable>
            </View>
          );
        })}
      </View>
      {found.length === 0 && find !== '' ? <AppText role="status">{said.noneFound}</AppText> : null}
      {left > 0 ? (
        <Button kind="quiet" label={said.more(Math.min(left, PAGE))} onPress={() => setMost(most + PAGE)} />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  section: { gap: space(2) },
  rows: { borderWidth: hairline, borderBottomWidth: 0, borderRadius: corner, overflow: 'hidden' },
  item: { borderBottomWidth: hairline },
  row: { minHeight: sizes.target, paddingVertical: space(2), paddingHorizontal: space(3) },
});
