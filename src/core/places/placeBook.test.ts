import fc from 'fast-check';
import { date, event, todo } from '../../../testing/samples';
import type { Entry } from '../model/entry';
import { geoUri } from '../model/geo';
import { coordinatesOfPlace, placeNamed, placesOf, suggestedPlaces } from './placeBook';

const mapOf = (...entries: Entry[]) => new Map(entries.map((entry) => [entry.id, entry]));
const at = (id: string, location: string, modified = 0, fields = {}): Entry =>
  event({ id, location, modified, ...fields });

test('places are learned from all entries, the most used first, however they were spelled', () => {
  const book = placesOf(
    mapOf(
      at('1', 'Chart room', 10),
      at('2', 'chart  Room', 30),
      at('3', 'Chart room', 20),
      at('4', 'Gull Point', 50),
      todo({ id: '5', location: 'Gull Point ', modified: 60 }),
      at('6', 'Skerry', 5),
      at('7', ''),
      at('8', '   '),
    ),
  );
  expect(book).toEqual([
    { name: 'Chart room', count: 3, used: 30 },
    { name: 'Gull Point', count: 2, used: 60 },
    { name: 'Skerry', count: 1, used: 5 },
  ]);
});

test('a series counts once, whatever dates of it were changed', () => {
  const changed = at('2', 'Lamp room', 9, { seriesId: '1', recurrenceId: date('2027-03-09') });
  expect(placesOf(mapOf(at('1', 'Lamp room', 3), changed))).toEqual([
    { name: 'Lamp room', count: 1, used: 3 },
  ]);
});

test('what begins with the letters comes first, then what has a word that does; what is typed whole is not offered', () => {
  const book = placesOf(
    mapOf(at('1', 'Boat shed'), at('2', 'Old boat yard'), at('3', 'Old boat yard'), at('4', 'Lamp room')),
  );
  const names = (typed: string, most = 5) => suggestedPlaces(book, typed, most).map(({ name }) => name);
  expect(names('BOAT')).toEqual(['Boat shed', 'Old boat yard']);
  expect(names('boat', 1)).toEqual(['Boat shed']);
  expect(names('boat shed')).toEqual([]);
  expect(names('oat')).toEqual([]);
  expect(names(' ')).toEqual([]);
});

test('whatever is typed, only known places are offered, each once', () => {
  const name = fc.string({ maxLength: 12 });
  fc.assert(
    fc.property(
      fc.array(name, { maxLength: 20 }),
      name,
      fc.integer({ min: 1, max: 6 }),
      (names, typed, most) => {
        const book = placesOf(mapOf(...names.map((location, index) => at(String(index), location))));
        const offered = suggestedPlaces(book, typed, most).map((place) => place.name);
        expect(offered.length).toBeLessThanOrEqual(most);
        expect(new Set(offered).size).toBe(offered.length);
        for (const each of offered) expect(names.map((given) => given.trim())).toContain(each);
      },
    ),
  );
});

test('a place is where an entry says that it is: the one that was changed last, and as long as it is there', () => {
  const geo = (latitude: number, place: string) => ({ geo: { latitude, longitude: -9.1, place } });
  const book = placesOf(
    mapOf(
      at('1', 'Gull Point', 10, geo(38, 'Gull Point')),
      at('2', 'gull point', 20, geo(39, 'gull point')),
      at('3', 'Skerry', 30, geo(40, 'Gull Point')),
    ),
  );
  expect(coordinatesOfPlace(book, 'GULL POINT')).toEqual({ latitude: 39, longitude: -9.1 });
  expect(coordinatesOfPlace(book, 'Skerry')).toBeUndefined();
  expect(coordinatesOfPlace(book, 'Nowhere')).toBeUndefined();
});

test('the address for a program of maps names the point, whatever signs its name has', () => {
  const point = { latitude: 38.7, longitude: -9.1 };
  expect(geoUri(point, 'Gull Point (west)')).toBe('geo:38.7,-9.1?q=38.7,-9.1(Gull%20Point%20west)');
  expect(geoUri(point, '')).toBe('geo:38.7,-9.1');
});

test('a place that is also written with its address has that address, and counts with it', () => {
  const book = placesOf(
    mapOf(
      at('1', 'Lamp works', 10),
      at('2', 'Lamp works, Quay 4, Fennick', 20),
      at('3', 'lamp works, Quay 3', 15),
      at('4', 'Fennick, Chart room', 5),
    ),
  );
  expect(book).toEqual([
    { name: 'Lamp works', address: 'Quay 4, Fennick', count: 3, used: 20 },
    { name: 'Fennick, Chart room', count: 1, used: 5 },
  ]);
  expect(placeNamed(book, 'LAMP WORKS, the back door')?.name).toBe('Lamp works');
  expect(placeNamed(book, 'Skerry')).toBeUndefined();
});
