import { Coordinates, coordinatesOf, type Geo } from '../model/geo';
import type { JCalProperty } from '../model/jcal';
import type { PropertyCodec } from './field';

function readPoint(property: JCalProperty | undefined): Coordinates | undefined {
  const [latitude, longitude] = [property?.[3]].flat();
  return Coordinates.safeParse({ latitude, longitude }).data;
}

/** The two numbers of a text: "38.7,-9.1". */
const numbersOf = (text: string): unknown => text.split(/[,;]/).map(Number);

/** GEO (RFC 5545 3.8.1.6), written for as long as the entry is at the place that it was said of. */
export const geoProperty: PropertyCodec<Geo | undefined> = {
  names: ['geo'],
  read: ({ all, text }) => {
    const point = readPoint(all('geo')[0]);
    return point && { ...point, place: text('location') };
  },
  write: (value, { location }) => {
    const point = coordinatesOf({ geo: value, location });
    return point ? [['geo', {}, 'float', [point.latitude, point.longitude]]] : [];
  },
  unsayable: {
    is: (text) => readPoint(['geo', {}, 'float', numbersOf(text)]) === undefined,
    standsFor: (_, value) => value === undefined,
  },
};
