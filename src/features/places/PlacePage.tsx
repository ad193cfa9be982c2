import { useRouter } from 'expo-router';
import { Linking, StyleSheet, View } from 'react-native';
import { geoUri } from '@/core/model/geo';
import { placeNamed, placesOf } from '@/core/places/placeBook';
import { NextAndLast } from '@/features/people';
import { useSnapshot } from '@/store';
import { AppText } from '@/ui/primitives/AppText';
import { Button } from '@/ui/primitives/Button';
import { Sheet } from '@/ui/primitives/Sheet';
import { space } from '@/ui/theme/tokens';
import { words } from '@/ui/words';
import { placeWords as said } from '@/ui/words/places';
import { PlaceMapView } from './PlaceMapView';
import { roomNamed } from './roomNamed';
import { PLACE_PATHS } from '@/features/workspace';

/** A place: what is known of it, where it is, and what is held there next. */
export function PlacePage({ written, onClose }: { written: string; onClose: () => void }) {
  const router = useRouter();
  const book = useSnapshot(({ state }) => placesOf(state.entries));
  const people = useSnapshot(({ state }) => state.people);
  const place = placeNamed(book, written);
  const name = place?.name ?? written.trim();
  const room = roomNamed(people, name);
  const facts = [
    place?.address ?? '',
    room?.seats ? said.seats(room.seats) : '',
    ...(room?.equipment ?? []),
  ].filter(Boolean);
  const { coordinates } = place ?? {};
  const all = () => {
    onClose();
    router.push({ pathname: PLACE_PATHS.tidy, params: { span: 'all', find: `"${name}"` } });
  };
  return (
    <Sheet title={name} closeLabel={words.actions.close} onClose={onClose}>
      {facts.length > 0 ? <AppText figures>{facts.join(' · ')}</AppText> : null}
      <AppText tone="quiet" figures>
        {said.used(place?.count ?? 0)}
      </AppText>
      {coordinates ? (
        <PlaceMapView name={name} coordinates={coordinates} book={book} />
      ) : (
        <AppText size="small" tone="quiet">
          {said.nowhere}
        </AppText>
      )}
      <View style={styles.actions}>
        {coordinates ? (
          <Button
            icon="map-marker-outline"
            label={said.map}
            onPress={() => void Linking.openURL(geoUri(coordinates, name))}
          />
        ) : null}
        <Button icon="magnify" label={said.all} onPress={all} />
      </View>
      <NextAndLast who={{ addresses: [], place: name }} titles={said.held} onShow={onClose} />
    </Sheet>
  );
}

const styles = StyleSheet.create({ actions: { flexDirection: 'row', flexWrap: 'wrap', gap: space(2) } });
