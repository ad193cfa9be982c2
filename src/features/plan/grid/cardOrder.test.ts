import fc from 'fast-check';
import { type CardOrder, neighbour, tabbableKeyOf } from './cardOrder';

const days: CardOrder = { lists: [['a', 'b'], [], ['c', 'd', 'e']], along: 'down' };
const lanes: CardOrder = { ...days, along: 'across' };

test('arrows along a list lead to the next of it, and stop at its ends', () => {
  expect(neighbour(days, 'a', 'ArrowDown')).toBe('b');
  expect(neighbour(days, 'b', 'ArrowUp')).toBe('a');
  expect(neighbour(days, 'b', 'ArrowDown')).toBeUndefined();
  expect(neighbour(lanes, 'c', 'ArrowRight')).toBe('d');
  expect(neighbour(lanes, 'c', 'ArrowLeft')).toBeUndefined();
});

test('the others lead to the same place of the next list that has any, or to its last', () => {
  expect(neighbour(days, 'b', 'ArrowRight')).toBe('d');
  expect(neighbour(days, 'e', 'ArrowLeft')).toBe('b');
  expect(neighbour(lanes, 'a', 'ArrowDown')).toBe('c');
  expect(neighbour(days, 'a', 'ArrowLeft')).toBeUndefined();
});

test('where a list runs on, its end leads to the list that lies so many further', () => {
  const weeks: CardOrder = { lists: [['a'], ['b'], [], ['c'], ['d'], ['e']], along: 'down', runsOn: 2 };
  expect(neighbour(weeks, 'a', 'ArrowDown')).toBe('d');
  expect(neighbour(weeks, 'd', 'ArrowUp')).toBe('a');
  expect(neighbour(weeks, 'b', 'ArrowDown')).toBe('c');
  expect(neighbour(weeks, 'e', 'ArrowDown')).toBeUndefined();
});

test('the Tab key leads to the latest selected card that is shown, else to the first card', () => {
  expect(tabbableKeyOf(days, ['a', 'e', 'gone'])).toBe('e');
  expect(tabbableKeyOf(days, ['gone'])).toBe('a');
  // What stands between the cards is no card.
  expect(tabbableKeyOf({ lists: [['gap 10', 'empty 5'], ['c']], along: 'down' }, [])).toBe('c');
  expect(tabbableKeyOf({ lists: [[], []], along: 'down' }, [])).toBeUndefined();
});

test('whatever is shown, an arrow leads to a card that is shown, and back again along its list', () => {
  const lists = fc
    .array(fc.nat({ max: 4 }), { minLength: 1, maxLength: 9 })
    .map((counts) => counts.map((count, list) => Array.from({ length: count }, (_, at) => `${list} ${at}`)));
  fc.assert(
    fc.property(lists, fc.option(fc.integer({ min: 1, max: 7 }), { nil: undefined }), (made, runsOn) => {
      const order: CardOrder = { lists: made, along: 'down', ...(runsOn ? { runsOn } : {}) };
      for (const key of made.flat())
        for (const arrow of ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight']) {
          const next = neighbour(order, key, arrow);
          if (next === undefined) continue;
          expect(made.flat()).toContain(next);
          expect(next).not.toBe(key);
          if (arrow === 'ArrowDown') expect(neighbour(order, next, 'ArrowUp')).toBe(key);
        }
    }),
  );
});
