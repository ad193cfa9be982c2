import { type Outlines, placeMap } from './placeMap';

const SIZE = { width: 400, height: 200 };
/** A square of land, its rings as the projection's library wants them: clockwise. */
const square = (west: number, south: number, east: number, north: number) => [
  [
    [west, south],
    [west, north],
    [east, north],
    [east, south],
    [west, south],
  ],
];
const outlines: Outlines = {
  type: 'MultiPolygon',
  coordinates: [square(-9, 38, -7, 41), square(100, 0, 110, 10)],
};
const shed = { latitude: 39.4, longitude: -9.4 };

test('a place lies in the middle, what is east of it to the right, what is north of it above', () => {
  const { place, others } = placeMap(
    outlines,
    shed,
    [
      { name: 'east', coordinates: { latitude: 39.4, longitude: -8.9 } },
      { name: 'north', coordinates: { latitude: 40, longitude: -9.4 } },
      { name: 'Halifax', coordinates: { latitude: 44.65, longitude: -63.57 } },
    ],
    SIZE,
  );
  expect(place).toEqual({ x: 200, y: 100 });
  // What is not on it is not named.
  expect(others.map(({ name }) => name)).toEqual(['east', 'north']);
  expect(others[0]!.x).toBeGreaterThan(200);
  expect(others[1]!.y).toBeLessThan(100);
});

test('the land about it is drawn, clipped to the map, and nothing of what is far away', () => {
  const { land } = placeMap(outlines, shed, [], SIZE);
  const numbers = land.match(/-?\d+(\.\d+)?/g)!.map(Number);
  expect(numbers.length).toBeGreaterThan(6);
  expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0);
  expect(Math.max(...numbers)).toBeLessThanOrEqual(400);
  expect(land.match(/M/g)).toHaveLength(1);
  expect(placeMap(outlines, { latitude: -40, longitude: 0 }, [], SIZE).land).toBe('');
});

test('the scale is as long as it says, at the place itself', () => {
  const { place, others, scale } = placeMap(
    outlines,
    shed,
    [{ name: 'half a degree north', coordinates: { latitude: 39.9, longitude: -9.4 } }],
    SIZE,
  );
  const pixelsAKilometre = (place.y - others[0]!.y) / (111.2 / 2);
  expect(scale.pixels / scale.kilometres).toBeCloseTo(pixelsAKilometre, 1);
  expect(scale.pixels).toBeLessThanOrEqual(0.3 * SIZE.width);
});

test('of places that lie close together the first is named, and all have their point', () => {
  const near = (name: string, latitude: number) => ({ name, coordinates: { latitude, longitude: -9 } });
  const { others } = placeMap(
    outlines,
    shed,
    [near('Skerry', 40.3), near('Gull Point', 40.31), near('Tern Rock', 38.5), near('Chart room', 39.4)],
    SIZE,
  );
  expect(others.map(({ name, isNamed }) => [name, isNamed])).toEqual([
    ['Skerry', true],
    ['Gull Point', false],
    ['Tern Rock', true],
    // It would lie over the name of the place itself.
    ['Chart room', false],
  ]);
});
