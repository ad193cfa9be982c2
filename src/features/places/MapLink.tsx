import { Linking } from 'react-native';
import type { CalendarEvent } from '@/core/model/entry';
import { coordinatesOf, geoUri } from '@/core/model/geo';
import { coordinatesOfPlace, placesOf } from '@/core/places/placeBook';
import { useSnapshot } from '@/store';
import { Button } from '@/ui/primitives/Button';
import { placeWords as said } from '@/ui/words/places';

/** Opens the place of an entry in the device's program of maps, where an entry says where that place is. */
export function MapLink({ event }: { event: CalendarEvent }) {
  const book = useSnapshot(({ state }) => placesOf(state.entries));
  const point = coordinatesOf(event) ?? coordinatesOfPlace(book, event.location);
  if (!point) return null;
  return (
    <Button
      icon="map-marker-outline"
      label={said.map}
      onPress={() => void Linking.openURL(geoUri(point, event.location))}
    />
  );
}
