import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { placesOf, suggestedPlaces } from '@/core/places/placeBook';
import { useSnapshot } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { TextField } from '@/ui/primitives/TextField';
import { space } from '@/ui/theme/tokens';
import { placeWords as said } from '@/ui/words/places';
import { roomNamed } from './roomNamed';

/** So many places are offered. */
const OFFERED = 4;

interface PlaceFieldProps {
  label: string;
  value: string;
  onChange: (place: string) => void;
  onBlur?: (() => void) | undefined;
  error?: string | undefined;
  maxLength?: number | undefined;
}

/** A room is offered with how many it seats. */
const withSeats = (name: string, seats: number | undefined): string =>
  seats ? `${name} · ${said.seats(seats)}` : name;

/** A field for a place: while it is typed, known places are offered under it. */
export function PlaceField({ label, value, onChange, onBlur, error, maxLength }: PlaceFieldProps) {
  const book = useSnapshot(({ state }) => placesOf(state.entries));
  const people = useSnapshot(({ state }) => state.people);
  // What stands there from before asks for nothing.
  const [isTyped, setTyped] = useState(false);
  const offered = isTyped ? suggestedPlaces(book, value, OFFERED) : [];
  return (
    <View style={styles.field}>
      <TextField
        label={label}
        value={value}
        onChangeText={(text) => {
          setTyped(true);
          onChange(text);
        }}
        onBlur={onBlur}
        error={error}
        maxLength={maxLength}
        testID="place-field"
      />
      {offered.length > 0 ? (
        <View role="group" aria-label={said.known} style={styles.offered} testID="known-places">
          {offered.map(({ name, count }) => (
            <Button
              key={name}
              icon="map-marker-outline"
              label={said.take(name, count)}
              shown={withSeats(name, roomNamed(people, name)?.seats)}
              onPress={() => {
                setTyped(false);
                onChange(name);
              }}
            />
          ))}
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  field: { gap: space(1) },
  offered: { flexDirection: 'row', flexWrap: 'wrap', gap: space(1) },
});
