import fc from 'fast-check';
import { type Extent, fitColumns } from './columns';

const extent = (key: string, start: number, end: number): Extent => ({ key, start, end });
const nothing = () => false;
const keys = (extents: readonly Extent[]) => extents.map(({ key }) => key);

test('what fits beside each other is shown whole; what does not is counted in fewer columns', () => {
  const three = [extent('a', 0, 60), extent('b', 0, 60), extent('c', 30, 90)];
  expect(fitColumns(three, { most: 3, mostCrowded: 2 }, nothing).crowds).toEqual([]);
  const { shown, crowds, crowded } = fitColumns(three, { most: 2, mostCrowded: 1 }, nothing);
  expect(keys(shown)).toEqual(['a']);
  expect(crowds.map(({ start, left, all }) => [start, keys(left), keys(all)])).toEqual([
    [0, ['b', 'c'], ['a', 'b', 'c']],
  ]);
  expect([...crowded]).toEqual(['a', 'b', 'c']);
});

test('what is selected stays, and another gives way', () => {
  const two = [extent('a', 0, 60), extent('b', 0, 60)];
  const { shown, crowds } = fitColumns(two, { most: 1, mostCrowded: 1 }, ({ key }) => key === 'b');
  expect([keys(shown), keys(crowds[0]!.left)]).toEqual([['b'], ['a']]);
});

test('every entry is shown or counted once, never more beside each other than fit', () => {
  const extents = fc.array(
    fc.record({ start: fc.integer({ min: 0, max: 600 }), length: fc.integer({ min: 5, max: 200 }) }),
    { maxLength: 30 },
  );
  fc.assert(
    fc.property(extents, fc.integer({ min: 1, max: 5 }), (drawn, most) => {
      const all = drawn.map(({ start, length }, index) => extent(`e${index}`, start, start + length));
      const room = { most, mostCrowded: Math.max(1, most - 1) };
      const { shown, crowds } = fitColumns(all, room, nothing);
      const left = crowds.flatMap((crowd) => crowd.left);
      expect([...keys(shown), ...keys(left)].sort()).toEqual(keys(all).sort());
      for (const { start } of shown)
        expect(shown.filter((other) => other.start <= start && other.end > start).length).toBeLessThanOrEqual(
          most,
        );
    }),
  );
});
